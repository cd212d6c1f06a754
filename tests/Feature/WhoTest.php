<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Fleet\Farm\KeepRacks;
use App\Machines\Machine;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** Whom a campaign is about: everything that is said must be so, and what is counted before is who gets looked at. */
final class WhoTest extends FarmTestCase
{
    public function test_every_word_that_is_said_narrows_it(): void
    {
        [$young, $old, $heron] = [$this->running(300.0), $this->running(2600.0), $this->running(2600.0, 'heron-cx')];
        $owner = $this->machine('tern-220', 'owner');
        $sale = $this->machine('tern-220', 'resale');
        $delta = $this->machine('gannet-delta');
        $owner->update(['place' => 'owner']);
        $sale->update(['place' => 'sale']);
        foreach (['scrap', 'donor', 'unmended'] as $gone) {
            $this->machine()->update(['place' => $gone]);
        }
        $rack = $this->app->make(KeepRacks::class)->draw('Row A', 1, 4);
        $this->app->make(KeepRacks::class)->put($old, $rack, 1, 1, false);
        $this->workOut();

        $this->assertWho([$young, $old, $owner, $sale], ['families' => ['tern-220']], 'Tern 220');
        $this->assertWho([$young, $old, $owner, $sale, $heron], ['families' => ['tern-220', 'heron-cx']], 'Tern 220, Heron CX');
        $this->assertWho([$delta], ['class' => 'delta-arms'], 'whoever made them');
        $this->assertWho([$young, $old], ['families' => ['tern-220'], 'heldAs' => 'farm'], 'of the farm');
        $this->assertWho([$sale], ['heldAs' => 'resale'], 'for resale');
        $this->assertWho([$owner], ['place' => 'owner'], 'with their owners');
        $this->assertWho([$old, $heron], ['hoursFrom' => 1000], 'from 1000 h on');
        $this->assertWho([$young], ['hoursFrom' => 100, 'hoursTo' => 400], '100 to 400 h');
        $this->assertWho([$young], ['hoursTo' => 400, 'place' => 'service'], 'up to 400 h');
        $this->assertWho([$old], ['rack' => $rack->id], 'Row A');
        $this->assertRefused($this->begin(['rack' => $rack->id, 'families' => ['heron-cx']]), 422, 'who', 'over nothing');
        $this->app->make(KeepRacks::class)->takeDown($rack);
        self::assertStringContainsString(
            'a rack that is gone',
            (string) json_encode($this->getJson('/api/v1/campaigns/'.DB::table('campaigns')->max('id'))->json()),
        );
    }

    public function test_hours_are_those_it_has_run_since_it_was_read(): void
    {
        $machine = $this->running(980.0);
        DB::table('counters')->where('machine_id', $machine->id)->update(['at' => DB::raw("at - interval '30 days'")]);
        $this->workOut();
        $now = (float) DB::table('machine_risks')->where('machine_id', $machine->id)->value('hours');
        self::assertGreaterThan(1000.0, $now, 'a month at its pace');

        $this->assertWho([$machine], ['hoursFrom' => 1000], 'from 1000 h on');
    }

    public function test_a_part_is_looked_for_where_it_sits_now_new_or_used(): void
    {
        [$has, $had, $never] = [$this->running(2000.0), $this->running(2000.0), $this->running(2000.0)];
        $bad = $this->spare('FAN-BAD');
        $this->changed($has, 'heat-break-fan', 900.0, $bad);
        $this->changed($had, 'heat-break-fan', 900.0, $bad);
        $this->changed($had, 'heat-break-fan', 1500.0, $this->spare('FAN-GOOD'));

        $this->assertWho([$has], ['part' => 'FAN-BAD'], 'with FAN-BAD');
        self::assertNotSame($never->tag, $has->tag);
    }

    public function test_the_likeliest_is_looked_at_first_and_what_nobody_knows_is_not_last(): void
    {
        [$young, $old, $unknown] = [$this->running(100.0), $this->running(3300.0), $this->machine()];
        $unknown->update(['place' => 'service']);
        $this->workOut();
        $machines = $this->begin(['class' => 'heat-break-fan', 'families' => ['tern-220']])->assertOk()->json('machines');

        self::assertSame([$old->tag, $unknown->tag, $young->tag], array_column((array) $machines, 'tag'));
        self::assertGreaterThan(0.1, $machines[0]['risk']);
        self::assertNull($machines[1]['risk']);
    }

    /**
     * @param  list<Machine>  $expected
     * @param  array<string, mixed>  $who
     */
    private function assertWho(array $expected, array $who, string $words): void
    {
        $tags = array_map(static fn (Machine $m): string => $m->tag, $expected);
        $counted = $this->send('POST', '/campaigns/who', ['who' => $who])->assertOk();
        self::assertSame(count($tags), $counted->json('all'), (string) json_encode($who));
        $campaign = $this->begin($who)->assertOk();
        self::assertEqualsCanonicalizing($tags, array_column((array) $campaign->json('machines'), 'tag'), (string) json_encode($who));
        self::assertStringContainsString($words, $campaign->json('who'));
    }

    /**
     * @param  array<string, mixed>  $who
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function begin(array $who): TestResponse
    {
        return $this->send(
            'POST',
            '/campaigns',
            ['origin' => 'thought', 'title' => 'Clamps', 'lookFor' => 'layers on the clamp', 'who' => $who],
        );
    }
}
