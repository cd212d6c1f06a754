<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Math\Gamma;

/**
 * On which shop day a job is ready, as a distribution. The part comes on a day by its gamma distribution; hands go on with it when
 * what is ahead is done; what stands alone goes on when the shop is shut; ways that end differently are a mixture. Days are counted from
 * the first one, 0.
 */
final readonly class FinishDays
{
    /** A day has so many minutes for what stands alone. */
    private const CLOCK = 1440;

    /** However many hands there are, a shop is open so long at most. */
    private const OPEN = 600;

    /** @param  array<int, float>  $chances  that it is ready on that day; what is missing to 1 lies after the last */
    private function __construct(private array $chances)
    {
    }

    /**
     * @param  list<array{float, int, int}>  $ways  probability, minutes of hands, minutes alone
     * @param  int  $ahead  minutes of hands that come before it
     * @param  int  $perDay  minutes of hands of a shop day, 1 and up
     * @param  list<float>  $arrives  that what it waits for is here on that day, day by day
     */
    public static function of(array $ways, int $ahead, int $perDay, array $arrives): self
    {
        $days = count($arrives);
        $chances = array_fill(0, $days, 0.0);
        foreach ($ways as [$probability, $hands, $alone]) {
            foreach ($arrives as $day => $chance) {
                $ready = self::readyOn(max($ahead, $day * $perDay), $hands, $alone, $perDay);
                if ($ready < $days) {
                    $chances[$ready] += $probability * $chance;
                }
            }
        }

        return new self($chances);
    }

    /**
     * That a part is here on each of these days: it comes after a time with this mean and spread, and counts on the first shop day
     * from then on.
     *
     * @param  non-empty-list<int>  $days  days from the first one on the calendar, rising
     * @return list<float>
     */
    public static function arrives(float $mean, float $spread, array $days): array
    {
        [$arrives, $before] = [[], 0.0];
        foreach ($days as $day) {
            $by = self::arrivedBy($mean, $spread, (float) $day);
            $arrives[] = max(0.0, $by - $before);
            $before = $by;
        }

        return $arrives;
    }

    /**
     * It comes so many days later than thought as others did, one of them counted as on time so that nothing is certain.
     *
     * @param  list<int>  $late  days, of earlier ones; below zero: sooner
     */
    public function laterAs(array $late): self
    {
        $days = count($this->chances);
        $chances = array_fill(0, $days, 0.0);
        $share = 1 / (count($late) + 1);
        foreach ([0, ...$late] as $by) {
            foreach ($this->chances as $day => $chance) {
                if ($day + $by < $days) {
                    $chances[max(0, $day + $by)] += $share * $chance;
                }
            }
        }

        return new self($chances);
    }

    /** That it is ready by the end of that day, 0 to 1. */
    public function by(int $day): float
    {
        return min(1.0, array_sum(array_slice($this->chances, 0, $day + 1)));
    }

    /** The first day by whose end it is ready with this chance; nothing when it lies after the last. */
    public function first(float $chance): ?int
    {
        $sum = 0.0;
        foreach ($this->chances as $day => $one) {
            $sum += $one;
            if ($sum >= $chance - 1e-9) {
                return $day;
            }
        }

        return null;
    }

    /** P(it came within that many days). */
    private static function arrivedBy(float $mean, float $spread, float $days): float
    {
        if ($mean <= 0.0 || $spread / max($mean, 1e-9) < 1e-3) {
            return $days >= $mean ? 1.0 : 0.0;
        }
        $shape = ($mean / $spread) ** 2;

        return $days <= 0.0 ? 0.0 : Gamma::below($shape, $days * $shape / $mean);
    }

    /** Hands begin at a minute of all shop days' hands; what then stands alone is over that day, or stands through nights. */
    private static function readyOn(int $from, int $hands, int $alone, int $perDay): int
    {
        $end = $from + $hands;
        // hands that end with the day end on it
        $day = $hands > 0 && $end % $perDay === 0 ? intdiv($end, $perDay) - 1 : intdiv($end, $perDay);
        if ($alone === 0) {
            return $day;
        }
        // the hour it stands at when its hands are over, and when it is over; in the night after a day it is ready on the next
        $open = min($perDay, self::OPEN);
        $over = $day * self::CLOCK + intdiv(($end - $day * $perDay) * $open, $perDay) + $alone;

        return intdiv($over, self::CLOCK) + ($over % self::CLOCK > $open ? 1 : 0);
    }
}
