<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Shop\Role;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;

/** How often the database is asked in a write: it reads the job once, judges it once, and its answer rests on what it read. */
final class QuestionsTest extends BenchTestCase
{
    /** Asked twice, for they hold a lock or an order of their own. */
    private const TWICE = ['from "sessions"', 'from "work_spells"', 'from "parts" where "parts"."id" = ?'];

    public function test_a_finding_a_fault_a_part_and_an_estimate_ask_each_thing_once(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $job = $this->job($this->machine('tern-220', 'owner'));
        $this->part(5);
        // what the queue works out afterwards nobody waits for
        Queue::fake();
        $this->atFind($job);
        $path = "/jobs/{$job->id}";
        $found = ['findings' => ['jams-when-warm' => true, 'hot-material-used' => true]];
        $this->asks(30, fn () => $this->send('POST', "{$path}/findings", $found));
        $this->asks(44, fn () => $this->send('POST', "{$path}/estimates", [
            'way' => 'phone', 'upToFinding' => (int) DB::table('job_findings')->max('id'),
        ]));
        $estimate = (int) DB::table('estimates')->max('id');
        $this->asks(40, fn () => $this->send('POST', "{$path}/estimates/{$estimate}/answer", [
            'answer' => 'go-ahead', 'upTo' => '200', 'saidBy' => 'Ines Halloran', 'way' => 'phone',
        ]));
        $version = $job->refresh()->version;
        $this->asks(42, fn () => $this->send('POST', "{$path}/faults", ['faults' => ['tube-cooked'], 'version' => $version]));
        $this->asks(47, fn () => $this->send('POST', "{$path}/parts", ['part' => 'LIN-1', 'quantity' => 1]));
        $this->asks(40, fn () => $this->send('POST', "{$path}/mends", ['fault' => 'tube-cooked', 'done' => 'Done as the guide says']));
    }

    /** @param  Closure(): TestResponse<\Illuminate\Http\Response>  $write */
    private function asks(int $most, Closure $write): void
    {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $answer = $write();
        $asked = DB::getQueryLog();
        DB::disableQueryLog();
        $answer->assertOk();
        $all = implode("\n", array_column($asked, 'query'));
        self::assertLessThanOrEqual($most, count($asked), $all);
        $times = [];
        foreach ($asked as $one) {
            if (preg_match('/(?:insert into|update|delete from) "?([a-z_]+)/i', $one['query'], $table) === 1) {
                // what was written may be asked again
                $times = array_filter($times, static fn (string $asked): bool => ! str_contains($asked, $table[1]), ARRAY_FILTER_USE_KEY);

                continue;
            }
            if ($this->isAskedTwice($one['query'])) {
                continue;
            }
            $question = $one['query'].' '.json_encode($one['bindings']);
            self::assertArrayNotHasKey($question, $times, "asked before:\n{$all}");
            $times[$question] = true;
        }
        self::assertLessThanOrEqual(1, substr_count($all, 'from "fault_counts"'), 'judged once');
    }

    private function isAskedTwice(string $question): bool
    {
        foreach (self::TWICE as $known) {
            if (str_contains($question, $known)) {
                return true;
            }
        }

        return false;
    }
}
