<?php

declare(strict_types=1);

namespace OddBench\Repair;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * Steps in, reassembly in reverse out; what came out against what went in (common practice).
 * A step without `after` follows the one before it; an empty `after` makes it independent.
 */
final readonly class Teardown implements Computation
{
    private const MOST_STEPS = 500;

    public function name(): string
    {
        return 'teardown';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $given = $fields->objects('steps', self::MOST_STEPS);
        if ($given === [] || count($given) > self::MOST_STEPS) {
            throw InputError::at(
                'steps',
                $given === []
                    ? 'steps is empty; name at least one thing that came off.'
                    : 'steps holds more than '.self::MOST_STEPS.' steps.',
            );
        }
        $steps = [];
        foreach ($given as $i => $step) {
            $steps[] = $this->step($step, "steps.{$i}", $steps === [] ? null : $steps[count($steps) - 1]->id);
        }
        $sequence = Sequence::of($steps);
        $back = [];
        foreach ($fields->objects('done', self::MOST_STEPS) as $i => $done) {
            $back[] = $this->back($done, $sequence, "done.{$i}");
        }
        $fields->done();

        return $this->told(TeardownRecord::of($steps, $back));
    }

    private function step(Fields $fields, string $path, ?string $before): TeardownStep
    {
        $id = $fields->text('id');
        $step = new TeardownStep(
            id: $id,
            off: $fields->text('off'),
            fasteners: $this->out($fields, $path),
            connectors: $fields->texts('connectors'),
            parts: $fields->texts('parts'),
            after: $fields->has('after') ? $fields->texts('after') : ($before === null ? [] : [$before]),
            before: $fields->texts('before'),
            wayRound: $this->words($fields, 'way_round'),
            caution: $this->words($fields, 'caution'),
            undoFirst: $this->words($fields, 'undo_first'),
            firstPass: $this->words($fields, 'first_pass'),
            secondPass: $this->words($fields, 'second_pass'),
            check: $this->words($fields, 'check'),
        );
        $fields->done();

        return $step;
    }

    /** @return list<FastenersOut> */
    private function out(Fields $fields, string $path): array
    {
        $out = [];
        foreach ($fields->objects('fasteners') as $i => $of) {
            $size = $this->size($of, "{$path}.fasteners.{$i}.size");
            if (isset($out[$size->name])) {
                throw InputError::at("{$path}.fasteners.{$i}.size", "{$size->name} stands twice in this step; add the counts up.");
            }
            $missing = $of->wholeOrNull('missing', ...Quantity::FastenerCount->bounds()) ?? 0;
            $out[$size->name] = new FastenersOut(
                $size,
                $of->whole('count', $missing > 0 ? 0 : 1, 200),
                $missing,
                $of->has('into') ? $of->choice('into', ['metal', 'plastic']) : null,
                $of->numberOrNull('engagement_mm', ...Quantity::Engagement->bounds()),
                $of->numberOrNull('room_mm', ...Quantity::ScrewRoom->bounds()),
            );
            $of->done();
        }

        return array_values($out);
    }

    private function back(Fields $fields, Sequence $sequence, string $path): StepBack
    {
        $step = $sequence->step($fields->text('id'), "{$path}.id");
        $same = StepBack::asItCameOut($step);
        $in = [];
        foreach ($fields->objects('fasteners') as $i => $of) {
            $size = $this->size($of, "{$path}.fasteners.{$i}.size")->name;
            $in[$size] = ($in[$size] ?? 0) + $of->whole('count', ...Quantity::FastenerCount->bounds());
            $of->done();
        }
        $parts = [];
        foreach ($fields->objects('parts') as $of) {
            $now = $of->choice('now', StepBack::PARTS);
            $parts[$of->text('part')] = match ($now) {
                'new' => 'new',
                'written-off' => 'written-off',
                default => 'back',
            };
            $of->done();
        }
        $back = new StepBack(
            $step->id,
            $fields->has('fasteners') ? array_filter($in) : $same->fasteners,
            $fields->has('connectors') ? $fields->texts('connectors') : $same->connectors,
            $fields->has('parts') ? $parts : $same->parts,
            $fields->choice('pass', ['first', 'done'], 'done') === 'done',
        );
        $fields->done();

        return $back;
    }

    private function size(Fields $fields, string $field): FastenerSize
    {
        $text = $fields->text('size');

        return FastenerSize::read($text) ?? throw InputError::at(
            $field,
            "“{$text}” is no size that can be read. ".FastenerSize::readable(),
        );
    }

    private function words(Fields $fields, string $key): ?string
    {
        return $fields->has($key) ? $fields->text($key) : null;
    }

    /** @return array<string, mixed> */
    private function told(TeardownRecord $record): array
    {
        $open = $record->open();
        $reassembly = array_map(function (string $id) use ($record, $open): array {
            $step = $record->sequence->step($id, 'id');

            return [
                'id' => $id,
                'on' => $step->off,
                'back' => isset($record->back[$id]),
                'open' => in_array($id, $open, true),
                'needs' => $record->sequence->needs($id),
                'fasteners' => array_map(
                    static fn (FastenersOut $f): array => ['size' => $f->size->name, 'count' => $f->count + $f->missing],
                    $step->fasteners,
                ),
                'connectors' => $step->connectors,
                'way_round' => $step->wayRound,
                'caution' => $step->caution,
                'undo_first' => $step->undoFirst,
                'first_pass' => $step->firstPass, 'second_pass' => $step->secondPass, 'check' => $step->check,
            ];
        }, $record->sequence->order);
        $missing = $record->missingOnOpening();

        return [
            'reassembly' => $reassembly,
            'differences' => array_map(
                static fn (Difference $d): array => [
                    'kind' => $d->kind,
                    'what' => $d->what,
                    'out' => $d->out,
                    'in' => $d->in,
                    'because' => $d->because,
                    'steps' => $d->steps,
                ],
                $record->accounts->differences(),
            ),
            'substitutes' => array_map(
                static fn (Substitute $s): array => [
                    'step' => $s->step,
                    'instead_of' => $s->insteadOf,
                    'fitted' => $s->fitted,
                    'safe' => $s->safe,
                    'because' => $s->because,
                ],
                $record->accounts->substitutes(),
            ),
            'missing_on_opening' => array_map(
                static fn (string $size, int $count): array => ['size' => $size, 'count' => $count],
                array_keys($missing),
                $missing,
            ),
            'findings' => $missing === [] ? [] : [self::MISSING],
            'complete' => $record->accounts->differences() === [],
        ];
    }

    /** The finding a screw that was missing on opening stands for. */
    public const MISSING = 'fastener-missing';
}
