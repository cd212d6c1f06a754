<?php

declare(strict_types=1);

namespace Tests\Core\Release;

use OddBench\Input\InputError;
use OddBench\Release\RepairWarranty;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Days counted on the calendar. */
final class RepairWarrantyTest extends TestCase
{
    /** @return iterable<string, array{string, float|null, bool}> */
    public static function days(): iterable
    {
        yield 'the day it left' => ['2027-12-01', 1000.0, true];
        yield 'its last day' => ['2028-02-29', 1000.0, true];
        yield 'the day after' => ['2028-03-01', 1000.0, false];
        yield 'its last hour' => ['2027-12-31', 1500.0, true];
        yield 'an hour more' => ['2027-12-31', 1500.1, false];
        yield 'hours nobody knows' => ['2027-12-31', null, true];
    }

    #[DataProvider('days')]
    public function test_days_or_hours_whichever_end_first(string $day, ?float $hours, bool $covered): void
    {
        // 90 days from 1 December 2027 end on the leap day
        $warranty = RepairWarranty::from('2027-12-01', 90, 500, 1000.0);

        self::assertNotNull($warranty);
        self::assertSame(['2028-02-29', 1500.0], [$warranty->until, $warranty->untilHours]);
        self::assertSame($covered, $warranty->covers($day, $hours));
    }

    public function test_without_hours_only_the_days_count(): void
    {
        self::assertTrue(RepairWarranty::from('2026-01-01', 30, null, 100.0)?->covers('2026-01-31', 90_000.0));
        self::assertTrue(
            RepairWarranty::from('2026-01-01', 30, 500, null)?->covers('2026-01-31', 90_000.0),
            'the counter at sign-out was not known',
        );
        self::assertNull(RepairWarranty::from('2026-01-01', 0, null, null));
    }

    public function test_what_cannot_be_is_refused_at_its_field(): void
    {
        // the least and the most that are given
        self::assertSame('2030-12-31', RepairWarranty::from('2026-01-01', 1825, 1, 10.0)?->until);
        self::assertSame(20_010.0, RepairWarranty::from('2026-01-01', 1, 20_000, 10.0)?->untilHours);
        foreach ([
            [1826, null, 'warrantyDays'],
            [-1, null, 'warrantyDays'],
            [2000, null, 'warrantyDays'],
            [30, 0, 'warrantyHours'],
            [30, 20_001, 'warrantyHours'],
        ] as [$days, $hours, $field]) {
            try {
                RepairWarranty::from('2026-01-01', $days, $hours, 10.0);
                self::fail('not refused');
            } catch (InputError $e) {
                self::assertSame($field, $e->field);
            }
        }
    }
}
