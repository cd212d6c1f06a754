<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Diagnosis\Findings\JobFinding;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** What the Find screen is told: readings, what else is likely, how belief moved, why a step stands first. */
final class FindTest extends BenchTestCase
{
    public function test_a_measured_value_becomes_the_finding_it_stands_for(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();

        $short = $this->send('POST', "/jobs/{$job->id}/readings", ['check' => 'feed-100', 'value' => 81.5])->assertOk();
        $finding = collect((array) $short->json('findings'))->firstWhere('code', 'extrusion-short');
        self::assertTrue($finding['present']);
        self::assertStringStartsWith('81.5', $finding['value']);

        $well = $this->job($this->machine());
        $this->send('POST', "/jobs/{$well->id}/readings", ['check' => 'feed-100', 'value' => 99.6])->assertOk();
        self::assertFalse(JobFinding::query()->where(['job_id' => $well->id, 'code' => 'extrusion-short'])->sole()->present);
    }

    public function test_a_value_that_cannot_be_and_a_check_without_one_are_refused(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/readings", ['check' => 'feed-100', 'value' => 8150]),
            422,
            'value',
            'must be from',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/readings", ['check' => 'gear-look', 'value' => 1]),
            422,
            'check',
            'no single value',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/readings", ['check' => 'feed-100', 'value' => 'much']),
            422,
            'value',
            'number',
        );
        $this->actingAs($this->person(Role::ReadOnly));
        $this->send('POST', "/jobs/{$job->id}/readings", ['check' => 'feed-100', 'value' => 80])->assertStatus(403);
    }

    public function test_findings_that_cannot_both_be_are_refused_with_the_way_out(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['thermistor-open' => true]])->assertOk();

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['thermistor-short' => true]]),
            409,
            'findings.thermistor-short',
            'cannot both be',
        );
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['thermistor-short' => false]])->assertOk();
    }

    public function test_what_is_likely_to_be_there_too_is_offered_without_what_is_known(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['belt-loose' => true]])->assertOk();
        $likely = (array) $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->assertOk()->json('likely');

        self::assertCount(9, $likely);
        self::assertContains('belt-out-of-band', $likely);
        self::assertNotContains('belt-loose', $likely);
    }

    public function test_the_chart_shows_each_move_also_what_was_withdrawn(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['jams-when-warm' => true]])->assertOk();
        $this->travel(1)->minutes();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['break-fan-dead' => true]])->assertOk();
        $this->travel(1)->minutes();
        $wrong = JobFinding::query()->where('code', 'break-fan-dead')->sole();
        $this->send('DELETE', "/jobs/{$job->id}/findings/{$wrong->id}")->assertOk();

        $diagnosis = $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->assertOk();
        $moves = (array) $diagnosis->json('moves');
        // booking in told that it crept in
        self::assertSame([null, 'crept-in', 'jams-when-warm', 'break-fan-dead', 'break-fan-dead'], array_column($moves, 'finding'));
        self::assertSame([false, false, false, false, true], array_column($moves, 'withdrawn'));
        $fan = collect((array) $diagnosis->json('lines'))->firstWhere('fault', 'break-fan-failed')['points'];
        self::assertCount(5, $fan);
        self::assertGreaterThan(0.9, $fan[3]);
        self::assertEqualsWithDelta($fan[2], $fan[4], 1e-9, 'a withdrawn finding no longer speaks');
        $now = array_column((array) $diagnosis->json('suspects'), 'probability', 'fault')['break-fan-failed'];
        self::assertEqualsWithDelta($now, $fan[4], 1e-9, 'the line ends where the ranking stands');
    }

    public function test_the_other_school_changes_the_ranking_and_both_say_why(): void
    {
        $this->actingAs($this->person());
        $this->part(2, 'heat-break-fan', 'FAN-1');
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['jams-when-warm' => true, 'fan-noisy' => true]])->assertOk();

        $measure = $this->getJson("/api/v1/jobs/{$job->id}/diagnosis?school=measure-first")->assertOk();
        $swap = $this->getJson("/api/v1/jobs/{$job->id}/diagnosis?school=swap-first")->assertOk();

        self::assertNotContains('swap', array_column((array) $measure->json('next'), 'kind'));
        self::assertContains('swap', array_column((array) $swap->json('next'), 'kind'));
        self::assertNotSame('', $measure->json('why'));
        self::assertStringContainsString('would begin', (string) $measure->json('otherSchool'));
        self::assertStringStartsWith('Measure first would begin', (string) $swap->json('otherSchool'));
        $step = collect((array) $swap->json('next'))->firstWhere('kind', 'swap');
        self::assertGreaterThanOrEqual(2, count($step['steps']), 'how a part is swapped to see comes from the knowledge');
    }

    public function test_a_step_carries_its_cautions_its_value_and_its_pictures(): void
    {
        $this->actingAs($this->person());
        $job = $this->job($this->machine('tern-220'));
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['thin-extrusion' => true]])->assertOk();
        // so that these two are left, whatever the ranking
        foreach (array_diff(array_keys($this->app->make(Knowledge::class)->checks), ['feed-100', 'free-air']) as $check) {
            DB::table('hidden_checks')->insert(['job_id' => $job->id, 'code' => $check, 'person_id' => $this->person()->id, 'at' => now()]);
        }
        $steps = collect((array) $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->json('next'));

        foreach ($steps->where('state', 'hot') as $step) {
            self::assertStringContainsString('burn', implode(' ', $step['cautions']));
        }
        self::assertSame('mm', $steps->firstWhere('code', 'feed-100')['reading']['unit']);
        self::assertSame(['strand'], $steps->firstWhere('code', 'free-air')['pictures']);
    }

    public function test_a_mend_can_be_noted_by_the_school_it_was_done_by(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFix($job, 'thermistor-failed');
        $ways = collect((array) $this->getJson("/api/v1/jobs/{$job->id}")->json('diagnoses'))->firstWhere('fault', 'thermistor-failed')['ways'];
        self::assertSame(['the sensor alone', 'the whole block'], array_column($ways, 'school'));

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/mends", ['fault' => 'thermistor-failed', 'way' => 'by prayer', 'done' => 'Prayed']),
            422,
            'way',
            'the sensor alone, the whole block',
        );
        $mended = $this->send(
            'POST',
            "/jobs/{$job->id}/mends",
            ['fault' => 'thermistor-failed', 'way' => 'the whole block', 'done' => 'New block'],
        )->assertOk();
        self::assertContains('hot end, opened', $mended->json('mends.0.touched'));
    }

    public function test_too_many_entangled_findings_are_refused_by_name_and_can_be_withdrawn(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $all = array_keys($this->app->make(Knowledge::class)->findings);
        JobFinding::query()->where('job_id', $job->id)->delete();
        foreach ($all as $code) {
            if (! in_array($code, ['thermistor-short', 'crept-in'], true)) {
                JobFinding::query()->create([
                    'job_id' => $job->id,
                    'code' => $code,
                    'present' => true,
                    'source' => 'seen',
                    'person_id' => $this->person()->id,
                    'at' => now(),
                ]);
            }
        }

        $this->assertRefused($this->getJson("/api/v1/jobs/{$job->id}/diagnosis"), 422, 'findings', 'Withdraw the vaguest ones');
        $this->getJson("/api/v1/jobs/{$job->id}")->assertOk();
    }
}
