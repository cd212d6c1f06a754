<?php

declare(strict_types=1);

namespace Tests\Core\Shop;

use DateTimeImmutable;
use OddBench\Shop\BackupAge;
use OddBench\Shop\BackupRotation;
use PHPUnit\Framework\TestCase;

final class BackupsTest extends TestCase
{
    public function test_of_two_years_of_nights_those_of_seven_days_five_weeks_and_twelve_months_stay(): void
    {
        $nights = [];
        for ($night = 0; $night < 730; $night++) {
            $nights[] = new DateTimeImmutable("2026-11-27 02:20:00 -{$night} days");
        }
        $go = array_map(static fn (DateTimeImmutable $at): string => $at->format('Y-m-d'), BackupRotation::mayGo($nights));
        $all = array_map(static fn (DateTimeImmutable $at): string => $at->format('Y-m-d'), $nights);
        $stay = array_values(array_diff($all, $go));

        self::assertSame([
            '2026-11-27', '2026-11-26', '2026-11-25', '2026-11-24', '2026-11-23', '2026-11-22', '2026-11-21',
            // Sundays end the weeks before; the one of the 22nd is among the days
            '2026-11-15', '2026-11-08', '2026-11-01',
            // the last of each month before: with November these are twelve
            '2026-10-31', '2026-09-30', '2026-08-31', '2026-07-31', '2026-06-30', '2026-05-31', '2026-04-30', '2026-03-31',
            '2026-02-28', '2026-01-31', '2025-12-31',
        ], $stay);
        self::assertSame('2024-11-28', $go[0], 'the oldest goes first');
    }

    public function test_a_shop_that_was_shut_keeps_what_it_has(): void
    {
        self::assertSame([], BackupRotation::mayGo([]));
        self::assertSame([], BackupRotation::mayGo([new DateTimeImmutable('2020-01-01 02:20'), new DateTimeImmutable('2026-11-27 02:20')]));
    }

    public function test_of_two_in_a_night_the_later_stays(): void
    {
        $early = new DateTimeImmutable('2026-11-27 02:20');
        self::assertSame([$early], BackupRotation::mayGo([$early, new DateTimeImmutable('2026-11-27 04:20')]));
    }

    public function test_two_days_without_a_proved_backup_are_said(): void
    {
        $now = new DateTimeImmutable('2026-11-27 12:00');
        $opened = new DateTimeImmutable('2026-01-01');
        self::assertNull(BackupAge::words(new DateTimeImmutable('2026-11-25 12:01'), $opened, $now));
        self::assertStringStartsWith(
            'The last backup that was proved is 2 days old',
            (string) BackupAge::words(new DateTimeImmutable('2026-11-25 12:00'), $opened, $now),
        );
        self::assertStringStartsWith('No backup of this shop was ever proved', (string) BackupAge::words(null, $opened, $now));
        self::assertNull(BackupAge::words(null, new DateTimeImmutable('2026-11-26'), $now), 'a shop of yesterday had no night yet');
    }
}
