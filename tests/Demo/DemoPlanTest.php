<?php

declare(strict_types=1);

namespace Tests\Demo;

use App\Plan\Making\PlanRow;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The demo shop has hours, people who come and go, parts that come, and a plan of all that. */
final class DemoPlanTest extends DemoTestCase
{
    public function test_it_is_open_with_a_break_and_a_lead_comes_in_the_mornings(): void
    {
        $hours = DB::table('hours')->orderBy('weekday')->orderBy('opens')->get(['person_id', 'weekday', 'opens', 'closes']);
        $own = $hours->whereNotNull('person_id');
        self::assertCount(10, $hours->whereNull('person_id'));
        self::assertSame([[540, 720]], $own->map(static fn (object $h): array => [$h->opens, $h->closes])->unique()->values()->all());
        self::assertSame('ada', DB::table('people')->where('id', $own->first()?->person_id)->value('login'));
        self::assertSame(1, DB::table('days_off')->where('first', '>', now())->count());
    }

    public function test_its_plan_gives_everybody_something_and_says_what_it_could_not_plan(): void
    {
        $row = PlanRow::query()->orderBy('id')->firstOrFail();
        $steps = $row->body['steps'];
        $people = DB::table('people')->whereIn('role', ['technician', 'lead'])->pluck('id')->all();
        self::assertEqualsCanonicalizing($people, array_column($row->body['free'], 'person'));
        self::assertGreaterThan(60, count($steps));
        self::assertSame([], array_diff(array_filter(array_unique(array_column($steps, 'person'))), $people));
        self::assertNotSame([], $row->body['unplaced'], 'a claim and an owner are waited for');
        self::assertCount(2, $row->body['parts'], 'two parts are due');
        // nobody does two things at once
        foreach ($people as $person) {
            $last = '';
            foreach ($steps as $step) {
                if ($step['person'] === $person) {
                    self::assertGreaterThanOrEqual($last, $step['start'], "{$step['tag']} {$step['what']}");
                    $last = $step['end'];
                }
            }
        }
    }

    public function test_one_is_to_be_dried_and_one_has_earned_its_long_print(): void
    {
        $steps = new Collection(PlanRow::query()->orderBy('id')->firstOrFail()->body['steps']);
        $dry = $steps->firstWhere('what', 'Dry filament');
        self::assertSame(['nobody', 'oven'], [$dry['watch'] ?? null, $dry['place'] ?? null]);
        $board = DB::table('diagnoses')->join('jobs', 'jobs.id', '=', 'diagnoses.job_id')->whereNull('finished_at')
            ->where('fault', 'board-failed')->value('jobs.id');
        $long = $steps->first(static fn (array $s): bool => $s['job'] === $board && $s['what'] === 'Prove: a long print');
        self::assertSame('nobody', $long['watch'] ?? null, 'both its heaters were seen to stop by themselves');
    }

    public function test_what_was_promised_and_what_was_waited_for_is_noted(): void
    {
        self::assertGreaterThanOrEqual(9, DB::table('promises')->where('kind', 'book-in')->count());
        self::assertGreaterThanOrEqual(3, DB::table('promises')->where('kind', 'estimate')->count());
        self::assertSame(0, DB::table('promises')->whereColumn('half', '>', 'ninety')->count());
        self::assertSame(
            DB::table('jobs')->whereNull('finished_at')->count(),
            DB::table('job_waits')->whereNull('ended_at')->count(),
            'each open job waits for something, be it hands',
        );
        self::assertSame(0, DB::table('job_waits')->whereColumn('ended_at', '<', 'began_at')->count());
        self::assertGreaterThan(20, DB::table('reckoned_minutes')->count());
        self::assertTrue(Carbon::parse((string) DB::table('plans')->min('made_at'))->gt(now()->subDays(2)), 'made when the story was over');
    }
}
