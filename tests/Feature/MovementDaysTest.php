<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Shop\Role;
use App\Stock\Shelf\MovementDays;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** The sums by day say what the movements say, however far they have come; what was moved by then is counted once. */
final class MovementDaysTest extends BenchTestCase
{
    private MovementDays $days;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person(Role::Lead));
        $this->days = $this->app->make(MovementDays::class);
    }

    public function test_an_answer_is_the_same_before_and_after_the_sums_were_made(): void
    {
        $job = $this->job();
        $this->atFix($job);
        foreach (['2024-11-30 10:00', '2025-06-01 12:00', '2026-01-15 12:00', '2026-11-20 23:30'] as $i => $at) {
            $this->travelTo(Carbon::parse($at, 'UTC'));
            if ($i === 0) {
                $this->part(9);
                $this->part(5, 'nozzle', 'NOZ-1');
            }
            $this->used($job->id, 'LIN-1', 1 + $i % 2);
        }
        $this->travelTo(Carbon::parse('2026-12-02 12:00', 'UTC'));
        $back = (int) DB::table('movements')->where('kind', 'used')->orderBy('id')->skip(1)->value('id');
        $says = fn (): array => [
            $this->days->used(['liner', 'nozzle']),
            $this->days->valueAt(Carbon::parse('2026-01-15 12:00', 'UTC')),
            $this->days->valueAt(Carbon::parse('2026-01-15 12:00:01', 'UTC')),
            $this->days->valueAt(now()->addDay()),
        ];
        $live = $says();
        // of four times two fell into the last year; the first lies over two years back
        self::assertSame(['liner' => ['year' => 2, 'two' => 3]], $live[0]);
        self::assertSame([(9 + 5 - 1 - 2) * 120, (9 + 5 - 1 - 2 - 1) * 120, (9 + 5 - 6) * 120], array_slice($live, 1));
        self::assertTrue($this->days->catchUp());
        self::assertSame($live, $says(), 'all of it from the sums');

        // what was summed is taken back, and more is used, after the sums were made
        $this->send('DELETE', "/jobs/{$job->id}/parts/{$back}")->assertOk();
        $this->used($job->id, 'NOZ-1', 1);
        $after = $says();
        self::assertSame(['liner' => ['year' => 2, 'two' => 2], 'nozzle' => ['year' => 1, 'two' => 1]], $this->sorted($after[0]));
        $this->days->catchUp();
        $this->days->catchUp();
        self::assertSame([$this->sorted($after[0]), ...array_slice($after, 1)], [$this->sorted($says()[0]), ...array_slice($says(), 1)]);
        $this->agrees();
    }

    public function test_a_part_that_changes_its_class_takes_its_days_with_it(): void
    {
        $job = $this->job();
        $this->atFix($job);
        $this->part(4);
        $this->used($job->id, 'LIN-1', 1);
        $this->days->catchUp();
        $this->used($job->id, 'LIN-1', 1);
        DB::table('parts')->where('number', 'LIN-1')->update(['class' => 'nozzle']);
        self::assertSame(['nozzle' => ['year' => 2, 'two' => 2]], $this->days->used(['liner', 'nozzle']));
        $this->agrees();
        $this->days->catchUp();
        $this->agrees();
    }

    public function test_a_sum_that_does_not_agree_is_named(): void
    {
        $this->part(4);
        $this->days->catchUp();
        DB::table('movement_days')->increment('value_minor');
        self::assertSame(1, Artisan::call('odd-bench:audit'));
        self::assertStringContainsString('liner on '.now()->toDateString(), Artisan::output());
    }

    public function test_the_shelf_at_a_moment_is_what_had_moved_by_then(): void
    {
        $this->travelTo(Carbon::parse('2026-03-01 00:00:00', 'UTC'));
        $part = $this->part(2);
        $this->days->catchUp();
        $this->travelTo(Carbon::parse('2026-03-02 08:00:00', 'UTC'));
        $this->app->make(MoveStock::class)->receive($part, 1, 120, null, $this->person(Role::Counter));
        self::assertSame(
            [0, 240, 240, 360],
            array_map(
                fn (string $at): int => $this->days->valueAt(Carbon::parse($at, 'UTC')),
                ['2026-03-01 00:00:00', '2026-03-01 00:00:01', '2026-03-02 08:00:00', '2026-03-02 08:00:01'],
            ),
        );
    }

    private function agrees(): void
    {
        self::assertSame(0, Artisan::call('odd-bench:audit'), Artisan::output());
    }

    private function used(int $job, string $part, int $many): void
    {
        $this->send('POST', "/jobs/{$job}/parts", ['part' => $part, 'quantity' => $many, 'askedFor' => true])->assertOk();
    }

    /**
     * @param  array<string, array{year: int, two: int}>  $used
     * @return array<string, array{year: int, two: int}>
     */
    private function sorted(array $used): array
    {
        ksort($used);

        return $used;
    }
}
