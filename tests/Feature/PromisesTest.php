<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\BookIn;
use App\Intake\Booking;
use App\Intake\Job;
use App\Plan\Promises\Promise;
use App\Shop\Role;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;

/** Which day holds: what is offered, what is noted when it is promised, and what later promises learn of it. */
final class PromisesTest extends PlanTestCase
{
    public function test_a_day_is_offered_before_the_machine_is_booked_in(): void
    {
        $this->plan();
        $offer = $this->offer(['gear-dust']);
        self::assertMatchesRegularExpression('/^[A-Z][a-z]{2} \d+ Dec holds in 9 of 10/', $offer['words']);
        self::assertLessThanOrEqual($offer['eighty'], $offer['half']);
        self::assertLessThanOrEqual($offer['ninety'], $offer['eighty']);
        self::assertNotContains(Carbon::parse($offer['ninety'])->dayOfWeekIso, [6, 7], 'the shop is shut then');
        $chances = array_column($offer['chances'], 'chance', 'day');
        self::assertGreaterThanOrEqual(0.9, $chances[$offer['ninety']]);
        $sorted = array_values($chances);
        sort($sorted);
        self::assertSame($sorted, array_values($chances));
        // twenty machines before it take days
        for ($i = 0; $i < 20; $i++) {
            $this->promised('2026-12-08');
        }
        $this->plan();
        self::assertGreaterThan($offer['ninety'], $this->offer(['gear-dust'])['ninety']);
        // and nobody there takes longer still
        $before = $this->offer([])['half'];
        $this->away(null, '2026-12-07', null, null, '2026-12-18')->assertForbidden();
        $this->actingAs($this->ada);
        $this->away(null, '2026-12-07', null, null, '2026-12-18')->assertOk();
        self::assertGreaterThan($before, $this->offer([])['half']);
        self::assertGreaterThanOrEqual('2026-12-21', $this->offer([])['half']);
    }

    public function test_what_is_left_of_today_counts_and_one_works_on_it_at_a_time(): void
    {
        $this->plan();
        self::assertSame('2026-12-07', $this->offer([])['half'], 'at nine there is time today');
        $this->travelTo(Carbon::parse('2026-12-07T16:30:00+01:00'));
        $this->plan();
        self::assertSame('2026-12-08', $this->offer([])['half'], 'at half past four there is not');
        $this->travelTo(Carbon::parse('2026-12-07T18:00:00+01:00'));
        $this->plan();
        self::assertSame('2026-12-08', $this->offer([])['half'], 'nor when the shop is shut');
        // four more people do not make one machine ready sooner
        $before = $this->offer([])['chances'];
        foreach (range(1, 4) as $one) {
            $this->person();
        }
        self::assertEqualsWithDelta($before[0]['chance'], $this->offer([])['chances'][0]['chance'], 0.02);
        $this->travelTo(Carbon::parse('2026-12-12T11:00:00+01:00'));
        $this->plan();
        self::assertSame('2026-12-14', $this->offer([])['half'], 'on a Saturday it is Monday');
    }

    public function test_what_is_promised_is_noted_with_what_was_to_be_expected_then(): void
    {
        $this->plan();
        $job = $this->bookIn('2026-12-11');
        $noted = Promise::query()->sole();
        self::assertSame(['book-in', '2026-12-11', $job->id], [$noted->kind, $noted->promised_for?->toDateString(), $noted->job_id]);
        self::assertTrue($noted->half <= $noted->eighty && $noted->eighty <= $noted->ninety);
        $this->send('PATCH', "/jobs/{$job->id}", ['promisedFor' => '2026-12-14', 'version' => $job->refresh()->version])->assertOk();
        self::assertSame(['book-in', 'changed'], Promise::query()->orderBy('id')->pluck('kind')->all());
        self::assertSame('2026-12-14', Promise::query()->orderByDesc('id')->first()?->promised_for?->toDateString());
        $this->send('PATCH', "/jobs/{$job->id}", ['complaint' => 'It clicks loudly', 'version' => $job->refresh()->version])->assertOk();
        self::assertSame(2, Promise::query()->count(), 'nothing was promised');
        $this->bookIn(null);
        self::assertSame(2, Promise::query()->count());
    }

    public function test_an_open_job_has_its_days_and_an_estimate_that_goes_out_notes_them(): void
    {
        $job = $this->promised('2026-12-11');
        $this->safe($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $job->refresh()->version])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['gear-dust' => true, 'gaps-in-fill' => true]])->assertOk();
        $this->plan();
        $first = $this->ofJob($job);
        self::assertStringContainsString('holds in 9 of 10', $first['words']);
        $this->actingAs($this->person(Role::Counter));
        $upTo = (int) DB::table('job_findings')->where('job_id', $job->id)->max('id');
        $this->send('POST', "/jobs/{$job->id}/estimates", ['way' => 'phone', 'upToFinding' => $upTo])->assertOk();
        self::assertSame('estimate', Promise::query()->sole()->kind);
        $job->update(['finished_at' => now()]);
        $this->getJson("/api/v1/jobs/{$job->id}/promise")->assertNotFound();
    }

    public function test_later_ones_learn_from_how_late_earlier_ones_were(): void
    {
        $this->plan();
        $before = $this->offer([]);
        for ($i = 0; $i < 6; $i++) {
            $job = $this->bookIn('2026-12-09');
            Promise::query()->where('job_id', $job->id)->update(
                ['half' => '2026-11-23', 'eighty' => '2026-11-23', 'ninety' => '2026-11-24'],
            );
            $job->update(['finished_at' => Carbon::parse('2026-11-30T12:00:00+01:00')->utc()]);
            if ($i === 3) {
                $this->plan();
                self::assertStringNotContainsString('Learned', $this->offer([])['words'], 'four are too few');
            }
        }
        $this->plan();
        $after = $this->offer([]);
        self::assertStringContainsString('Learned from 6 earlier ones.', $after['words']);
        // each was a week of shop days later than thought
        self::assertSame(Carbon::parse($before['half'])->addWeek()->toDateString(), $after['half']);
    }

    public function test_a_promise_that_does_not_hold_says_what_would_save_it(): void
    {
        $job = $this->promised('2026-12-08');
        $job->update(['waits_for' => 'part', 'waits_note' => 'a fan', 'waits_until' => Carbon::parse('2026-12-10T10:00:00+01:00')->utc()]);
        $other = $this->promised('2026-12-11');
        $this->plan();
        $warnings = $this->today()['warnings'];
        self::assertSame([$job->id], array_column($warnings, 'job'));
        self::assertSame('2 days late by this plan.', $warnings[0]['words']);
        self::assertSame(['Its part at once: ask the supplier, or buy it elsewhere.'], $warnings[0]['ways']);
        self::assertSame([$job->machine->tag], $this->getJson('/api/v1/bench')->assertOk()->json('warnings.*.tag'), 'and on Bench');
        self::assertNotSame($job->machine->tag, $other->machine->tag);
    }

    /** @return array<string, mixed> */
    private function ofJob(Job $job): array
    {
        $this->anew();

        /** @var array<string, mixed> */
        return $this->getJson("/api/v1/jobs/{$job->id}/promise")->assertOk()->json();
    }

    /**
     * @param  list<string>  $findings
     * @return array<string, mixed>
     *
     * @phpstan-impure
     */
    private function offer(array $findings): array
    {
        $this->anew();

        /** @var array<string, mixed> */
        return $this->send('POST', '/plan/promise-offer', ['family' => 'tern-220', 'findings' => $findings])->assertOk()->json();
    }

    private function bookIn(?string $promised): Job
    {
        $this->anew();
        $booking = new Booking(JobKind::Repair, 'It clicks', Began::CreptIn, 1200.0, promisedFor: $promised);

        return $this->app->make(BookIn::class)->book($this->machine('tern-220', 'owner'), $booking, $this->bo);
    }
}
