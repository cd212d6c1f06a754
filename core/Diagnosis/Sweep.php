<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/** Quick looks of one state that are made in one go, as a technician rocks bed, head and gantry without writing between. */
final readonly class Sweep
{
    /** A look of so many minutes at most is quick. */
    private const QUICK = 2.0;

    private const MOST_LOOKS = 5;

    private const MOST_MINUTES = 6.0;

    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * The sweep that is worth most per minute; nothing when no state has two quick looks that pay.
     *
     * @param  list<Step>  $looks  best first
     */
    public function best(array $looks): ?Step
    {
        $byState = [];
        foreach ($looks as $look) {
            $check = $this->knowledge->checks[$look->code];
            if ($look->pays && $check->minutes <= self::QUICK && ! $check->supervised && ! $check->qualified) {
                $byState[$look->state][] = $look;
            }
        }
        $best = null;
        foreach ($byState as $ofState) {
            $sweep = $this->of($ofState);
            if ($sweep !== null && ($best === null || $sweep->savesPerMinute > $best->savesPerMinute)) {
                $best = $sweep;
            }
        }

        return $best;
    }

    /** @param  non-empty-list<Step>  $quick  of one state, best first */
    private function of(array $quick): ?Step
    {
        $taken = [];
        $minutes = $saves = 0.0;
        foreach ($quick as $look) {
            $own = $this->knowledge->checks[$look->code]->minutes;
            if (count($taken) < self::MOST_LOOKS && $minutes + $own <= self::MOST_MINUTES) {
                $taken[] = $look;
                $minutes += $own;
                $saves += $look->savesPerMinute * $look->costMinutes;
            }
        }
        if (count($taken) < 2) {
            return null;
        }
        $minutes += $quick[0]->costMinutes - $this->knowledge->checks[$quick[0]->code]->minutes;

        return new Step(
            $taken[0]->code,
            'sweep',
            $minutes,
            $taken[0]->state,
            $taken[0]->needsPower,
            false,
            $minutes,
            $saves / $minutes,
            [],
            true,
            looks: $taken,
            because: Because::Sweep,
        );
    }
}
