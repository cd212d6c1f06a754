<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Input\InputError;
use OddBench\Proof\ProvedByLog;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Logs made of straight lines, so that every answer is known beforehand. */
final class ProvedByLogTest extends TestCase
{
    public function test_what_it_strayed_over_the_last_three_minutes(): void
    {
        // 0 to 200 °C in 100 s, then 200 s between 198.8 and 201.2
        self::assertEqualsWithDelta(
            1.2,
            ProvedByLog::value(
                'hold',
                'hotend',
                self::csv(static fn (int $t): array => [$t < 100 ? 2.0 * $t : 200 + 1.2 * (-1) ** $t, 200, 64], 310),
            ),
            1e-9,
        );
        // what it did while it still settled does not count
        self::assertEqualsWithDelta(
            1.2,
            ProvedByLog::value(
                'hold',
                'hotend',
                self::csv(static fn (int $t): array => [$t < 100 ? 2.0 * $t : ($t < 110 ? 208 : 200 + 1.2 * (-1) ** $t), 200, 64], 400),
            ),
            1e-9,
        );
    }

    public function test_firmware_lines_of_the_bed_with_their_interval(): void
    {
        $lines = implode(
            "\r\n",
            array_map(
                static fn (int $i): string => sprintf('T:25.0 /0.0 B:%.2f /60.00 @:0 B@:40', $i < 20 ? 20 + 2 * $i : 60.5 - $i % 2 / 10),
                range(0, 150),
            ),
        );

        self::assertEqualsWithDelta(0.5, ProvedByLog::value('hold', 'bed', $lines, 2.0), 1e-9);
        $this->expectExceptionMessage('three minutes are held');
        ProvedByLog::value('hold', 'bed', $lines, 1.0);
    }

    public function test_seconds_until_heating_stopped(): void
    {
        // cooled from 100 s on by 1 °C a second: below 196 from 105 s on, power gone from 135 s on
        $log = self::csv(static fn (int $t): array => [$t < 100 ? 200.0 : max(60, 200 - ($t - 100)), 200, $t < 135 ? 127 : 0], 200);

        self::assertEqualsWithDelta(30.0, ProvedByLog::value('runaway', 'hotend', $log), 1e-9);
        // a target that went to nothing may have been a hand
        $this->expectExceptionMessage('The target was changed');
        ProvedByLog::value(
            'runaway',
            'hotend',
            self::csv(
                static fn (int $t): array => [$t < 100 ? 200.0 : max(60, 200 - ($t - 100)), $t < 135 ? 200 : 0, $t < 135 ? 127 : 0],
                200,
            ),
        );
    }

    public function test_a_heater_that_goes_on_is_beyond_any_limit(): void
    {
        self::assertGreaterThan(
            1000,
            ProvedByLog::value('runaway', 'hotend', self::csv(static fn (int $t): array => [$t < 100 ? 200.0 : 170, 200, 127], 300)),
        );
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function wrong(): iterable
    {
        yield 'not cooled' => ['runaway', self::csv(static fn (int $t): array => [200.0, 200, 40], 300), 'Take the sock off'];
        yield 'never warm' => ['hold', self::csv(static fn (int $t): array => [20.0, 200, 40], 300), 'never stands'];
        yield 'never asked' => ['hold', self::csv(static fn (int $t): array => [20.0, 0, 0], 300), 'never asks'];
        yield 'a sensor that hangs' => [
            'hold',
            self::csv(static fn (int $t): array => [$t < 100 ? 2.0 * $t : 200.0, 200, 64], 400),
            'does not move by a digit',
        ];
        yield 'fifteen degrees over' => [
            'hold',
            self::csv(static fn (int $t): array => [$t < 100 ? 2.0 * $t : ($t < 110 ? 215 : 200 + 0.3 * (-1) ** $t), 200, 64], 400),
            'beyond',
        ];
        yield 'no log' => ['hold', "it went well\nfor a while", 'Line 2'];
    }

    #[DataProvider('wrong')]
    public function test_a_log_that_does_not_show_it_is_refused_at_its_field(string $judge, string $log, string $says): void
    {
        try {
            ProvedByLog::value($judge, 'hotend', $log);
            self::fail('not refused');
        } catch (InputError $e) {
            self::assertSame('log', $e->field);
            self::assertStringContainsString($says, $e->getMessage());
        }
    }

    /** @param  callable(int): array{float|int, float|int, float|int}  $at */
    private static function csv(callable $at, int $seconds): string
    {
        return "time_s,actual_c,target_c,power\n".implode(
            "\n",
            array_map(static fn (int $t): string => implode(',', [$t, ...$at($t)]), range(0, $seconds)),
        );
    }
}
