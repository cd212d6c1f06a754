<?php

declare(strict_types=1);

namespace OddBench\Proof;

use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Instruments\HeatLog;
use OddBench\Instruments\HeatSample;
use OddBench\Instruments\HeatStep;
use OddBench\Instruments\RunawayTest;
use OddBench\Instruments\ThermalLog;

/** The value of a heat proof, read out of a temperature log somebody kept, by the rules a connected run is judged by. */
final class ProvedByLog
{
    /** heater => longest s heating may go on outside, how many °C below its target it may fall (common practice) */
    public const RUNAWAY = ['hotend' => [45.0, 4.0], 'bed' => [65.0, 3.0]];

    private const HELD_S = 180.0;

    private const NEAR_C = 1.5;

    private const STANDS_S = 10.0;

    /**
     * @param  'hold'|'runaway'  $judge
     * @param  'hotend'|'bed'  $heater
     * @param  string  $text  CSV `time_s,actual_c,target_c[,power]`, or the lines of a RepRap-style firmware
     * @param  float  $intervalS  between two lines of the firmware
     * @return float °C it strayed from its target over the last three minutes; or s until heating stopped by itself
     *
     * @throws InputError at log when it does not show it
     */
    public static function value(string $judge, string $heater, string $text, float $intervalS = 1.0): float
    {
        $input = preg_match('/\b[TB]\d?:\s*-?\d/', $text) === 1
            ? ['lines' => preg_split('/\r\n|\r|\n/', $text) ?: [], 'interval_s' => $intervalS, 'channel' => $heater === 'bed' ? 'B' : 'T']
            : ['csv' => $text];
        try {
            $samples = HeatLog::read(Fields::of($input));

            return $judge === 'hold' ? self::strayed($samples) : self::stopped($heater, $samples);
        } catch (InputError $e) {
            throw InputError::at('log', $e->getMessage());
        }
    }

    /**
     * @param  non-empty-list<HeatSample>  $samples
     */
    private static function strayed(array $samples): float
    {
        $target = max(array_map(static fn (HeatSample $s): float => $s->target, $samples));
        $asked = array_values(array_filter($samples, static fn (HeatSample $s): bool => $target > 0 && $s->target === $target));
        if ($asked === []) {
            throw InputError::at('log', 'The log never asks for a temperature: its target is 0 throughout.');
        }
        $ends = $asked[count($asked) - 1]->at;
        $reached = self::stands($asked, $target);
        if ($ends - $reached < self::HELD_S) {
            throw InputError::at(
                'log',
                sprintf('The log ends %.0f s after it reached its temperature; three minutes are held.', $ends - $reached),
            );
        }

        $strayed = round(
            max(array_map(static fn (HeatSample $s): float => $s->at >= $ends - self::HELD_S ? abs($s->actual - $target) : 0.0, $asked)),
            2,
        );
        $judged = (new ThermalLog)->judge($samples);
        if ($strayed <= HeatStep::SWING_C && in_array($judged->verdict, ['out', 'inconclusive'], true)) {
            // a sensor that hangs strays by nothing, and a firmware that stopped held until then
            throw InputError::at('log', $judged->because);
        }

        return $strayed;
    }

    /**
     * @param  'hotend'|'bed'  $heater
     * @param  non-empty-list<HeatSample>  $samples
     */
    private static function stopped(string $heater, array $samples): float
    {
        $target = max(array_map(static fn (HeatSample $s): float => $s->target, $samples));
        [$period, $hysteresis] = self::RUNAWAY[$heater];
        $judged = (new RunawayTest)->judge($samples, self::stands($samples, $target), $period, $hysteresis);
        if ($judged->trippedAfterS !== null) {
            return round($judged->trippedAfterS, 1);
        }
        if ($judged->verdict === 'danger') {
            // it never stopped while it was watched: worse than any limit
            return round($samples[count($samples) - 1]->at, 1) + 1000.0;
        }
        throw InputError::at('log', $judged->because);
    }

    /**
     * Since when it has stood at its target for a while.
     *
     * @param  non-empty-list<HeatSample>  $samples
     */
    private static function stands(array $samples, float $target): float
    {
        $since = null;
        foreach ($samples as $sample) {
            $since = abs($sample->actual - $target) <= self::NEAR_C ? $since ?? $sample->at : null;
            if ($since !== null && $sample->at - $since >= self::STANDS_S) {
                return $sample->at;
            }
        }
        throw InputError::at('log', sprintf('The log never stands at the %.0f °C asked for.', $target));
    }
}
