<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Shop\Role;
use PHPUnit\Framework\Attributes\DataProvider;

/** Which way a job may go, what it waits for, and what may be done where. */
final class StationsTest extends BenchTestCase
{
    public function test_it_does_not_leave_make_safe_unanswered_nor_jump_ahead(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();

        foreach (['diagnosis' => 'safety questions', 'repair' => 'safety questions', 'release' => 'safety questions'] as $to => $words) {
            $this->assertRefused($this->move($job, $to), 409, 'to', $words);
        }
        $this->safe($job);
        $this->assertRefused($this->move($job, 'repair'), 409, 'to', 'No fault is confirmed');
        $this->move($job, 'diagnosis')->assertOk();
        $this->assertRefused($this->move($job, 'diagnosis'), 409, 'to', 'already');
    }

    public function test_a_way_back_wants_a_reason_and_is_kept(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFix($job);

        $this->assertRefused($this->move($job, 'diagnosis'), 409, 'why', 'Say why');
        $this->move($job, 'diagnosis', 'the gear looks fine after all')->assertOk();
        self::assertStringContainsString(
            'the gear looks fine',
            (string) $this->getJson("/api/v1/machines/{$job->machine->tag}")->json('timeline.0.text'),
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function elsewhere(): iterable
    {
        yield 'a mend before Fix' => ['mends', ['done' => 'x', 'touched' => ['bed']], 'noted at Fix'];
        yield 'a part before Fix' => ['parts', ['part' => 'LIN-1', 'quantity' => 1], 'used at Fix'];
        yield 'a proof before Prove' => ['proofs', ['proof' => 'home', 'passed' => true], 'done at Prove'];
        yield 'a fault before Find' => ['faults', ['faults' => ['belt-slack'], 'version' => 1], 'confirmed at Find'];
        yield 'passing Find before Find' => ['faults/pass', ['reason' => 'nothing wrong', 'version' => 1], 'confirmed at Find'];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('elsewhere')]
    public function test_work_is_done_at_its_station(string $what, array $body, string $words): void
    {
        $this->part();
        $this->actingAs($this->person());
        $job = $this->job();

        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/{$what}", $body), 409, 'station', $words);
        self::assertSame(1, $job->refresh()->version);
    }

    public function test_a_stage_opens_only_when_the_one_before_has_passed(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atProve($job);

        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => 'runaway-hotend', 'value' => 30]),
            409,
            'proof',
            'opens when',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => 'feeder-print', 'passed' => true]),
            409,
            'proof',
            'does not owe',
        );
        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => 'leads-tug']), 422, 'passed', 'pass or fail');
        foreach (['leads-tug', 'power-on', 'home'] as $proof) {
            $this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => $proof, 'passed' => true])->assertOk();
        }
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => 'feed', 'passed' => true]),
            422,
            'value',
            '97 to 103 mm',
        );
    }

    public function test_what_a_job_waits_for_is_said_and_ends(): void
    {
        $this->actingAs($this->person(Role::Counter));
        $job = $this->job();
        $wait = fn (array $body) => $this->send('PATCH', "/jobs/{$job->id}", ['version' => $job->refresh()->version] + $body);

        $this->assertRefused($wait(['waitsFor' => 'part']), 422, 'waitsNote', 'which part');
        $this->assertRefused($wait(['waitsFor' => 'itself']), 422, 'waitsMinutes', 'How many minutes');
        $wait(['waitsFor' => 'claim', 'waitsNote' => 'seller’s answer'])->assertOk()->assertJsonPath('waitsFor', 'claim');
        $wait(['waitsFor' => null])->assertOk()->assertJsonPath('waitsNote', null);

        $itself = ['waitsFor' => 'itself', 'waitsNote' => 'a soak', 'waitsMinutes' => 90];
        $wait($itself)->assertOk()->assertJsonPath('waitsHot', null);
        $this->assertRefused($wait($itself + ['waitsHot' => 'perhaps']), 422, 'waitsHot', 'true or false');
        $wait($itself + ['waitsHot' => false])->assertOk()->assertJsonPath('waitsHot', false);
        $wait($itself + ['waitsHot' => true])->assertOk()->assertJsonPath('waitsHot', true);
        $said = array_column((array) $this->getJson("/api/v1/machines/{$job->machine->tag}")->json('timeline'), 'text');
        self::assertContains('Runs by itself: a soak, 90 min, hot', $said);
        self::assertContains('Runs by itself: a soak, 90 min, nothing is hot', $said);
        $wait(['waitsFor' => 'person', 'waitsNote' => 'Bo', 'waitsHot' => true])->assertOk()->assertJsonPath('waitsHot', null);
    }

    public function test_what_was_written_at_book_in_is_corrected_and_the_record_says_so(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();

        $this->send('PATCH', "/jobs/{$job->id}", ['complaint' => 'It clicks loudly', 'cameAlong' => 'a spool', 'version' => 1])
            ->assertOk()
            ->assertJsonPath('complaint', 'It clicks loudly');
        self::assertStringContainsString(
            'came along is now “a spool”',
            (string) $this->getJson("/api/v1/machines/{$job->machine->tag}")->json('timeline.0.text'),
        );
        $this->assertRefused(
            $this->send('PATCH', "/jobs/{$job->id}", ['version' => $job->refresh()->version]),
            422,
            'complaint',
            'Nothing was given',
        );
    }

    public function test_a_finished_job_takes_nothing_more(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'donor', 'version' => 1])->assertOk();

        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['strings' => true]]), 409, 'job', 'finished');
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'scrap', 'version' => $job->refresh()->version]),
            409,
            'job',
            'finished',
        );
    }

    public function test_a_scrapped_machine_stays_scrapped(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'scrap', 'version' => 1])->assertOk();

        $this->assertRefused(
            $this->send('POST', '/jobs', ['tag' => $job->machine->tag, 'kind' => 'repair', 'complaint' => 'x', 'began' => 'not-known']),
            409,
            'tag',
            'scrapped',
        );
    }

    public function test_a_machine_goes_only_where_its_holder_allows(): void
    {
        $this->actingAs($this->person());
        $job = $this->job($this->machine('tern-220', 'owner'));

        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/release", ['to' => 'sale', 'version' => 1]), 409, 'to', 'an owner’s');
    }

    public function test_a_finding_is_withdrawn_once_and_only_in_its_own_job(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $other = $this->job($this->machine());
        $made = $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['strings' => true]])->assertOk();
        $id = collect((array) $made->json('findings'))->firstWhere('code', 'strings')['id'];

        $this->send('DELETE', "/jobs/{$other->id}/findings/{$id}")->assertNotFound();
        $this->send('DELETE', "/jobs/{$job->id}/findings/{$id}")->assertOk();
        $this->assertRefused($this->send('DELETE', "/jobs/{$job->id}/findings/{$id}"), 409, 'finding', 'already');
        $this->assertDatabaseHas('job_findings', ['id' => $id, 'code' => 'strings']);
    }

    /** @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response> */
    private function move(Job $job, string $to, ?string $why = null): \Illuminate\Testing\TestResponse
    {
        return $this->send('POST', "/jobs/{$job->id}/station", ['to' => $to, 'why' => $why, 'version' => $job->refresh()->version]);
    }
}
