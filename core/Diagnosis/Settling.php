<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Check;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;

/**
 * Which suspects want one of their settling looks before anybody mends them (common practice): what is dangerous, on the
 * mains or for qualified people from one in twenty on, and any likely one whose mend is no small thing.
 */
final readonly class Settling
{
    /** Danger is settled from this probability on. */
    public const DANGER_FROM = 0.05;

    /** A suspect this likely is confirmed before a big mend … */
    public const LIKELY_FROM = 0.30;

    /** … unless it is as good as sure. */
    public const SURE = 0.97;

    /** One that a settling look has spoken for needs to be less sure. */
    private const CONFIRMED = 0.9;

    /** What was found speaks for a fault from this probability on: with less, something else is as likely behind it. */
    private const RATHER_THAN_NOT = 0.5;

    /** A finding speaks for a fault that shows it at least this often. */
    private const SPEAKS_FROM = 0.5;

    /**
     * @param  array<string, Check>  $possible  looks that can be made now and are not made yet, by code
     * @param  array<string, true>  $present  finding codes
     */
    public function __construct(
        private Knowledge $knowledge,
        private CaseFile $case,
        private MendCost $cost,
        private array $possible,
        private array $present,
    ) {
    }

    /** Danger, mains, qualified people only: mended only after one of its settling looks has spoken for it. */
    public function isGated(Fault $fault): bool
    {
        return $fault->danger || $fault->forQualified($this->case->traits);
    }

    /** Whether something that one of its settling looks shows is there, and it is rather that than not: a complaint alone is no look. */
    public function hasSpoken(Fault $fault, float $probability): bool
    {
        if ($probability < self::RATHER_THAN_NOT) {
            return false;
        }
        foreach ($fault->settle as $look) {
            foreach ($this->knowledge->checks[$look]->yields as $finding) {
                if (isset($this->present[$finding]) && ($fault->shows[$finding] ?? 0.0) >= self::SPEAKS_FROM) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The settling look to make next: those without power before those with. */
    public function look(Fault $fault): ?Check
    {
        $powered = null;
        foreach ($fault->settle as $code) {
            $check = $this->possible[$code] ?? null;
            if ($check !== null && array_intersect_key(array_flip($check->yields), $fault->shows) !== []) {
                if (! $check->state->needsPower()) {
                    return $check;
                }
                $powered ??= $check;
            }
        }

        return $powered;
    }

    /** Whether danger has to be settled before anything else is done. */
    public function wantsFirst(Fault $fault, float $probability): bool
    {
        return $probability >= self::DANGER_FROM && $this->isGated($fault) && ! $this->hasSpoken($fault, $probability);
    }

    /** Whether it is likely and its mend big, or much longer than the look, so that it is confirmed first. */
    public function wantsConfirming(Fault $fault, float $probability): bool
    {
        return $probability >= self::LIKELY_FROM
            && $probability < self::SURE
            && ! $this->hasSpoken($fault, $probability)
            && ($this->cost->isBig($fault) || $this->isGlance($fault));
    }

    /** Whether its settling look takes a fraction of its mend: nobody turns a nut before rocking the bed. */
    private function isGlance(Fault $fault): bool
    {
        $look = $this->look($fault);

        return $look !== null && 2 * ($look->minutes + $this->knowledge->bench->minutesToReach($look->state)) <= $fault->mend()->minutes;
    }

    /** Whether its mend is no small thing and nothing has spoken for it. */
    public function isBigGuess(Fault $fault, float $probability): bool
    {
        return $this->cost->isBig($fault) && ! $this->hasSpoken($fault, $probability);
    }

    /** Whether it is likely and put right in minutes without a part, with no look that would settle it: then one tries. */
    public function isTried(Fault $fault, float $probability): bool
    {
        return $probability >= self::LIKELY_FROM
            && ! $this->isGated($fault)
            && ! $this->cost->isBig($fault)
            && $this->look($fault) === null;
    }

    /** Whether its mend is as good as certain to be right. */
    public function isConfirmed(Fault $fault, float $probability): bool
    {
        return $probability >= self::SURE || ($probability >= self::CONFIRMED && $this->hasSpoken($fault, $probability));
    }

    /** Whether a mend may be offered now. */
    public function mayMend(Fault $fault, float $probability): bool
    {
        if ($this->isGated($fault) && ! $this->hasSpoken($fault, $probability)) {
            return false;
        }

        return ! $this->wantsConfirming($fault, $probability) || $this->look($fault) === null;
    }

    /** Whether a swap may be offered now: it is its own answer, but never for what can hurt. */
    public function maySwap(Fault $fault, float $probability): bool
    {
        return ! $this->isGated($fault) || $this->hasSpoken($fault, $probability);
    }
}
