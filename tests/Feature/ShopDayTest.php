<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Intake\WorkSpell;
use App\Machines\Warranty;
use App\Shop\Setting;
use App\Shop\ShopDay;
use Illuminate\Support\Carbon;

/** A shop half a day ahead of its server: it is the 28th there already, at one in the morning. */
final class ShopDayTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-27 12:00:00');
        Setting::put('zone', 'Pacific/Auckland');
        app()->forgetScopedInstances();
        $this->actingAs($this->person());
    }

    public function test_the_day_is_the_shops_and_it_began_at_its_midnight(): void
    {
        $day = app(ShopDay::class);

        self::assertSame('2026-11-28', $day->today());
        self::assertSame('2026-11-27T11:00:00+00:00', $day->began()->toIso8601String());
    }

    public function test_what_was_promised_for_yesterday_is_late_and_cannot_be_promised(): void
    {
        $job = $this->job();
        Job::query()->whereKey($job->id)->update(['promised_for' => '2026-11-27']);
        $bench = $this->getJson('/api/v1/bench')->assertOk();

        self::assertTrue(
            collect((array) $bench->json('groups'))->flatMap(static fn (array $g): array => $g['lines'])
                ->firstWhere('job', $job->id)['late'],
        );
        self::assertStringContainsString('so it is late', (string) $bench->json('pickBecause'));
        $new = ['kind' => 'repair', 'family' => 'tern-220', 'heldAs' => 'farm', 'complaint' => 'It clicks', 'began' => 'crept-in'];
        $this->assertRefused($this->send('POST', '/jobs', ['promisedFor' => '2026-11-27'] + $new), 422, 'promisedFor', 'passed already');
        $this->send('POST', '/jobs', ['promisedFor' => '2026-11-28'] + $new)->assertOk();
    }

    public function test_the_last_day_of_a_warranty_counts_and_the_next_does_not(): void
    {
        $machine = $this->machine();
        foreach (['2026-11-27' => false, '2026-11-28' => true] as $until => $runs) {
            $machine->update(['warranty_until' => $until, 'warranty_by' => 'maker']);
            self::assertSame($runs, $this->app->make(Warranty::class)->runs($machine->refresh()), $until);
        }
    }

    public function test_hands_before_the_shops_midnight_were_yesterdays(): void
    {
        $job = $this->job();
        WorkSpell::query()->delete();
        foreach (['10:00' => '10:40', '11:20' => '11:50'] as $from => $to) {
            WorkSpell::query()->create([
                'job_id' => $job->id,
                'person_id' => $this->person()->id,
                'station' => 'diagnosis',
                'began_at' => "2026-11-27 {$from}:00",
                'last_seen_at' => "2026-11-27 {$to}:00",
                'ended_at' => "2026-11-27 {$to}:00",
            ]);
        }

        self::assertSame(30, $this->getJson('/api/v1/bench')->json('minutesDone'));
    }
}
