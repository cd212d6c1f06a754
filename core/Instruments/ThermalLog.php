<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * How a heater comes up and holds: rise, overshoot, settling, steadiness. Rise from the first sample with the new target to
 * within 1 °C of it; settled when it stays within ±1 °C; steady is what follows. Every temperature that was asked for is
 * judged, and the worst of them counts: its figures are the result’s.
 */
final readonly class ThermalLog implements Computation
{
    private const POINTS = 400;

    private const MOST_STEPS = 200;

    public function name(): string
    {
        return 'thermal-log';
    }

    /**
     * @return array{target_c: float|null, rise_s: float|null, overshoot_c: float|null, settle_s: float|null, steady_mean_c: float|null, steady_sd_c: float|null, peak_to_peak_c: float|null, verdict: string, because: string, steps: list<array<string, mixed>>, curve: list<array{float, float, float}>, began_s: float}
     */
    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $log = HeatLog::read($fields);
        $fields->done();
        $judged = $this->judge($log);

        return $judged->worst->figures() + [
            'verdict' => $judged->verdict,
            'because' => $judged->because,
            'steps' => array_map(static fn (HeatStep $s): array => ['began_s' => $s->began()] + $s->figures() + $s->judged, $judged->steps),
            'curve' => self::curve($log),
            'began_s' => $judged->worst->began(),
        ];
    }

    /**
     * @param  non-empty-list<HeatSample>  $log  in the order of time, three or more
     *
     * @throws InputError when it asks for no temperature, or for far too many
     */
    public function judge(array $log): ThermalJudged
    {
        $steps = $this->steps($log);
        $worst = $steps[0];
        foreach ($steps as $step) {
            $worst = $step->worseThan($worst) ? $step : $worst;
        }
        $said = self::stopped($log) ?? $worst->judged;

        return new ThermalJudged($steps, $worst, $said['verdict'], $said['because']);
    }

    /**
     * A heater during whose log the firmware stopped is not well, however it held before.
     *
     * @param  non-empty-list<HeatSample>  $log
     * @return array{verdict: string, because: string}|null
     */
    private static function stopped(array $log): ?array
    {
        foreach ($log as $sample) {
            if ($sample->stopped) {
                return [
                    'verdict' => 'out',
                    'because' => sprintf(
                        'The firmware stopped at %s s: “%s”. Find out why before anything is heated again.',
                        Said::figure($sample->at),
                        mb_strcut(mb_scrub($sample->said), 0, 120),
                    ),
                ];
            }
        }

        return null;
    }

    /**
     * Few enough points to draw: time, actual, target.
     *
     * @param  non-empty-list<HeatSample>  $log
     * @return list<array{float, float, float}>
     */
    private static function curve(array $log): array
    {
        $every = max(1, (int) ceil(count($log) / self::POINTS));
        $curve = [];
        foreach ($log as $i => $sample) {
            if ($i % $every === 0 || $i === count($log) - 1) {
                $curve[] = [$sample->at, $sample->actual, $sample->target];
            }
        }

        return $curve;
    }

    /**
     * Each temperature asked for, without those it only passed through on its way to a further one.
     *
     * @param  non-empty-list<HeatSample>  $log
     * @return non-empty-list<HeatStep>
     */
    private function steps(array $log): array
    {
        $parts = [];
        foreach ($log as $i => $sample) {
            if ($i === 0 || $sample->target !== $log[$i - 1]->target) {
                $parts[] = [];
            }
            $parts[count($parts) - 1][] = $sample;
        }
        if (count($parts) > self::MOST_STEPS) {
            throw InputError::at(
                'target_c',
                sprintf('The target changes %d times; the log of a heat-up has a few. Cut out the part that matters.', count($parts)),
            );
        }
        $steps = [];
        foreach ($parts as $i => $part) {
            $next = $parts[$i + 1] ?? [];
            if ($part[0]->target <= 0) {
                continue;
            }
            $step = new HeatStep($part);
            if ($next === [] || $next[0]->target <= 0 || ! $step->passedOnTo(new HeatStep($next))) {
                $steps[] = $step;
            }
        }

        if ($steps === []) {
            throw InputError::at(
                'target_c',
                'The log never asks for a temperature: its target is 0 throughout.'
                    .($log[count($log) - 1]->stopped ? ' The firmware stopped: '.mb_strcut(
                        mb_scrub($log[count($log) - 1]->said),
                        0,
                        120,
                    ) : ''),
            );
        }

        return $steps;
    }
}
