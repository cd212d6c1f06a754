<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use OddBench\Rig\Pluck;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Instruments through the API: the same names and keys as `compute`, a file as the body. */
final class InstrumentsTest extends BenchTestCase
{
    public function test_a_script_asks_with_the_keys_of_compute(): void
    {
        $this->actingAs($this->person());

        $belt = $this->send('POST', '/instruments/belt-tension', ['span_mm' => 150, 'frequency_hz' => 110, 'belt' => ['width_mm' => 6], 'reference_hz' => 110])->assertOk();
        self::assertEqualsWithDelta(9.1476, $belt->json('tension_n'), 1e-9);
        self::assertSame('ok', $belt->json('verdict'));
        self::assertStringContainsString('9.15 N', (string) $belt->json('because'));
    }

    public function test_a_recording_is_sent_as_it_is(): void
    {
        $this->actingAs($this->person());
        $wav = Pluck::wav((new Pluck(98.0, signalToNoise: 20))->samples(16_000, new Randomizer(new Mt19937(1))), 16_000);

        self::assertEqualsWithDelta(98.0, $this->file('pluck-frequency', $wav, 'audio/wav')->assertOk()->json('frequency_hz'), 0.5);
        $this->assertRefused($this->file('pluck-frequency', 'not a sound', 'audio/wav'), 422, 'wav_file', 'no WAV');
    }

    public function test_a_file_takes_the_rest_from_the_query(): void
    {
        $this->actingAs($this->person());
        $gcode = "G21\nG90\nM83\nM104 S210\nG28\nG1 X230 Y10 E5 F3000\n";

        $read = $this->file('gcode?bed_x_mm=220&bed_y_mm=220', $gcode, 'text/x.gcode')->assertOk();
        self::assertSame('outside', $read->json('problems.0.kind'));
        self::assertSame(6, $read->json('problems.0.line'));
        self::assertSame(1.0, (float) $this->file('thermal-log', "0,199,200\n1,199.5,200\n2,200,200\n", 'text/csv')->assertOk()->json('steady_mean_c') / 199.5);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        yield 'unknown instrument' => ['belt-tenson', ['x' => 1], 'name', 'belt-tension'];
        yield 'unknown key' => ['heater', ['volts' => 24, 'rated_w' => 40, 'ohms' => 1], 'ohms', 'no field'];
        yield 'a span of 150 m' => ['belt-tension', ['span_mm' => 150_000, 'frequency_hz' => 110, 'belt' => ['width_mm' => 6]], 'span_mm', 'from 30 to 1500 mm'];
        yield 'a file by its path' => ['gcode', ['file' => '/etc/passwd'], 'file', 'opened'];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_by_its_field(string $name, array $body, string $field, string $words): void
    {
        $this->actingAs($this->person());

        $this->assertRefused($this->send('POST', "/instruments/{$name}", $body), 422, $field, $words);
    }

    public function test_it_is_for_those_logged_in(): void
    {
        $this->send('POST', '/instruments/heater', ['volts' => 24, 'rated_w' => 40])->assertStatus(401);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function file(string $name, string $bytes, string $type): TestResponse
    {
        return $this->call('POST', "/api/v1/instruments/{$name}", [], [], [], ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json'], $bytes);
    }
}
