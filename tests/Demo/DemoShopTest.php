<?php

declare(strict_types=1);

namespace Tests\Demo;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** The demo shop as it was played: its rates, hours, stock and history agree with each other. */
final class DemoShopTest extends DemoTestCase
{
    public function test_it_is_as_large_as_it_says(): void
    {
        self::assertGreaterThanOrEqual(60, DB::table('machines')->count());
        self::assertGreaterThanOrEqual(180, DB::table('jobs')->whereNotNull('finished_at')->count());
        // fourteen at work, two for the night, two that are ready and not fetched
        self::assertSame(18, DB::table('jobs')->whereNull('finished_at')->count());
        self::assertGreaterThanOrEqual(130, DB::table('parts')->count());
        self::assertSame(2, DB::table('red_tags')->whereNull('off_at')->count());
        self::assertSame(1, DB::table('work_spells')->whereNull('ended_at')->count());
    }

    public function test_on_hand_and_its_value_are_the_sums_of_the_movements(): void
    {
        $wrong = DB::select(
            'SELECT p.number FROM parts p LEFT JOIN movements m ON m.part_id = p.id GROUP BY p.id HAVING p.on_hand <> coalesce(sum(m.quantity), 0) OR p.value_minor <> coalesce(sum(m.value_minor), 0)',
        );

        self::assertSame([], $wrong);
    }

    public function test_nothing_happens_backwards(): void
    {
        self::assertSame(
            [],
            DB::select(
                'SELECT 1 FROM (SELECT at, lag(at) OVER (PARTITION BY machine_id ORDER BY id) AS before FROM job_events) e WHERE at < before',
            ),
        );
        self::assertSame(
            [],
            DB::select(
                'SELECT 1 FROM (SELECT hours, lag(hours) OVER (PARTITION BY machine_id ORDER BY id) AS before FROM jobs) j WHERE hours < before',
            ),
        );
        self::assertSame(
            [],
            DB::select(
                'SELECT 1 FROM (SELECT at, lag(at) OVER (PARTITION BY part_id ORDER BY id) AS before FROM movements) m WHERE at < before',
            ),
        );
        self::assertSame([], DB::select('SELECT 1 FROM jobs WHERE finished_at < opened_at'));
        self::assertSame(0, DB::table('job_events')->where('at', '>', now())->count());
        self::assertGreaterThan(400, now()->diffInDays((string) DB::table('jobs')->min('opened_at'), true));
    }

    public function test_hands_are_on_one_job_at_a_time(): void
    {
        self::assertSame(
            [],
            DB::select(
                'SELECT 1 FROM work_spells a JOIN work_spells b ON a.person_id = b.person_id AND a.id < b.id AND a.began_at < b.ended_at AND b.began_at < a.ended_at',
            ),
        );
    }

    public function test_every_finished_job_was_released_proved_and_mended(): void
    {
        self::assertSame(
            0,
            DB::table('jobs')->whereNotNull('finished_at')->whereNotIn('id', DB::table('releases')->select('job_id'))->count(),
        );
        self::assertSame(
            [],
            DB::select(
                'SELECT d.id FROM diagnoses d JOIN jobs j ON j.id = d.job_id WHERE j.finished_at IS NOT NULL AND d.superseded_at IS NULL '
                    ."AND j.id NOT IN (SELECT job_id FROM releases WHERE destination = 'unmended') "
                    .'AND NOT EXISTS (SELECT 1 FROM mends m WHERE m.job_id = d.job_id AND m.fault = d.fault)',
            ),
        );
        self::assertSame(
            [],
            DB::select(
                "SELECT j.id FROM jobs j JOIN releases r ON r.job_id = j.id WHERE r.destination NOT IN ('donor', 'unmended') "
                    ."AND NOT EXISTS (SELECT 1 FROM proof_results p WHERE p.job_id = j.id AND p.proof = 'small-print' AND p.passed)",
            ),
        );
    }

    public function test_what_is_written_off_gives_its_parts_to_the_shelf(): void
    {
        self::assertSame(
            ['donor'],
            DB::table('machines')->whereIn(
                'id',
                DB::table('jobs')->join('releases', 'releases.job_id', '=', 'jobs.id')->where('destination', 'donor')->select('machine_id'),
            )->distinct()->pluck('place')->all(),
        );
        $spares = DB::select(
            "SELECT p.grade, p.on_hand FROM movements m JOIN parts p ON p.id = m.part_id JOIN machines x ON x.id = m.machine_id WHERE m.kind = 'salvaged' AND x.place = 'donor'",
        );
        self::assertGreaterThanOrEqual(2, count($spares));
        self::assertNotContains('new', array_column($spares, 'grade'));
        self::assertSame(0, Artisan::call('odd-bench:audit'), Artisan::output());
    }

    public function test_the_shelf_shows_what_it_can(): void
    {
        self::assertSame(1, DB::table('stocktakes')->whereNull('ended_at')->count());
        self::assertSame(6, DB::table('spools')->count());
        self::assertSame(1, DB::table('bad_batches')->whereNull('lifted_at')->count());
        self::assertSame(2, DB::table('recipes')->count());
        self::assertGreaterThan(3, DB::table('part_substitutes')->count());
    }

    public function test_the_rates_are_counted_from_the_jobs(): void
    {
        $counted = (int) DB::table('fault_counts')->where('fault', '*')->sum('jobs');

        self::assertSame(DB::table('jobs')->whereNotNull('finished_at')->where('kind', 'repair')->count(), $counted);
    }

    public function test_a_fitted_part_left_the_shelf_for_that_machine(): void
    {
        self::assertSame(
            [],
            DB::select(
                'SELECT f.id FROM fittings f JOIN movements m ON m.id = f.movement_id JOIN jobs j ON j.id = m.job_id WHERE j.machine_id <> f.machine_id OR m.part_id <> f.part_id OR m.position <> f.position',
            ),
        );
    }

    public function test_every_code_is_one_of_the_knowledge(): void
    {
        $knowledge = $this->app->make(Knowledge::class);

        self::assertSame([], array_diff(DB::table('job_findings')->distinct()->pluck('code')->all(), array_keys($knowledge->findings)));
        self::assertSame([], array_diff(DB::table('diagnoses')->distinct()->pluck('fault')->all(), array_keys($knowledge->faults)));
        self::assertSame([], array_diff(DB::table('proof_results')->distinct()->pluck('proof')->all(), array_keys($knowledge->proofs)));
    }
}
