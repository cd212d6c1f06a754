<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Diagnosis\Faults\Confirmed;
use App\Diagnosis\Faults\FaultCounts;
use App\Intake\BookIn;
use App\Intake\Booking;
use App\Intake\KeepPhotograph;
use App\Machines\KeepPaper;
use App\Safety\RedTag;
use App\Shop\Role;
use App\Stock\Orders\Supplier;
use App\Stock\Orders\Supply;
use App\Stock\Parts\AddUsedPart;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Stock\SpareGrade;

/** Rules of one line that decide what people see: each has a case that turns when the rule does. */
final class SmallRulesTest extends BenchTestCase
{
    public function test_the_bench_picks_what_was_promised_first_and_then_what_is_quickest(): void
    {
        $by = $this->person();
        $this->actingAs($by);
        [$later, $sooner, $quick] = [$this->job($this->machine()), $this->job($this->machine()), $this->job($this->machine())];
        $pick = fn (): ?int => $this->getJson('/api/v1/bench')->assertOk()->json('pick.job');
        $quick->update(['next_minutes' => 1]);
        $later->update(['next_minutes' => 30]);
        $sooner->update(['next_minutes' => 20]);
        self::assertSame($quick->id, $pick(), 'nothing is promised: the quickest');

        $later->update(['promised_for' => now()->addDays(3)]);
        $sooner->update(['promised_for' => now()->addDays(2)]);
        self::assertSame($sooner->id, $pick(), 'the first of those promised, though another is quicker');
        $later->update(['promised_for' => now()->addDays(2)]);
        $later->update(['next_minutes' => 5]);
        self::assertSame($later->id, $pick(), 'of those of one day the quicker');
    }

    public function test_what_is_promised_for_today_is_not_late_yet(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $line = function () use ($job): array {
            $bench = $this->getJson('/api/v1/bench')->assertOk();

            return [
                collect((array) $bench->json('groups'))->flatMap(static fn (array $g): array => $g['lines'])
                    ->firstWhere('job', $job->id)['late'],
                str_contains((string) $bench->json('pickBecause'), 'late'),
            ];
        };
        foreach ([[0, false], [-1, true], [1, false]] as [$days, $late]) {
            $job->update(['promised_for' => now()->addDays($days)->toDateString()]);
            self::assertSame([$late, $late], $line(), "{$days} days from today");
        }
    }

    public function test_a_spare_nobody_tested_is_counted_on_by_nobody(): void
    {
        $this->actingAs($this->person(Role::Counter));
        [$supply, $untested, $tested] = $this->boughtOne();
        $free = fn (): int => (int) $this->getJson('/api/v1/parts/LIN-1')->assertOk()->json('supply.free');
        self::assertSame(2, $free());
        $this->app->make(MoveStock::class)->receive($untested, 3, 0, null, $this->person(Role::Counter));
        self::assertSame(2, $free(), 'untested ones do not count');
        $this->app->make(MoveStock::class)->receive($tested, 4, 0, null, $this->person(Role::Counter));
        self::assertSame(6, $free(), 'tested ones do');
    }

    public function test_the_lot_weighs_an_order_of_twelve_minutes_against_a_fifth_of_the_price_a_year(): void
    {
        $sam = $this->person(Role::Counter);
        $this->actingAs($sam);
        $this->travel(-50)->weeks();
        $part = $this->part(400);
        $job = $this->job();
        for ($week = 0; $week < 50; $week++) {
            $this->app->make(MoveStock::class)->take($part, 4, $job, 'liner', $sam);
            $this->travel(1)->weeks();
        }
        $this->travelBack();
        $this->supply($part->id, 1, 500);
        $this->app->make(MoveStock::class)->scrap($part->refresh(), $part->on_hand - 1, null, $sam);

        // Harris 1913: √(2·208·(12 min × 0.90)/(0.20 × 5.00)) = √(2·208·10.8) ≈ 67
        $packs = (int) $this->getJson('/api/v1/orders')->assertOk()->json('proposals.0.lines.0.packs');
        self::assertEqualsWithDelta(sqrt(2 * 208 * 12 * 0.90 / (0.20 * 5.00)), $packs, 7.0);
    }

    public function test_the_counts_of_a_family_are_of_its_repairs(): void
    {
        $by = $this->person();
        foreach ([JobKind::Repair, JobKind::Repair, JobKind::Service, JobKind::Inspection] as $i => $kind) {
            $job = $this->app->make(BookIn::class)->book($this->machine(), new Booking($kind, 'It clicks', Began::NotKnown), $by);
            if ($i % 2 === 0) {
                Confirmed::query()->create([
                    'job_id' => $job->id,
                    'fault' => 'belt-slack',
                    'probability' => 0.5,
                    'person_id' => $by->id,
                    'at' => now(),
                ]);
            }
            $job->update(['finished_at' => now()]);
        }
        $counts = $this->app->make(FaultCounts::class);
        $counts->recount();

        self::assertSame(['jobs' => 2, 'faults' => ['belt-slack' => 2]], $counts->now()->ofFamily('tern-220'));
    }

    public function test_the_side_of_the_bench_shows_red_tags_of_what_is_here_and_of_what_went_out_dangerous(): void
    {
        $by = $this->person();
        $this->actingAs($by);
        $tags = [];
        foreach (['bench', 'unmended', 'service', 'scrap', 'donor'] as $place) {
            $job = $this->job($this->machine());
            RedTag::query()->create([
                'machine_id' => $job->machine_id,
                'job_id' => $job->id,
                'reason' => 'brown plug',
                'put_on_by' => $by->id,
                'put_on_at' => now(),
            ]);
            $job->machine->update(['place' => $place]);
            $tags[$place] = $job->machine->tag;
        }

        $shown = array_column((array) $this->getJson('/api/v1/bench')->assertOk()->json('redTags'), 'tag');
        self::assertEqualsCanonicalizing([$tags['bench'], $tags['unmended']], $shown);
    }

    public function test_a_form_a_picture_and_a_file_are_each_taken_up_to_their_own_size(): void
    {
        $this->actingAs($this->person());
        $job = $this->job();
        $status = fn (string $path, string $type, int $bytes): int => $this->call('POST', "/api/v1{$path}", [], [], [], [
            'HTTP_ACCEPT' => 'application/json',
            'HTTP_IDEMPOTENCY_KEY' => (string) \Illuminate\Support\Str::uuid(),
            'CONTENT_TYPE' => $type,
            'HTTP_CONTENT_LENGTH' => (string) $bytes,
        ], 'x')->getStatusCode();
        foreach ([
            ["/jobs/{$job->id}/mends", 'application/json', 262_144],
            ["/jobs/{$job->id}/photographs", 'image/jpeg', 8 * 1024 * 1024],
            ['/families/tern-220/papers', 'application/pdf', 32 * 1024 * 1024],
        ] as [$path, $type, $most]) {
            self::assertNotSame(413, $status($path, $type, $most), "{$path} at its size");
            self::assertSame(413, $status($path, $type, $most + 1), "{$path} over its size");
        }
    }

    public function test_whoever_keeps_a_file_refuses_one_that_is_too_large_by_himself(): void
    {
        $by = $this->person();
        $job = $this->job();
        $keepers = [
            8 => fn (string $bytes): mixed => $this->app->make(KeepPhotograph::class)->keep($job, $bytes, $by),
            32 => fn (string $bytes): mixed => $this->app->make(KeepPaper::class)->keep('tern-220', 'Manual', $bytes, $by),
        ];
        foreach ($keepers as $mb => $keep) {
            try {
                $keep('%PDF-'.str_repeat('x', $mb * 1024 * 1024));
                self::fail("{$mb} MB and five bytes were kept");
            } catch (InputError $e) {
                self::assertStringContainsString("{$mb} MB", $e->getMessage());
            }
        }
        self::assertSame([0, 0], [DB::table('photographs')->count(), DB::table('papers')->count()]);
    }

    public function test_a_machine_whose_safety_questions_are_open_does_not_leave_to_run(): void
    {
        $by = $this->person();
        $this->actingAs($by);
        $job = $this->job();
        $job->update(['station' => 'release', 'find_passed_because' => 'nothing was broken']);
        $against = fn (): array => collect((array) $this->getJson("/api/v1/jobs/{$job->id}")->assertOk()->json('waysOut'))->firstWhere('to', 'service')['reasonsAgainst'];
        self::assertContains('The safety questions are not all answered.', $against());
        $this->safe($job);
        self::assertNotContains('The safety questions are not all answered.', $against());
    }

    /** @return array{Supply, \App\Stock\Parts\Part, \App\Stock\Parts\Part} a part that is bought, and its used ones: untested and tested */
    private function boughtOne(): array
    {
        $part = $this->part(2);
        $keep = $this->app->make(AddUsedPart::class);
        [$untested, $tested] = [$keep->add($part, SpareGrade::Untested), $keep->add($part, SpareGrade::Tested)];

        return [$this->supply($part->id, 5, 600), $untested, $tested];
    }

    private function supply(int $part, int $pack, int $minor): Supply
    {
        $supplier = Supplier::query()->create(['name' => 'North Parts', 'lead_days' => 7, 'contact' => '']);

        return Supply::query()->create([
            'part_id' => $part,
            'supplier_id' => $supplier->id,
            'number' => 'N-1',
            'pack' => $pack,
            'pack_cost_minor' => $minor,
            'preferred' => true,
        ]);
    }
}
