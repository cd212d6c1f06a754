<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Machines\CounterSource;
use App\Machines\Machine;
use App\Machines\NoteHours;
use App\Plan\Ahead\Weights;
use App\Plan\Making\SituationQuery;
use App\Proof\Run\ProofRun;
use App\Repair\Timers\Timer;
use App\Shop\Setting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Plan\ChainStep;
use OddBench\Plan\Watch;

/** How far a job is, as the plan takes it out of every room’s record. */
final class AheadTest extends PlanTestCase
{
    public function test_the_chain_follows_the_job_through_its_stations(): void
    {
        $job = $this->promised('2026-12-11');
        self::assertSame('Safety questions', $this->what($job)[0]);
        $this->atFind($job);
        self::assertNotContains('Safety questions', $this->what($job));
        $this->send(
            'POST',
            "/jobs/{$job->id}/findings",
            ['findings' => ['jams-when-warm' => true, 'hot-material-used' => true]],
        )->assertOk();
        $looking = $this->what($job);
        $this->send('POST', "/jobs/{$job->id}/faults", ['faults' => ['tube-cooked'], 'version' => $job->refresh()->version])->assertOk();
        $fixing = $this->what($job);
        self::assertNotSame($looking, $fixing);
        self::assertStringStartsWith('Replace the PTFE tube', $fixing[0]);
        self::assertNotContains('Go on looking', $fixing);
        self::assertSame('Send out', $fixing[count($fixing) - 1]);
    }

    public function test_proofs_that_passed_are_not_ahead_and_what_is_hot_must_have_earned_to_be_left(): void
    {
        Setting::put('nights', true);
        $job = $this->promised('2026-12-11');
        $this->atProve($job);
        $long = fn (): ?ChainStep => array_values(
            array_filter($this->chain($job), static fn (ChainStep $s): bool => str_contains($s->what, 'long print')),
        )[0] ?? null;
        $before = $this->what($job);
        self::assertNotNull($long());
        self::assertNotSame(Watch::Nobody, $long()->watch, 'no heater of it was ever seen to stop');
        self::assertSame('Prove: tug heater and sensor leads', $before[0]);
        $this->send('POST', "/jobs/{$job->id}/proofs", ['proof' => 'leads-tug', 'passed' => true])->assertOk();
        self::assertSame(array_slice($before, 1), $this->what($job));
    }

    public function test_proofs_that_run_on_the_printer_go_by_themselves_and_are_not_planned_again(): void
    {
        $job = $this->promised('2026-12-11');
        $this->atProve($job);
        $before = $this->what($job);
        $run = ProofRun::query()->create([
            'job_id' => $job->id, 'machine_id' => $job->machine_id, 'address' => '', 'person_id' => $this->bo->id,
            'stages' => ['hotend-hold', 'runaway-hotend', 'long'], 'results' => (object) [],
            'state' => 'running', 'stage' => 'hotend-hold', 'began_at' => now(), 'stage_since' => now()->subSeconds(100),
        ]);
        $first = $this->chain($job)[0];
        self::assertSame(
            ['Proofs on the printer', 0, (int) ceil((280 - 100 + 240 + 11_400) / 60), true, Watch::Beside],
            [$first->what, $first->hands, $first->alone, $first->begun, $first->watch],
        );
        self::assertContains('Prove: a long print', $before);
        self::assertNotContains('Prove: a long print', $this->what($job));
        self::assertContains('Prove: tug heater and sensor leads', $this->what($job), 'no printer does that');

        $run->update([
            'results' => ['hotend-hold' => ['passed' => true], 'runaway-hotend' => ['passed' => true]],
            'stage' => 'long',
            'stage_since' => now(),
        ]);
        self::assertSame(190, $this->chain($job)[0]->alone);
        $run->update(['state' => 'stopped', 'ended_at' => now()]);
        self::assertSame($before, $this->what($job));
    }

    public function test_what_goes_by_itself_comes_first_with_the_minutes_that_are_left(): void
    {
        $job = $this->toMend('filament-wet', '2026-12-11');
        Timer::query()->create([
            'job_id' => $job->id, 'name' => 'drying', 'person_id' => $this->bo->id,
            'began_at' => now(), 'rings_at' => now()->addMinutes(90),
        ]);
        $first = $this->chain($job)[0];
        self::assertSame(['drying', 0, 90, true], [$first->what, $first->hands, $first->alone, $first->begun]);
        $this->travel(30)->minutes();
        self::assertSame(60, $this->chain($job)[0]->alone);
        $this->travel(61)->minutes();
        self::assertNotSame('drying', $this->chain($job)[0]->what, 'it has rung');
        $job->update(['waits_for' => 'itself', 'waits_note' => 'a soak', 'waits_until' => now()->addMinutes(20)]);
        self::assertSame(['a soak', 20], [$this->chain($job)[0]->what, $this->chain($job)[0]->alone]);
    }

    public function test_a_day_costs_what_its_machine_is_held_for(): void
    {
        Setting::put('print_hour_minor', 120);
        Setting::put('holding_pct', 20);
        Setting::put('bench_minute_minor', 90);
        $perDay = fn (Job ...$jobs): array => $this->app->make(Weights::class)->perDay(new Collection(array_values($jobs)));
        $farm = $this->job($this->machine('tern-220', 'farm'), $this->bo);
        $owner = $this->promised('2026-12-11');
        $resale = $this->job(
            tap($this->machine('tern-220', 'resale'), static fn (Machine $m) => $m->update(['price_paid_minor' => 36_500])),
            $this->bo,
        );

        $costs = $perDay($farm, $owner, $resale);
        self::assertSame([$farm->id, $owner->id, $resale->id], array_keys($costs));
        self::assertEqualsWithDelta(8 * 120.0, $costs[$farm->id], 1e-9);
        self::assertEqualsWithDelta(20.0, $costs[$resale->id], 1e-9, 'a fifth of 365.00 a year');
        self::assertGreaterThan(0.0, $costs[$owner->id]);

        $before = (float) $farm->machine->hours - 140;
        $this->app->make(NoteHours::class)->note($farm->machine, $before, CounterSource::Typed, $this->bo, Carbon::now()->subDays(14));
        $this->anew();
        self::assertEqualsWithDelta(10 * 120.0, $perDay($farm)[$farm->id], 1e-6, 'seventy hours a week are ten a day');
        self::assertSame(
            ['idle in the farm', 'its owner waits', 'for sale'],
            array_map(Weights::words(...), [$farm, $owner, $resale]),
        );
    }

    public function test_whose_hands_are_on_it_goes_on_with_it_and_what_is_gone_of_it_is_gone(): void
    {
        $job = $this->promised('2026-12-11');
        $this->send('POST', "/jobs/{$job->id}/hands", ['on' => true])->assertOk();
        $this->plan();
        $step = $this->stepOf($job);
        self::assertSame(
            [$this->bo->id, true, now()->toIso8601String()],
            [$step['person'], $step['begun'], Carbon::parse($step['start'])->toIso8601String()],
        );
        // who has gone away from it long ago does not hold it
        DB::table('work_spells')->update(['last_seen_at' => now()->subHours(5)]);
        $this->plan();
        self::assertFalse($this->stepOf($job)['begun']);
    }

    public function test_the_week_says_who_is_planned_how_much_what_is_ready_and_what_is_in_no_plan(): void
    {
        $job = $this->promised('2026-12-08');
        $waits = $this->promised('2026-12-09');
        $waits->update(['waits_for' => 'person', 'waits_note' => 'Ada', 'waits_since' => now()]);
        $this->order($this->part(0, 'fan', 'FAN-9'), 2, '2026-12-08T10:00:00+01:00');
        $this->away($this->bo, '2026-12-10', null, null)->assertOk();
        $this->plan();
        $week = $this->told('week');

        self::assertSame(
            ['2026-12-07', '2026-12-08', '2026-12-09', '2026-12-10', '2026-12-11', '2026-12-12', '2026-12-13'],
            array_column($week['days'], 'day'),
        );
        self::assertSame([null, null, null, null, null, 'shut', 'shut'], array_column($week['days'], 'shut'));
        self::assertSame([$job->machine->tag], array_column($week['days'][0]['ready'], 'tag'));
        self::assertSame(['2 × Liner 4/2 mm'], $week['days'][1]['parts']);
        self::assertSame([$waits->machine->tag], array_column($week['later'], 'tag'));
        $loads = array_column($week['days'][0]['loads'], null, 'name');
        self::assertSame(435, $loads[$this->bo->name]['here'], 'from nine on: three hours, and four and a quarter');
        $planned = array_sum(array_map(
            static fn (array $s): float => Carbon::parse($s['start'])->diffInMinutes(Carbon::parse($s['end'])),
            $this->steps(),
        ));
        self::assertEqualsWithDelta($planned, array_sum(array_column($week['days'][0]['loads'], 'planned')), 0.01);
        self::assertSame([$this->ada->name], array_column($week['days'][3]['loads'], 'name'), 'Bo is away');
    }

    /** @return list<ChainStep> */
    private function chain(Job $job): array
    {
        $this->anew();

        return $this->app->make(SituationQuery::class)->read()->chains[$job->id];
    }

    /** @return list<string> */
    private function what(Job $job): array
    {
        return array_map(static fn (ChainStep $step): string => $step->what, $this->chain($job));
    }
}
