<?php

declare(strict_types=1);

namespace OddBench\Shop;

use DateTimeImmutable;

/** How long a shop has been without a backup that was proved. */
final readonly class BackupAge
{
    private const DAYS = 2;

    /**
     * @param  DateTimeImmutable|null  $good  when the last one was made that could be restored; null when there is none
     * @param  DateTimeImmutable  $opened  when the shop was opened, from when there was something to lose
     * @return string|null said when it is older than two days: what may be lost, and what to do
     */
    public static function words(?DateTimeImmutable $good, DateTimeImmutable $opened, DateTimeImmutable $now): ?string
    {
        $days = intdiv($now->getTimestamp() - ($good ?? $opened)->getTimestamp(), 86_400);
        if ($days < self::DAYS) {
            return null;
        }

        return ($good === null ? 'No backup of this shop was ever proved' : "The last backup that was proved is {$days} days old")
            .': what was done since is lost with the disk. Whoever looks after the server runs bin/odd-bench backup --shop.';
    }
}
