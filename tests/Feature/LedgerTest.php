<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Diagnosis\Faults\Confirmed;
use App\Intake\Job;
use App\Intake\WorkSpell;
use App\Machines\Machine;
use App\Money\Charges\Bill;
use App\Shop\Role;
use App\Shop\Setting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** A ledger that agrees with what moved, was worked and was billed, on the day it was in the shop. */
final class LedgerTest extends BenchTestCase
{
    private Machine $machine;

    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person(Role::Lead));
        $this->machine = $this->machine();
        $this->job = $this->job($this->machine);
    }

    public function test_the_ledger_is_what_moved_and_nothing_else(): void
    {
        $part = $this->part(4);
        $this->atFix($this->job);
        $this->send('POST', "/jobs/{$this->job->id}/parts", ['part' => $part->number, 'quantity' => 3])->assertOk();
        $this->send('DELETE', "/jobs/{$this->job->id}/parts/".DB::table('movements')->where('kind', 'used')->value('id'))->assertOk();
        $this->send('POST', "/jobs/{$this->job->id}/parts", ['part' => $part->number, 'quantity' => 1])->assertOk();
        WorkSpell::query()->delete();
        foreach ([[50, 20], [10, 4]] as [$from, $to]) {
            WorkSpell::query()->create([
                'job_id' => $this->job->id, 'person_id' => $this->person()->id, 'station' => 'repair',
                'began_at' => now()->subMinutes($from), 'last_seen_at' => now(), 'ended_at' => now()->subMinutes($to),
            ]);
        }
        $ledger = $this->getJson('/api/v1/money/ledger?from='.now()->subDays(2)->toDateString())->assertOk();
        self::assertSame([120, 36, 36 * 90, 360], [
            $ledger->json('partsMinor'),
            (int) round((float) $ledger->json('handsMinutes')),
            $ledger->json('handsMinor'),
            $ledger->json('stockMinor'),
        ]);
        self::assertSame(['Liner cooked'], array_column((array) $ledger->json('faults'), 'name'));
        self::assertSame($ledger->json('handsMinor'), array_sum(array_column((array) $ledger->json('faults'), 'handsMinor')));
        $before = $this->getJson('/api/v1/money/ledger?from=2020-01-01&to=2020-12-31')->assertOk();
        self::assertSame([0, 0, []], [$before->json('partsMinor'), $before->json('stockMinor'), $before->json('families')]);
        $this->assertRefused($this->getJson('/api/v1/money/ledger?from=2026-02-01&to=2026-01-01'), 422, 'to', 'before the first');
        self::assertStringContainsString(
            'Liner cooked',
            (string) $this->get('/files/ledger.csv?from='.now()->subDays(2)->toDateString())->assertOk()->getContent(),
        );
    }

    public function test_a_day_begins_at_the_shops_midnight_and_hands_over_it_count_for_both(): void
    {
        // five hours before UTC: the shop's 10th of June begins at 05:00
        Setting::put('zone', 'America/Bogota');
        $this->worked($this->job, '2026-06-10 04:40', '2026-06-10 05:10');
        $this->billed($this->job, 5000, 0, '2026-06-10 04:59:59');
        $other = $this->job();
        $this->billed($other, 700, 0, '2026-06-10 05:00');
        $day = fn (string $day): array => [
            ($of = $this->ledger($day, $day))['handsMinutes'], $of['chargedMinor'], $of['bills'],
        ];

        self::assertEquals([20.0, 5000, 1], $day('2026-06-09'));
        self::assertEquals([10.0, 700, 1], $day('2026-06-10'));
        self::assertEquals([0.0, 0, 0], $day('2026-06-11'));
        self::assertEquals(30.0, $this->ledger('2026-06-09', '2026-06-10')['handsMinutes']);
    }

    public function test_what_still_runs_and_what_was_taken_back_is_not_in_it(): void
    {
        WorkSpell::query()->delete();
        WorkSpell::query()->create([
            'job_id' => $this->job->id, 'person_id' => $this->person()->id, 'station' => 'repair',
            'began_at' => now()->subHour(), 'last_seen_at' => now(), 'ended_at' => null,
        ]);
        Confirmed::query()->where('job_id', $this->job->id)->delete();

        self::assertSame([], $this->ledger('2000-01-01', '2099-01-01')['families']);
    }

    public function test_a_job_with_two_faults_shares_what_it_took_between_them_to_the_cent(): void
    {
        $this->worked($this->job, '2026-06-10 10:00', '2026-06-10 11:00');
        $this->billed($this->job, 1001, 0, '2026-06-10 12:00');
        foreach (['tube-cooked', 'break-fan-failed'] as $fault) {
            $this->confirmed($this->job, $fault);
        }
        // taken back: it has no share
        $this->confirmed($this->job, 'nozzle-blocked', superseded: true);
        $faults = array_column($this->ledger('2026-06-10', '2026-06-10')['faults'], null, 'code');

        self::assertEqualsCanonicalizing(['tube-cooked', 'break-fan-failed'], array_keys($faults));
        self::assertEqualsCanonicalizing([501, 500], array_column($faults, 'chargedMinor'));
        self::assertEquals([30.0, 30.0], array_column($faults, 'handsMinutes'));
    }

    public function test_a_job_without_a_fault_stands_as_service_and_the_dearest_fault_stands_first(): void
    {
        $this->worked($this->job, '2026-06-10 10:00', '2026-06-10 10:20');
        $mended = $this->job();
        $this->confirmed($mended, 'tube-cooked');
        $this->worked($mended, '2026-06-10 12:00', '2026-06-10 14:00');

        self::assertSame(
            ['Liner cooked', 'No fault: service, refurbishing'],
            array_column($this->ledger('2026-06-10', '2026-06-10')['faults'], 'name'),
        );
    }

    public function test_families_pay_by_owners_machines_only(): void
    {
        $own = $this->job($this->machine('tern-220', 'owner'));
        $this->worked($own, '2026-06-10 10:00', '2026-06-10 11:00');
        $this->billed($own, 9000, 0, '2026-06-10 12:00');
        // an hour on the farm's own machine is no loss by anybody
        $this->worked($this->job, '2026-06-10 13:00', '2026-06-10 14:00');
        $family = $this->ledger('2026-06-10', '2026-06-10')['families'][0];

        // 60 minutes at 0.90 of the 90.00
        self::assertSame([2, 120.0, 9000, 9000 - 5400], [
            $family['jobs'], (float) $family['handsMinutes'], $family['chargedMinor'], $family['leftMinor'],
        ]);
    }

    public function test_what_the_shop_bears_is_told_apart_from_what_is_charged(): void
    {
        $this->billed($this->job, 0, 4100, '2026-06-10 12:00', 'it came back');
        $of = $this->ledger('2026-06-10', '2026-06-10');

        self::assertSame([0, 4100, 1], [$of['chargedMinor'], $of['warrantyMinor'], $of['bills']]);
    }

    public function test_the_table_says_what_the_page_says(): void
    {
        $this->worked($this->job, '2026-06-10 10:00', '2026-06-10 11:00');
        $this->billed($this->job, 12345, 0, '2026-06-10 12:00');
        $family = $this->ledger('2026-06-10', '2026-06-10')['families'][0];
        $csv = (string) $this->get('/files/ledger.csv?from=2026-06-10&to=2026-06-10')->assertOk()->getContent();
        $rows = array_map(static fn (string $row): array => str_getcsv($row), array_filter(explode("\n", trim($csv))));

        self::assertSame(
            ['family', 'tern-220', $family['name'], '1', '60', '54.00', '0.00', '123.45', '0.00', '123.45'],
            array_map(trim(...), $rows[1]),
        );
        self::assertSame('fault', $rows[2][0]);
    }

    /** @return array<string, mixed> */
    private function ledger(string $from, string $to): array
    {
        return (array) $this->getJson("/api/v1/money/ledger?from={$from}&to={$to}")->assertOk()->json();
    }

    private function worked(Job $job, string $from, string $to): void
    {
        WorkSpell::query()->where('job_id', $job->id)->delete();
        WorkSpell::query()->create([
            'job_id' => $job->id, 'person_id' => $this->person()->id, 'station' => 'repair',
            'began_at' => Carbon::parse($from), 'last_seen_at' => Carbon::parse($to), 'ended_at' => Carbon::parse($to),
        ]);
    }

    private function billed(Job $job, int $net, int $ownCost, string $at, ?string $free = null): void
    {
        Bill::query()->create([
            'job_id' => $job->id, 'number' => $job->id, 'lines' => [], 'minutes' => 0, 'hands_minor' => $net, 'parts_minor' => 0,
            'freight_minor' => 0, 'net_minor' => $net, 'tax_pct' => 0, 'tax_minor' => 0, 'gross_minor' => $net,
            'own_cost_minor' => $ownCost, 'free_because' => $free, 'person_id' => $this->person()->id, 'at' => Carbon::parse($at),
        ]);
    }

    private function confirmed(Job $job, string $fault, bool $superseded = false): void
    {
        Confirmed::query()->create([
            'job_id' => $job->id, 'fault' => $fault, 'probability' => 0.9, 'person_id' => $this->person()->id, 'at' => now(),
            'superseded_at' => $superseded ? now() : null,
        ]);
    }
}
