<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Intake\Station;
use OddBench\Knowledge\Guide;
use OddBench\Knowledge\Timer;
use OddBench\Repair\LearningCurve;

/** A guide in steps of hands and of waiting, for everybody who is known to take more or less than usual. */
final readonly class GuideSteps
{
    /** Nobody begins something else for less, in minutes (common practice). */
    private const WORTH_LEAVING = 8.0;

    /** @var array<string, float> person => minutes of hands of the whole guide */
    private array $by;

    /**
     * @param  Earned  $earned  what may go by itself on this machine
     * @param  array<string, LearningCurve>  $curves  person =>
     * @param  array<string, int>  $times  person => times the person has done it
     * @param  list<string>  $rights  asked of whoever does it
     */
    public function __construct(
        private Guide $guide,
        private Earned $earned,
        array $curves = [],
        array $times = [],
        private array $rights = [],
    ) {
        $by = [];
        foreach ($curves as $name => $curve) {
            $by[$name] = $curve->minutes(($times[$name] ?? 0) + 1);
        }
        $this->by = $by;
    }

    /**
     * The minutes of hands are shared out evenly over the steps of its first school; a timer that is worth leaving ends a step.
     *
     * @param  string|null  $part  class of the part its first step needs
     * @return list<ChainStep>
     */
    public function of(?string $part = null): array
    {
        $all = array_values($this->guide->stepsOf($this->guide->schools()[0] ?? null));
        $each = 1 / count($all);
        $steps = [];
        [$share, $beside] = [0.0, 0.0];
        foreach ($all as $i => $step) {
            $share += $each;
            $timer = $step->timer;
            if ($timer === null) {
                continue;
            }
            [$watch, $because] = $this->earned->waiting($step->heat, $timer->oven);
            if ($watch === Watch::Beside || $timer->minutes < self::WORTH_LEAVING || $i === count($all) - 1) {
                // whoever does it stays for that
                $beside += $timer->minutes;

                continue;
            }
            $steps[] = $this->segment($steps === [], $share, $beside, $part, $timer, $watch, $because);
            [$share, $beside, $part] = [0.0, 0.0, null];
        }
        if ($share > 0.0) {
            $steps[] = $this->segment($steps === [], $share, $beside, $part);
        }

        return $steps;
    }

    private function segment(
        bool $first,
        float $share,
        float $beside,
        ?string $part,
        ?Timer $timer = null,
        Watch $watch = Watch::Nobody,
        string $because = '',
    ): ChainStep {
        return new ChainStep(
            $first ? $this->guide->name : "{$this->guide->name}, goes on",
            Station::Repair,
            (int) ceil($share * $this->guide->practised + $beside),
            $timer === null ? 0 : (int) ceil($timer->minutes),
            $watch,
            $because,
            array_map(static fn (float $minutes): int => (int) ceil($share * $minutes + $beside), $this->by),
            $this->rights,
            $timer?->oven === true ? 'oven' : null,
            $part,
        );
    }
}
