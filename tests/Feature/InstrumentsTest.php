<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
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

        $belt = $this->send(
            'POST',
            '/instruments/belt-tension',
            ['span_mm' => 150, 'frequency_hz' => 110, 'belt' => ['width_mm' => 6], 'reference_hz' => 110],
        )->assertOk();
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
        self::assertSame(
            1.0,
            (float) $this->file(
                'thermal-log',
                "0,199,200\n1,199.5,200\n2,200,200\n",
                'text/csv',
            )->assertOk()->json('steady_mean_c') / 199.5,
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        yield 'unknown instrument' => ['belt-tenson', ['x' => 1], 'name', 'belt-tension'];
        yield 'unknown key' => ['heater', ['volts' => 24, 'rated_w' => 40, 'ohms' => 1], 'ohms', 'no field'];
        yield 'a span of 150 m' => [
            'belt-tension',
            ['span_mm' => 150_000, 'frequency_hz' => 110, 'belt' => ['width_mm' => 6]],
            'span_mm',
            'from 30 to 1500 mm',
        ];
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

    public function test_a_reading_kept_in_a_job_becomes_its_findings_and_moves_the_ranking(): void
    {
        $by = $this->person();
        $this->actingAs($by);
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['layers-shifted' => true]])->assertOk();
        $before = array_column(
            (array) $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->json('suspects'),
            'probability',
            'fault',
        )['belt-slack'];

        $this->send(
            'POST',
            "/jobs/{$job->id}/instruments/belt-tension?position=y-belt",
            ['typed' => ['span_mm' => '150', 'frequency_hz' => '80', 'belt.width_mm' => '6', 'reference_hz' => '110']],
        )
            ->assertOk()->assertJsonPath('verdict', 'out');

        $reading = DB::table('readings')->sole();
        self::assertSame(
            ['belt-tension', 'y-belt', $job->machine_id, $by->id],
            [$reading->instrument, $reading->position, $reading->machine_id, $reading->person_id],
        );
        self::assertEqualsWithDelta(4.838, $reading->value, 1e-3);
        self::assertEqualsWithDelta(1200.0, (float) $reading->hours, 1e-9);
        $findings = array_column((array) $this->getJson("/api/v1/jobs/{$job->id}")->json('findings'), null, 'code');
        self::assertTrue($findings['belt-loose']['present']);
        self::assertFalse($findings['belt-overtight']['present']);
        self::assertSame('Belt tension', $findings['belt-loose']['source']);
        self::assertSame('4.84 N', $findings['belt-loose']['value']);
        $after = array_column(
            (array) $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->json('suspects'),
            'probability',
            'fault',
        )['belt-slack'];
        self::assertGreaterThan($before + 0.3, $after);
        self::assertStringContainsString(
            'Belt tension, Y belt',
            implode(' ', array_column((array) $this->getJson("/api/v1/machines/{$job->machine->tag}")->json('timeline'), 'text')),
        );
    }

    public function test_measured_again_the_older_answer_is_withdrawn_not_overwritten(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        foreach (['80' => true, '109' => false] as $hz => $loose) {
            $this->send(
                'POST',
                "/jobs/{$job->id}/instruments/belt-tension?position=x-belt",
                ['typed' => ['span_mm' => '150', 'frequency_hz' => (string) $hz, 'belt.width_mm' => '6', 'reference_hz' => '110']],
            )->assertOk();
            self::assertSame(
                $loose,
                (bool) DB::table('job_findings')->where([
                    'job_id' => $job->id,
                    'code' => 'belt-loose',
                ])->whereNull('withdrawn_at')->value('present'),
            );
        }
        self::assertSame(
            1,
            DB::table('job_findings')->where(['job_id' => $job->id, 'code' => 'belt-loose'])->whereNotNull('withdrawn_at')->count(),
        );
        self::assertSame(2, DB::table('readings')->count());
    }

    public function test_it_is_held_against_this_machine_before_and_its_sisters(): void
    {
        $this->actingAs($this->person());
        $measure = function (Job $job, string $hz): void {
            $this->send(
                'POST',
                "/jobs/{$job->id}/instruments/belt-tension?position=x-belt",
                ['typed' => ['span_mm' => '150', 'frequency_hz' => $hz, 'belt.width_mm' => '6']],
            )->assertOk();
        };
        foreach (['100', '110', '120'] as $hz) {
            $measure($this->job($this->machine()), $hz);
        }
        $measure($this->job($this->machine('wren-mini')), '200');
        $job = $this->job($this->machine());
        $measure($job, '90');

        $compared = $this->getJson("/api/v1/jobs/{$job->id}/instruments/belt-tension?position=x-belt")->assertOk();
        // 4 · 0.0084 · 0.15² · f²: the middle one of 100, 110 and 120 Hz
        self::assertEqualsWithDelta(
            [9.1476, 7.56, 10.8864],
            [$compared->json('median'), $compared->json('least'), $compared->json('most')],
            1e-9,
        );
        self::assertSame(3, $compared->json('sisters'));
        self::assertCount(1, (array) $compared->json('earlier'));
        self::assertSame(0, $this->getJson("/api/v1/jobs/{$job->id}/instruments/belt-tension?position=y-belt")->json('sisters'));
    }

    public function test_a_dangerous_reading_puts_the_red_tag_on_and_a_tag_forbids_what_needs_power(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $csv = '';
        for ($t = 0; $t <= 150; $t++) {
            $csv .= sprintf("%d,%d,200,127\n", $t, $t < 30 ? 200 : 180);
        }
        $query = http_build_query(['typed' => ['cooling_began_s' => 30, 'period_s' => 40, 'hysteresis_c' => 4]]);
        $keep = fn (): TestResponse => $this->call(
            'POST',
            "/api/v1/jobs/{$job->id}/instruments/runaway-test?{$query}",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'text/csv', 'HTTP_ACCEPT' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => (string) Str::uuid()],
            $csv,
        );

        $keep()->assertOk()->assertJsonPath('verdict', 'danger');
        self::assertNotNull($this->getJson("/api/v1/jobs/{$job->id}")->json('redTag'));
        $this->assertRefused($keep(), 409, 'check', 'red tag');
    }

    public function test_what_a_well_machine_read_is_its_baseline_after_it_was_sent_out(): void
    {
        $this->actingAs($this->person());
        $machine = $this->machine();
        $job = $this->job($machine);
        $this->atProve($job);
        $read = function (Job $job, string $instrument, array $typed, string $position): void {
            $this->send('POST', "/jobs/{$job->id}/instruments/{$instrument}?position={$position}", ['typed' => $typed])->assertOk();
        };
        $read(
            $job,
            'belt-tension',
            ['span_mm' => '150', 'frequency_hz' => '90', 'belt.width_mm' => '6', 'reference_hz' => '110'],
            'x-belt',
        );
        $read(
            $job,
            'belt-tension',
            ['span_mm' => '150', 'frequency_hz' => '108', 'belt.width_mm' => '6', 'reference_hz' => '110'],
            'x-belt',
        );
        $read(
            $job,
            'belt-tension',
            ['span_mm' => '150', 'frequency_hz' => '60', 'belt.width_mm' => '6', 'reference_hz' => '110'],
            'y-belt',
        );
        $read(
            $job,
            'contact-resistance',
            ['resistance_ohm' => '2.6', 'volts' => '24', 'baseline_s' => '240', 'today_s' => '241'],
            'bed-plug',
        );
        $this->send('POST', "/jobs/{$job->id}/readings", ['check' => 'supply-at-load', 'value' => 1.2])->assertOk();
        $this->proveAll($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'release', 'version' => $job->refresh()->version])->assertOk();
        self::assertSame(0, DB::table('baselines')->count(), 'not before it is signed out');
        $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'service', 'version' => $job->refresh()->version])->assertOk();

        $kept = DB::table('baselines')->orderBy('id')
            ->get()
            ->map(static fn (object $b): array => [$b->instrument, $b->position, round((float) $b->value, 2), $b->unit])
            ->all();
        self::assertEqualsCanonicalizing(
            [
                ['belt-tension', 'x-belt', 108.0, 'Hz'],
                ['contact-resistance', 'bed-plug', 241.0, 's'],
                ['check:supply-at-load', null, 1.2, '%'],
            ],
            $kept,
            'the latest of each, and only what was well',
        );
        $next = $this->job($machine->refresh());
        $this->getJson("/api/v1/jobs/{$next->id}/instruments/belt-tension?position=x-belt")
            ->assertJsonPath('baseline.value', 108)
            ->assertJsonPath('baseline.hands', 'reference_hz');
        $this->getJson("/api/v1/jobs/{$next->id}/instruments/belt-tension?position=y-belt")->assertJsonPath('baseline', null);
    }

    public function test_a_position_the_machine_has_not_got_is_refused(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $typed = ['typed' => ['span_mm' => '150', 'frequency_hz' => '80', 'belt.width_mm' => '6']];

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/instruments/belt-tension?position=y-belts", $typed),
            422,
            'position',
            'y-belt',
        );
        $this->actingAs($this->person(Role::ReadOnly));
        $this->send('POST', "/jobs/{$job->id}/instruments/belt-tension?position=y-belt", $typed)->assertStatus(403);
    }

    public function test_a_sheet_lists_what_it_asks_and_reads_what_is_pasted(): void
    {
        $this->actingAs($this->person());
        $sheets = array_column((array) $this->getJson('/api/v1/instruments')->assertOk()->json('instruments'), null, 'code');
        self::assertCount(17, array_filter($sheets, static fn (array $s): bool => $s['of'] === null));

        $read = $this->send(
            'POST',
            '/instruments/bed-plane/sheet',
            ['typed' => [
                'points' => "30\t30\t0,12\n205\t30\t0,31\n30\t205\t-0,05",
                'screws' => "left\t25\t25\nright\t210\t25",
                'pitch_mm' => '0,7',
                'school' => 'mean-plane',
            ]],
        )->assertOk();
        self::assertEqualsWithDelta(0.0, $read->json('result.warp_mm'), 1e-12);
        self::assertSame('0.36', $read->json('lines.0.value'));
        self::assertStringNotContainsString('{', (string) $read->json('worked'));
        $this->assertRefused(
            $this->send(
                'POST',
                '/instruments/bed-plane/sheet',
                ['typed' => ['points' => '1 2', 'screws' => 'a 1 1', 'pitch_mm' => '1', 'school' => 'mean-plane']],
            ),
            422,
            'points',
            'row 1',
        );
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function file(string $name, string $bytes, string $type): TestResponse
    {
        return $this->call(
            'POST',
            "/api/v1/instruments/{$name}",
            [],
            [],
            [],
            ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json'],
            $bytes,
        );
    }
}
