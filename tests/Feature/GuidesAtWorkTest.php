<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Repair\Guides\GuideRun;
use App\Safety\PutOnRedTag;
use App\Shop\Role;
use App\Stock\Parts\Part;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use OddBench\Knowledge\Knowledge;

/** A guide in a job: its steps fill the tray, its clocks ring everywhere, its kit is promised, its minutes are learned from. */
final class GuidesAtWorkTest extends BenchTestCase
{
    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person());
        $this->job = $this->job();
        $this->atFix($this->job);
    }

    public function test_guides_for_the_confirmed_fault_come_first_and_only_those_for_this_machine(): void
    {
        $guides = (array) $this->getJson($this->api('fix'))->json('guides');

        self::assertSame('replace-liner', $guides[0]['code']);
        self::assertSame('Liner cooked', $guides[0]['for']);
        self::assertEqualsWithDelta(35.0, $guides[0]['estimate'], 0.01, 'never done: the first time');
        self::assertNotContains('clear-feeder', array_column($guides, 'code'), 'a Tern has no feeder');
    }

    public function test_its_steps_become_steps_of_the_tray_and_its_end_notes_the_mend(): void
    {
        $run = $this->begin('replace-liner');
        $guide = $this->app->make(Knowledge::class)->guides['replace-liner'];
        foreach (array_keys($guide->stepsOf(null)) as $number) {
            $this->tick($run, $number)->assertOk();
        }
        $fix = (array) $this->getJson($this->api('fix'))->json();
        self::assertSame(['Hot-end cover', 'Liner'], array_column($fix['steps'], 'off'));
        self::assertSame('press the collar down', $fix['steps'][1]['undoFirst']);

        $this->send('POST', $this->url("guide-runs/{$run}/end"), ['minutes' => 31])->assertOk();
        $job = (array) $this->getJson("/api/v1{$this->url('')}")->json();
        self::assertTrue($job['diagnoses'][0]['mended']);
        self::assertSame('Replace the PTFE tube (liner)', $job['mends'][0]['done']);
        self::assertContains('runaway-hotend', array_column($job['proofs'], 'code'));
        self::assertSame(31.0, GuideRun::query()->find($run)?->minutes);
        self::assertSame([], $this->getJson($this->api('fix'))->json('runs'));
    }

    public function test_it_does_not_end_with_steps_open_but_may_be_stopped(): void
    {
        $run = $this->begin('replace-liner');
        $this->tick($run, 1)->assertOk();

        $this->assertRefused($this->send('POST', $this->url("guide-runs/{$run}/end"), ['givenUp' => false]), 409, 'step', 'are not ticked');
        $this->send('POST', $this->url("guide-runs/{$run}/end"), ['givenUp' => true])->assertOk();
        self::assertSame([], $this->getJson("/api/v1{$this->url('')}")->json('mends'), 'nothing was mended by it');
        $this->assertRefused($this->tick($run, 2), 404, 'run', 'not open');
    }

    public function test_what_cannot_be_is_refused(): void
    {
        $this->assertRefused($this->start('clear-feeder'), 422, 'school', 'choose one');
        $this->assertRefused($this->start('clear-feeder', 'on the machine'), 409, 'guide', 'not for this machine');
        $this->assertRefused($this->start('belts-and-tensioner'), 422, 'school', 'by a sister machine or by pitch');
        $this->assertRefused($this->start('nonsense'), 422, 'guide', 'no guide “nonsense”');
        $run = $this->begin('replace-liner');
        $this->assertRefused($this->start('replace-liner'), 409, 'guide', 'open in this job already');
        $this->assertRefused($this->tick($run, 99), 404, 'step', 'no step 99');
        $this->tick($run, 1)->assertOk();
        $this->assertRefused($this->tick($run, 1), 409, 'step', 'ticked already');
        $this->assertRefused($this->send('POST', $this->url("guide-runs/{$run}/steps/1/timer")), 404, 'step', 'no timer');
    }

    public function test_a_tick_taken_away_takes_its_tray_step_along(): void
    {
        $run = $this->begin('replace-liner');
        foreach ([1, 2, 3, 4] as $number) {
            $this->tick($run, $number)->assertOk();
        }
        self::assertSame(['Hot-end cover', 'Liner'], array_column((array) $this->getJson($this->api('fix'))->json('steps'), 'off'));
        $this->send('DELETE', $this->url("guide-runs/{$run}/steps/4"))->assertOk();
        self::assertSame(['Hot-end cover'], array_column((array) $this->getJson($this->api('fix'))->json('steps'), 'off'));
        self::assertSame([1, 2, 3], $this->getJson($this->api('fix'))->json('runs.0.done'));
    }

    public function test_under_a_red_tag_no_step_that_needs_power_is_ticked(): void
    {
        $run = $this->begin('replace-liner');
        $this->tick($run, 1)->assertOk();
        DB::transaction(fn () => $this->app->make(PutOnRedTag::class)->on($this->job->refresh(), 'smell', $this->person()));

        $this->assertRefused($this->tick($run, 2), 409, 'step', 'red tag');
    }

    public function test_its_clock_rings_on_every_screen_until_somebody_stops_it(): void
    {
        $run = $this->begin('replace-liner');
        $this->tick($run, 1)->assertOk();
        $this->send('POST', $this->url("guide-runs/{$run}/steps/5/timer"))->assertOk();
        $this->assertRefused($this->send('POST', $this->url("guide-runs/{$run}/steps/5/timer")), 409, 'step', 'runs already');

        $this->actingAs($this->person(Role::Counter));
        $timers = (array) $this->getJson('/api/v1/bench')->json('timers');
        self::assertSame(['cool down', $this->job->machine->tag], [$timers[0]['name'], $timers[0]['tag']]);
        self::assertEqualsWithDelta(now()->addMinutes(12)->timestamp, strtotime((string) $timers[0]['ringsAt']), 2);

        $this->travel(13)->minutes();
        self::assertCount(1, (array) $this->getJson('/api/v1/bench')->json('timers'), 'it rings until it is stopped');
        $this->send('DELETE', $this->url("timers/{$timers[0]['id']}"))->assertForbidden();
        $this->actingAs($this->person());
        $this->send('DELETE', $this->url("timers/{$timers[0]['id']}"))->assertOk();
        self::assertSame([], $this->getJson('/api/v1/bench')->json('timers'));
        $this->assertRefused($this->send('DELETE', $this->url("timers/{$timers[0]['id']}")), 409, 'timer', 'stopped already');
    }

    public function test_a_clock_of_ones_own(): void
    {
        $this->send('POST', $this->url('timers'), ['name' => 'glue sets', 'minutes' => 5])->assertOk();
        self::assertSame('glue sets', $this->getJson('/api/v1/bench')->json('timers.0.name'));
        $this->assertRefused($this->send('POST', $this->url('timers'), ['name' => 'x', 'minutes' => -1]), 422, 'minutes', 'give minutes');
    }

    public function test_minutes_are_of_hands_without_the_waits_and_the_estimate_learns(): void
    {
        $me = $this->person();
        $this->actingAs($me);
        $run = $this->begin('replace-liner');
        $this->tick($run, 1)->assertOk();
        $this->travel(4)->minutes();
        $this->send('POST', $this->url("guide-runs/{$run}/steps/5/timer"))->assertOk();
        $this->travel(12)->minutes();
        foreach (range(2, 12) as $number) {
            $this->tick($run, $number)->assertOk();
        }
        $this->travel(6)->minutes();
        $this->send('POST', $this->url("guide-runs/{$run}/end"), ['givenUp' => false])->assertOk();
        self::assertEqualsWithDelta(10.0, GuideRun::query()->find($run)?->minutes, 0.2, '22 minutes, of which 12 were waited');

        $line = collect((array) $this->getJson('/api/v1/guides')->json('guides'))->firstWhere('code', 'replace-liner');
        self::assertSame(1, $line['times']);
        self::assertLessThan(30.0, $line['estimate'], 'quicker than the guide says');
        $this->actingAs($this->person());
        $other = collect((array) $this->getJson('/api/v1/guides')->json('guides'))->firstWhere('code', 'replace-liner');
        self::assertEqualsWithDelta(35.0, $other['estimate'], 0.01, 'somebody else has not learned it');
    }

    public function test_the_kit_is_checked_and_promised_and_nobody_else_takes_it(): void
    {
        $liner = $this->part(1);
        $run = $this->begin('replace-liner');
        $kit = (array) $this->getJson($this->api('fix'))->json('runs.0.kit');
        self::assertSame(['LIN-1', 'C4', 1, 0], [$kit[0]['part'], $kit[0]['bin'], $kit[0]['free'], $kit[0]['short']]);
        self::assertNull($kit[1]['part'], 'no fitting is known on the shelf');
        self::assertTrue($kit[1]['ifNeeded']);

        $this->send('POST', $this->url("guide-runs/{$run}/kit"))->assertOk();
        self::assertSame(1, $this->getJson($this->api('fix'))->json('promised'));

        $other = $this->job($this->machine());
        $this->atFix($other);
        $this->assertRefused(
            $this->send('POST', "/jobs/{$other->id}/parts", ['part' => 'LIN-1', 'quantity' => 1]),
            409,
            'quantity',
            "1 promised to other jobs: {$this->job->machine->tag}",
        );
        $this->send('POST', $this->url('parts'), ['part' => 'LIN-1', 'quantity' => 1, 'position' => 'liner'])->assertOk();
        self::assertSame(0, $liner->refresh()->on_hand);
        self::assertSame(0, $this->getJson($this->api('fix'))->json('promised'), 'the promise was kept');
    }

    public function test_the_last_one_is_promised_to_one_job_only(): void
    {
        $this->part(1);
        $run = $this->begin('replace-liner');
        $this->send('POST', $this->url("guide-runs/{$run}/kit"))->assertOk();
        $first = $this->job;
        $this->job = $this->job($this->machine());
        $this->atFix($this->job);
        $second = $this->begin('replace-liner');

        $this->assertRefused($this->send('POST', $this->url("guide-runs/{$second}/kit")), 409, 'kit', 'Nothing of this kit is free');
        $this->send('DELETE', "/jobs/{$first->id}/promised-parts")->assertOk();
        $this->send('POST', $this->url("guide-runs/{$second}/kit"))->assertOk();
    }

    public function test_another_part_of_the_class_is_named_when_the_usual_one_is_short(): void
    {
        $this->part(0);
        $long = Part::query()->create(['number' => 'LIN-2', 'name' => 'Liner, long', 'class' => 'liner', 'bin' => 'C5']);
        $this->app->make(MoveStock::class)->receive($long, 4, 120, null, $this->person(Role::Counter));
        $this->begin('replace-liner');
        $kit = (array) $this->getJson($this->api('fix'))->json('runs.0.kit.0');

        self::assertSame('LIN-2', $kit['part'], 'nothing was ever used on this family, so what is there goes first');
        self::assertSame(0, $kit['short']);
    }

    public function test_the_guides_place_lists_and_shows_them_all(): void
    {
        $all = (array) $this->getJson('/api/v1/guides')->assertOk()->json('guides');
        self::assertGreaterThanOrEqual(30, count($all));
        $one = (array) $this->getJson('/api/v1/guides/change-nozzle-hot')->assertOk()->json();
        self::assertSame('switched off', $one['steps'][2]['power']);
        self::assertSame('heater off, still hot', $one['steps'][2]['heat']);
        self::assertContains('Runaway test, hot end', $one['proofs']);
        $this->getJson('/api/v1/guides/nonsense')->assertNotFound();
    }

    private function begin(string $guide, ?string $school = null): int
    {
        $this->start($guide, $school)->assertOk();

        return (int) GuideRun::query()->where(['job_id' => $this->job->id, 'guide' => $guide])->latest('id')->value('id');
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function start(string $guide, ?string $school = null): TestResponse
    {
        return $this->send('POST', $this->url('guide-runs'), ['guide' => $guide, 'school' => $school]);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function tick(int $run, int $step): TestResponse
    {
        return $this->send('POST', $this->url("guide-runs/{$run}/steps/{$step}"));
    }

    private function url(string $what): string
    {
        return rtrim("/jobs/{$this->job->id}/{$what}", '/');
    }

    private function api(string $what): string
    {
        return '/api/v1'.$this->url($what);
    }
}
