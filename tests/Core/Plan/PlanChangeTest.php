<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use DateTimeImmutable;
use DateTimeZone;
use OddBench\Plan\JobEnd;
use OddBench\Plan\PlanChange;
use PHPUnit\Framework\TestCase;

final class PlanChangeTest extends TestCase
{
    public function test_what_changes_is_said_what_matters_most_first(): void
    {
        $before = [
            'a' => $this->end('Sailing School', '2026-12-09 15:00', '2026-12-09'),
            'b' => $this->end('HR-230', '2026-12-09 14:00', null),
            'c' => $this->end('HR-231', '2026-12-09 14:00', '2026-12-10'),
            'd' => $this->end('HR-232', '2026-12-12 10:00', '2026-12-10'),
            'e' => $this->end('HR-233', null, null),
            'f' => $this->end('HR-234', '2026-12-08 10:00', null),
            'g' => $this->end('HR-235', '2026-12-15 10:00', '2026-12-10'),
            'h' => $this->end('HR-236', '2026-12-08 10:00', '2026-12-10'),
        ];
        $change = PlanChange::of($before, [
            'a' => $this->end('Sailing School', '2026-12-10 09:00', '2026-12-09'),
            'b' => $this->end('HR-230', '2026-12-09 14:29', null),
            'c' => $this->end('HR-231', '2026-12-09 14:30', '2026-12-10'),
            'd' => $this->end('HR-232', '2026-12-10 17:00', '2026-12-10'),
            'e' => $this->end('HR-233', '2026-12-09 09:00', null),
            'f' => $this->end('HR-234', null, null),
            'g' => $this->end('HR-235', '2026-12-12 10:00', '2026-12-10'),
            'h' => $this->end('HR-236', '2026-12-13 10:00', '2026-12-10'),
            'z' => $this->end('HR-999', '2026-12-13 10:00', '2026-12-10'),
        ]);

        self::assertSame(
            [
                'HR-236 3 days late.',
                'Sailing School a day late.',
                'HR-234 is in no plan any more.',
                'HR-231 ready Wed 14:30, not Wed 14:00.',
            ],
            $change->costs,
        );
        self::assertSame(
            ['HR-235 2 days late instead of 5.', 'HR-232 in time again.', 'HR-233 is planned: ready Wed 09:00.'],
            $change->gains,
        );
        self::assertFalse($change->nothing());
        self::assertTrue(PlanChange::of($before, $before)->nothing());
    }

    public function test_late_by_the_days_of_the_calendar(): void
    {
        self::assertSame(0, $this->end('x', '2026-12-09 23:59', '2026-12-09')->lateDays());
        self::assertSame(1, $this->end('x', '2026-12-10 00:10', '2026-12-09')->lateDays());
        self::assertSame(3, $this->end('x', '2026-12-12 08:00', '2026-12-09')->lateDays());
        self::assertSame(0, $this->end('x', null, '2026-12-09')->lateDays());
        self::assertSame(0, $this->end('x', '2026-12-12 08:00', null)->lateDays());
    }

    private function end(string $name, ?string $ready, ?string $due): JobEnd
    {
        $zone = new DateTimeZone('Europe/Berlin');

        return new JobEnd(
            $name,
            $ready === null ? null : new DateTimeImmutable($ready, $zone),
            $due === null ? null : new DateTimeImmutable("{$due} 23:59:59", $zone),
        );
    }
}
