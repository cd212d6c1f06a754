<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Intake\JobState;
use App\Machines\Counter;
use App\Machines\Machine;
use App\Machines\NoteHours;
use App\Release\WriteSheet;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use OddBench\Release\Destination;

/** The hours of a machine between visits: read along a walk, estimated in between, said as such. */
final class CountersTest extends BenchTestCase
{
    public function test_the_printer_itself_is_asked_and_nobody_else(): void
    {
        $machine = $this->machine();
        $ask = fn (): TestResponse => $this->send('POST', "/machines/{$machine->tag}/counters/printer");
        $this->actingAs($this->person(Role::Lead));
        $this->assertRefused($ask(), 422, 'printer', 'is not known');

        // something that answers and is no printer, and a simulated printer
        $other = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($other);
        $port = static fn ($socket): int => (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        $machine->update(['printer_host' => '127.0.0.1', 'printer_port' => $port($other)]);
        $this->assertRefused($ask(), 422, 'printer', 'was not reached, or did not tell');
        fclose($other);
        $this->assertRefused($ask(), 422, 'printer', 'was not reached, or did not tell');

        [$at, $rig] = $this->rig();
        try {
            $machine->update(['printer_port' => $at]);
            $ask()->assertOk()->assertJsonPath('last.hours', 1340)->assertJsonPath('last.source', 'printer');
            self::assertEquals(1340, $this->getJson("/api/v1/machines/{$machine->tag}")->json('machine.hours'));

            $job = $this->job($machine, hours: null);
            $this->send('POST', "/jobs/{$job->id}/red-tag", ['reason' => 'Plug brown'])->assertOk();
            $this->assertRefused($ask(), 409, 'printer', 'stays unplugged');
        } finally {
            proc_terminate($rig, SIGKILL);
            proc_close($rig);
        }
    }

    public function test_idle_printers_are_asked_once_an_hour_and_one_at_work_is_left_alone(): void
    {
        $this->actingAs($this->person(Role::Lead));
        [$idle, $bench, $busy] = [$this->machine(), $this->machine(), $this->machine()];
        [$at, $rig] = $this->rig();
        // one that heats: whatever it is told would be in its way
        $working = proc_open(['php', '-r', <<<'PHP'
            $s = stream_socket_server('tcp://127.0.0.1:0'); echo stream_socket_get_name($s, false), "\n"; fflush(STDOUT);
            $c = stream_socket_accept($s, 20); fwrite($c, "T:180.0 /215.0 B:60.0 /60.0 @:127\n"); stream_set_timeout($c, 6);
            file_put_contents($argv[1], (string) fread($c, 100));
            PHP, $heard = (string) tempnam(sys_get_temp_dir(), 'heard')], [1 => ['pipe', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes);
        self::assertIsResource($working);
        try {
            foreach ([
                [$idle, $at],
                [$bench, $at],
                [$busy, (int) substr((string) strrchr(trim((string) fgets($pipes[1])), ':'), 1)],
            ] as [$machine, $port]) {
                $machine->update(['printer_host' => '127.0.0.1', 'printer_port' => $port, 'place' => 'service']);
            }
            $bench->update(['place' => 'bench']);
            self::assertSame(0, $this->artisan('odd-bench:counters'));

            $read = static fn (Machine $m): array => Counter::query()->where('machine_id', $m->id)->whereNull('withdrawn_at')->get()
                ->map(static fn (Counter $c): array => [(float) $c->hours, $c->source, $c->person_id])->all();
            self::assertSame([[1340.0, 'printer', null]], $read($idle));
            self::assertSame([[], []], [$read($bench), $read($busy)]);
            proc_close($working);
            self::assertSame('', (string) file_get_contents($heard), 'not a word was said to it');

            $this->artisan('odd-bench:counters');
            self::assertSame(1, Counter::query()->count(), 'once an hour');
            $seen = $idle->refresh()->updated_at;
            $this->travel(2)->hours();
            $this->artisan('odd-bench:counters');
            self::assertCount(1, $read($idle), 'one reading a day stays');
            self::assertEquals($seen, $idle->refresh()->updated_at, 'and nobody’s edit is older for it');
        } finally {
            proc_terminate($rig, SIGKILL);
            proc_close($rig);
            unlink($heard);
        }
    }

    public function test_a_printer_with_a_new_board_is_not_believed_and_somebody_is_told(): void
    {
        $this->actingAs($lead = $this->person(Role::Lead));
        $machine = $this->machine();
        $this->note($machine, 1400)->assertOk();
        $machine->update(['place' => 'service']);
        $this->travel(1)->days();
        $note = $this->app->make(NoteHours::class);
        self::assertFalse($note->told($machine, 12.0));
        self::assertStringContainsString('12 h', (string) $machine->refresh()->counter_wonder);
        self::assertStringContainsString('began anew', (string) $machine->counter_wonder);
        self::assertSame(1, Counter::query()->count());
        $this->actingAs($lead);
        self::assertSame($machine->counter_wonder, $this->getJson('/api/v1/fleet/farm')->json('machines.0.wonder'));

        $this->send('POST', "/machines/{$machine->tag}/counters", ['hours' => 12, 'beganAnew' => true])->assertOk();
        self::assertNull($machine->refresh()->counter_wonder);
        $this->travel(3)->hours();
        self::assertTrue($note->told($machine->refresh(), 14.5));
        self::assertEqualsWithDelta(
            1414.5,
            (float) $machine->refresh()->hours,
            24.0,
            'it goes on from where the old one stood, with what ran unread',
        );
    }

    /**
     * A simulated printer that listens.
     *
     * @return array{int, resource} port and process
     */
    private function rig(): array
    {
        $free = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($free);
        $at = (int) substr((string) strrchr((string) stream_socket_get_name($free, false), ':'), 1);
        fclose($free);
        $rig = proc_open(['php', base_path('artisan'), 'odd-bench:rig', '--port', (string) $at, '--for', '40'], [
            1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes);
        self::assertIsResource($rig);
        for ($i = 0; $i < 100 && @stream_socket_client("tcp://127.0.0.1:{$at}", $c, $m, 0.2) === false; $i++) {
            usleep(100_000);
        }

        return [$at, $rig];
    }

    public function test_hours_go_on_between_readings_and_are_said_to_be_about(): void
    {
        $this->actingAs($me = $this->person());
        $machine = $this->inService();
        $this->note($machine, 1138);
        $this->travel(7)->days();
        $this->note($machine, 1200)->assertJsonPath('hours', 1200)->assertJsonPath('perWeek', 62);
        $this->travel(55)->days();

        $passport = $this->getJson("/api/v1/machines/{$machine->tag}")->assertOk();
        $passport->assertJsonPath('machine.hours', 1687.1)->assertJsonPath('machine.hoursAbout', true);
        $passport->assertJsonPath('hours.counters.0.hours', 1200)->assertJsonPath('hours.counters.0.by', $me->name);
        self::assertLessThan(1687.1, $passport->json('hours.low'));
        self::assertGreaterThan(1687.1, $passport->json('hours.high'));
        $liner = collect((array) $passport->json('positions'))->firstWhere('position', 'liner');
        self::assertSame([1687.1, true], [$liner['hoursOnIt'], $liner['about']]);
        $this->getJson('/api/v1/machines')->assertJsonPath('machines.0.hours', 1687.1)->assertJsonPath('machines.0.hoursAbout', true);
    }

    public function test_a_service_noted_at_a_reading_is_due_by_what_the_machine_runs(): void
    {
        $this->actingAs($this->person());
        $machine = $this->running();
        $item = collect((array) $this->getJson("/api/v1/machines/{$machine->tag}")->json('service'))
            ->first(static fn (array $s): bool => str_contains($s['words'], ' h'));
        self::assertNotNull($item, 'something comes round by hours');
        $this->travel(30)->days();
        $later = collect((array) $this->getJson("/api/v1/machines/{$machine->tag}")->json('service'))->firstWhere('code', $item['code']);
        self::assertGreaterThan($item['share'], $later['share']);
    }

    public function test_on_the_bench_and_for_sale_a_machine_does_not_run(): void
    {
        $this->actingAs($this->person());
        $machine = $this->running();
        $this->travel(7)->days();
        $job = $this->job($machine->refresh(), hours: null);
        self::assertSame([1262.0, true], [(float) $job->hours, $job->refresh()->hours_about]);
        $this->travel(20)->days();
        $this->getJson("/api/v1/jobs/{$job->id}")->assertJsonPath('machine.hours', 1262)->assertJsonPath('hoursAbout', true);
    }

    public function test_a_sheet_says_about_and_the_warranty_counts_from_what_it_has_run(): void
    {
        $this->actingAs($this->person());
        $machine = $this->running();
        $this->travel(55)->days();
        $job = $this->job($machine->refresh(), hours: null)->refresh();
        $sheet = function () use ($job): array {
            $state = JobState::of(Job::query()->with('machine')->findOrFail($job->id));

            return (array) $this->app->make(WriteSheet::class)->of($state, Destination::Service, true, null, null, null, null)?->toArray();
        };
        self::assertSame([1687.1, true], [$sheet()['hours'], $sheet()['hoursAbout']]);
        // read at the bench after all: the counter goes before the estimate
        $this->note($machine, 1702);
        self::assertSame([1702.0, false], [$sheet()['hours'], $sheet()['hoursAbout']]);
        self::assertSame(1702.0, Job::query()->with('machine')->findOrFail($job->id)->hoursRun());
    }

    public function test_a_reading_at_book_in_is_no_guess(): void
    {
        $this->actingAs($this->person());
        $job = $this->job($this->inService(), hours: 310);
        self::assertSame([310.0, false], [(float) $job->hours, (bool) $job->refresh()->hours_about]);
        self::assertSame(1, Counter::query()->where(['machine_id' => $job->machine_id, 'source' => 'booking'])->count());
        $this->getJson("/api/v1/machines/{$job->machine->tag}")->assertJsonPath('machine.hoursAbout', false);
    }

    public function test_a_counter_that_cannot_be_is_refused_with_its_way_out_and_nothing_is_kept(): void
    {
        $this->actingAs($this->person());
        $machine = $this->inService();
        $this->note($machine, 1200);
        $this->travel(1)->days();
        $this->assertRefused($this->note($machine, 1100), 422, 'hours', 'say that it began anew');
        $this->assertRefused($this->note($machine, 12_000), 422, 'hours', 'minutes');
        $this->assertRefused($this->note($machine, -1), 422, 'hours', '0 to 1,000,000');
        self::assertSame(1, Counter::query()->count());
        self::assertSame(1200.0, $machine->refresh()->hoursRun());
    }

    public function test_another_board_counts_on_from_the_one_before(): void
    {
        $this->actingAs($this->person());
        $machine = $this->running();
        $this->travel(7)->days();
        $this->note($machine, 5, beganAnew: true)->assertOk()->assertJsonPath('last.hours', 5);
        // it was set back at some time in that week: its hours until then are those of the week before
        self::assertSame(1267.0, $machine->refresh()->hoursRun());
        $this->travel(7)->days();
        $this->note($machine, 67)->assertJsonPath('hours', 1329);
        $this->travel(10)->minutes();
        $this->assertRefused(
            $this->send('POST', '/jobs', ['tag' => $machine->tag, 'hours' => 3] + self::BOOKING),
            422,
            'hours',
            'began anew',
        );
        $this->send('POST', '/jobs', ['tag' => $machine->tag, 'hours' => 3, 'counterBeganAnew' => true] + self::BOOKING)
            ->assertOk()
            ->assertJsonPath('hours', 1332.1);
    }

    public function test_a_reading_that_was_wrong_is_withdrawn_and_stays_on_record(): void
    {
        $this->actingAs($this->person());
        $machine = $this->inService();
        $this->note($machine, 1000);
        $this->travel(10)->days();
        $wrong = (int) $this->note($machine, 1230)->json('last.id');
        $this->send('DELETE', "/machines/{$machine->tag}/counters/{$wrong}")->assertOk()->assertJsonPath('last.hours', 1000);
        self::assertSame(1000.0, $machine->refresh()->hoursRun());
        self::assertSame(2, Counter::query()->count());
        $other = $this->inService();
        $this->send('DELETE', "/machines/{$other->tag}/counters/{$wrong}")->assertStatus(404);
    }

    public function test_without_a_rate_of_its_own_a_machine_runs_as_those_of_the_shop(): void
    {
        $this->actingAs($this->person());
        foreach ([40, 50, 60] as $week) {
            $machine = $this->inService();
            $this->note($machine, 100);
            $this->travel(14)->days();
            $this->note($machine, 100 + 2 * $week);
            $this->travel(-14)->days();
        }
        $new = $this->inService();
        $this->note($new, 500);
        $this->travel(28)->days();
        $this->getJson("/api/v1/machines/{$new->tag}")->assertJsonPath('hours.hours', 700)->assertJsonPath('hours.perWeek', 50);
    }

    public function test_the_walk_lists_what_runs_and_asks_the_database_the_same_for_many(): void
    {
        // the hours of machines are read anew each second
        $this->freezeTime();
        $this->actingAs($this->person());
        $count = function (int $machines): int {
            for ($i = 0; $i < $machines; $i++) {
                $this->note($this->inService(), 100 + $i);
            }
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->getJson('/api/v1/counters?heldAs=farm')->assertOk();
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        // what is asked once for all that follow is asked before it is counted
        $count(0);
        self::assertLessThanOrEqual($count(2), $count(12));
        $this->inService('owner');
        $this->machine()->update(['place' => 'sale']);
        self::assertSame(14, $this->getJson('/api/v1/counters?heldAs=farm')->json('all'));
        self::assertSame(15, $this->getJson('/api/v1/counters')->json('all'));
    }

    public function test_who_only_looks_notes_nothing(): void
    {
        $this->actingAs($this->person(Role::ReadOnly));
        $machine = $this->inService();
        $this->note($machine, 1200)->assertStatus(403);
        self::assertSame(0, Counter::query()->count() + Job::query()->count());
    }

    private const BOOKING = ['kind' => 'repair', 'complaint' => 'It clicks', 'began' => 'crept-in', 'told' => []];

    /** 62 h in the week before, 1,200 h now. */
    private function running(): Machine
    {
        $machine = $this->inService();
        $this->note($machine, 1138);
        $this->travel(7)->days();
        $this->note($machine, 1200);

        return $machine;
    }

    private function inService(string $heldAs = 'farm'): Machine
    {
        $machine = $this->machine(heldAs: $heldAs);
        $machine->update(['place' => $heldAs === 'owner' ? 'owner' : 'service']);

        return $machine;
    }

    /** @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response> */
    private function note(Machine $machine, float $hours, bool $beganAnew = false): TestResponse
    {
        return $this->send('POST', "/machines/{$machine->tag}/counters", ['hours' => $hours, 'beganAnew' => $beganAnew]);
    }
}
