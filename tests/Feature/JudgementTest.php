<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Diagnosis\Faults\Confirmed;
use App\Diagnosis\Faults\FaultCounts;
use App\Diagnosis\Faults\FirstDiagnoses;
use App\Diagnosis\Findings\JobFinding;
use App\Diagnosis\Ranking\DiagnosisQuery;
use App\Intake\Job;
use App\Intake\JobEvent;
use App\Intake\JobState;
use App\Safety\SafetyAnswer;
use App\Shop\Role;
use App\Stock\Orders\Supplier;
use App\Stock\Orders\Supply;
use App\Stock\Parts\ClassCosts;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** What is asked at the counter, put before power, and advised at Find. */
final class JudgementTest extends BenchTestCase
{
    public function test_a_complaint_is_read_and_nothing_is_put_down_by_it(): void
    {
        $this->actingAs($this->person(Role::Counter));
        $read = $this->send(
            'POST',
            '/complaints',
            ['text' => 'Prints are thin and holey and it smells burnt', 'family' => 'tern-220'],
        )->assertOk();

        self::assertContains('thin-extrusion', array_column((array) $read->json('findings'), 'code'));
        self::assertContains('thin', collect((array) $read->json('findings'))->firstWhere('code', 'thin-extrusion')['words']);
        self::assertContains('burn-smell', array_column((array) $read->json('danger'), 'finding'));
        self::assertSame(0, JobFinding::query()->count());
        $this->assertRefused($this->send('POST', '/complaints', ['text' => str_repeat('a', 2001)]), 422, 'text', '2000');
    }

    public function test_what_was_pressed_at_book_in_is_put_down_and_a_danger_puts_the_red_tag_on(): void
    {
        $this->actingAs($this->person(Role::Counter));
        $body = [
            'family' => 'tern-220',
            'heldAs' => 'farm',
            'kind' => 'repair',
            'complaint' => 'thin, and it smoked',
            'began' => 'came-suddenly',
        ];
        $job = $this->send('POST', '/jobs', $body + ['told' => ['thin-extrusion', 'smoke']])->assertOk();

        self::assertEqualsCanonicalizing(
            ['came-suddenly', 'thin-extrusion', 'smoke'],
            array_column((array) $job->json('findings'), 'code'),
        );
        self::assertSame('smoke', $job->json('redTag.reason'));
        $this->assertRefused($this->send('POST', '/jobs', $body + ['told' => ['tartness']]), 422, 'told.1', 'no finding “tartness”');
        self::assertSame(1, Job::query()->count(), 'nothing is half done');
    }

    public function test_not_checked_is_an_answer_and_stands_in_the_record(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $answers = array_map(
            static fn ($question): ?bool => $question->measured ? null : false,
            $this->app->make(Knowledge::class)->safetyQuestions,
        );
        $seen = $this->send('POST', "/jobs/{$job->id}/safety-answers", ['answers' => $answers])->assertOk();

        self::assertNull($seen->json('safetyAnswers.earth'));
        self::assertFalse($seen->json('safetyAnswers.smoke'));
        self::assertNull(SafetyAnswer::query()->where('question', 'runaway')->sole()->yes);
        self::assertStringContainsString(
            'not checked: there are volts on the frame',
            (string) JobEvent::query()->where('kind', 'safety')->sole()->text,
        );
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $job->refresh()->version])->assertOk();
        self::assertSame(0, JobFinding::query()->where('code', 'no-earth-path')->count());
    }

    public function test_a_sweep_is_written_once_each_finding_from_the_look_that_shows_it(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $version = $job->version;
        $this->send(
            'POST',
            "/jobs/{$job->id}/findings",
            ['findings' => ['spool-tangled' => false, 'tube-moves' => true], 'checks' => ['spool-look', 'tube-tug']],
        )->assertOk();

        self::assertSame(
            ['check:spool-look', 'check:tube-tug'],
            JobFinding::query()->where('job_id', $job->id)->where('source', '<>', 'told')->orderBy('source')->pluck('source')->all(),
        );
        self::assertSame($version + 1, $job->refresh()->version);
        $this->assertRefused(
            $this->send(
                'POST',
                "/jobs/{$job->id}/findings",
                ['findings' => ['belt-loose' => true], 'checks' => ['spool-look', 'tube-tug']],
            ),
            422,
            'check',
            'does not settle',
        );
        $this->assertRefused(
            $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['belt-loose' => true], 'checks' => ['spool-look', 'guess']]),
            422,
            'check',
            'no check “guess”',
        );
    }

    public function test_find_says_why_shows_the_gate_and_what_it_is_when_it_is_none_of_them(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['bed-slow' => true]])->assertOk();
        $find = (array) $this->getJson("/api/v1/jobs/{$job->id}/diagnosis")->assertOk()->json();

        self::assertSame('Safety first: Bed connector burning', $find['next'][0]['tag']);
        self::assertStringContainsString('could hurt somebody', $find['why']);
        $first = array_column((array) $find['suspects'], 'first', 'fault');
        self::assertStringStartsWith('look first: ', $first['connector-burning']);
        self::assertGreaterThan(0.0, $find['none']);
        self::assertLessThan(1.0, $find['none']);
        self::assertSame('', $find['overturned'], 'ten diagnoses at the least say something');
    }

    public function test_a_part_costs_what_lies_there_else_what_was_paid_last_else_the_suppliers_price(): void
    {
        $liner = $this->part(onHand: 2);
        $costs = $this->app->make(ClassCosts::class);
        self::assertEqualsWithDelta(120.0, $costs->all()['costs']['liner'], 1e-9);
        self::assertContains('liner', $costs->all()['on_shelf']);
        self::assertArrayNotHasKey('liner', $costs->all()['waiting']);

        $job = $this->job();
        $this->app->make(MoveStock::class)->receive($liner, 2, 200, null, $this->person());
        DB::table('parts')->where('id', $liner->id)->update(['on_hand' => 0, 'value_minor' => 0]);
        self::assertEqualsWithDelta(200.0, $costs->all()['costs']['liner'], 1e-9, 'what was paid last');
        self::assertSame($this->app->make(Knowledge::class)->bench->waitingDays, $costs->all()['waiting']['liner']);

        $board = $this->part(0, 'board', 'BRD-1');
        $supplier = Supplier::query()->create(['name' => 'North Parts', 'lead_days' => 2, 'contact' => '']);
        Supply::query()->create([
            'part_id' => $board->id,
            'supplier_id' => $supplier->id,
            'number' => 'B',
            'pack' => 2,
            'pack_cost_minor' => 9000,
            'preferred' => true,
        ]);
        self::assertEqualsWithDelta(4500.0, $costs->all()['costs']['board'], 1e-9);
        self::assertLessThan(5.0, $costs->all()['waiting']['board']);
        self::assertArrayNotHasKey('heater-block', $costs->all()['costs'], 'nothing is known here: core takes what it usually costs');
        self::assertNotContains('liner', (array) $this->app->make(DiagnosisQuery::class)->input(JobState::of($job))['on_shelf']);
    }

    public function test_first_diagnoses_are_held_against_what_became_of_them(): void
    {
        $this->actingAs($this->person());
        foreach ([[0.9, false], [0.8, true], [0.3, false]] as [$p, $overturned]) {
            $by = $this->person();
            $job = $this->job($this->machine(), $by);
            Confirmed::query()->create([
                'job_id' => $job->id,
                'fault' => 'belt-slack',
                'probability' => $p,
                'person_id' => $by->id,
                'at' => now(),
                'superseded_at' => $overturned ? now() : null,
            ]);
            $job->update(['finished_at' => now()]);
        }
        $counts = $this->app->make(FaultCounts::class);
        $counts->recount();
        $first = $this->app->make(FirstDiagnoses::class);

        self::assertSame(['jobs' => 3, 'overturned' => 1], $counts->now()->first());
        // (0.9−1)² + (0.8−0)² + (0.3−1)² = 0.01 + 0.64 + 0.49, over 3
        self::assertEqualsWithDelta(1.14 / 3, $first->calibration()->brier, 1e-9);
    }

    public function test_the_runaway_test_is_owed_at_the_first_visit_and_after_a_year_and_not_by_everything(): void
    {
        $by = $this->person();
        $this->actingAs($by);
        $machine = $this->machine();
        $owes = function (Job $job): bool {
            $this->send(
                'POST',
                "/jobs/{$job->id}/mends",
                ['fault' => null, 'done' => 'Belt tightened', 'touched' => ['motion']],
            )->assertOk();

            return in_array(
                'runaway-hotend',
                array_column((array) $this->getJson("/api/v1/jobs/{$job->id}")->json('proofs'), 'code'),
                true,
            );
        };
        $first = $this->job($machine);
        $this->atFix($first, 'belt-slack');
        self::assertTrue($owes($first), 'never proved here');
        DB::table('proof_results')->insert([
            'job_id' => $first->id,
            'proof' => 'runaway-hotend',
            'passed' => true,
            'person_id' => $by->id,
            'at' => now(),
        ]);
        $first->update(['finished_at' => now()]);

        $this->travel(2)->months();
        $second = $this->job($machine->refresh());
        $this->atFix($second, 'belt-slack');
        self::assertFalse($owes($second), 'proved two months ago, and a belt does not owe it');
        $second->update(['finished_at' => now()]);

        $this->travel(11)->months();
        $third = $this->job($machine->refresh());
        $this->atFix($third, 'belt-slack');
        self::assertTrue($owes($third), 'thirteen months ago');
    }
}
