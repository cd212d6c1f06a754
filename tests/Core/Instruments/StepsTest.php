<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Input\InputError;
use OddBench\Instruments\Steps;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Worked by hand: 200·16 ÷ (2·20) = 80; 200·16 ÷ 8 = 400; 100·100 ÷ 80 = 125. */
final class StepsTest extends TestCase
{
    public function test_a_belt_axis(): void
    {
        self::assertEqualsWithDelta(
            80.0,
            $this->steps(['type' => 'belt', 'motor_steps' => 200, 'microsteps' => 16, 'pitch_mm' => 2, 'teeth' => 20])['steps_per_mm'],
            1e-12,
        );
    }

    public function test_a_screw_axis(): void
    {
        self::assertEqualsWithDelta(
            400.0,
            $this->steps(['type' => 'screw', 'motor_steps' => 200, 'microsteps' => 16, 'lead_mm' => 8])['steps_per_mm'],
            1e-12,
        );
    }

    public function test_an_extruder_and_back_again(): void
    {
        $result = $this->steps(['type' => 'extruder', 'current_steps_per_mm' => 100, 'asked_mm' => 100, 'got_mm' => [80, 80.4, 79.6]]);

        self::assertEqualsWithDelta(125.0, $result['steps_per_mm'], 1e-9);
        self::assertEqualsWithDelta(1.0, $result['spread_pct'], 1e-9);
        self::assertSame('watch', $result['verdict']);
        self::assertStringContainsString('clog or a worn gear', $result['because']);
        // what it feeds with the new steps is what was asked: got · new ÷ old
        self::assertEqualsWithDelta(100.0, 80 * $result['steps_per_mm'] / 100, 1e-9);
    }

    public function test_runs_that_differ_give_no_recommendation(): void
    {
        $result = $this->steps(['type' => 'extruder', 'current_steps_per_mm' => 93, 'asked_mm' => 100, 'got_mm' => [98, 95, 99]]);

        self::assertNull($result['steps_per_mm']);
        self::assertSame('out', $result['verdict']);
        self::assertEqualsWithDelta(100 * 4 / (292 / 3), $result['spread_pct'], 1e-9);
    }

    public function test_a_machine_that_fed_a_tenth_gets_no_new_steps(): void
    {
        foreach ([[10.0, 'out'], [74.0, 'out'], [76.0, 'watch'], [124.0, 'watch'], [126.0, 'out'], [200.0, 'out']] as [$got, $verdict]) {
            $result = $this->steps(['type' => 'extruder', 'current_steps_per_mm' => 93, 'asked_mm' => 100, 'got_mm' => [$got]]);
            self::assertSame([$verdict, $verdict === 'out'], [$result['verdict'], $result['steps_per_mm'] === null], "{$got} of 100");
        }
    }

    public function test_a_feed_within_one_percent_is_well(): void
    {
        self::assertSame(
            'ok',
            $this->steps(['type' => 'extruder', 'current_steps_per_mm' => 93, 'asked_mm' => 100, 'got_mm' => [99.6]])['verdict'],
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        $belt = ['type' => 'belt', 'motor_steps' => 200, 'microsteps' => 16, 'pitch_mm' => 2, 'teeth' => 20];
        yield 'unknown type' => [['type' => 'chain'], 'type'];
        yield 'missing' => [array_diff_key($belt, ['teeth' => 1]), 'teeth'];
        yield 'unknown key' => [$belt + ['tooth' => 1], 'tooth'];
        yield 'a text' => [['teeth' => '20'] + $belt, 'teeth'];
        yield 'half a tooth' => [['teeth' => 20.5] + $belt, 'teeth'];
        yield 'a thousandfold' => [['pitch_mm' => 2000] + $belt, 'pitch_mm'];
        yield 'not a number' => [['pitch_mm' => NAN] + $belt, 'pitch_mm'];
        yield 'endless' => [['pitch_mm' => INF] + $belt, 'pitch_mm'];
        yield 'an empty list' => [['type' => 'extruder', 'current_steps_per_mm' => 93, 'asked_mm' => 100, 'got_mm' => []], 'got_mm'];
        yield 'metres for millimetres' => [
            ['type' => 'extruder', 'current_steps_per_mm' => 93, 'asked_mm' => 100, 'got_mm' => [0.098]],
            'got_mm.0',
        ];
        yield 'no list' => [['type' => 'extruder', 'current_steps_per_mm' => 93, 'asked_mm' => 100, 'got_mm' => 98], 'got_mm'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('bad')]
    public function test_bad_input_is_refused_by_its_field(array $input, string $field): void
    {
        try {
            $this->steps($input);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private function steps(array $input): array
    {
        return (new Steps)->compute($input);
    }
}
