<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\EditJob;
use App\Shop\Role;
use App\Shop\Setting;
use Illuminate\Support\Facades\DB;

/** The main screens: what they show, and that they ask the database few things however much there is. */
final class ScreensTest extends BenchTestCase
{
    public function test_the_bench_groups_jobs_by_what_they_wait_for(): void
    {
        $bo = $this->person();
        $this->actingAs($bo);
        $ready = $this->job();
        $part = $this->job($this->machine());
        $running = $this->job($this->machine());
        $inHand = $this->job($this->machine());
        $edit = $this->app->make(EditJob::class);
        $edit->wait($part, 'part', 'nozzle module, due Thursday', null, $part->refresh()->version, $bo);
        $edit->wait($running, 'itself', 'long print', 90, $running->refresh()->version, $bo);
        $this->send('POST', "/jobs/{$inHand->id}/hands", ['on' => true])->assertOk();

        $groups = collect((array) $this->getJson('/api/v1/bench')->assertOk()->json('groups'))->keyBy('code');

        self::assertSame($inHand->machine->tag, $groups['hands-on']['lines'][0]['tag']);
        self::assertSame($ready->machine->tag, $groups['ready']['lines'][0]['tag']);
        self::assertSame('Answer the safety questions', $groups['ready']['lines'][0]['next']);
        self::assertSame('nozzle module, due Thursday', $groups['waiting']['lines'][0]['next']);
        self::assertNotNull($groups['itself']['lines'][0]['until']);
        $this->travel(2)->hours();
        $later = collect((array) $this->getJson('/api/v1/bench')->json('groups'))->keyBy('code');
        self::assertStringStartsWith('Has run', array_column($later['ready']['lines'], 'next', 'job')[$running->id]);
    }

    public function test_a_persons_hands_are_on_one_job_and_minutes_are_counted_where_they_were(): void
    {
        $this->actingAs($this->person());
        [$one, $two] = [$this->job(), $this->job($this->machine())];
        $this->send('POST', "/jobs/{$one->id}/hands", ['on' => true])->assertOk();
        $this->travel(7)->minutes();
        $this->send('POST', "/jobs/{$two->id}/hands", ['on' => true])->assertOk();
        $this->travel(50)->minutes();

        self::assertEqualsWithDelta(7.0, $this->minutes($one->id, 'safety'), 0.1);
        self::assertNull($this->getJson("/api/v1/jobs/{$one->id}")->json('handsOf'));
        self::assertEqualsWithDelta(30.0, $this->minutes($two->id, 'safety'), 0.1, 'nobody was seen for longer than that');
    }

    public function test_screens_ask_as_few_questions_of_a_full_bench_as_of_a_small_one(): void
    {
        // the hours of machines are read anew each second
        $this->freezeTime();
        $this->actingAs($this->person());
        $count = function (): array {
            $counts = [];
            foreach ([
                '/bench',
                '/machines',
                '/parts',
                '/machines/'.DB::table('machines')->orderBy('id')->value('tag'),
                '/jobs/'.DB::table('jobs')->min('id'),
                '/guides',
                '/jobs/'.DB::table('jobs')->min('id').'/fix',
            ] as $path) {
                $this->getJson("/api/v1{$path}")->assertOk(); // what is worked out once is kept
                DB::enableQueryLog();
                DB::flushQueryLog();
                $this->getJson("/api/v1{$path}")->assertOk();
                $counts[str_ends_with($path, '/fix') ? 'fix' : strtok(ltrim($path, '/'), '/')][] = count(DB::getQueryLog());
                DB::disableQueryLog();
            }

            return $counts;
        };
        $this->fill(2);
        $few = $count();
        $this->fill(12);
        $many = $count();

        // fewer is right: of what was used often nothing else is asked
        foreach ($few as $screen => [$asked]) {
            self::assertLessThanOrEqual($asked, $many[$screen][0], $screen);
        }
        self::assertLessThan(12, $many['bench'][0]);
        self::assertLessThan(40, $many['jobs'][0]);
        self::assertLessThan(30, $many['fix'][0]);
        self::assertLessThan(6, $many['guides'][0]);
    }

    public function test_the_ledger_asks_as_few_questions_of_many_machines_and_claims_as_of_few(): void
    {
        // the hours of machines are read anew each second
        $this->freezeTime();
        $this->actingAs($this->person(Role::Lead));
        $count = function (): array {
            $counts = [];
            foreach (['ledger', 'offers', 'claims', 'not-fetched', 'estimates'] as $of) {
                $this->getJson("/api/v1/money/{$of}")->assertOk();
                DB::enableQueryLog();
                DB::flushQueryLog();
                $this->getJson("/api/v1/money/{$of}")->assertOk();
                $counts[$of] = count(DB::getQueryLog());
                DB::disableQueryLog();
            }

            return $counts;
        };
        $this->fillLedger(2);
        $few = $count();
        $this->fillLedger(7);

        self::assertSame($few, $count());
        self::assertLessThan(40, max($few), json_encode($few) ?: '');
    }

    public function test_lists_page_by_key(): void
    {
        $this->actingAs($this->person());
        for ($i = 0; $i < 53; $i++) {
            $this->machine();
        }
        $first = $this->getJson('/api/v1/machines')->assertOk();
        self::assertCount(50, (array) $first->json('machines'));
        self::assertSame(53, $first->json('all'));

        $second = $this->getJson('/api/v1/machines?after='.$first->json('next'))->assertOk();
        self::assertCount(3, (array) $second->json('machines'));
        self::assertNull($second->json('next'));
    }

    public function test_the_scan_field_finds_tags_bins_parts_and_owners(): void
    {
        $this->actingAs($this->person(Role::ReadOnly));
        $machine = $this->machine('tern-220', 'owner');
        $this->part();

        self::assertSame([['machine', $machine->tag]], $this->hits($machine->tag));
        self::assertSame([['machine', $machine->tag]], $this->hits(strtolower(str_replace('-', '', $machine->tag))));
        self::assertSame([['machine', $machine->tag]], $this->hits("http://bench.local/machines/{$machine->tag}"));
        self::assertSame([['machine', $machine->tag]], $this->hits('halloran'));
        self::assertSame([['part', 'LIN-1']], $this->hits('c4'));
        self::assertSame([['part', 'LIN-1']], $this->hits('liner'));
        self::assertSame([], $this->hits('100%'));
        self::assertStringContainsString('check letter', (string) $this->getJson('/api/v1/scan?text=TR-222-H')->json('problem'));
    }

    public function test_stock_moves_and_takes_its_cost_along(): void
    {
        $this->actingAs($this->person());
        $this->part(2); // 2 at 120
        $this->send('POST', '/parts/LIN-1/movements', ['kind' => 'received', 'quantity' => 2, 'unitCostMinor' => 180])
            ->assertOk()
            ->assertJsonPath('part.valueMinor', 600);
        $job = $this->job();
        $this->atFix($job);

        $used = $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 1, 'position' => 'liner'])->assertOk();
        self::assertSame(-150, $used->json('parts.0.valueMinor'));
        $back = $this->send('DELETE', "/jobs/{$job->id}/parts/{$used->json('parts.0.id')}")->assertOk();
        self::assertTrue($back->json('parts.0.undone'));
        self::assertNull(collect((array) $back->json('positions'))->firstWhere('position', 'liner')['part']);
        $this->getJson('/api/v1/parts/LIN-1')->assertJsonPath('part.onHand', 4)->assertJsonPath('part.valueMinor', 600);
        $this->assertRefused(
            $this->send('DELETE', "/jobs/{$job->id}/parts/{$used->json('parts.0.id')}"),
            409,
            'movement',
            'put back already',
        );

        $this->send('POST', '/parts/LIN-1/movements', ['kind' => 'counted', 'quantity' => 3])
            ->assertOk()
            ->assertJsonPath('part.onHand', 3)
            ->assertJsonPath('movements.0.quantity', -1);
        self::assertSame(3, (int) DB::table('movements')->sum('quantity'), 'on hand is the sum of the movements');
    }

    public function test_a_replaced_part_ends_with_its_hours(): void
    {
        $this->actingAs($this->person());
        $this->part(3);
        $machine = $this->machine();
        foreach ([1000.0, 1655.0] as $hours) {
            $this->travel(30)->days();
            $job = $this->job($machine->refresh(), hours: $hours);
            $this->atFix($job);
            $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 1, 'position' => 'liner'])->assertOk();
            $this->send('POST', "/jobs/{$job->id}/release", ['to' => 'donor', 'version' => $job->refresh()->version])->assertOk();
        }
        $ended = DB::table('fittings')->whereNotNull('removed_at')->orderBy('id')->get();

        self::assertEquals(
            [[0.0, 1000.0], [1000.0, 1655.0]],
            $ended->map(static fn (object $f): array => [(float) $f->fitted_hours, (float) $f->removed_hours])->all(),
            'what it came with, and what was fitted first',
        );
        $liner = collect((array) $this->getJson("/api/v1/machines/{$machine->tag}")->json('positions'))->firstWhere('position', 'liner');
        self::assertSame(2, $liner['replacements']);
    }

    public function test_demo_logins_are_shown_in_demo_mode_only(): void
    {
        self::assertSame([], $this->getJson('/api/v1/session')->assertOk()->json('demoLogins'));
        Setting::put('demo', true);
        self::assertNotSame([], $this->getJson('/api/v1/session')->json('demoLogins'));
        $this->actingAs($this->person());
        self::assertSame([], $this->getJson('/api/v1/session')->json('demoLogins'));
    }

    public function test_an_unchanged_screen_is_answered_with_not_modified(): void
    {
        $this->actingAs($this->person());
        $etag = (string) $this->getJson('/api/v1/knowledge')->assertOk()->headers->get('ETag');

        $this->getJson('/api/v1/knowledge', ['If-None-Match' => $etag])->assertStatus(304);
    }

    public function test_the_next_look_is_asked_answered_and_not_offered_again(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['jams-when-warm' => true, 'gear-clicks' => true]])->assertOk();
        $next = $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->assertOk()->json('next.0');
        self::assertSame('check', $next['kind']);

        $this->send('POST', "/jobs/{$job->id}/hidden-checks", ['check' => $next['code']])->assertOk();

        self::assertNotContains(
            $next['code'],
            array_column((array) $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->json('next'), 'code'),
        );
    }

    /** So many machines bought, claimed for, asked about and not fetched. */
    private function fillLedger(int $many): void
    {
        $stage = ['name' => 'Moves', 'cost' => '12', 'passesPct' => 90, 'fallback' => '90', 'end' => 'split'];
        for ($i = 0; $i < $many; $i++) {
            $offer = $this->send('POST', '/money/offers', [
                'family' => 'tern-220', 'seller' => 'Osk Venn', 'says' => 'Turns on', 'findings' => [], 'sells' => '300', 'parts' => '90',
                'stages' => [$stage],
            ])->assertOk()->json('id');
            $this->send('POST', "/money/offers/{$offer}/purchase", ['paid' => '50', 'version' => 1])->assertOk();
            $machine = $this->machine(heldAs: 'owner');
            $job = $this->job($machine);
            $this->send('POST', '/money/claims', [
                'tag' => $machine->tag, 'job' => $job->id, 'against' => "Seller {$machine->id}", 'againstIs' => 'seller',
                'claims' => 'money', 'what' => 'Came broken', 'worth' => '45',
            ])->assertOk();
            $this->atFind($job);
            $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['jams-when-warm' => true]])->assertOk();
            $this->send('POST', "/jobs/{$job->id}/estimates", ['way' => 'phone', 'upToFinding' => PHP_INT_MAX])->assertOk();
            $ready = $this->job($this->machine(heldAs: 'owner'));
            $ready->update(['station' => 'release', 'station_since' => now()]);
            $this->send('POST', "/jobs/{$ready->id}/ready", ['way' => 'phone', 'text' => 'It is ready'])->assertOk();
        }
    }

    private function fill(int $jobs): void
    {
        for ($i = 0; $i < $jobs; $i++) {
            $job = $this->job($this->machine());
            $this->atFix($job);
            $this->part(4, number: 'P-'.$job->id);
            $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'P-'.$job->id, 'quantity' => 1, 'position' => 'liner'])->assertOk();
        }
    }

    private function minutes(int $job, string $station): float
    {
        return (float) collect((array) $this->getJson("/api/v1/jobs/{$job}")->json('stations'))->firstWhere('code', $station)['minutes'];
    }

    /** @return list<array{string, string}> */
    private function hits(string $text): array
    {
        return array_map(
            static fn (array $hit): array => [$hit['kind'], $hit['key']],
            (array) $this->getJson('/api/v1/scan?text='.rawurlencode($text))->assertOk()->json('hits'),
        );
    }
}
