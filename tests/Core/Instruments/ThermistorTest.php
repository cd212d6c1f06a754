<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use PHPUnit\Framework\Attributes\DataProvider;

final class ThermistorTest extends InstrumentTestCase
{
    private const BETA = ['type' => 'beta', 'r0_ohm' => 100_000, 't0_c' => 25, 'beta_k' => 3950];

    /** @return iterable<string, array{float, float}> IEC 60751:2022, table of Pt100 */
    public static function pt100(): iterable
    {
        yield '−200 °C' => [-200, 18.52];
        yield '−50 °C' => [-50, 80.31];
        yield '0 °C' => [0, 100.00];
        yield '100 °C' => [100, 138.51];
        yield '200 °C' => [200, 175.86];
        yield '400 °C' => [400, 247.09];
        yield '850 °C' => [850, 390.48];
    }

    #[DataProvider('pt100')]
    public function test_pt100_by_iec_60751(float $celsius, float $ohms): void
    {
        $model = ['type' => 'rtd', 'r0_ohm' => 100];

        self::assertEqualsWithDelta(
            $ohms,
            $this->compute('thermistor', ['model' => $model, 'temperature_c' => $celsius])['resistance_ohm'],
            0.005,
        );
        self::assertEqualsWithDelta(
            $celsius,
            $this->compute('thermistor', ['model' => $model, 'resistance_ohm' => $ohms])['temperature_c'],
            0.02,
        );
    }

    public function test_resistance_to_temperature_and_back_is_where_it_began(): void
    {
        // Steinhart–Hart figures of a 10 kΩ sensor, from memory of the usual worked example
        $models = [
            self::BETA,
            ['type' => 'steinhart-hart', 'a' => 1.129148e-3, 'b' => 2.34125e-4, 'c' => 8.76741e-8],
            ['type' => 'rtd', 'r0_ohm' => 1000],
        ];
        foreach ($models as $model) {
            foreach ([-40, -5, 0, 21.5, 60, 110, 215, 290] as $celsius) {
                $ohms = $this->compute('thermistor', ['model' => $model, 'temperature_c' => $celsius])['resistance_ohm'];
                self::assertEqualsWithDelta(
                    $celsius,
                    $this->compute('thermistor', ['model' => $model, 'resistance_ohm' => $ohms])['temperature_c'],
                    1e-6,
                    "{$model['type']} at {$celsius}",
                );
            }
        }
    }

    public function test_beta_by_hand_and_steinhart_hart_at_room_temperature(): void
    {
        self::assertEqualsWithDelta(
            100_000,
            $this->compute('thermistor', ['model' => self::BETA, 'temperature_c' => 25])['resistance_ohm'],
            1e-6,
        );
        // 100000 · exp(3950 · (1/473.15 − 1/298.15)) = 744.7 Ω
        self::assertEqualsWithDelta(
            100_000 * exp(3950 * (1 / 473.15 - 1 / 298.15)),
            $this->compute('thermistor', ['model' => self::BETA, 'temperature_c' => 200])['resistance_ohm'],
            1e-6,
        );
        self::assertEqualsWithDelta(
            25.0,
            $this->compute(
                'thermistor',
                [
                    'model' => ['type' => 'steinhart-hart', 'a' => 1.129148e-3, 'b' => 2.34125e-4, 'c' => 8.76741e-8],
                    'resistance_ohm' => 10_000,
                ],
            )['temperature_c'],
            0.05,
        );
    }

    /** @return iterable<string, array{float, string}> */
    public static function states(): iterable
    {
        yield 'at 22 °C' => [114_500, 'ok'];
        yield 'a broken lead' => [5e6, 'open'];
        yield 'touching' => [900, 'short'];
        yield 'half the value: another sensor' => [50_000, 'off-curve'];
    }

    #[DataProvider('states')]
    public function test_it_is_judged_against_the_room(float $ohms, string $state): void
    {
        $result = $this->compute('thermistor', ['model' => self::BETA, 'resistance_ohm' => $ohms, 'ambient_c' => 22]);

        self::assertSame($state, $result['state']);
        self::assertEqualsWithDelta(
            $this->compute('thermistor', ['model' => self::BETA, 'temperature_c' => 22])['resistance_ohm'],
            $result['expected_ohm'],
            1e-6,
        );
    }

    public function test_what_the_board_will_show(): void
    {
        $result = $this->compute(
            'thermistor',
            ['model' => self::BETA, 'resistance_ohm' => 100_000, 'adc' => ['bits' => 10, 'pullup_ohm' => 4700]],
        );
        // round(1023 · 100000 / 104700) = round(977.077) = 977; one step of it is about 2 °C there
        self::assertSame(977, $result['adc_code']);
        self::assertEqualsWithDelta(25.0, $result['board_shows_c'], 1.5);
        $fine = $this->compute(
            'thermistor',
            ['model' => self::BETA, 'resistance_ohm' => 100_000, 'adc' => ['bits' => 20, 'pullup_ohm' => 4700]],
        );
        self::assertEqualsWithDelta(25.0, $fine['board_shows_c'], 0.01);
        self::assertNull($this->compute(
            'thermistor',
            ['model' => self::BETA, 'resistance_ohm' => 0, 'ambient_c' => 22, 'adc' => ['bits' => 10, 'pullup_ohm' => 4700]],
        )['board_shows_c']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no model' => [['resistance_ohm' => 100], 'model'];
        yield 'an unknown model' => [['model' => ['type' => 'magic'], 'resistance_ohm' => 100], 'model.type'];
        yield 'no beta' => [['model' => ['type' => 'beta', 'r0_ohm' => 100_000], 'resistance_ohm' => 100], 'model.beta_k'];
        yield 'neither' => [['model' => self::BETA], 'resistance_ohm'];
        yield 'both' => [['model' => self::BETA, 'resistance_ohm' => 1, 'temperature_c' => 1], 'resistance_ohm'];
        yield 'colder than cold' => [['model' => self::BETA, 'temperature_c' => -300], 'temperature_c'];
        yield 'no such platinum' => [['model' => ['type' => 'rtd', 'r0_ohm' => 100], 'resistance_ohm' => 5000], 'resistance_ohm'];
        yield 'a divider without its resistor' => [
            ['model' => self::BETA, 'resistance_ohm' => 100, 'adc' => ['bits' => 10]],
            'adc.pullup_ohm',
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_by_its_field(array $input, string $field): void
    {
        $this->assertRefused('thermistor', $input, $field);
    }
}
