<?php

declare(strict_types=1);

namespace Tests\Core\Shop;

use OddBench\Shop\DiskRoom;
use PHPUnit\Framework\TestCase;

final class DiskRoomTest extends TestCase
{
    public function test_under_a_tenth_or_under_two_gigabytes_is_low(): void
    {
        self::assertFalse((new DiskRoom(12e9, 100e9))->isLow());
        self::assertTrue((new DiskRoom(9e9, 100e9))->isLow(), 'under a tenth');
        self::assertTrue((new DiskRoom(1.9e9, 10e9))->isLow(), 'under 2 GB');
        self::assertFalse((new DiskRoom(2.1e9, 10e9))->isLow());
        self::assertSame(
            'The disk has 1.4 GB left, 3 % of it. Make room before it is full: nothing can be kept then.',
            (new DiskRoom(1.4e9, 48e9))->words(),
        );
    }
}
