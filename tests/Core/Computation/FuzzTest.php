<?php

declare(strict_types=1);

namespace Tests\Core\Computation;

use ErrorException;
use OddBench\Computation\Answer;
use OddBench\Computation\Catalogue;
use OddBench\Computation\Examples;
use OddBench\Computation\Hostile;
use OddBench\Input\Contents;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;
use Tests\Sample;

/** The short form of `bin/odd-bench fuzz`, which gives each computation 300 of them with a limit of time and memory. */
final class FuzzTest extends TestCase
{
    private const EACH = 60;

    public function test_there_is_an_example_of_every_computation_and_each_is_well(): void
    {
        $catalogue = Catalogue::of(TradeKnowledge::read());
        self::assertSame($catalogue->names(), array_keys(Examples::all()));
        foreach (Examples::all() as $name => $example) {
            $wav = is_string($example['wav_file'] ?? null) ? $example['wav_file'] : '';
            $answer = Answer::to(
                $catalogue,
                $name,
                (string) json_encode(isset($example['wav_file']) ? ['wav_file' => 'a file'] : $example),
                static fn (array $input): array => $wav === '' ? $input : ['wav_file' => Contents::text($wav)],
            );
            self::assertSame(0, $answer->code, "{$name}: {$answer->json}");
        }
    }

    /** @return iterable<string, array{string}> */
    public static function names(): iterable
    {
        foreach (array_keys(Examples::all()) as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('names')]
    public function test_every_hostile_input_has_an_answer(string $name): void
    {
        $catalogue = Catalogue::of(TradeKnowledge::read());
        set_error_handler(static fn (
            int $level,
            string $message,
            string $file,
            int $line,
        ): never => throw new ErrorException($message, 0, $level, $file, $line));
        try {
            foreach (Sample::of(range(1, self::EACH)) as $seed) {
                $hostile = Hostile::from(Examples::all()[$name], $seed);
                $began = microtime(true);
                $answer = Answer::to($catalogue, $name, $hostile->json, $hostile->opened(...));
                $in = "{$name}, seed {$seed}: ".substr($hostile->json, 0, 300);
                self::assertNull($answer->fault, "{$in}\n{$answer->fault?->getMessage()}");
                self::assertLessThan(5.0, microtime(true) - $began, $in);
                $said = json_decode($answer->json, true, 64, JSON_THROW_ON_ERROR);
                self::assertIsArray($said);
                if ($answer->code === 2) {
                    self::assertSame(['error'], array_keys($said), $in);
                    self::assertNotSame('', $said['error']['field'] ?? '', $in);
                    self::assertDoesNotMatchRegularExpression('~\.php|'.preg_quote(dirname(__DIR__, 3), '~').'~', $answer->json, $in);
                }
            }
        } finally {
            restore_error_handler();
        }
    }

    public function test_the_same_seed_is_the_same_input(): void
    {
        $example = Examples::all()['reorder'];
        self::assertSame(Hostile::from($example, 5)->json, Hostile::from($example, 5)->json);
        self::assertNotSame(Hostile::from($example, 5)->json, Hostile::from($example, 6)->json);
    }

    /** @return iterable<string, array{string, string, string}> computation, JSON, field refused: all of these once hung or broke it */
    public static function formerly(): iterable
    {
        yield 'ten thousand a week' => [
            'reorder',
            '{"demand_per_week":10000,"lead_time_weeks":104,"service_level":0.95,"pack_size":1,"on_hand":1}',
            'demand_per_week',
        ];
        yield 'a demand of next to nothing' => [
            'reorder',
            '{"demand_per_week":1e-320,"lead_time_weeks":2,"service_level":0.95,"pack_size":1,"on_hand":1}',
            'demand_per_week',
        ];
        yield 'a lead time of next to nothing' => [
            'reorder',
            '{"demand_per_week":1,"lead_time_weeks":1e-200,"lead_time_sd_weeks":1,"service_level":0.95,"pack_size":1,"on_hand":1}',
            'lead_time_weeks',
        ];
        yield 'a heater of next to no ohms' => ['heater', '{"volts":24,"rated_w":40,"measured_ohm":1e-320}', 'measured_ohm'];
        yield 'a curve that gives no resistance' => [
            'thermistor',
            '{"model":{"type":"steinhart-hart","a":0,"b":1e-6,"c":0},"temperature_c":-199}',
            'temperature_c',
        ];
        yield 'a curve that gives no temperature' => [
            'thermistor',
            '{"model":{"type":"steinhart-hart","a":0,"b":1e-6,"c":0},"resistance_ohm":1.0000001}',
            'resistance_ohm',
        ];
        yield 'a hundred thousand screws' => [
            'bed-plane',
            '{"points":[{"x_mm":0,"y_mm":0,"z_mm":0},{"x_mm":9,"y_mm":0,"z_mm":0},{"x_mm":0,"y_mm":9,"z_mm":0}],"pitch_mm":0.7,"screws":['
                .implode(',', array_map(static fn (int $i): string => "{\"name\":\"s{$i}\",\"x_mm\":0,\"y_mm\":0}", range(1, 100_000)))
                .']}',
            'screws',
        ];
        yield 'a name twice behind a long text' => [
            'complaint',
            '{"text":"'.str_repeat('x', 100_000).'","traits":{"hotend":"lined","hotend":"all-metal"}}',
            'traits.hotend',
        ];
        yield 'lists in lists' => ['complaint', str_repeat('[', 1_000_000), 'input'];
        yield 'a million little lists' => ['diagnose', '{"findings":['.str_repeat('[1],', 400_000).'[1]]}', 'input'];
        yield 'more than may be read' => ['complaint', '{"text":"'.str_repeat('x', 17 * 1024 * 1024).'"}', 'input'];
    }

    #[DataProvider('formerly')]
    public function test_what_once_hung_or_broke_it_is_refused_by_name(string $name, string $json, string $field): void
    {
        $answer = Answer::to(Catalogue::of(TradeKnowledge::read()), $name, $json, static fn (array $input): array => $input);

        self::assertSame(
            [2, $field],
            [$answer->code, json_decode($answer->json, true)['error']['field'] ?? null],
            substr($answer->json, 0, 400),
        );
        self::assertNull($answer->fault);
    }

    public function test_a_loss_of_next_to_nothing_and_a_move_beyond_everything_have_answers(): void
    {
        foreach ([
            'contact-resistance' => '{"resistance_ohm":2.6,"volts":24,"baseline_s":240,"today_s":300,"loss_w_per_k":1e-18,"rise_c":60}',
            'gcode' => '{"gcode":"G28\nG1 X1e200 F600\nG2 X1 Y1 I100000000 J0"}',
        ] as $name => $json) {
            self::assertSame(
                0,
                Answer::to(Catalogue::of(TradeKnowledge::read()), $name, $json, static fn (array $input): array => $input)->code,
                $name,
            );
        }
    }

    public function test_an_empty_object_stays_one(): void
    {
        $answer = Answer::to(
            Catalogue::of(TradeKnowledge::read()),
            'gcode',
            '{"gcode":"M104 S0\nM84"}',
            static fn (array $input): array => $input,
        );

        self::assertStringContainsString('"extents":{}', $answer->json);
        self::assertStringContainsString('"problem_counts":{}', $answer->json);
    }
}
