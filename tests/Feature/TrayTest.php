<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** The tray: what comes off is written down once, goes back in its order, and is accounted for before the job leaves Fix. */
final class TrayTest extends BenchTestCase
{
    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person());
        $this->job = $this->job();
        $this->atFix($this->job);
    }

    public function test_the_way_back_is_the_way_out_reversed_and_refuses_another_order(): void
    {
        $this->takeOff(['off' => 'Cover', 'fasteners' => '2 M3x25'])->assertOk();
        $this->takeOff(['off' => 'Fan shroud', 'fasteners' => '4 M3x12', 'wayRound' => 'arrow into the sink'])->assertOk();
        $this->takeOff(['off' => 'Board plugs', 'sockets' => ['E', 'TH']])->assertOk();
        $this->takeOff(['off' => 'Spool holder', 'fasteners' => '1 M5x25', 'after' => []])->assertOk();

        $fix = $this->fix();
        self::assertSame([4, 3, 2, 1], $fix['reassembly']);
        self::assertSame([1, 2, null, 3], array_column($fix['steps'], 'cell'), 'plugs need no cell');
        self::assertSame(['Board plugs'], $fix['steps'][1]['waitsFor']);

        $this->assertRefused($this->back(1), 422, 'step', '“Cover” goes back only after “Fan shroud”');
        $this->back(4)->assertOk();
        $this->back(3)->assertOk();
        $this->back(2)->assertOk();
        $this->back(1)->assertOk();
        self::assertSame([], $this->fix()['differences']);
        $this->assertRefused($this->send('DELETE', $this->url('teardown-steps/2/back')), 409, 'step', 'Take those ticks away first');
        $this->send('DELETE', $this->url('teardown-steps/1/back'))->assertOk();
        $this->send('DELETE', $this->url('teardown-steps/2/back'))->assertOk();
    }

    public function test_a_screw_short_keeps_the_job_at_fix_until_somebody_says_why(): void
    {
        $this->takeOff(['off' => 'Board', 'fasteners' => '2 M2.5x8'])->assertOk();
        $this->send('POST', "/jobs/{$this->job->id}/mends", ['fault' => 'tube-cooked', 'done' => 'New liner'])->assertOk();
        $this->back(1, ['fasteners' => '1 M2.5x8'])->assertOk();

        $difference = $this->fix()['differences'][0];
        self::assertSame(['M2.5×8', 2, 1], [$difference['what'], $difference['out'], $difference['in']]);
        $this->assertRefused($this->on('proof'), 409, 'to', 'Not accounted for on the tray: M2.5×8: 2 out, 1 in');
        $this->assertRefused(
            $this->send('POST', $this->url('differences/explanation'), ['because' => 'gone']),
            422,
            'because',
            'few words',
        );

        $this->send(
            'POST',
            $this->url('differences/explanation'),
            ['because' => 'Fell behind the bench, hole is plugged with a spare of the same size tomorrow'],
        )->assertOk();
        self::assertTrue($this->fix()['differences'][0]['explained']);
        $this->on('proof')->assertOk();
    }

    public function test_an_explanation_does_not_cover_what_came_later(): void
    {
        $this->takeOff(['off' => 'Board', 'fasteners' => '2 M2.5x8'])->assertOk();
        $this->send('POST', "/jobs/{$this->job->id}/mends", ['fault' => 'tube-cooked', 'done' => 'New liner'])->assertOk();
        $this->back(1, ['fasteners' => '1 M2.5x8'])->assertOk();
        $this->send('POST', $this->url('differences/explanation'), ['because' => 'Lost under the bench'])->assertOk();
        $this->takeOff(['off' => 'Cover', 'fasteners' => '2 M3x25'])->assertOk();

        $this->assertRefused($this->on('proof'), 409, 'to', 'M3×25: 2 out, 0 in');
    }

    public function test_a_screw_that_was_missing_is_a_finding(): void
    {
        $this->takeOff(['off' => 'Cover', 'fasteners' => '3 M3x25', 'missing' => '1 M3x25'])->assertOk();
        $codes = array_column((array) $this->getJson("/api/v1/jobs/{$this->job->id}")->json('findings'), 'code');
        self::assertContains('fastener-missing', $codes);

        // written down as four, then seen that one had not been there
        $this->takeOff(['off' => 'Shroud', 'fasteners' => '4 M3x12'])->assertOk();
        $this->send('POST', $this->url('teardown-steps/2/missing'), ['fasteners' => '1 M3x12'])->assertOk();
        $shroud = $this->fix()['steps'][1]['fasteners'][0];
        self::assertSame([3, 1], [$shroud['count'], $shroud['missing']]);
        $this->back(2)->assertOk();
        self::assertSame([1], array_column($this->fix()['differences'], 'steps')[0], 'the shroud owes nothing any more');
        $this->assertRefused(
            $this->send('POST', $this->url('teardown-steps/1/missing'), ['fasteners' => '9 M3x25']),
            422,
            'fasteners',
            'cannot have been missing',
        );
    }

    public function test_a_longer_screw_in_its_place_is_judged(): void
    {
        $this->takeOff(['off' => 'Shroud', 'fasteners' => '4 M3x12', 'into' => 'plastic', 'engagementMm' => 8, 'roomMm' => 1])->assertOk();
        $this->back(1, ['fasteners' => '3 M3x12, 1 M3x16'])->assertOk();

        $fix = $this->fix();
        self::assertFalse($fix['substitutes'][0]['safe']);
        self::assertStringContainsString('4 mm further', $fix['differences'][0]['because']);
        self::assertSame('3 M3×12, 1 M3×16', $fix['steps'][0]['wentIn']);
    }

    public function test_two_passes_and_parts_and_plugs(): void
    {
        $this->takeOff([
            'off' => 'Rail',
            'fasteners' => '4 M5x25',
            'sockets' => ['Y'],
            'parts' => ['rail'],
            'firstPass' => 'all in, finger-tight',
            'secondPass' => 'evenly, snug',
        ])->assertOk();
        $this->back(1, ['finished' => false, 'sockets' => [], 'parts' => []])->assertOk();
        $kinds = array_column($this->fix()['differences'], 'kind');
        self::assertSame(['connector', 'part', 'pass'], $kinds);

        $this->back(1, ['parts' => ['rail' => 'new']])->assertOk();
        self::assertSame([], $this->fix()['differences']);
        $this->assertRefused($this->back(1, ['parts' => ['rail' => 'eaten']]), 422, 'parts.rail', 'back, new or written-off');
        $this->assertRefused($this->back(1, ['sockets' => ['Z']]), 422, 'sockets', 'Z');
    }

    public function test_bad_entries_are_refused_and_nothing_is_kept(): void
    {
        $before = $this->job->refresh()->version;
        $this->assertRefused($this->takeOff(['off' => 'Cover', 'fasteners' => '4 N3x12']), 422, 'fasteners', 'cannot be read');
        $this->assertRefused($this->takeOff(['off' => 'Cover', 'fasteners' => '-4 M3x12']), 422, 'fasteners', 'from 1 on');
        $this->assertRefused($this->takeOff(['off' => ' ']), 422, 'off', 'What came off');
        $this->assertRefused($this->takeOff(['off' => 'Cover', 'after' => [7]]), 422, 'after.0', 'no step 7 on this tray that is off');
        $this->assertRefused($this->takeOff(['off' => 'Cover', 'photograph' => 999]), 422, 'photograph', 'no such photograph');
        self::assertSame($before, $this->job->refresh()->version);

        $this->takeOff(['off' => 'Cover', 'fasteners' => '2 M3x25'])->assertOk();
        $this->assertRefused($this->back(1, ['fasteners' => '3 M3x25']), 422, 'fasteners', 'places for 2');
        $this->assertRefused($this->back(9), 404, 'step', 'no step 9');
        self::assertSame('off', $this->fix()['steps'][0]['standing'], 'the refused tick left nothing behind');
    }

    public function test_a_step_written_down_twice_is_withdrawn_and_those_after_it_wait_for_what_it_waited_for(): void
    {
        $this->takeOff(['off' => 'Cover', 'fasteners' => '2 M3x25'])->assertOk();
        $this->takeOff(['off' => 'Cover again', 'fasteners' => '2 M3x25'])->assertOk();
        $this->takeOff(['off' => 'Shroud', 'fasteners' => '4 M3x12'])->assertOk();
        $this->send('DELETE', $this->url('teardown-steps/2'))->assertOk();

        $fix = $this->fix();
        self::assertSame([3, 1], $fix['reassembly']);
        self::assertSame(['Shroud'], $fix['steps'][0]['waitsFor']);
        $this->back(3)->assertOk();
        $this->assertRefused($this->send('DELETE', $this->url('teardown-steps/3')), 409, 'step', 'take the tick away');
        $this->send('DELETE', $this->url('teardown-steps/3/back'))->assertOk();
        $this->send('DELETE', $this->url('teardown-steps/3'))->assertOk();
        self::assertSame([1], $this->fix()['reassembly']);
    }

    public function test_a_retry_after_a_dropped_connection_puts_it_on_the_tray_once(): void
    {
        $key = '7b0f4c0e-1111-4222-8333-444455556666';
        $first = $this->send('POST', $this->url('teardown-steps'), ['off' => 'Cover', 'fasteners' => '2 M3x25'], $key)->assertOk();
        $again = $this->send('POST', $this->url('teardown-steps'), ['off' => 'Cover', 'fasteners' => '2 M3x25'], $key)->assertOk();

        self::assertSame($first->json('version'), $again->json('version'));
        self::assertCount(1, $this->fix()['steps']);
    }

    public function test_what_was_unplugged_is_owed_its_proof(): void
    {
        $this->takeOff(['off' => 'Plugs', 'sockets' => ['TH', 'F2']])->assertOk();
        $proofs = array_column((array) $this->getJson("/api/v1/jobs/{$this->job->id}")->json('proofs'), 'because', 'code');

        self::assertSame('unplugged: TH', $proofs['runaway-hotend']);
        self::assertSame('unplugged: F2', $proofs['fans-turn']);
    }

    public function test_sizes_of_sister_machines_are_offered_first(): void
    {
        $this->takeOff(['off' => 'Odd bracket', 'fasteners' => '9 M4x16'])->assertOk();
        $sister = $this->job($this->machine());
        $sizes = (array) $this->getJson("/api/v1/jobs/{$sister->id}/fix")->json('sizes');

        self::assertSame('M4×16', $sizes[0]);
        self::assertSame(['Odd bracket'], $this->getJson("/api/v1/jobs/{$sister->id}/fix")->json('often'));
    }

    public function test_a_long_tray_asks_the_database_no_more_than_a_short_one(): void
    {
        $this->freezeTime();
        $count = function (): int {
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->fix();
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        $this->takeOff(['off' => 'Cover', 'fasteners' => '2 M3x25'])->assertOk();
        $count();
        $few = $count();
        for ($i = 0; $i < 12; $i++) {
            $this->takeOff(['off' => "Part {$i}", 'fasteners' => '2 M3x12', 'sockets' => ["S{$i}"], 'after' => []])->assertOk();
        }
        self::assertSame($few, $count());
    }

    public function test_who_may_not_work_may_not_write_on_the_tray(): void
    {
        $this->actingAs($this->person(Role::Counter));
        $this->takeOff(['off' => 'Cover'])->assertForbidden();
        $this->getJson($this->api('fix'))->assertOk();
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function takeOff(array $body): TestResponse
    {
        return $this->send('POST', $this->url('teardown-steps'), $body);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function back(int $step, array $body = ['finished' => true]): TestResponse
    {
        return $this->send('POST', $this->url("teardown-steps/{$step}/back"), $body);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function on(string $to): TestResponse
    {
        return $this->send('POST', $this->url('station'), ['to' => $to, 'version' => $this->job->refresh()->version]);
    }

    /** @return array<string, mixed> */
    private function fix(): array
    {
        return (array) $this->getJson($this->api('fix'))->assertOk()->json();
    }

    private function url(string $what): string
    {
        return "/jobs/{$this->job->id}/{$what}";
    }

    private function api(string $what): string
    {
        return '/api/v1'.$this->url($what);
    }
}
