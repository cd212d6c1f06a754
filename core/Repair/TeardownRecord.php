<?php

declare(strict_types=1);

namespace OddBench\Repair;

use OddBench\Input\InputError;

/** A machine that was taken apart, and how far it is together again. */
final readonly class TeardownRecord
{
    /**
     * @param  list<TeardownStep>  $steps  in the order they came off
     * @param  array<array-key, StepBack>  $back  by step
     */
    private function __construct(public array $steps, public array $back, public Sequence $sequence, public Accounts $accounts)
    {
    }

    /**
     * @param  list<TeardownStep>  $steps
     * @param  list<StepBack>  $back  in the order they were ticked
     *
     * @throws InputError when a step is ticked before one it waits for, or more went in than there are places for
     */
    public static function of(array $steps, array $back): self
    {
        $sequence = Sequence::of($steps);
        $byId = [];
        foreach ($back as $i => $done) {
            $step = $sequence->step($done->id, "done.{$i}.id");
            if (isset($byId[$done->id])) {
                throw InputError::at("done.{$i}.id", "“{$step->off}” is ticked twice.");
            }
            $waits = $sequence->waitsFor($done->id, array_map(strval(...), array_keys($byId)));
            if ($waits !== []) {
                throw InputError::at(
                    "done.{$i}.id",
                    "“{$step->off}” goes back only after “".implode(
                        '” and “',
                        array_map(static fn (string $id): string => $sequence->step($id, 'id')->off, $waits),
                    ).'”.',
                );
            }
            self::refuseTooMuch($step, $done, "done.{$i}");
            $byId[$done->id] = $done;
        }

        return new self($steps, $byId, $sequence, Accounts::of($steps, $byId));
    }

    /** @return list<string> ids of steps that can be ticked now */
    public function open(): array
    {
        $back = array_map(strval(...), array_keys($this->back));

        return array_values(array_filter(
            $this->sequence->order,
            fn (string $id): bool => ! isset($this->back[$id]) && $this->sequence->waitsFor($id, $back) === [],
        ));
    }

    /** @return array<string, int> size => places that were empty on opening */
    public function missingOnOpening(): array
    {
        $missing = [];
        foreach ($this->steps as $step) {
            foreach ($step->fasteners as $out) {
                if ($out->missing > 0) {
                    $missing[$out->size->name] = ($missing[$out->size->name] ?? 0) + $out->missing;
                }
            }
        }

        return $missing;
    }

    private static function refuseTooMuch(TeardownStep $step, StepBack $done, string $field): void
    {
        $places = array_sum($step->places());
        $in = array_sum($done->fasteners);
        if ($in > $places) {
            throw InputError::at("{$field}.fasteners", $places === 0
                ? "{$in} fasteners are said to be in at “{$step->off}”, where none came out. Add them to that step first, if there is a place for them."
                : "{$in} fasteners are said to be in at “{$step->off}”, which has places for {$places}. Correct the count, or what came out.");
        }
        foreach ($done->connectors as $k => $socket) {
            if (! in_array($socket, $step->connectors, true)) {
                throw InputError::unknown("{$field}.connectors.{$k}", 'socket unplugged in this step', $socket, $step->connectors);
            }
        }
        foreach (array_keys($done->parts) as $part) {
            if (! in_array((string) $part, $step->parts, true)) {
                throw InputError::unknown("{$field}.parts", 'part taken out in this step', (string) $part, $step->parts);
            }
        }
    }
}
