<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Instruments\HeatLog;
use OddBench\Instruments\HeatSample;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HeatLogTest extends TestCase
{
    /** @return iterable<string, array{string}> the same log as different programs write it */
    public static function written(): iterable
    {
        yield 'plain' => ["0,20.5,200,127\n1,22,200,127\n2.5,25,200,0"];
        yield 'with a heading' => ["time_s,actual_c,target_c,power\n0,20.5,200,127\n1,22,200,127\n2.5,25,200,0\n"];
        yield 'semicolons and decimal commas' => ["0;20,5;200;127\n1;22;200;127\n2,5;25;200;0"];
        yield 'tabs, other line ends, empty lines' => ["0\t20.5\t200\t127\r\n\r\n1\t22\t200\t127\r\n2,5\t25\t200\t0\r\n"];
        yield 'blanks about the values' => [" 0 , 20.5 , 200 , 127\n1, 22, 200, 127\n2.5, 25, 200, 0"];
    }

    #[DataProvider('written')]
    public function test_a_table_is_read_however_it_was_written(string $csv): void
    {
        $samples = HeatLog::read(Fields::of(['csv' => $csv]));

        self::assertSame([[0.0, 20.5, 200.0, 127.0], [1.0, 22.0, 200.0, 127.0], [2.5, 25.0, 200.0, 0.0]], self::figures($samples));
    }

    public function test_power_may_be_left_out(): void
    {
        self::assertSame(
            [null, null, null],
            array_column(self::figures(HeatLog::read(Fields::of(['csv' => "0,20,60\n1,21,60\n2,22,60"]))), 3),
        );
    }

    public function test_firmware_lines_give_the_channel_asked_for(): void
    {
        $lines = [
            'ok',
            ' T:210.1 /210.0 B:59.5 /60.0 @:64 B@:127',
            'echo:busy',
            'T:210.3 /210.0 B:59.9 /60.0 @:61 B@:120',
            'T:209.9 /210.0 B:60.2 /60.0 @:66 B@:0',
        ];
        $of = static fn (string $channel): array => self::figures(HeatLog::read(Fields::of([
            'lines' => $lines,
            'interval_s' => 2,
            'channel' => $channel,
        ])));

        self::assertSame([[0.0, 210.1, 210.0, 64.0], [2.0, 210.3, 210.0, 61.0], [4.0, 209.9, 210.0, 66.0]], $of('T'));
        self::assertSame([[0.0, 59.5, 60.0, 127.0], [2.0, 59.9, 60.0, 120.0], [4.0, 60.2, 60.0, 0.0]], $of('B'));
    }

    public function test_the_firmwares_word_that_it_stopped_marks_the_sample_before_it(): void
    {
        $samples = HeatLog::read(Fields::of([
            'interval_s' => 1,
            'lines' => ['T:200 /200 @:64', 'T:190 /200 @:127', 'T:180 /200 @:127', 'Error:Thermal Runaway, system stopped!'],
        ]));

        self::assertSame([false, false, true], array_map(static fn (HeatSample $s): bool => $s->stopped, $samples));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'nothing' => [[], 'csv', 'exactly one'];
        yield 'two at once' => [['csv' => '0,1,2', 'lines' => ['T:1 /2']], 'csv', 'exactly one'];
        yield 'too few' => [['csv' => "0,20,60\n1,21,60"], 'csv', 'three samples'];
        yield 'two values on a line' => [['csv' => "0,20,60\n1,21\n2,22,60"], 'csv', 'Line 2'];
        yield 'a word' => [['csv' => "0,20,60\n1,warm,60\n2,22,60"], 'csv', '“warm” is no number'];
        yield 'infinite' => [['csv' => "0,20,60\n1,1e999,60\n2,22,60"], 'csv', 'no number'];
        yield 'time going back' => [['csv' => "0,20,60\n5,21,60\n4,22,60"], 'csv', 'Line 3: the time'];
        yield 'a broken sensor' => [['csv' => "0,20,60\n1,-273,60\n2,22,60"], 'csv', 'Line 2: -273'];
        yield 'another channel' => [
            ['lines' => ['T:20 /60', 'T:21 /60', 'T:22 /60'], 'interval_s' => 1, 'channel' => 'C'],
            'lines',
            'No line tells of C',
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_read_is_refused_with_its_line(array $input, string $field, string $words): void
    {
        try {
            HeatLog::read(Fields::of($input));
            self::fail('It was read.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($words, $e->getMessage());
        }
    }

    /**
     * @param  list<HeatSample>  $samples
     * @return list<array{float, float, float, float|null}>
     */
    private static function figures(array $samples): array
    {
        return array_map(static fn (HeatSample $s): array => [$s->at, $s->actual, $s->target, $s->power], $samples);
    }
}
