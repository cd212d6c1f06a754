<?php

declare(strict_types=1);

namespace OddBench\Practice;

/**
 * Whether probabilities mean what they say: among things told to be there with about p, about the share p is there.
 * A reliability table by tenths, and the Brier score: the mean square of probability less outcome, 0 is perfect
 * (Brier 1950, Verification of forecasts expressed in terms of probability).
 */
final readonly class Calibration
{
    private const BINS = 10;

    /**
     * @param  list<array{from: float, to: float, count: int, told: float, was: float}>  $rows  tenths that have any; told and was
     *   are means, 0 to 1
     */
    private function __construct(public array $rows, public float $brier, public int $count)
    {
    }

    /** @param  list<array{float, bool}>  $told  a probability from 0 to 1, and whether it was so */
    public static function of(array $told): self
    {
        $bins = [];
        $square = 0.0;
        foreach ($told as [$p, $was]) {
            $bin = min(self::BINS - 1, (int) floor($p * self::BINS));
            $bins[$bin][] = [$p, $was];
            $square += ($p - ($was ? 1.0 : 0.0)) ** 2;
        }
        ksort($bins);
        $rows = [];
        foreach ($bins as $bin => $of) {
            $rows[] = [
                'from' => (float) ($bin / self::BINS),
                'to' => ($bin + 1) / self::BINS,
                'count' => count($of),
                'told' => array_sum(array_column($of, 0)) / count($of),
                'was' => (float) (count(array_filter(array_column($of, 1))) / count($of)),
            ];
        }

        return new self($rows, $told === [] ? 0.0 : $square / count($told), count($told));
    }
}
