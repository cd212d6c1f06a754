<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use OddBench\Fleet\Life;
use OddBench\Fleet\LifeEnd;
use OddBench\Fleet\NotCounted;
use OddBench\Fleet\Seated;
use PHPUnit\Framework\TestCase;

final class SeatedTest extends TestCase
{
    public function test_a_part_lives_from_the_hours_it_was_fitted_at(): void
    {
        self::assertEquals(Life::failed(900.0), (new Seated('wheel', 1200, 2100, LifeEnd::Failed))->life());
        self::assertEquals(Life::running(900.0), (new Seated('wheel', 1200, 2100, LifeEnd::Worked))->life());
        self::assertEquals(Life::running(900.0), (new Seated('wheel', 1200, 2100, null))->life());
    }

    public function test_a_used_one_brings_its_hours_and_counts_from_them_on(): void
    {
        self::assertEquals(Life::failed(1300.0, 400.0), (new Seated('fan', 1200, 2100, LifeEnd::Failed, 400))->life());
        self::assertSame(1300.0, (new Seated('fan', 1200, 2100, LifeEnd::Failed, 400))->age());
    }

    public function test_what_came_with_a_new_machine_is_as_old_as_that(): void
    {
        self::assertEquals(Life::running(1800.0), Seated::original(1800, null, cameNew: true)->life());
        self::assertSame(NotCounted::CameUsed, Seated::original(1800, null, cameNew: false)->life());
        self::assertNull(Seated::original(1800, null, cameNew: false)->age());
    }

    public function test_what_does_not_count_says_why(): void
    {
        self::assertSame(NotCounted::FittedUsed, (new Seated('fan', 100, 900, null, null))->life());
        self::assertSame(NotCounted::HoursUnknown, (new Seated('fan', null, 900, null))->life());
        self::assertSame(NotCounted::HoursUnknown, (new Seated('fan', 100, null, null))->life());
        self::assertSame(NotCounted::Backwards, (new Seated('fan', 2100, 40, LifeEnd::Failed))->life());
        self::assertSame(NotCounted::NoHours, (new Seated('fan', 100, 100, null))->life());
        foreach (NotCounted::cases() as $why) {
            self::assertNotSame('', $why->words());
        }
        self::assertStringContainsString('began anew', (string) NotCounted::Backwards->wayOut());
    }
}
