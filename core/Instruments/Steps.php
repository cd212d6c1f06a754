<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Units\Quantity;

/**
 * Steps per millimetre of an axis or an extruder.
 *
 * Belt: steps·micro ÷ (pitch·teeth). Screw: steps·micro ÷ lead. Extruder: current · asked ÷ mean(got)
 * (common practice: mark 120 mm, ask 100 mm, measure the rest).
 */
final readonly class Steps implements Computation
{
    /** Runs that differ by more than this share of their mean measure slipping, not steps (common practice). */
    private const SPREAD_LIMIT_PCT = 2.0;

    /** A feed further out than this is no matter of steps at all: it slips, clogs, or counts other microsteps (common practice). */
    private const NO_STEPS_PCT = 25.0;

    /** A feed further out than this was never a matter of steps on a machine that fed right before. */
    private const OK_WITHIN_PCT = 1.0;

    public function name(): string
    {
        return 'steps';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $result = match ($fields->choice('type', ['belt', 'screw', 'extruder'])) {
            'belt' => $this->geometry(
                $this->pulses($fields),
                $fields->number('pitch_mm', ...Quantity::BeltPitch->bounds()) * $fields->whole('teeth', ...Quantity::PulleyTeeth->bounds()),
            ),
            'screw' => $this->geometry($this->pulses($fields), $fields->number('lead_mm', ...Quantity::ScrewLead->bounds())),
            default => $this->extruder($fields),
        };
        $fields->done();

        return $result;
    }

    private function pulses(Fields $fields): int
    {
        return $fields->whole(
            'motor_steps',
            ...Quantity::MotorSteps->bounds(),
        ) * $fields->whole('microsteps', ...Quantity::Microsteps->bounds());
    }

    /** @return array<string, mixed> */
    private function geometry(int $pulses, float $travelPerTurn): array
    {
        $steps = $pulses / $travelPerTurn;

        return [
            'steps_per_mm' => $steps,
            'verdict' => 'ok',
            'because' => sprintf(
                '%d steps to a turn over %s mm of travel make %s steps per mm.',
                $pulses,
                self::plain($travelPerTurn),
                self::plain($steps),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function extruder(Fields $fields): array
    {
        $current = $fields->number('current_steps_per_mm', ...Quantity::StepsPerMm->bounds());
        $asked = $fields->number('asked_mm', ...Quantity::FeedAsked->bounds());
        $got = $fields->numbers('got_mm', $asked * 0.05, $asked * 2, 'mm');
        $mean = array_sum($got) / count($got);
        $spread = 100 * (max($got) - min($got)) / $mean;
        $off = 100 * ($mean - $asked) / $asked;
        $seen = ['spread_pct' => $spread, 'mean_mm' => $mean, 'off_pct' => $off];
        $never = match (true) {
            $spread > self::SPREAD_LIMIT_PCT => sprintf(
                'The runs differ by %s %%, more than %s %%: something slips or clogs, so no new value is given.',
                self::plain($spread),
                self::plain(self::SPREAD_LIMIT_PCT),
            ),
            abs($off) > self::NO_STEPS_PCT => sprintf(
                '%s mm came for %s mm asked: that is no matter of steps, so no new value is given. Look for a clog, a gear that slips, or other microsteps; after another extruder set its own figure first.',
                self::plain($mean),
                self::plain($asked),
            ),
            default => null,
        };
        if ($never !== null) {
            return ['steps_per_mm' => null] + $seen + ['verdict' => 'out', 'because' => $never];
        }

        return ['steps_per_mm' => $current * $asked / $mean] + $seen + [
            'verdict' => abs($off) <= self::OK_WITHIN_PCT ? 'ok' : 'watch',
            'because' => sprintf('%s mm came for %s mm asked, %s %% off.', self::plain($mean), self::plain($asked), self::plain($off))
                .(abs($off) <= self::OK_WITHIN_PCT ? '' : ' If this machine fed right before, look for a clog or a worn gear first: new steps would hide it.'),
        ];
    }

    private static function plain(float $number): string
    {
        return (string) round($number, 3);
    }
}
