<?php

declare(strict_types=1);

namespace OddBench\Money;

/**
 * What a machine is worth in parts: each at this shop’s price, less the life it has run, times how likely one more is asked for
 * within a year, less the minutes to take it out. A part nobody asked for in two years is worth its scrap, which is nothing
 * (common practice).
 */
final readonly class PartsWorth
{
    /** A used part of unknown age, and one that hours do not wear, is half of a new one (common practice). */
    private const USED = 0.5;

    /** One that has hardly run sells below a new one all the same (common practice). */
    private const HARDLY_RUN = 0.75;

    /** Minutes of hands to take one out, look at it and put it on the shelf (from memory). */
    private const OUT_MINUTES = 6.0;

    /** Asked for so often in a year, demand is known rather than guessed. */
    private const KNOWN_FROM = 3;

    /**
     * @param  list<PieceWorth>  $pieces  in the order they were given
     * @param  int  $worth  all of them, minor units
     * @param  int  $known  kinds with a demand that is known
     * @param  int  $unasked  kinds nobody asked for in two years
     */
    private function __construct(public array $pieces, public int $worth, public int $known, public int $unasked)
    {
    }

    /**
     * @param  list<DonorPart>  $parts
     * @param  float  $minuteCosts  what a minute of hands costs the shop, minor units
     */
    public static function of(array $parts, float $minuteCosts): self
    {
        $pieces = [];
        $worth = $known = $unasked = 0;
        $taken = [];
        foreach ($parts as $part) {
            // a second one of a kind waits behind the first
            $ahead = $part->onShelf + ($taken[$part->name] ?? 0);
            $taken[$part->name] = ($taken[$part->name] ?? 0) + 1;
            $asked = $part->askedTwoYears === 0 ? 0.0 : self::oneMoreIsAsked($part->askedLastYear, $part->askedTwoYears, $ahead);
            $net = Exact::whole($part->price * self::left($part) * $asked) - Exact::hands(self::OUT_MINUTES, $minuteCosts);
            $pieces[] = new PieceWorth($part, self::left($part), $asked, max(0, $net));
            $worth += max(0, $net);
            $known += (int) ($part->askedLastYear >= self::KNOWN_FROM);
            $unasked += (int) ($part->askedTwoYears === 0);
        }

        return new self($pieces, $worth, $known, $unasked);
    }

    /** How sure that is, in words. */
    public function howSure(): string
    {
        $kinds = count($this->pieces);

        return match (true) {
            $kinds === 0 => 'Nothing is known of its parts.',
            $this->unasked === $kinds => 'Nobody asked for any of its parts in two years: worth their scrap.',
            2 * $this->known >= $kinds => "Fairly sure: of {$kinds} kinds {$this->known} are asked for often.",
            default => "Rather a guess: of {$kinds} kinds {$this->known} are asked for often, {$this->unasked} not in two years.",
        };
    }

    private static function left(DonorPart $part): float
    {
        if ($part->lifeH === null || $part->runH === null || $part->lifeH <= 0.0) {
            return self::USED;
        }

        return self::HARDLY_RUN * max(0.0, 1 - $part->runH / $part->lifeH);
    }

    /**
     * P(more than so many are asked for in a year), asked for as a Poisson process at the rate of the last year or of both, whichever
     * is higher.
     */
    private static function oneMoreIsAsked(int $lastYear, int $twoYears, int $ahead): float
    {
        $rate = max($lastYear, $twoYears / 2);
        $term = exp(-$rate);
        $upTo = $term;
        for ($k = 1; $k <= $ahead && $k <= 10 * ($rate + 10); $k++) {
            $term *= $rate / $k;
            $upTo += $term;
        }

        return max(0.0, 1 - $upTo);
    }
}
