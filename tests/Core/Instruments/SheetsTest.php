<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Computation\Catalogue;
use OddBench\Input\Contents;
use OddBench\Input\InputError;
use OddBench\Instruments\SheetResult;
use OddBench\Instruments\TypedInput;
use OddBench\Knowledge\InstrumentSheet;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\TradeKnowledge;

/** The sheets on screen ask what their instruments take, and what is pasted is read. */
final class SheetsTest extends InstrumentTestCase
{
    public function test_every_instrument_has_its_sheet(): void
    {
        $names = array_map(static fn ($i): string => $i->name(), Catalogue::instruments());

        $sheets = array_filter(TradeKnowledge::read()->instruments, static fn (InstrumentSheet $s): bool => $s->of === null);
        self::assertEqualsCanonicalizing($names, array_keys($sheets));
    }

    /** @return iterable<string, array{InstrumentSheet}> */
    public static function sheets(): iterable
    {
        foreach (TradeKnowledge::read()->instruments as $sheet) {
            yield $sheet->code => [$sheet];
        }
    }

    #[DataProvider('sheets')]
    public function test_the_starting_values_give_a_result_and_every_shown_key_is_one_of_it(InstrumentSheet $sheet): void
    {
        $typed = [];
        foreach ($sheet->inputs as $input) {
            if ($input->start !== '' && $input->kind !== 'file') {
                $typed[$input->key] = $input->start;
            }
        }
        $input = TypedInput::of($sheet, $typed, self::file($sheet->code));
        $result = $this->compute($sheet->instrument(), $input);
        $shown = SheetResult::of($sheet, $input, $result);

        self::assertNotSame([], $shown->lines);
        self::assertNotSame('', $shown->worked);
        self::assertStringNotContainsString('{', $shown->worked);
        foreach ($sheet->shows as $show) {
            $asked = self::everythingAsked($sheet, $input);
            self::assertArrayHasKey($show['key'], $asked + $result, "{$show['key']} is a result of {$sheet->code}");
        }
    }

    /**
     * With the optional inputs as well, so that every result there can be is there.
     *
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private static function everythingAsked(InstrumentSheet $sheet, array $input): array
    {
        $more = ['belt-tension' => ['moving_mass_kg' => 0.4, 'acceleration_mm_s2' => 3000, 'reference_hz' => 110]][$sheet->code] ?? [];

        return Catalogue::of(TradeKnowledge::read())->named($sheet->instrument())->compute($more + $input);
    }

    private static function file(string $code): ?Contents
    {
        $log = '';
        for ($t = 0; $t <= 120; $t++) {
            $log .= sprintf("%d,%.2f,200,%d\n", $t, $t < 30 ? 200 : 180, $t < 45 ? 127 : 0);
        }

        return match ($code) {
            'pluck-frequency' => Contents::text(\OddBench\Rig\Pluck::wav(
                (new \OddBench\Rig\Pluck(110))->samples(16_000, new \Random\Randomizer(new \Random\Engine\Mt19937(1))),
                16_000,
            )),
            'gcode' => Contents::text("G28\nG1 X10 F600\n"),
            'tune-from-a-log' => Contents::text(implode(
                "\n",
                array_map(static fn (int $t): string => sprintf('%d,%.3f,200', $t, 200 + 4 * sin(2 * M_PI * $t / 30)), range(0, 240)),
            )),
            'thermal-log', 'runaway-test' => Contents::text($log),
            default => null,
        };
    }

    /** @return iterable<string, array{string}> the same three points as different programs give them */
    public static function pasted(): iterable
    {
        yield 'blanks' => ["10 20 0.5\n30 40 -0.25\n50 10 0"];
        yield 'tabs' => ["10\t20\t0.5\n30\t40\t-0.25\n50\t10\t0"];
        yield 'tabs and decimal commas' => ["10\t20\t0,5\r\n30\t40\t-0,25\r\n50\t10\t0\r\n"];
        yield 'semicolons and decimal commas' => ["10;20;0,5\n30;40;-0,25\n50;10;0"];
        yield 'commas' => ["10,20,0.5\n30,40,-0.25\n50,10,0"];
        yield 'commas and blanks' => ["10, 20, 0.5\n30, 40, -0.25\n50, 10, 0"];
        yield 'blanks and decimal commas' => ["10 20 0,5\n30 40 -0,25\n50 10 0"];
        yield 'a heading, a true minus and an empty line' => ["x\ty\theight\n10\t20\t0.5\n\n30\t40\t−0.25\n50\t10\t0"];
    }

    #[DataProvider('pasted')]
    public function test_a_mesh_is_read_however_it_was_pasted(string $text): void
    {
        $input = TypedInput::of(
            TradeKnowledge::read()->instruments['bed-plane'],
            ['points' => $text, 'screws' => "front left\t0\t0", 'pitch_mm' => '0,7', 'school' => 'mean-plane'],
            null,
        );

        self::assertSame([
            ['x_mm' => 10.0, 'y_mm' => 20.0, 'z_mm' => 0.5],
            ['x_mm' => 30.0, 'y_mm' => 40.0, 'z_mm' => -0.25],
            ['x_mm' => 50.0, 'y_mm' => 10.0, 'z_mm' => 0.0],
        ], $input['points']);
        self::assertSame(['name' => 'front left', 'x_mm' => 0.0, 'y_mm' => 0.0], $input['screws'][0]);
        self::assertSame(0.7, $input['pitch_mm']);
    }

    /** @return iterable<string, array{string, array<string, string>, string, string}> */
    public static function refused(): iterable
    {
        yield 'missing' => ['heater', ['volts' => '24'], 'rated_w', 'missing'];
        yield 'words' => ['heater', ['volts' => 'mains', 'rated_w' => '40'], 'volts', 'no number'];
        yield 'a row too short' => [
            'bed-plane',
            ['points' => "1 2 3\n4 5", 'screws' => 'a 0 0', 'pitch_mm' => '1', 'school' => 'mean-plane'],
            'points',
            'row 2: 2 values',
        ];
        yield 'a screw without its place' => [
            'bed-plane',
            ['points' => "1 2 3\n4 5 6\n7 9 8", 'screws' => 'left 3', 'pitch_mm' => '1', 'school' => 'mean-plane'],
            'screws',
            'row 1',
        ];
        yield 'no file' => ['pluck-frequency', [], 'wav_file', 'choose or drop'];
        yield 'a field nobody asked for' => ['heater', ['volts' => '24', 'rated_w' => '40', 'colour' => 'red'], 'colour', 'no field'];
    }

    /** @param  array<string, string>  $typed */
    #[DataProvider('refused')]
    public function test_what_cannot_be_read_is_refused_by_its_field(string $code, array $typed, string $field, string $words): void
    {
        try {
            TypedInput::of(TradeKnowledge::read()->instruments[$code], $typed, null);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($words, $e->getMessage());
        }
    }
}
