<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Input\JsonObject;
use OddBench\Units\Quantity;

/**
 * Trial prints: which settings changed from one to the next, what each change did, and the setting that matters.
 *
 * Two trials that differ in exactly one setting show its effect by themselves. Where the trials make an even two-level
 * design, effects and interactions are the differences of means (Box, Hunter and Hunter, Statistics for Experimenters,
 * 2nd ed., chapter 5); what chance makes of them stands at TrialNoise. Ratings are any numbers, more is better; the effect is that
 * of going from the lower value to the
 * higher one, or from the first word to the second.
 */
final readonly class Trials implements Computation
{
    private const MOST = 200;

    private const MOST_SETTINGS = 30;

    public function name(): string
    {
        return 'trials';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $plan = $this->plan($fields);
        $trials = $this->trials($fields, $plan !== null);
        $fields->done();
        $judged = TrialJudgement::of($trials);

        return [
            'changes' => array_map(static fn (array $c): array => ['trial' => $c['trial'], 'changed' => $c['changed']], $judged->changes),
            'warnings' => $judged->warnings,
            'single_changes' => $judged->singleChanges,
            'effects' => JsonObject::map(array_column($judged->effects, 'effect', 'setting')),
            'interactions' => JsonObject::map(array_combine(
                array_map(static fn (array $i): string => implode(' × ', $i['settings']), $judged->interactions),
                array_column($judged->interactions, 'effect'),
            )),
            'details' => $judged->effects,
            'not_told_apart' => self::notToldApart($judged),
            'matters' => $judged->matters,
            'better' => $judged->better,
            'best_trial' => $judged->best,
            'repeat_spread' => $judged->repeatSpread,
            'verdict' => $judged->verdict,
            'because' => $judged->because,
        ] + ($plan === null ? [] : ['plan' => $plan]);
    }

    /** @return list<string> e.g. “speed is the same as temperature × fan in these trials” */
    private static function notToldApart(TrialJudgement $judged): array
    {
        $said = [];
        foreach ($judged->interactions as $interaction) {
            foreach ($interaction['same_as'] as $other) {
                $said[] = sprintf('%s is the same as %s in these trials', implode(' × ', $interaction['settings']), implode(' × ', $other));
            }
        }

        return $said;
    }

    /**
     * @return list<Trial>
     *
     * @throws InputError
     */
    private function trials(Fields $fields, bool $mayBeNone): array
    {
        $list = $fields->objects('trials');
        if ($list === [] && ! $mayBeNone) {
            throw InputError::at('trials', 'trials is empty; give at least one trial with its settings and rating.');
        }
        if (count($list) > self::MOST) {
            throw InputError::at('trials', 'trials holds more than '.self::MOST.'; take the ones that belong together.');
        }
        $trials = [];
        foreach ($list as $i => $of) {
            $trials[] = $this->trial($of, $i);
        }

        return $trials;
    }

    private function trial(Fields $of, int $i): Trial
    {
        $settings = $this->settings($of->map('settings'), "trials.{$i}.settings");
        if ($settings === []) {
            throw InputError::at("trials.{$i}.settings", "trials.{$i}.settings is empty; say what was set.");
        }
        $band = $of->has('band_mm') ? $of->numbers('band_mm', ...Quantity::PrintHeight->bounds()) : null;
        if ($band !== null && (count($band) !== 2 || $band[0] >= $band[1])) {
            throw InputError::at("trials.{$i}.band_mm", "trials.{$i}.band_mm must be two heights, the lower one first.");
        }
        $trial = new Trial(
            $i + 1,
            $settings,
            $of->number('rating', ...Quantity::Rating->bounds()),
            $band === null ? null : [$band[0], $band[1]],
            $of->flag('stopped'),
        );
        $of->done();

        return $trial;
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, float|string>
     */
    private function settings(array $given, string $path): array
    {
        if (count($given) > self::MOST_SETTINGS) {
            throw InputError::at(
                $path,
                sprintf('%s names %d settings; up to %d are looked at.', $path, count($given), self::MOST_SETTINGS),
            );
        }
        $settings = [];
        foreach ($given as $name => $value) {
            $settings[$name] = self::value($value, "{$path}.{$name}");
        }

        return $settings;
    }

    private static function value(mixed $value, string $field): float|string
    {
        if (is_int($value) || (is_float($value) && is_finite($value))) {
            return (float) $value;
        }
        if (is_bool($value)) {
            return $value ? 'on' : 'off';
        }
        if (! is_string($value) || trim($value) === '') {
            throw InputError::at($field, "{$field} must be a number, a text, true or false.");
        }

        return is_numeric(trim($value)) ? (float) trim($value) : trim($value);
    }

    /**
     * @return list<array<string, float|string>>|null
     *
     * @throws InputError
     */
    private function plan(Fields $fields): ?array
    {
        if (! $fields->has('plan')) {
            return null;
        }

        return self::prints($fields->map('plan'));
    }

    /**
     * The prints that try each setting at both of its values, with every other one.
     *
     * @param  array<string, mixed>  $plan  setting => two values, numbers or words; one to four of them
     * @return list<array<string, float|string>> the settings of each print
     *
     * @throws InputError at plan.SETTING
     */
    public static function prints(array $plan): array
    {
        $levels = [];
        foreach ($plan as $setting => $pair) {
            if (! is_array($pair) || ! array_is_list($pair) || count($pair) !== 2) {
                throw InputError::at("plan.{$setting}", "plan.{$setting} must be two values, a low and a high one.");
            }
            $low = self::value($pair[0], "plan.{$setting}.0");
            $high = self::value($pair[1], "plan.{$setting}.1");
            if ($low === $high) {
                throw InputError::at("plan.{$setting}", "plan.{$setting} holds the same value twice.");
            }
            $levels[$setting] = TwoLevelDesign::ordered($low, $high);
        }
        if ($levels === [] || count($levels) > 4) {
            throw InputError::at('plan', 'plan takes one to four settings: four make sixteen prints already.');
        }

        return TwoLevelDesign::plan($levels);
    }
}
