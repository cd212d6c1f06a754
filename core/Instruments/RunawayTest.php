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
        $judged = $this->judge($log, $cooling, $period, $hysteresis, $haltedAt, $said);

        return [
            'tripped' => $judged->tripped,
            'tripped_after_s' => $judged->trippedAfterS,
            'drop_c' => $judged->dropC,
            'verdict' => $judged->verdict,
            'because' => $judged->because,
        ];
    }

    /**
     * @param  non-empty-list<HeatSample>  $log  in the order of time
     * @param  float  $coolingBeganS  s of the log
     * @param  float  $periodS  within which heating must stop
     * @param  float  $hysteresisC  the band below the target
     * @param  float|null  $haltedAtS  when the firmware said that it stopped, where the log itself cannot
     * @param  string  $haltedSaid  its words
     *
     * @throws InputError when the log ends before the cooling, or nothing was asked to heat
     */
    public function judge(
        array $log,
        float $coolingBeganS,
        float $periodS,
        float $hysteresisC,
        ?float $haltedAtS = null,
        string $haltedSaid = '',
    ): RunawayJudged {
        if ($coolingBeganS >= $log[count($log) - 1]->at) {
            throw InputError::at('cooling_began_s', 'The log ends before the cooling began.');
        }
        $watched = array_values(array_filter(
            self::halted($log, $haltedAtS, $haltedSaid),
            static fn (HeatSample $s): bool => $s->at >= $coolingBeganS,
        ));
        $seen = RunawayWatch::over($watched, $this->target($log, $coolingBeganS), $hysteresisC, $periodS, self::interval($log));
        $after = $seen->trippedAfter;
        [$verdict, $because] = match (true) {
            $after !== null => [
                $after <= $periodS ? 'ok' : ($after <= 2 * $periodS ? 'out' : 'danger'),
                sprintf(
                    'Heating stopped %s s after it left the band; %s s are allowed.',
                    Said::figure($after),
                    Said::figure($periodS),
                ),
            ],
            $seen->stillHeats => ['danger', $seen->because],
            default => ['inconclusive', $seen->because],
        };

        return new RunawayJudged($after !== null ? true : ($seen->stillHeats ? false : null), $after, $seen->drop, $verdict, $because);
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
