<?php

declare(strict_types=1);

namespace Tests\Core\Machines;

use OddBench\Machines\PrinterCounter;
use PHPUnit\Framework\Attributes\DataProvider;
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

    /** @return iterable<string, array{string, bool}> */
    public static function unasked(): iterable
    {
        yield 'nothing at all' => ['', false];
        yield 'a greeting' => ["start\necho: Last Updated: 2026-01-02\n", false];
        yield 'cold' => ["T:22.1 /0.0 B:21.9 /0.0 @:0 B@:0\n", false];
        yield 'cooling down' => ["T:180.4 /0.0 B:55.0 /0.0 @:0 B@:0\n", false];
        yield 'keeps a host waiting' => ["echo:busy: processing\n", true];
        yield 'prints from its card' => ["SD printing byte 1200/88000\n", true];
        yield 'heats the nozzle' => ["T:180.4 /215.0 B:60.0 /0.0 @:127 B@:0\n", true];
        yield 'heats the bed alone' => ["T:21.0 /0.0 B:40.0 /60.0 @:0 B@:127\n", true];
    }

    #[DataProvider('unasked')]
    public function test_one_that_is_at_work_is_left_alone(string $said, bool $atWork): void
    {
        self::assertSame($atWork, PrinterCounter::atWork($said));
    }
}
