<?php

declare(strict_types=1);

namespace OddBench\Shop;

use DateTimeImmutable;

/** Which nightly backups stay: seven daily, five weekly and twelve monthly ones (rotation by grandfather, father, son: common practice). */
final readonly class BackupRotation
{
    /** How many of each length of time stay, and what tells two of them apart. */
    private const KEPT = ['Y-m-d' => 7, 'o-W' => 5, 'Y-m' => 12];

    /**
     * Of each day, week (ISO 8601) and month that has one the newest stays, for the last so many that have one: a shop that was
     * shut for a while loses nothing by it.
     *
     * @param  list<DateTimeImmutable>  $made  in the shop's zone, in any order
     * @return list<DateTimeImmutable> those that may go, oldest first
     */
    public static function mayGo(array $made): array
    {
        rsort($made);
        $stays = [];
        foreach (self::KEPT as $format => $most) {
            $of = [];
            foreach ($made as $index => $at) {
                $of[$at->format($format)] ??= $index;
            }
            foreach (array_slice($of, 0, $most) as $index) {
                $stays[$index] = true;
            }
        }

        return array_reverse(array_values(array_diff_key($made, $stays)));
    }
}
