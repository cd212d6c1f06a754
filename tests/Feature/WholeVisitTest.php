<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Shop\Role;

final class WholeVisitTest extends BenchTestCase
{
    public function test_a_broken_machine_comes_in_is_diagnosed_mended_proved_and_sent_out(): void
    {
        $this->part();
        $this->actingAs($this->person());

        $booked = $this->send('POST', '/jobs', [
            'kind' => 'repair',
            'family' => 'tern-220',
            'serial' => 'T100',
            'heldAs' => 'owner',
            'ownerName' => 'Greta Vance',
            'hours' => 2318.5,
            'complaint' => 'stops feeding after a while, clicks',
            'began' => 'crept-in',
            'screenSaid' => 'nothing',
            'cameAlong' => 'cord, spool',
        ])->assertOk();
        $job = Job::query()->findOrFail($booked->json('id'));
        $tag = (string) $booked->json('machine.tag');
        self::assertMatchesRegularExpression('/^TR-\d{3}-[A-Z]$/', $tag);
        self::assertSame('safety', $booked->json('station'));
        self::assertSame(['crept-in'], array_column((array) $booked->json('findings'), 'code'));

        $this->atFix($job);
        $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 1, 'position' => 'liner'])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/mends", ['fault' => 'tube-cooked', 'done' => 'New liner, cut square'])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'proof', 'version' => $job->refresh()->version])->assertOk();
        $this->proveAll($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'release', 'version' => $job->refresh()->version])->assertOk();
        $this->send(
            'POST',
            "/jobs/{$job->id}/release",
            ['to' => 'owner', 'note' => 'keep it under 240', 'version' => $job->refresh()->version],
        )->assertOk();

        $passport = $this->getJson("/api/v1/machines/{$tag}")->assertOk();
        self::assertSame('owner', $passport->json('machine.place'));
        self::assertSame(['Liner cooked'], $passport->json('jobs.0.faults'));
        self::assertSame('To its owner', $passport->json('jobs.0.destination'));
        $liner = collect((array) $passport->json('positions'))->firstWhere('position', 'liner');
        self::assertSame('Liner 4/2 mm', $liner['part']);
        self::assertEquals(2318.5, $liner['fittedHours']);
        $kinds = array_column((array) $passport->json('timeline'), 'kind');
        foreach (['booked-in', 'safety', 'finding', 'confirmed', 'part-used', 'mended', 'proof-passed', 'sent-out'] as $kind) {
            self::assertContains($kind, $kinds);
        }
        self::assertSame(2, $this->getJson('/api/v1/parts/LIN-1')->json('part.onHand'));
    }

    public function test_a_known_machine_is_booked_in_again_with_tag_kind_complaint_and_when(): void
    {
        $this->actingAs($this->person(Role::Counter));
        $machine = $this->machine();

        $this->send(
            'POST',
            '/jobs',
            ['tag' => strtolower(str_replace('-', ' ', $machine->tag)), 'kind' => 'service', 'complaint' => 'due', 'began' => 'not-known'],
        )
            ->assertOk()->assertJsonPath('machine.tag', $machine->tag)->assertJsonPath('machine.place', 'bench');
    }

    public function test_a_failed_proof_sends_the_job_back_to_find_with_that_finding(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atProve($job);
        foreach (['leads-tug', 'power-on', 'home'] as $proof) {
            $this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => $proof, 'passed' => true])->assertOk();
        }
        $this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => 'hotend-hold', 'value' => 1.5])->assertOk();

        $back = $this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => 'feed', 'value' => 81.5])->assertOk();

        self::assertSame('diagnosis', $back->json('station'));
        $finding = collect((array) $back->json('findings'))->firstWhere('code', 'extrusion-short');
        self::assertTrue($finding['present']);
        self::assertSame('81.5 mm', $finding['value']);
        self::assertSame('Feed 100 mm', $finding['source']);
        $gear = collect((array) $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->json('suspects'))->firstWhere('fault', 'gear-worn');
        self::assertContains('extrusion short, feed below asked', $gear['explains']);
    }

    public function test_a_wrong_diagnosis_stays_in_the_record_with_what_overturned_it(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFix($job, 'nozzle-clogged-part');
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['burnt-bits' => true]])->assertOk();

        $after = $this->send(
            'POST',
            "/jobs/{$job->id}/faults/supersede",
            ['fault' => 'nozzle-clogged-part', 'overturnedBy' => 'burnt-bits', 'version' => $job->refresh()->version],
        )->assertOk();

        self::assertSame('diagnosis', $after->json('station'));
        self::assertTrue($after->json('diagnoses.0.superseded'));
        self::assertSame('brown flakes come through', $after->json('diagnoses.0.overturnedBy'));
    }

    public function test_work_after_a_proof_owes_it_again(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atProve($job, 'belt-slack');
        $this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => 'power-on', 'passed' => true])->assertOk();
        $this->send(
            'POST',
            "/jobs/{$job->id}/station",
            ['to' => 'repair', 'why' => 'a screw was loose', 'version' => $job->refresh()->version],
        )->assertOk();
        $this->travel(2)->minutes();
        $this->send('POST', "/jobs/{$job->id}/mends", ['done' => 'Screw tightened', 'touched' => ['frame']])->assertOk();

        $again = $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'proof', 'version' => $job->refresh()->version])->assertOk();

        $proofs = collect((array) $again->json('proofs'))->keyBy('code');
        self::assertSame('open', $proofs['power-on']['standing']);
        self::assertTrue($proofs->has('squareness'), 'the frame was loosened');
    }

    public function test_nothing_broken_passes_find_with_its_reason_and_still_owes_for_what_was_opened(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->safe($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $job->refresh()->version])->assertOk();

        $passed = $this->send(
            'POST',
            "/jobs/{$job->id}/faults/pass",
            ['reason' => 'No fault found', 'version' => $job->refresh()->version],
        )->assertOk();
        self::assertSame('repair', $passed->json('station'));
        self::assertSame([], $passed->json('proofs'));

        $opened = $this->send(
            'POST',
            "/jobs/{$job->id}/mends",
            ['done' => 'Opened the hot end and looked', 'touched' => ['hotend']],
        )->assertOk();
        self::assertContains('runaway-hotend', array_column((array) $opened->json('proofs'), 'code'));
    }

    public function test_finished_jobs_correct_the_rates_of_the_next_diagnosis(): void
    {
        $this->actingAs($this->person());
        $first = $this->job();
        $this->atProve($first);
        $this->proveAll($first);
        $this->send('POST', "/jobs/{$first->id}/station", ['to' => 'release', 'version' => $first->refresh()->version])->assertOk();
        $this->send('POST', "/jobs/{$first->id}/release", ['to' => 'service', 'version' => $first->refresh()->version])->assertOk();

        $second = $this->job($this->machine());
        $this->send('POST', "/jobs/{$second->id}/findings", ['findings' => ['jams-when-warm' => true]])->assertOk();
        $liner = collect((array) $this->getJson("/api/v1/jobs/{$second->id}/diagnosis")->json('suspects'))->firstWhere('fault', 'tube-cooked');

        self::assertSame([1, 1], [$liner['seenHere'], $liner['jobsHere']]);
        // the one job counts once: the shop's rate is Gamma(2.25 + 1, 50 + 50 ln(51/50)), the family's is shrunk to its mean
        $shop = (50 * 0.045 + 1) / (50 + 50 * log(51 / 50));
        self::assertEqualsWithDelta((50 * $shop + 1) / 51, $liner['start'], 1e-9);
    }
}
