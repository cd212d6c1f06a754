<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Heat;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Stage;
use OddBench\Knowledge\Traits;
use OddBench\Repair\LearningCurve;
use OddBench\Units\Quantity;

/** From how far a job is to the steps it still needs, as `bench-plan` takes them. */
final readonly class StepsAhead implements Computation
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function name(): string
    {
        return 'steps-ahead';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $station = Station::from($fields->choice('station', array_column(Station::cases(), 'value')));
        $traits = Traits::of($fields->map('traits'));
        $mend = $fields->texts('mend', 20);
        foreach ($mend as $i => $code) {
            $this->knowledge->fault($code, "mend.{$i}");
        }
        $guides = $fields->texts('guides', 20);
        foreach ($guides as $i => $code) {
            $this->guide($code, "guides.{$i}");
        }
        [$curves, $times] = $this->people($fields);
        $job = new JobAhead(
            $station,
            $traits,
            $this->earned($fields),
            $fields->flag('asked'),
            $this->look($fields),
            $fields->numberOrNull('search_minutes', ...Quantity::StepMinutes->bounds()) ?? 0.0,
            $mend,
            $guides,
            $fields->wholeOrNull('off', ...Quantity::FastenerCount->bounds()) ?? 0,
            $fields->has('owed') ? $this->owed($fields) : null,
            $fields->texts('here', 100),
            $curves,
            $times,
            array_map(self::running(...), $fields->objects('timers', 50)),
            array_map(static function (Fields $of): array {
                $task = [
                    $of->text('name'),
                    $of->number('minutes', ...Quantity::StepMinutes->bounds()),
                    $of->has('part') ? $of->text('part') : null,
                ];
                $of->done();

                return $task;
            }, $fields->objects('tasks', 50)),
        );
        $fields->done();
        $steps = (new Chain($this->knowledge))->of($job);

        return [
            'steps' => array_map(self::told(...), $steps),
            'hands' => array_sum(array_map(static fn (ChainStep $step): int => $step->hands, $steps)),
            'alone' => array_sum(array_map(static fn (ChainStep $step): int => $step->alone, $steps)),
        ];
    }

    /** @return array<string, mixed> */
    private static function told(ChainStep $step): array
    {
        return [
            'what' => $step->what,
            'station' => $step->station->value,
            'hands' => $step->hands,
            'hands_by' => $step->handsBy,
            'alone' => $step->alone,
            'watch' => $step->watch->value,
            'because' => $step->because,
            'rights' => $step->rights,
            'place' => $step->place,
            'part' => $step->part,
            'begun' => $step->begun,
        ];
    }

    private static function running(Fields $of): Running
    {
        $running = new Running(
            $of->text('name'),
            $of->whole('minutes', ...Quantity::StepAlone->bounds()),
            $of->has('heat') ? Heat::from($of->choice('heat', array_column(Heat::cases(), 'value'))) : null,
            $of->flag('oven'),
        );
        $of->done();

        return $running;
    }

    private function guide(string $code, string $field): void
    {
        if (! isset($this->knowledge->guides[$code])) {
            throw InputError::unknown($field, 'guide', $code, array_keys($this->knowledge->guides));
        }
    }

    /** @return array{array<string, array<string, LearningCurve>>, array<string, array<string, int>>} */
    private function people(Fields $fields): array
    {
        [$curves, $times] = [[], []];
        foreach ($fields->objects('people', 200) as $i => $of) {
            $name = $of->text('name');
            $code = $of->text('guide');
            $this->guide($code, "people.{$i}.guide");
            $guide = $this->knowledge->guides[$code];
            $taken = $of->numbersOrNone('minutes', 0.5, 1440, 'min');
            $of->done();
            $curves[$code][$name] = LearningCurve::of($guide->first, $guide->practised, $taken);
            $times[$code][$name] = count($taken);
        }

        return [$curves, $times];
    }

    private function earned(Fields $fields): Earned
    {
        $of = $fields->object('earned');
        $earned = new Earned(
            $of->flag('red_tag'),
            $of->flag('stops'),
            $of->flag('holds'),
            $of->flag('printed'),
            $of->flag('mains_bed'),
            $of->flag('nights'),
            $of->texts('lacking', 20),
        );
        $of->done();

        return $earned;
    }

    /** @return array{string, float, bool}|null */
    private function look(Fields $fields): ?array
    {
        if (! $fields->has('look')) {
            return null;
        }
        $of = $fields->object('look');
        $look = [$of->text('name'), $of->number('minutes', ...Quantity::StepMinutes->bounds()), $of->flag('qualified')];
        $of->done();

        return $look;
    }

    /** @return list<array{Stage, string, string}> */
    private function owed(Fields $fields): array
    {
        return array_map(function (string $code, int $i): array {
            $proof = $this->knowledge->proof($code, "owed.{$i}");

            return [$proof->stage, $proof->name, $proof->code];
        }, $owed = $fields->texts('owed', 100), array_keys($owed));
    }
}
