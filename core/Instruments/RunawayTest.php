<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * Whether the firmware stops heating when a heater is cooled against its will (common practice). The clock starts when
 * the temperature leaves the hysteresis below its target; heating must stop within the period.
 *
 * A trip is the firmware’s word that it stopped, or power that goes off and stays off while it is below the band and the
 * target still stands. What regulates by itself, a hand at the target and a log that ends early show nothing.
 */
final readonly class RunawayTest implements Computation
{
    public function name(): string
    {
        return 'runaway-test';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $log = HeatLog::read($fields);
        $cooling = $fields->number('cooling_began_s', ...Quantity::LogTime->bounds());
        $period = $fields->number('period_s', ...Quantity::RunawayPeriod->bounds());
        $hysteresis = $fields->number('hysteresis_c', ...Quantity::Hysteresis->bounds());
        $haltedAt = $fields->numberOrNull('halted_at_s', ...Quantity::LogTime->bounds());
        $said = $fields->has('halted_said') ? $fields->text('halted_said') : '';
        $fields->done();
        if ($cooling >= $log[count($log) - 1]->at) {
            throw InputError::at('cooling_began_s', 'The log ends before the cooling began.');
        }
        $watched = array_values(array_filter(self::halted($log, $haltedAt, $said), static fn (HeatSample $s): bool => $s->at >= $cooling));
        $seen = RunawayWatch::over($watched, $this->target($log, $cooling), $hysteresis, $period, self::interval($log));

        return [
            'tripped' => $seen->trippedAfter !== null ? true : ($seen->stillHeats ? false : null),
            'tripped_after_s' => $seen->trippedAfter,
            'drop_c' => $seen->drop,
        ] + match (true) {
            $seen->trippedAfter !== null => [
                'verdict' => $seen->trippedAfter <= $period ? 'ok' : ($seen->trippedAfter <= 2 * $period ? 'out' : 'danger'),
                'because' => sprintf(
                    'Heating stopped %s s after it left the band; %s s are allowed.',
                    Said::figure($seen->trippedAfter),
                    Said::figure($period),
                ),
            ],
            $seen->stillHeats => ['verdict' => 'danger', 'because' => $seen->because],
            default => ['verdict' => 'inconclusive', 'because' => $seen->because],
        };
    }

    /**
     * The log of a machine that said beside it when it stopped, as a table of temperatures cannot.
     *
     * @param  non-empty-list<HeatSample>  $log
     * @return non-empty-list<HeatSample>
     */
    private static function halted(array $log, ?float $at, string $said): array
    {
        if ($at === null) {
            return $log;
        }
        $last = count($log) - 1;

        return array_map(
            static fn (HeatSample $s, int $i): HeatSample => $s->at >= $at || $i === $last ? $s->halted($said) : $s,
            $log,
            array_keys($log),
        );
    }

    /** @param  non-empty-list<HeatSample>  $log */
    private function target(array $log, float $cooling): float
    {
        $target = $log[0]->target;
        foreach ($log as $sample) {
            if ($sample->at <= $cooling) {
                $target = $sample->target;
            }
        }
        if ($target <= 0) {
            throw InputError::at('cooling_began_s', 'Nothing was asked to heat when the cooling began.');
        }

        return $target;
    }

    /** @param  non-empty-list<HeatSample>  $log */
    private static function interval(array $log): float
    {
        $steps = [];
        for ($i = 1; $i < count($log); $i++) {
            $steps[] = $log[$i]->at - $log[$i - 1]->at;
        }
        sort($steps);

        return $steps[intdiv(count($steps), 2)] ?? 1.0;
    }
}
