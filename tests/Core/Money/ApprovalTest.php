<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use OddBench\Intake\Station;
use OddBench\Intake\Walk;
use OddBench\Money\Approval;
use OddBench\Money\OwnerSaid;
use PHPUnit\Framework\TestCase;

final class ApprovalTest extends TestCase
{
    public function test_who_was_never_asked_has_nothing_against_it(): void
    {
        self::assertNull(Approval::notAsked()->against(1_000_000));
        self::assertNull(Approval::notAsked()->asksAt(1_000_000));
        self::assertNull(Approval::notAsked()->left(5));
    }

    public function test_an_answer_is_waited_for_and_a_no_is_kept_to(): void
    {
        self::assertStringContainsString('has not answered', (string) Approval::waiting()->against(0));
        self::assertNull(Approval::waiting()->asksAt(1_000_000), 'what was taken before is not held against an open question');
        $no = Approval::answered(OwnerSaid::DoNotMend, 5000);
        self::assertStringContainsString('does not want it mended', (string) $no->against(0));
        self::assertNull($no->left(0));
    }

    public function test_it_is_asked_again_from_the_first_unit_over_what_was_allowed(): void
    {
        foreach ([OwnerSaid::GoAhead, OwnerSaid::AskAbove] as $said) {
            $allowed = Approval::answered($said, 8000);
            self::assertNull($allowed->against(8000));
            self::assertStringContainsString('80.00', (string) $allowed->against(8001, true));
            self::assertStringNotContainsString('80', (string) $allowed->against(8001));
            self::assertNull($allowed->asksAt(8000));
            self::assertStringContainsString('more than its owner allowed', (string) $allowed->asksAt(8001));
            self::assertSame(-1, $allowed->left(8001));
        }
    }

    public function test_a_job_does_not_walk_to_fix_without_it(): void
    {
        $walk = static fn (array $notAgreed): array => (new Walk(true, false, 1, false, true, [], [], $notAgreed))
            ->obstacles(Station::Diagnosis, Station::Repair);
        self::assertSame([], $walk([]));
        self::assertSame(['Its owner was asked.'], $walk(['Its owner was asked.']));
    }
}
