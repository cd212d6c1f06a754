<?php

declare(strict_types=1);

namespace Tests\Core\Knowledge;

use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** What is written down long ago may speak of something the knowledge no longer has: its code is shown, nothing breaks. */
final class NamesTest extends TestCase
{
    public function test_a_family_a_fault_and_a_position_are_called_by_name_or_by_code_when_they_have_gone(): void
    {
        $knowledge = TradeKnowledge::read();

        self::assertSame('Tern 220', $knowledge->familyName('tern-220'));
        self::assertSame('tern-110', $knowledge->familyName('tern-110'));
        self::assertSame($knowledge->faults['belt-slack']->name, $knowledge->faultName('belt-slack'));
        self::assertSame('belt-gone', $knowledge->faultName('belt-gone'));
        self::assertSame('left-arm', $knowledge->positionName('tern-220', 'left-arm'));
        self::assertSame('Z screw (grease)', $knowledge->positionName('tern-220', 'z-screw'));
        self::assertSame('X belt', $knowledge->positionName('tern-220', 'x-belt'));
        self::assertSame('left-arm', $knowledge->positionName('tern-110', 'left-arm'));
    }
}
