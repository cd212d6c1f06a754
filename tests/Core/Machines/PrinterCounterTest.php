<?php

declare(strict_types=1);

namespace Tests\Core\Machines;

use OddBench\Machines\PrinterCounter;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PrinterCounterTest extends TestCase
{
    #[TestWith(["Stats: Prints: 40, Finished: 37, Failed: 3\nStats: Total time: 51d 7h 12m 30s, Longest job: 20h 3m 0s\nok\n", 1231.2])]
    #[TestWith(["T:22.0 /0.0\necho:Print time: 3h 30m\nok\n", 3.5])]
    #[TestWith(["Total time: 1y 2d 0h 0m 0s\n", 8808.0])]
    #[TestWith(["total_time:45m\nok", 0.8])]
    #[TestWith(["Total time: 0s, Longest job: 9h\n", 0.0])]
    public function test_its_hours_are_read(string $said, float $hours): void
    {
        self::assertSame($hours, PrinterCounter::read($said));
    }

    #[TestWith([''])]
    #[TestWith(["ok\n"])]
    #[TestWith(["echo:Unknown command: \"M78\"\nok\n"])]
    #[TestWith(["HTTP/1.1 400 Bad Request\r\nDate: now\r\n"])]
    #[TestWith(["Longest job: 20h 3m 0s\n"])]
    #[TestWith(["Total time: soon\n"])]
    #[TestWith(["Total time: 99y 99y\n"])]
    public function test_what_is_no_counter_is_none(string $said): void
    {
        self::assertNull(PrinterCounter::read($said));
    }
}
