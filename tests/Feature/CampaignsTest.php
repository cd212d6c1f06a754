<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Machines\Machine;
use App\Safety\RedTag;
use App\Shop\Role;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** Campaigns without a job: from a batch, a bulletin or a thought; red tags, letters, what was mended. */
final class CampaignsTest extends BenchTestCase
{
    public function test_a_campaign_begins_from_a_thought_over_the_machines_that_are_like_that(): void
    {
        $lead = $this->person(Role::Lead);
        $this->actingAs($lead);
        [$tern, $heron] = [$this->machine(), $this->machine('heron-cx')];
        $this->machine('tern-220', 'owner');
        $this->machine()->update(['place' => 'scrap']);
        $who = ['class' => 'belt', 'heldAs' => 'farm'];
        self::assertSame(
            [2, 2, 0],
            array_map($this->send('POST', '/campaigns/who', ['who' => $who])->assertOk()->json(...), ['all', 'running', 'atOwners']),
        );
        $campaign = $this->begin(['who' => $who, 'assignedTo' => $lead->id, 'dueOn' => now()->addDays(3)->toDateString()])->assertOk();

        self::assertEqualsCanonicalizing([$tern->tag, $heron->tag], array_column((array) $campaign->json('machines'), 'tag'));
        self::assertSame(['thought', 'Clamps', $lead->name, false, false], array_map(
            $campaign->json(...),
            ['origin', 'name', 'assignedName', 'late', 'danger'],
        ));
        self::assertStringContainsString('all that have belt', $campaign->json('who'));
        $this->travel(5)->days();
        $this->actingAs($lead);
        self::assertTrue($this->getJson('/api/v1/campaigns/'.$campaign->json('id'))->json('late'));
    }

    public function test_a_campaign_over_nothing_and_what_nobody_knows_are_refused_at_their_field(): void
    {
        $this->actingAs($this->person());
        $this->machine();
        $this->assertRefused($this->begin(['who' => []]), 422, 'who', 'Which machines');
        $this->assertRefused($this->begin(['who' => ['families' => ['gannet-delta']]]), 422, 'who', 'over nothing');
        $this->assertRefused($this->begin(['who' => ['families' => ['tern-22']]]), 422, 'who.families.0', 'Did you mean');
        $this->assertRefused($this->begin(['who' => ['class' => 'belts']]), 422, 'who.class', 'Did you mean');
        $this->assertRefused($this->begin(['who' => ['batch' => 'B1']]), 422, 'who.part', 'A batch of which part');
        $this->assertRefused($this->begin(['who' => ['part' => 'NO-1']]), 422, 'who.part', 'no part NO-1');
        $this->assertRefused($this->begin(['who' => ['hoursFrom' => 90, 'hoursTo' => 10]]), 422, 'who.hoursTo', 'backwards');
        $this->assertRefused($this->begin(['lookFor' => null]), 422, 'lookFor', 'What is to be looked for');
        $this->assertRefused($this->begin(['dueOn' => '2026-02-30']), 422, 'dueOn', 'Write the day');
        $this->assertRefused($this->begin(['assignedTo' => 999_999]), 422, 'assignedTo', 'Nobody here');
        $this->assertRefused($this->begin(['title' => '']), 422, 'title', 'What is it about');
        self::assertSame(0, DB::table('campaigns')->count());
        $this->actingAs($this->person(Role::Counter));
        $this->begin()->assertStatus(403);
    }

    public function test_a_bad_batch_reaches_the_machines_its_parts_may_sit_in(): void
    {
        $by = $this->person();
        $this->actingAs($by);
        $part = $this->part(0, 'liner');
        $stock = $this->app->make(MoveStock::class);
        $stock->receive($part, 1, 100, null, $by);
        $bad = $stock->receive($part, 2, 100, null, $by);
        DB::table('movements')->where('id', $bad->id)->update(['batch' => 'B7']);
        $machines = [];
        foreach ([1, 2, 3] as $i) {
            $job = $this->job($machines[$i] = $this->machine());
            $this->atFix($job);
            $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 1, 'position' => 'liner'])->assertOk();
        }
        $this->machine();
        $campaign = $this->begin(['origin' => 'batch', 'who' => ['part' => 'LIN-1', 'batch' => 'B7']])->assertOk();

        self::assertContains($machines[3]->tag, array_column((array) $campaign->json('machines'), 'tag'));
        self::assertLessThanOrEqual(3, $campaign->json('all'));
        self::assertSame(3, $this->begin(['who' => ['part' => 'LIN-1']])->json('all'), 'whatever its batch');
        $this->assertRefused($this->begin(['who' => ['part' => 'LIN-1', 'batch' => 'B8']]), 422, 'who', 'over nothing');
    }

    public function test_machines_in_use_are_looked_at_first_and_what_runs_unwatched_before_others(): void
    {
        $this->actingAs($this->person());
        [$stands, $owner, $farm] = [$this->machine(), $this->machine('tern-220', 'owner'), $this->machine()];
        $stands->update(['place' => 'sale']);
        $owner->update(['place' => 'owner']);
        $farm->update(['place' => 'service']);

        self::assertSame(
            [$owner->tag, $farm->tag, $stands->tag],
            array_column((array) $this->begin(['dangerous' => true, 'who' => ['families' => ['tern-220']]])->json('machines'), 'tag'),
        );
    }

    public function test_a_lead_has_red_tags_put_on_what_nobody_looked_at(): void
    {
        $tech = $this->person();
        $this->actingAs($tech);
        [$looked, $here, $away, $bench] = [$this->machine(), $this->machine(), $this->machine('tern-220', 'owner'), $this->machine()];
        [$has, $mended] = [$this->machine(), $this->machine()];
        foreach ([
            [$looked, 'service'],
            [$here, 'service'],
            [$away, 'owner'],
            [$has, 'service'],
            [$mended, 'service'],
        ] as [$machine, $place]) {
            $machine->update(['place' => $place]);
        }
        $job = $this->job($bench);
        $calm = $this->begin()->json('id');
        $id = $this->begin(['dangerous' => true])->assertOk()->json('id');
        $this->look($id, $looked, false)->assertOk();
        $this->look($id, $has, true)->assertOk();
        $this->look($id, $mended, true)->assertOk();
        self::assertSame(3, $this->send('POST', "/campaigns/{$id}/mended", ['tag' => $mended->tag])->assertOk()->json('untagged'));
        $this->send('POST', "/campaigns/{$id}/red-tags")->assertStatus(403);
        $this->actingAs($this->person(Role::Lead));
        $this->assertRefused($this->send('POST', "/campaigns/{$calm}/red-tags"), 409, 'campaign', 'nothing dangerous');
        $tagged = $this->send('POST', "/campaigns/{$id}/red-tags")->assertOk();

        self::assertEqualsCanonicalizing(
            [$here->id, $bench->id, $has->id],
            RedTag::query()->pluck('machine_id')->all(),
            'what is with its owner gets a letter',
        );
        self::assertSame(
            ['bench', $job->id],
            [$here->refresh()->place, (int) DB::table('red_tags')->where('machine_id', $bench->id)->value('job_id')],
        );
        self::assertSame(0, $tagged->json('untagged'));
        self::assertStringContainsString('found affected', RedTag::query()->where('machine_id', $has->id)->firstOrFail()->reason);
        self::assertNotNull($tagged->json('taggedBy'));
        $this->assertRefused($this->send('POST', "/campaigns/{$id}/red-tags"), 409, 'campaign', 'Nothing is left to tag');
        self::assertSame(1, $tagged->json('lettersOwed'), 'nobody looks at it where it runs');
        self::assertSame(0, $this->getJson("/api/v1/campaigns/{$calm}")->json('lettersOwed'));
        $letters = $this->getJson("/api/v1/campaigns/{$id}/letters")->assertOk();
        self::assertSame([$away->tag], array_column((array) $letters->json('letters'), 'tag'));
        self::assertStringContainsString('pull the plug', $letters->json('letters.0.text'));
        $this->send('POST', "/campaigns/{$id}/letters", ['tag' => $away->tag])->assertOk();
        self::assertSame(0, $this->getJson("/api/v1/campaigns/{$id}")->json('lettersOwed'));
    }

    public function test_owners_of_affected_machines_are_written_to_and_what_was_mended_is_known(): void
    {
        $this->actingAs($this->person());
        [$own, $owner] = [$this->machine(), $this->machine('tern-220', 'owner')];
        $id = $this->begin()->assertOk()->json('id');
        $this->assertRefused($this->send('POST', "/campaigns/{$id}/mended", ['tag' => $own->tag]), 409, 'tag', 'not found affected');
        $this->look($id, $owner, true)->assertOk();
        $seen = $this->look($id, $own, true)->assertOk();
        self::assertSame([2, 2, 2, true, 1], array_map($seen->json(...), ['affected', 'least', 'most', 'settled', 'lettersOwed']));

        $this->send('PUT', "/campaigns/{$id}", ['mend' => 'moulded clamp', 'assignedTo' => null, 'dueOn' => null])->assertOk();
        self::assertSame(1, $this->send('POST', "/campaigns/{$id}/mended", ['tag' => $owner->tag])->assertOk()->json('mended'));
        $letters = $this->send('POST', "/campaigns/{$id}/letters", ['tag' => $owner->tag])->assertOk();
        self::assertNotNull($letters->json('letters.0.writtenAt'));
        self::assertStringContainsString('It is put right: moulded clamp.', $letters->json('letters.0.text'));
        self::assertSame(0, $this->getJson("/api/v1/campaigns/{$id}")->json('lettersOwed'));
        $this->assertRefused($this->send('POST', "/campaigns/{$id}/letters", ['tag' => $own->tag]), 409, 'tag', 'no owner');
        $this->look($id, $owner, false)->assertOk();
        self::assertSame(0, $this->getJson("/api/v1/campaigns/{$id}")->json('mended'), 'what is well was not mended');

        $this->send('POST', "/campaigns/{$id}/end")->assertOk();
        $this->assertRefused($this->look($id, $own, true), 409, 'campaign', 'closed');
        $this->actingAs($this->person(Role::ReadOnly));
        $this->getJson("/api/v1/campaigns/{$id}/letters")->assertStatus(403);
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function begin(array $with = []): TestResponse
    {
        return $this->send('POST', '/campaigns', $with + [
            'origin' => 'thought', 'title' => 'Clamps', 'lookFor' => 'layers on the clamp', 'because' => 'they creep',
            'who' => ['families' => ['tern-220']],
        ]);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function look(int $campaign, Machine $machine, bool $affected): TestResponse
    {
        return $this->send('POST', "/campaigns/{$campaign}/looks", ['tag' => $machine->tag, 'affected' => $affected]);
    }
}
