<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Diagnosis\Findings\EverConfirmed;
use App\Diagnosis\Findings\EverFound;
use App\Diagnosis\Findings\FoundInJob;
use App\Diagnosis\Ranking\OpenedCases;
use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\JobState;
use App\Intake\JobStates;
use App\Intake\LaterSteps;
use App\Intake\Said;
use App\Intake\SaysOfWalk;
use App\Intake\WalkQuery;
use App\Plan\NextStep;
use App\Proof\ProofsOfJob;
use App\Repair\NoteMend;
use App\Repair\WorkOnJob;
use App\Safety\AnswersOfJob;
use App\Safety\SafetyOfJob;
use App\Shop\Ability;
use App\Shop\QuietSessions;
use App\Shop\Role;
use App\Stock\Shelf\StockOfJob;
use Illuminate\Support\Facades\DB;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Throwable;

/** A job is read once, what the rooms say of it is said by exactly one of them, and what nobody says lets nothing pass. */
final class JobStateTest extends BenchTestCase
{
    public function test_many_jobs_are_read_in_as_few_questions_as_one(): void
    {
        $this->actingAs($this->person());
        $jobs = collect([$this->job($this->machine()), $this->job($this->machine()), $this->job($this->machine())]);
        $this->atFix($jobs[1]);
        $ask = static function (iterable $states): int {
            DB::enableQueryLog();
            DB::flushQueryLog();
            foreach ($states as $state) {
                foreach ([
                    AnswersOfJob::class,
                    SafetyOfJob::class,
                    EverFound::class,
                    EverConfirmed::class,
                    StockOfJob::class,
                    WorkOnJob::class,
                    ProofsOfJob::class,
                ] as $part) {
                    $state->part($part);
                }
            }
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        $fresh = Job::query()->with('machine')->orderBy('id')->get();
        $one = $ask([JobState::of($fresh[1])]);
        $states = JobState::ofMany($fresh);

        self::assertSame($one, $ask($states));
        self::assertSame(0, $ask($states), 'a part that was read is not read again');
        self::assertSame(['tube-cooked'], FoundInJob::of($states[$jobs[1]->id])->faults());
        self::assertSame([], FoundInJob::of($states[$jobs[0]->id])->faults(), 'each job has its own');
        self::assertCount(
            count(AnswersOfJob::of($states[$jobs[1]->id])->answers),
            array_filter(AnswersOfJob::of($states[$jobs[1]->id])->answers, is_bool(...)),
        );
    }

    public function test_what_is_worked_out_from_a_state_is_worked_out_once(): void
    {
        $state = JobState::of($this->job());
        $times = 0;
        $work = function () use (&$times): ?string {
            $times++;

            return null;
        };

        self::assertNull($state->once('nothing', $work));
        self::assertNull($state->once('nothing', $work));
        self::assertSame(1, $times, 'nothing is an answer as well');
    }

    public function test_a_fact_of_the_walk_that_no_room_says_is_an_error_and_so_is_one_said_twice(): void
    {
        $state = JobState::of($this->job());
        $all = [
            'safetyAnswered' => true,
            'redTag' => false,
            'confirmed' => 1,
            'workNoted' => true,
            'missingProofs' => [],
            'notAccounted' => [],
            'notAgreed' => [],
        ];
        $room = static fn (array $says): SaysOfWalk => new class($says) implements SaysOfWalk
        {
            /** @param  array<string, mixed>  $says */
            public function __construct(private array $says)
            {
            }

            public function ofWalk(JobState $state): array
            {
                return $this->says;
            }
        };
        self::assertFalse((new WalkQuery([$room($all)]))->of($state)->redTag);
        foreach (array_keys($all) as $fact) {
            foreach ([[$room(array_diff_key($all, [$fact => 0]))], [$room($all), $room([$fact => $all[$fact]])]] as $rooms) {
                try {
                    (new WalkQuery($rooms))->of($state);
                    self::fail("{$fact} left out or said twice lets a job pass");
                } catch (LogicException $e) {
                    self::assertStringContainsString($fact, $e->getMessage());
                }
            }
        }
    }

    public function test_the_rooms_of_the_application_say_every_fact_once(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        self::assertFalse($this->app->make(WalkQuery::class)->of(JobState::of($job))->safetyAnswered);
        $this->safe($job);
        self::assertTrue($this->app->make(WalkQuery::class)->of(JobState::of($job->refresh()))->safetyAnswered);
    }

    public function test_a_write_leaves_its_next_step_and_its_state_for_the_answer_only(): void
    {
        $by = $this->person();
        $job = $this->job();
        $states = $this->app->make(JobStates::class);
        $written = $this->app->make(JobRecord::class)->write($job, $by, null, static fn (): Said => new Said('note', 'Looked at'));

        self::assertSame(
            $this->app->make(NextStep::class)->of(JobState::of($written->fresh() ?? $written)),
            [$written->next_step, $written->next_minutes],
        );
        $left = $states->of($job->id);
        self::assertSame($written, $left->job, 'the state the write has left');
        self::assertNotSame($left, $states->of($job->id), 'taken once');
    }

    public function test_in_a_write_only_what_was_written_is_read_again(): void
    {
        $by = $this->person();
        $this->actingAs($by);
        $job = $this->job();
        $this->atFix($job);
        $asked = [];
        $read = static function (JobState $state) use (&$asked): array {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $mends = static fn (): int => WorkOnJob::of($state)->mends->count();
            $faults = static fn (): int => count(FoundInJob::of($state)->faults());
            $what = [$mends(), $faults(), $state->once('both', static fn (): int => $mends() + $faults())];
            DB::disableQueryLog();
            $asked[] = count(DB::getQueryLog());

            return $what;
        };
        $this->app->make(JobRecord::class)->write($job, $by, null, function (Job $job) use ($read, $by): Said {
            $state = JobState::of($job);
            self::assertSame([0, 1, 1], $read($state));
            self::assertSame($state, JobState::of($job), 'one state for as long as the write lasts');
            self::assertSame([0, 1, 1], $read($state));
            $this->app->make(NoteMend::class)->put($job, null, null, 'Greased', ['motion'], $by);
            self::assertSame([1, 1, 2], $read($state), 'what was worked out from it is worked out anew as well');
            DB::table('diagnoses')->where('job_id', $job->id)->update(['superseded_at' => now(), 'superseded_by' => $by->id]);
            self::assertSame([1, 0, 1], $read($state), 'whoever wrote it, and however');
            try {
                DB::transaction(function () use ($job, $by, $read, $state): void {
                    $this->app->make(NoteMend::class)->put($job, null, null, 'Greased once more', ['motion'], $by);
                    self::assertSame([2, 0, 2], $read($state));
                    throw new LogicException('not after all');
                });
            } catch (Throwable) {
                self::assertSame([1, 0, 1], $read($state), 'what was undone is not there');
            }

            return new Said('note', 'Greased');
        });

        self::assertSame(0, $asked[1], 'nothing was written: nothing is read');
        self::assertGreaterThan(0, $asked[2]);
        self::assertSame(1, $asked[3], 'what was made of it; what was found and what was done not once more');
        self::assertNotSame(JobState::of($job), JobState::of($job), 'outside a write each is read for itself');
    }

    public function test_many_writes_may_leave_the_next_step_for_later(): void
    {
        $by = $this->person();
        $job = $this->job();
        $record = $this->app->make(JobRecord::class);
        $note = static fn (): Said => new Said('note', 'Looked at');
        $later = $this->app->make(LaterSteps::class)->during(static fn (): Job => $record->write($job, $by, null, $note));
        self::assertNull($later->next_step);
        self::assertSame(0, $this->artisan('odd-bench:next-steps'));
        self::assertSame('Answer the safety questions', $job->refresh()->next_step);

        self::assertSame('Answer the safety questions', $record->write($job, $by, null, $note)->next_step, 'and then no more');
    }

    public function test_the_same_case_is_judged_once_whatever_is_written_around_it(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->atFind($job);
        $cases = $this->app->make(OpenedCases::class);
        $case = static fn (string ...$found): array => ['findings' => array_fill_keys($found, 'present')];
        $one = $cases->open($case('jams-when-warm'));

        self::assertSame($one, $cases->open($case('jams-when-warm')));
        self::assertNotSame($one, $cases->open($case('jams-when-warm', 'hot-material-used')));
        for ($i = 0; $i < 4; $i++) {
            $found = ['error-thermistor', 'error-heating', 'error-homing'][$i % 3];
            $cases->open(['red_tag' => $i % 2 === 0] + $case($found));
        }
        self::assertNotSame($one, $cases->open($case('jams-when-warm')), 'a few are kept, not all');
    }

    public function test_findings_of_one_write_see_each_other_and_do_not_outlive_it(): void
    {
        $by = $this->person();
        $job = $this->job();
        $findings = $this->app->make(Findings::class);
        $record = $this->app->make(JobRecord::class);
        $written = $record->write($job, $by, null, function (Job $job) use ($findings, $by): Said {
            $findings->put($job, 'jams-when-warm', true, 'seen', null, $by);
            $findings->put($job, 'jams-when-warm', true, 'seen', null, $by);
            self::assertContains('jams-when-warm', $findings->known($job));

            return new Said('finding', 'jams');
        });
        self::assertSame(1, DB::table('job_findings')->where(['job_id' => $job->id, 'code' => 'jams-when-warm'])->count());
        $record->write($job, $by, null, function (Job $job) use ($findings, $by): Said {
            $findings->measured($job, 'jams-when-warm', false, 'seen', null, $by);

            return new Said('finding', 'does not jam');
        });

        $standing = FoundInJob::of(JobState::of($written->refresh()))->findings()->firstWhere('code', 'jams-when-warm');
        self::assertFalse($standing?->present, 'the job that was carried through the first write is read anew');
        self::assertCount(2, FoundInJob::of(JobState::of($written))->everFound->where('code', 'jams-when-warm'));
    }

    /** @return iterable<string, array{Role, list<Ability>}> */
    public static function roles(): iterable
    {
        yield 'a technician' => [
            Role::Technician,
            [Ability::BookIn, Ability::Edit, Ability::Work, Ability::SendOut, Ability::MoveStock, Ability::SeeOwners],
        ];
        yield 'a lead' => [Role::Lead, Ability::cases()];
        yield 'the counter' => [
            Role::Counter,
            [
                Ability::BookIn,
                Ability::Edit,
                Ability::SendOut,
                Ability::MoveStock,
                Ability::SeeOwners,
                Ability::KeepBooks,
                Ability::SeeMoney,
            ],
        ];
        yield 'who only looks' => [Role::ReadOnly, []];
    }

    /** @param  list<Ability>  $may */
    #[DataProvider('roles')]
    public function test_each_role_may_what_it_is_here_for(Role $role, array $may): void
    {
        $person = $this->person($role);
        foreach (Ability::cases() as $ability) {
            self::assertSame(in_array($ability, $may, true), $person->can($ability), "{$role->value}: {$ability->value}");
        }
    }

    #[TestWith([Role::Counter, 'A technician or a lead works on machines'])]
    #[TestWith([Role::ReadOnly, 'your role does not'])]
    public function test_who_may_not_is_told_who_may(Role $role, string $words): void
    {
        $job = $this->job();
        $this->actingAs($this->person($role));

        $this->send('POST', "/jobs/{$job->id}/hands", ['on' => true])->assertStatus(403)->assertSee($words);
    }

    public function test_a_session_is_written_when_it_changes_and_else_once_a_minute(): void
    {
        $sessions = new QuietSessions(DB::connection(), 'sessions', 60, $this->app);
        $writes = function (string $data) use ($sessions): int {
            DB::enableQueryLog();
            DB::flushQueryLog();
            $sessions->write('one', $data);
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        $read = static fn (): string => $sessions->read('one');
        self::assertSame('', $read());
        self::assertGreaterThan(0, $writes('a'), 'a new one');
        self::assertSame('a', $read());
        self::assertSame(0, $writes('a'), 'nothing changed');
        self::assertGreaterThan(0, $writes('b'));
        $read();
        $this->travel(61)->seconds();
        $read();
        self::assertGreaterThan(0, $writes('b'), 'seen, a minute later');
        $this->travel(61)->minutes();
        self::assertSame('', $read(), 'it has ended');
    }
}
