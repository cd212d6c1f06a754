<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Machines\Fitting;
use App\Machines\Machine;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** What sits where and why, rails that are turned once, warranty, service that comes round. */
final class PositionsTest extends BenchTestCase
{
    public function test_a_fitting_keeps_its_reason_its_person_and_what_became_of_the_old_one(): void
    {
        $this->part(3);
        $me = $this->person();
        $this->actingAs($me);
        $job = $this->job(hours: 1000.0);
        $this->atFix($job);
        $this->use($job, ['reason' => 'charred', 'oldBecame' => 'scrap'])->assertOk();
        $this->sendHome($job);
        $this->travel(30)->days();
        $again = $this->job($job->machine->refresh(), hours: 1450.0);
        $this->atFix($again);
        $this->use($again, ['reason' => 'better tube', 'upgrade' => true, 'oldBecame' => 'spare', 'oldGrade' => 'tested'])->assertOk();

        $liner = $this->position($job->machine, 'liner');
        self::assertSame(
            ['better tube', true, $me->name, 0.0],
            [$liner['reason'], $liner['upgrade'], $liner['by'], (float) $liner['hoursOnIt']],
        );
        self::assertSame(450.0, (float) $liner['earlier'][0]['ran']);
        self::assertSame('kept as a spare, tested', $liner['earlier'][0]['became']);
        $this->assertRefused($this->use($again, ['oldBecame' => 'spare']), 422, 'oldGrade', 'tested or untested');
        $this->assertRefused($this->use($again, ['oldBecame' => 'scrap', 'oldGrade' => 'tested']), 422, 'oldGrade', 'Only a spare');
    }

    public function test_a_part_put_back_restores_what_it_replaced_across_the_edge_of_a_second(): void
    {
        $this->part(3);
        $this->actingAs($this->person());
        $job = $this->job(hours: 1000.0);
        $this->atFix($job);
        $this->use($job, ['oldBecame' => 'scrap'])->assertOk();
        $first = (int) Fitting::query()->max('id');
        $this->use($job, ['oldBecame' => 'scrap'])->assertOk();
        $second = Fitting::query()->latest('id')->firstOrFail();
        self::assertSame([$first, $second->movement_id], [$second->replaces_id, Fitting::query()->findOrFail($first)->ended_by]);
        // two readings of the clock: the old one ended a second after the new one was fitted
        DB::table('fittings')->where('id', $first)->update(['removed_at' => $second->fitted_at->addSecond()]);

        $this->send('DELETE', "/jobs/{$job->id}/parts/{$second->movement_id}")->assertOk();

        $restored = Fitting::query()->findOrFail($first);
        self::assertSame([null, null, null], [$restored->removed_at, $restored->became, $restored->ended_by]);
        self::assertNull(Fitting::query()->find($second->id));
    }

    public function test_what_does_not_belong_in_a_position_goes_there_only_on_purpose(): void
    {
        $liner = $this->part(5);
        $this->actingAs($this->person());
        $job = $this->job(hours: 1000.0);
        $this->atFix($job);
        $wrong = ['part' => $liner->number, 'quantity' => 3, 'position' => 'nozzle'];
        $refused = $this->send('POST', "/jobs/{$job->id}/parts", $wrong);
        $this->assertRefused($refused, 409, 'position', 'takes a nozzle');
        self::assertStringContainsString('one place, not 3', (string) $refused->getContent());
        self::assertSame(5, $liner->refresh()->on_hand, 'nothing left its bin');
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/parts", ['quantity' => 1, 'allTheSame' => true] + $wrong),
            422,
            'reason',
            'because',
        );

        $this->send(
            'POST',
            "/jobs/{$job->id}/parts",
            ['quantity' => 1, 'allTheSame' => true, 'reason' => 'a test rig without a nozzle'] + $wrong,
        )->assertOk();
        $seat = $this->position($job->machine, 'nozzle');
        self::assertSame([true, 'a test rig without a nozzle'], [$seat['upgrade'], $seat['reason']]);

        $liner->update(['fits' => ['families' => ['heron-cx']]]);
        $this->assertRefused($this->use($job, []), 409, 'position', 'it fits');
        $nozzle = $this->part(1, 'nozzle', 'NOZ-9');
        $nozzle->substitutes()->attach($liner->id, ['note' => 'in need']);
        $liner->update(['fits' => []]);
        $this->send('POST', "/jobs/{$job->id}/parts", ['quantity' => 1] + $wrong)->assertOk();
        self::assertFalse($this->position($job->machine, 'nozzle')['upgrade'], 'a declared substitute belongs there');
    }

    public function test_a_rail_is_turned_once_and_then_no_more(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFix($job, 'rail-scored');
        self::assertSame([1], $this->position($job->machine, 'y-rail-left')['facesUsed']);

        $this->turn($job, 'y-rail-left')->assertOk();
        $rail = $this->position($job->machine, 'y-rail-left');
        self::assertSame([[1, 2], 2], [$rail['facesUsed'], $rail['faces']]);
        $this->assertRefused($this->turn($job, 'y-rail-left'), 409, 'position', 'no fresh face left: 1 and 2 have run');
        $this->assertRefused($this->turn($job, 'nozzle'), 409, 'position', 'nothing to turn');
        $this->assertRefused($this->turn($job, 'wing'), 422, 'position', 'no position “wing”');
        self::assertSame([1], $this->position($job->machine, 'y-rail-right')['facesUsed'], 'the other one was not');
        $because = array_column((array) $this->getJson("/api/v1/jobs/{$job->id}")->json('proofs'), 'because', 'code');
        self::assertStringContainsString('Y rail left', $because['full-travel']);
    }

    public function test_a_new_profile_begins_with_fresh_faces(): void
    {
        $this->part(2, 'rail', 'RAIL-1');
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFix($job, 'rail-scored');
        $this->turn($job, 'y-rail-left')->assertOk();
        $this->travel(1)->minutes();
        $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'RAIL-1', 'quantity' => 1, 'position' => 'y-rail-left'])->assertOk();

        self::assertSame([1], $this->position($job->machine, 'y-rail-left')['facesUsed']);
        $this->turn($job, 'y-rail-left')->assertOk();
    }

    public function test_what_is_taken_out_for_good_leaves_its_hours_and_an_empty_place(): void
    {
        $this->actingAs($this->person());
        $job = $this->job(hours: 1200.0);
        $this->atFix($job);
        $out = fn (array $body): TestResponse => $this->send('POST', "/jobs/{$job->id}/positions/board-fan/removal", $body);

        $this->assertRefused($out([]), 422, 'became', 'What became of it');
        $this->assertRefused($out(['became' => 'spare']), 422, 'grade', 'tested or untested');
        $out(['became' => 'spare', 'grade' => 'untested', 'reason' => 'rattles'])->assertOk();

        $fan = $this->position($job->machine, 'board-fan');
        self::assertTrue($fan['empty']);
        self::assertNull($fan['hoursOnIt']);
        self::assertSame(
            [1200.0, 'kept as a spare, untested', 'rattles'],
            [(float) $fan['earlier'][0]['ran'], $fan['earlier'][0]['became'], $fan['earlier'][0]['reason']],
        );
    }

    public function test_the_passport_says_how_long_things_usually_last(): void
    {
        $this->actingAs($this->person());
        $job = $this->job(hours: 1200.0);
        $nozzle = $this->position($job->machine, 'nozzle');

        self::assertSame([600.0, 1200.0, 'head'], [(float) $nozzle['lifeHours'], (float) $nozzle['hoursOnIt'], $nozzle['place']]);
        self::assertNull($this->position($job->machine, 'board')['lifeHours'], 'hours do not wear a board');
    }

    public function test_under_warranty_nothing_is_opened_before_somebody_chose(): void
    {
        $this->actingAs($this->person());
        $machine = $this->machine();
        $put = fn (array $body): TestResponse => $this->send('PUT', "/machines/{$machine->tag}/warranty", $body);
        $this->assertRefused($put(['by' => 'seller']), 422, 'until', 'maker or seller');
        $put(['by' => 'seller', 'until' => now()->addMonth()->toDateString(), 'note' => 'invoice 12'])->assertOk();
        $job = $this->job($machine);
        $this->atFix($job);
        $open = fn (): TestResponse => $this->send('POST', "/jobs/{$job->id}/teardown-steps", ['off' => 'Cover']);

        $this->assertRefused($open(), 409, 'warranty', 'under its seller’s warranty');
        $this->send('POST', "/jobs/{$job->id}/warranty", ['choice' => 'claim'])->assertOk();
        self::assertSame('claim', $this->getJson("/api/v1/jobs/{$job->id}")->json('waitsFor'));
        $this->assertRefused($open(), 409, 'warranty', 'stays closed');
        $this->send('POST', "/jobs/{$job->id}/warranty", ['choice' => 'mend'])->assertOk();
        $open()->assertOk();
        self::assertStringContainsString(
            'loss accepted',
            (string) json_encode($this->getJson("/api/v1/machines/{$machine->tag}")->json('timeline'), JSON_UNESCAPED_UNICODE),
        );
    }

    public function test_a_warranty_that_ended_holds_nobody_up(): void
    {
        $this->actingAs($this->person());
        $machine = $this->machine();
        $this->send('PUT', "/machines/{$machine->tag}/warranty", ['by' => 'maker', 'until' => now()->subDay()->toDateString()])->assertOk();
        $job = $this->job($machine);
        $this->atFix($job);
        $this->send('POST', "/jobs/{$job->id}/teardown-steps", ['off' => 'Cover'])->assertOk();
    }

    public function test_what_is_due_shows_and_opens_a_service_job_with_its_guides(): void
    {
        $this->actingAs($this->person());
        $machine = $this->machine();
        $machine->update(['hours' => 950, 'place' => 'service']);
        $due = collect((array) $this->getJson("/api/v1/machines/{$machine->tag}")->json('service'))->where('due', true)
            ->pluck('code')
            ->all();
        self::assertContains('liner-change', $due);
        self::assertSame($machine->tag, $this->getJson('/api/v1/bench')->json('service.0.tag'));

        $job = (int) $this->send('POST', "/machines/{$machine->tag}/service-jobs", ['items' => ['liner-change', 'wipe-down']])
            ->assertOk()
            ->json('id');
        $found = Job::query()->findOrFail($job);
        $this->safe($found);
        $this->send('POST', "/jobs/{$job}/station", ['to' => 'repair', 'version' => $found->refresh()->version])->assertOk();
        $fix = (array) $this->getJson("/api/v1/jobs/{$job}/fix")->json();
        self::assertSame(['liner-change', 'wipe-down'], array_column($fix['service'], 'code'));
        self::assertEqualsCanonicalizing(
            ['replace-liner', 'clean-and-grease'],
            array_column(array_filter($fix['guides'], static fn (array $g): bool => $g['for'] !== null), 'code'),
        );

        $this->send('POST', "/jobs/{$job}/service", ['item' => 'wipe-down'])->assertOk();
        $this->assertRefused($this->send('POST', "/jobs/{$job}/service", ['item' => 'wipe-down']), 409, 'item', 'done already');
        $this->assertRefused($this->send('POST', "/jobs/{$job}/service", ['item' => 'polish']), 422, 'item', 'no service “polish”');
        $still = collect((array) $this->getJson("/api/v1/machines/{$machine->tag}")->json('service'))->where('due', true)
            ->pluck('code')
            ->all();
        self::assertNotContains('wipe-down', $still);
        self::assertContains('liner-change', $still);
    }

    public function test_a_guide_done_in_a_service_job_notes_the_service(): void
    {
        $this->actingAs($this->person());
        $machine = $this->machine();
        $machine->update(['hours' => 950]);
        $job = (int) $this->send('POST', "/machines/{$machine->tag}/service-jobs", ['items' => ['liner-change']])->assertOk()->json('id');
        $this->safe(Job::query()->findOrFail($job));
        $this->send('POST', "/jobs/{$job}/station", ['to' => 'repair', 'version' => Job::query()->findOrFail($job)->version])->assertOk();
        $this->send('POST', "/jobs/{$job}/guide-runs", ['guide' => 'replace-liner'])->assertOk();
        $run = (int) $this->getJson("/api/v1/jobs/{$job}/fix")->json('runs.0.id');
        foreach (range(1, 12) as $step) {
            $this->send('POST', "/jobs/{$job}/guide-runs/{$run}/steps/{$step}")->assertOk();
        }
        $this->send('POST', "/jobs/{$job}/guide-runs/{$run}/end", ['minutes' => 25])->assertOk();

        self::assertTrue($this->getJson("/api/v1/jobs/{$job}/fix")->json('service.0.done'));
        $proofs = array_column((array) $this->getJson("/api/v1/jobs/{$job}")->json('proofs'), 'code');
        self::assertContains('hotend-hold', $proofs);
        self::assertNotContains('repeat-complaint', $proofs, 'nothing was complained of');
    }

    public function test_who_only_looks_changes_nothing(): void
    {
        $machine = $this->machine();
        $this->actingAs($this->person(Role::ReadOnly));
        $this->send('PUT', "/machines/{$machine->tag}/warranty", ['by' => 'maker', 'until' => '2027-01-01'])->assertForbidden();
        $this->send('POST', "/machines/{$machine->tag}/service-jobs", ['items' => ['wipe-down']])->assertForbidden();
        $this->getJson("/api/v1/machines/{$machine->tag}")->assertOk();
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function use(Job $job, array $more): TestResponse
    {
        return $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 1, 'position' => 'liner', ...$more]);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function turn(Job $job, string $position): TestResponse
    {
        return $this->send('POST', "/jobs/{$job->id}/positions/{$position}/turn", ['reason' => 'groove']);
    }

    private function sendHome(Job $job): void
    {
        $this->send('POST', "/jobs/{$job->id}/mends", ['fault' => 'tube-cooked', 'done' => 'New liner'])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'proof', 'version' => $job->refresh()->version])->assertOk();
        $this->proveAll($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'release', 'version' => $job->refresh()->version])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'service', 'version' => $job->refresh()->version])->assertOk();
    }

    /** @return array<string, mixed> */
    private function position(Machine $machine, string $code): array
    {
        return (array) collect((array) $this->getJson("/api/v1/machines/{$machine->tag}")->assertOk()->json('positions'))->firstWhere('position', $code);
    }
}
