<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Shop\Setting;
use Database\Seeders\Demo\DemoDates;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/** The demo’s dates are moved to any day, and nothing else is. */
final class DemoDatesTest extends BenchTestCase
{
    /** @return iterable<string, array{string}> */
    public static function days(): iterable
    {
        foreach ([
            '2026-11-27 07:50:00',
            '2027-03-28 00:55:00',
            '2027-12-31 23:50:00',
            '2028-01-01 00:05:00',
            '2028-02-29 08:00:00',
            '2029-03-01 12:00:00',
        ] as $day) {
            yield $day => [$day];
        }
    }

    #[DataProvider('days')]
    public function test_every_kind_of_date_moves_by_the_same(string $day): void
    {
        $job = $this->job();
        DB::table('jobs')->where('id', $job->id)->update(['opened_at' => '2026-11-20 09:30:00+00', 'promised_for' => '2026-12-01']);
        DB::table('job_events')->where('job_id', $job->id)->update([
            'at' => '2026-11-20 09:30:00+00',
            'text' => 'Promised for 2026-12-01, 3 × M3x12 from 2026',
        ]);
        $version = $job->refresh()->version;

        DemoDates::move(Carbon::parse($day, 'UTC'));
        $moved = DB::table('jobs')->where('id', $job->id)->first();
        $expected = DB::selectOne(
            "SELECT timestamptz '2026-11-20 09:30:00+00' + (timestamptz '{$day}+00' - timestamptz '2026-11-25 15:10:00+00') AS at, date '2026-12-01' + (date '{$day}' - date '2026-11-25') AS day",
        );
        self::assertSame([$expected->at, $expected->day, $version], [$moved?->opened_at, $moved?->promised_for, $moved?->version]);
        self::assertSame(
            "Promised for {$expected->day}, 3 × M3x12 from 2026",
            DB::table('job_events')->where('job_id', $job->id)->value('text'),
        );

        // moved twice is moved once to the last day
        DemoDates::move(Carbon::parse('2031-05-05 05:05:05', 'UTC'));
        DemoDates::move(Carbon::parse($day, 'UTC'));
        self::assertEquals($moved, DB::table('jobs')->where('id', $job->id)->first());
        self::assertSame($day, Setting::text('demo_ended_at'));
    }
}
