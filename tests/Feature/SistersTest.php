<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Fleet\Campaigns\Campaign;
use App\Intake\Job;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** A confirmed fault of a mounting or batch kind is a reason to look at the other machines with that part. */
final class SistersTest extends BenchTestCase
{
    public function test_the_list_holds_every_other_machine_with_the_part_whatever_its_make(): void
    {
        $this->actingAs($this->person());
        $tern = $this->machine('tern-220');
        $wren = $this->machine('wren-mini');
        $this->machine('tern-220')->update(['place' => 'scrap']);
        $job = $this->confirmed('tensioner-skewed');

        $confirmed = collect((array) $this->getJson("/api/v1/jobs/{$job->id}")->json('diagnoses'))->firstWhere('fault', 'tensioner-skewed');
        self::assertSame(2, $confirmed['sisters']);
        $list = $this->open($job, 'tensioner-skewed')->assertOk();

        self::assertEqualsCanonicalizing([$tern->tag, $wren->tag], array_column((array) $list->json('machines'), 'tag'));
        self::assertSame('None of 2 looked at yet.', $list->json('said'));
        self::assertNull(
            collect((array) $this->getJson("/api/v1/jobs/{$job->id}")->json('diagnoses'))->firstWhere('fault', 'tensioner-skewed')['sisters'],
            'it is not offered twice',
        );
    }

    public function test_a_fault_only_some_can_have_leaves_the_others_out(): void
    {
        $this->actingAs($this->person());
        $this->machine('gannet-delta');
        $spring = $this->machine('tern-220-d');
        $job = $this->confirmed('knob-screws-free');

        self::assertSame([$spring->tag], array_column((array) $this->open($job, 'knob-screws-free')->json('machines'), 'tag'));
    }

    public function test_looks_are_counted_with_the_interval_and_the_passport_shows_what_is_owed(): void
    {
        $this->actingAs($this->person());
        $sisters = [$this->machine(), $this->machine(), $this->machine()];
        $list = $this->open($this->confirmed('tensioner-skewed'), 'tensioner-skewed')->json('id');
        self::assertSame([null], array_column((array) $this->getJson("/api/v1/machines/{$sisters[0]->tag}")->json('campaigns'), 'here'));

        $this->send(
            'POST',
            "/campaigns/{$list}/looks",
            ['tag' => $sisters[0]->tag, 'affected' => true, 'note' => 'rubs left'],
        )->assertOk();
        $after = $this->send('POST', "/campaigns/{$list}/looks", ['tag' => strtolower($sisters[1]->tag), 'affected' => false])->assertOk();

        self::assertSame([3, 2, 1], [$after->json('all'), $after->json('looked'), $after->json('affected')]);
        // R: with 1 of 2 seen affected, phyper(0, k, 3 - k, 2, lower.tail = FALSE) and phyper(1, k, 3 - k, 2) leave k = 1 and 2
        self::assertSame([1, 2, false, 1], array_map($after->json(...), ['least', 'most', 'settled', 'looksToSettle']));
        self::assertSame(
            [$sisters[2]->tag, $sisters[0]->tag, $sisters[1]->tag],
            array_column((array) $after->json('machines'), 'tag'),
            'those to look at first, then the affected ones',
        );
        self::assertSame([true], array_column((array) $this->getJson("/api/v1/machines/{$sisters[0]->tag}")->json('campaigns'), 'here'));
        self::assertSame(
            [[1, 3, 2, 1]],
            array_map(
                static fn (array $l): array => [$l['id'] === $list ? 1 : 0, $l['all'], $l['looked'], $l['affected']],
                (array) $this->getJson('/api/v1/campaigns')->json('campaigns'),
            ),
        );
    }

    public function test_the_same_check_in_a_job_settles_the_look(): void
    {
        $this->actingAs($this->person());
        $sister = $this->machine();
        $list = $this->open($this->confirmed('tensioner-skewed'), 'tensioner-skewed')->json('id');
        $job = $this->job($sister);

        $this->send(
            'POST',
            "/jobs/{$job->id}/findings",
            ['findings' => ['belt-dust' => true, 'belt-frayed' => false], 'check' => 'belt-dust-look'],
        )->assertOk();

        $this->getJson("/api/v1/campaigns/{$list}")->assertJsonPath('affected', 1)->assertJsonPath('looked', 1);
    }

    public function test_what_cannot_be_is_refused(): void
    {
        $this->actingAs($this->person());
        $job = $this->confirmed('tensioner-skewed');
        $this->assertRefused($this->open($job, 'tensioner-skewed'), 409, 'fault', 'no other machine');
        $this->machine();
        $this->assertRefused($this->open($job, 'belt-slack'), 422, 'fault', 'says nothing about other machines');
        $this->assertRefused($this->open($job, 'knob-screws-free'), 409, 'fault', 'not confirmed');
        $list = $this->open($job, 'tensioner-skewed')->assertOk()->json('id');
        $this->assertRefused($this->open($job, 'tensioner-skewed'), 409, 'fault', 'open already');
        $this->assertRefused(
            $this->send('POST', "/campaigns/{$list}/looks", ['tag' => $job->machine->tag, 'affected' => true]),
            409,
            'tag',
            'not on this campaign',
        );

        $this->send('POST', "/campaigns/{$list}/end")->assertOk();
        $this->assertRefused($this->send('POST', "/campaigns/{$list}/end"), 409, 'campaign', 'closed');
        $this->actingAs($this->person(Role::Counter));
        $this->open($job, 'tensioner-skewed')->assertStatus(403);
    }

    public function test_a_list_asks_as_few_questions_for_many_machines_as_for_few(): void
    {
        $this->freezeTime();
        $this->actingAs($this->person());
        for ($i = 0; $i < 3; $i++) {
            $this->machine();
        }
        $list = Campaign::query()->findOrFail($this->open($this->confirmed('tensioner-skewed'), 'tensioner-skewed')->json('id'));
        $count = function () use ($list): int {
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->getJson("/api/v1/campaigns/{$list->id}")->assertOk();

            return count(DB::getQueryLog());
        };
        $count();
        $few = $count();
        for ($i = 0; $i < 30; $i++) {
            DB::table('looks_owed')->insert(['campaign_id' => $list->id, 'machine_id' => $this->machine()->id]);
        }

        self::assertSame($few, $count());
    }

    private function confirmed(string $fault): Job
    {
        $job = $this->job($this->machine());
        $this->atFix($job, $fault);

        return $job->refresh();
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function open(Job $job, string $fault): TestResponse
    {
        return $this->send('POST', "/jobs/{$job->id}/campaigns", ['fault' => $fault]);
    }
}
