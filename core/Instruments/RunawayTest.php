<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * Whether the firmware stops heating when a hot end is cooled against its will (common practice). The clock starts when
 * the temperature leaves the hysteresis below its target; heating must stop within the period.
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
        $cooling = $fields->number('cooling_began_s', 0, 1e6, 's');
        $period = $fields->number('period_s', 1, 600, 's');
        $hysteresis = $fields->number('hysteresis_c', 0.5, 50, '°C');
        $fields->done();
        if ($cooling >= $log[count($log) - 1]->at) {
            throw InputError::at('cooling_began_s', 'The log ends before the cooling began.');
        }
        $target = $this->target($log, $cooling);
        $drop = 0.0;
        $left = null;
        foreach ($log as $sample) {
            if ($sample->at < $cooling) {
                continue;
            }
            $drop = max($drop, $target - $sample->actual);
            $left ??= $target - $sample->actual > $hysteresis ? $sample->at : null;
        }
        if ($left === null) {
            return $this->result(null, null, $drop, sprintf('It fell by %s °C only, not beyond the %s °C it may. Take the sock off and cool it harder.', Said::figure($drop), Said::figure($hysteresis)));
        }
        $stopped = $this->stopped($log, $left);

        return $stopped === null ? $this->neverStopped($log, $left, $period, $drop) : $this->stoppedAfter($stopped - $left, $period, $drop);
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

    /**
     * When heating stopped for good: power at nothing from here to the end, target taken away, or the firmware’s word.
     *
     * @param  non-empty-list<HeatSample>  $log
     */
    private function stopped(array $log, float $left): ?float
    {
        $since = null;
        foreach ($log as $sample) {
            if ($sample->at < $left) {
                continue;
            }
            if ($sample->stopped || $sample->target <= 0) {
                return $since ?? $sample->at;
            }
            $since = $sample->power !== null && $sample->power <= 0 ? $since ?? $sample->at : null;
        }

        return $since;
    }

    /** @return array<string, mixed> */
    private function stoppedAfter(float $after, float $period, float $drop): array
    {
        $verdict = $after <= $period ? 'ok' : ($after <= 2 * $period ? 'out' : 'danger');

        return ['tripped' => true, 'tripped_after_s' => $after, 'drop_c' => $drop, 'verdict' => $verdict, 'because' => sprintf('Heating stopped %s s after it left the band; %s s are allowed.', Said::figure($after), Said::figure($period))];
    }

    /**
     * @param  non-empty-list<HeatSample>  $log
     * @return array<string, mixed>
     */
    private function neverStopped(array $log, float $left, float $period, float $drop): array
    {
        $watched = $log[count($log) - 1]->at - $left;
        $power = array_filter($log, static fn (HeatSample $s): bool => $s->power !== null) !== [];
        if (! $power) {
            return $this->result(null, null, $drop, 'The log tells neither power nor a stop: it cannot be seen whether heating went on.');
        }
        if ($watched < 2 * $period) {
            return $this->result(null, null, $drop, sprintf('The log ends %s s after it left the band; twice the period, %s s, must be watched.', Said::figure($watched), Said::figure(2 * $period)));
        }

        return ['tripped' => false, 'tripped_after_s' => null, 'drop_c' => $drop, 'verdict' => 'danger', 'because' => sprintf('It was still heating %s s after it left the band; it should have stopped within %s s. Red tag: it never leaves so.', Said::figure($watched), Said::figure($period))];
    }

    /** @return array<string, mixed> */
    private function result(?bool $tripped, ?float $after, float $drop, string $because): array
    {
        return ['tripped' => $tripped, 'tripped_after_s' => $after, 'drop_c' => $drop, 'verdict' => 'inconclusive', 'because' => $because];
    }
}
