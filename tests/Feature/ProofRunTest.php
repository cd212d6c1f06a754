<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Proof\Run\KeepRises;
use App\Proof\Run\ProofRun;
use App\Proof\Run\RunQuery;
use App\Proof\Runner\Clerk;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use OddBench\Proof\Run\Packed;
use OddBench\Proof\Run\Sample;
use OddBench\Rig\Fault;
use OddBench\Rig\Printer;

/** A proof run through a real socket to the simulated printer, and every way the link can fail. */
final class ProofRunTest extends ProofRunCase
{
    public function test_it_is_refused_where_it_cannot_be(): void
    {
        $this->assertRefused($this->start(8641), 409, 'stage', 'First what is proved cold');
        $this->cold();
        $this->assertRefused($this->start(8641, 'http://printer'), 422, 'host', 'without a port');
        $this->start(70_000)->assertStatus(422);
        $this->start(8641)->assertOk();
        $this->assertRefused($this->start(8641), 409, 'run', 'under way');
        $this->actingAs($this->person(Role::Counter));
        $this->start(8641)->assertForbidden();

        $other = $this->job($this->machine());
        $this->actingAs($this->person());
        $this->assertRefused(
            $this->send('POST', "/jobs/{$other->id}/proof-run", ['host' => 'localhost', 'port' => 8641]),
            409,
            'station',
            'started at Prove',
        );
    }

    public function test_a_sound_machine_earns_its_proofs(): void
    {
        $run = $this->begin([]);
        $this->watch($run);

        self::assertSame('passed', $run->refresh()->state, (string) $run->said);
        $proofs = collect((array) $this->getJson("/api/v1/jobs/{$this->job->id}")->json('proofs'))->pluck('standing', 'code');
        foreach (['power-on', 'home', 'hotend-hold'] as $code) {
            self::assertSame('passed', $proofs[$code], $code);
        }
        self::assertNotSame('passed', $proofs['runaway-hotend'], 'the feed is measured by hand first');

        // what is proved by hand opens the way for what the run has shown
        $this->send('POST', "/jobs/{$this->job->id}/proofs", ['proof' => 'feed', 'value' => 100])->assertOk();
        $proofs = collect((array) $this->getJson("/api/v1/jobs/{$this->job->id}")->json('proofs'))->keyBy('code');
        self::assertSame('passed', $proofs['runaway-hotend']['standing']);
        self::assertLessThan(90, $proofs['runaway-hotend']['value']);
        $view = $this->getJson("/api/v1/jobs/{$this->job->id}/proof-run")->assertOk();
        self::assertNotSame([], $view->json('samples'));
        self::assertSame(['passed'], array_values(array_unique(array_column((array) $view->json('stages'), 'standing'))));
    }

    public function test_a_run_of_before_the_last_work_counts_for_nothing(): void
    {
        $run = $this->begin([]);
        $this->watch($run);
        $this->send(
            'POST',
            "/jobs/{$this->job->id}/station",
            ['to' => 'repair', 'why' => 'a screw was left', 'version' => $this->job->refresh()->version],
        )->assertOk();
        $this->send('POST', "/jobs/{$this->job->id}/mends", ['done' => 'Sock changed', 'touched' => ['hotend']])->assertOk();
        $this->travel(1)->minutes();
        $this->send('POST', "/jobs/{$this->job->id}/station", ['to' => 'proof', 'version' => $this->job->refresh()->version])->assertOk();
        $this->cold();

        $proofs = collect((array) $this->getJson("/api/v1/jobs/{$this->job->id}")->json('proofs'))->pluck('standing', 'code');
        self::assertNotSame('passed', $proofs['hotend-hold']);
    }

    public function test_no_protection_goes_back_to_find_with_a_red_tag(): void
    {
        $run = $this->begin([Fault::NoRunawayProtection]);
        $this->watch($run);
        self::assertSame('failed', $run->refresh()->state);

        $this->send('POST', "/jobs/{$this->job->id}/proof-run/{$run->id}/back-to-find")->assertOk();
        $job = (array) $this->getJson("/api/v1/jobs/{$this->job->id}")->json();
        self::assertSame('diagnosis', $job['station']);
        self::assertNotNull($job['redTag']);
        self::assertContains('no-runaway-trip', array_column($job['findings'], 'code'));
    }

    public function test_stop_turns_the_heaters_off(): void
    {
        $run = $this->begin([]);
        $this->watch($run, fn (): bool => $run->refresh()->stage === 'hotend-hold', stopThen: true);

        self::assertSame('stopped', $run->refresh()->state);
        $this->serveFor(0.4);
        $this->printer?->receive("M105\n");
        $this->serveFor(0.1);
        self::assertNotNull($this->printer);
        $this->printer->take();
        $this->printer->receive("M105\n");
        $this->printer->advance($this->printer->now() + 1);
        self::assertMatchesRegularExpression('/T:[\d.]+ \/0\.00 B:[\d.]+ \/0\.00/', $this->printer->take());
        $this->assertRefused(
            $this->send('POST', "/jobs/{$this->job->id}/proof-run/{$run->id}/answer", ['answer' => 'none']),
            409,
            'answer',
            'does not ask',
        );
    }

    public function test_a_lead_waives_in_words_but_never_what_keeps_people_from_harm(): void
    {
        $waive = fn (string $proof, string $because = 'Owner prints it himself today'): \Illuminate\Testing\TestResponse => $this->send(
            'POST',
            "/jobs/{$this->job->id}/proofs/waiver",
            ['proof' => $proof, 'because' => $because],
        );
        $waive('home')->assertForbidden();
        $this->actingAs($this->person(Role::Lead));
        $this->assertRefused($waive('leads-tug'), 409, 'proof', 'never waived');
        $this->assertRefused($waive('runaway-hotend'), 409, 'proof', 'never waived');
        $this->assertRefused($waive('home'), 409, 'proof', 'opens when');
        $this->cold();
        $this->send('POST', "/jobs/{$this->job->id}/proofs", ['proof' => 'power-on', 'passed' => true])->assertOk();
        $this->assertRefused($waive('home', 'no'), 422, 'because', 'few words');
        $waive('home')->assertOk();
        $home = collect((array) $this->getJson("/api/v1/jobs/{$this->job->id}")->json('proofs'))->firstWhere('code', 'home');
        self::assertSame(['passed', 'Owner prints it himself today'], [$home['standing'], $home['waived']]);
    }

    public function test_done_by_hand_with_a_log_a_note_and_a_photograph(): void
    {
        $this->cold();
        foreach (['power-on', 'home'] as $proof) {
            $this->send('POST', "/jobs/{$this->job->id}/proofs", ['proof' => $proof, 'passed' => true])->assertOk();
        }
        $log = "time_s,actual_c,target_c\n".implode(
            "\n",
            array_map(static fn (int $t): string => "{$t},".($t < 60 ? 20 + 3 * $t : 200.4 - $t % 3 / 10).',200', range(0, 300)),
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$this->job->id}/proofs", ['proof' => 'home', 'passed' => true, 'log' => $log]),
            422,
            'log',
            'not read out of a log',
        );
        $this->assertRefused(
            $this->send(
                'POST',
                "/jobs/{$this->job->id}/proofs",
                ['proof' => 'hotend-hold', 'log' => implode("\n", array_slice(explode("\n", $log), 0, 40))],
            ),
            422,
            'log',
            'never stands',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$this->job->id}/proofs", ['proof' => 'hotend-hold', 'log' => $log, 'photograph' => 99_999]),
            422,
            'photograph',
            'Send it first',
        );
        $picture = imagecreatetruecolor(40, 30);
        ob_start();
        imagejpeg($picture);
        $photograph = $this->call(
            'POST',
            "/api/v1/jobs/{$this->job->id}/photographs",
            [],
            [],
            [],
            [
                'HTTP_ACCEPT' => 'application/json',
                'CONTENT_TYPE' => 'image/jpeg',
                'HTTP_IDEMPOTENCY_KEY' => (string) \Illuminate\Support\Str::uuid(),
            ],
            (string) ob_get_clean(),
        );
        $this->send(
            'POST',
            "/jobs/{$this->job->id}/proofs",
            ['proof' => 'hotend-hold', 'log' => $log, 'note' => 'Sock on', 'photograph' => $photograph->json('id')],
        )->assertOk();

        $hold = collect((array) $this->getJson("/api/v1/jobs/{$this->job->id}")->json('proofs'))->firstWhere('code', 'hotend-hold');
        self::assertSame(
            ['passed', 0.4, 'Sock on', "/files/photographs/{$photograph->json('id')}.jpg"],
            [$hold['standing'], $hold['value'], $hold['note'], $hold['photograph']],
        );
        self::assertTrue($hold['byLog']);
        self::assertNull($hold['print']);
    }

    public function test_only_one_runner_speaks_with_printers(): void
    {
        $this->cold();
        $this->start($this->closedPort())->assertOk();
        $this->app->make(Clerk::class)->turn();
        $run = ProofRun::query()->latest('id')->firstOrFail();
        $other = fopen("{$this->files->folder}/prover.lock", 'c');
        self::assertNotFalse($other);
        self::assertTrue(flock($other, LOCK_EX));
        $this->artisan('odd-bench:prover', ['--for' => 1]);
        self::assertNull($this->files->read($run->id, 'said'));

        flock($other, LOCK_UN);
        $this->artisan('odd-bench:prover', ['--for' => 1]);
        $this->app->make(Clerk::class)->turn();
        self::assertSame('lost', $run->refresh()->state, 'now it was taken up, and nobody was there');
    }

    public function test_what_a_well_machine_took_to_warm_up_is_what_later_runs_are_held_against(): void
    {
        $run = $this->begin([]);
        $run->update([
            'state' => 'passed',
            'ended_at' => now(),
            'results' => ['bed-hold' => [
                'passed' => true,
                'words' => '',
                'value' => 0.4,
                'rise' => 139.0,
                'finding' => null,
                'danger' => false,
            ]],
        ]);
        $rises = $this->app->make(KeepRises::class);
        self::assertNull($rises->bed($this->job->machine));
        $rises->of($this->job);

        self::assertSame(139.0, $rises->bed($this->job->machine));
        $sheet = $this->getJson("/api/v1/jobs/{$this->job->id}/instruments/contact-resistance?position=bed-plug")->assertOk();
        self::assertEquals(139.0, $sheet->json('baseline.value'));
        self::assertSame('baseline_s', $sheet->json('baseline.hands'));
    }

    public function test_prints_for_a_printer_that_is_not_connected(): void
    {
        foreach (\OddBench\Proof\Prints\ProofPrint::cases() as $print) {
            $this->get("/files/jobs/{$this->job->id}/{$print->value}.gcode")->assertOk();
        }
        $this->get("/files/jobs/{$this->job->id}/castle.gcode")->assertNotFound();
        $ring = $this->get("/files/jobs/{$this->job->id}/ring.gcode")->assertOk();
        self::assertStringContainsString("M109 S200\n", (string) $ring->getContent());
        self::assertStringContainsString('attachment', (string) $ring->headers->get('Content-Disposition'));
        $slab = (string) $this->get("/files/jobs/{$this->job->id}/loom-slab.gcode")->assertOk()->getContent();
        $read = (new \OddBench\Instruments\Gcode)->compute([
            'file' => \OddBench\Input\Contents::text($slab),
            'bed_x_mm' => 220,
            'bed_y_mm' => 220,
            'bed_z_mm' => 250,
        ]);
        self::assertEqualsWithDelta(0.9, $read['axis_share']['y'], 0.01, 'it bends the loom over nine tenths of its way');
    }

    public function test_nobody_there_is_said(): void
    {
        $this->cold();
        $this->start($this->closedPort())->assertOk();
        $run = ProofRun::query()->latest('id')->firstOrFail();
        $this->watch($run);

        self::assertSame('lost', $run->refresh()->state);
        self::assertNotNull($run->ended_at);
        self::assertStringContainsString('cannot be reached', (string) $run->said);
    }

    public function test_a_link_that_drops_ends_clear_and_keeps_what_was_measured(): void
    {
        $run = $this->begin([]);
        $this->watch($run, fn (): bool => $run->refresh()->stage === 'hotend-hold', dropThen: true);

        self::assertSame('lost', $run->refresh()->state);
        self::assertTrue($run->results['homing']['passed'], 'what was shown before stays');
        self::assertGreaterThan(0, DB::table('proof_samples')->where('proof_run_id', $run->id)->count());
    }

    public function test_a_runner_that_starts_anew_goes_on_with_the_stage_that_was_cut_off(): void
    {
        $run = $this->begin([]);
        $this->watch($run, fn (): bool => $run->refresh()->stage === 'hotend-hold', leaveThen: true);
        self::assertNull($run->refresh()->ended_at);
        $before = array_keys($run->results);
        self::assertContains('homing', $before);

        $this->watch($run);
        self::assertSame('passed', $run->refresh()->state, (string) $run->said);
        self::assertSame([], array_diff($before, array_keys($run->results)));
    }

    public function test_twelve_hours_are_kept_small_and_read_fast_enough(): void
    {
        $this->cold();
        $this->start(8641)->assertOk();
        $run = ProofRun::query()->latest('id')->firstOrFail();
        for ($minute = 0; $minute < 720; $minute++) {
            $samples = [];
            for ($s = 0; $s < 60; $s++) {
                $samples[] = new Sample($minute * 60.0 + $s, 200 + sin($s), 200, 60, 60, 0.5, null);
            }
            DB::statement(
                'INSERT INTO proof_samples VALUES (?, ?, decode(?, \'hex\'))',
                [$run->id, $minute, bin2hex(Packed::pack($samples))],
            );
        }
        $thinned = $this->app->make(RunQuery::class)->samples($run, null);

        self::assertLessThanOrEqual(722, count($thinned));
        self::assertLessThan(800_000, (int) DB::scalar('SELECT sum(length(samples)) FROM proof_samples'));
        self::assertEqualsWithDelta(201.0, max(array_map(static fn (Sample $s): float => $s->hotend, $thinned)), 0.11, 'peaks are kept');
    }
}
