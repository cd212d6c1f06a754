<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Hands;
use App\Intake\Job;
use App\Machines\HoursQuery;
use App\Plan\Ahead\LookedBefore;
use App\Plan\Ahead\Names;
use App\Plan\Ahead\Practice;
use App\Plan\Calendar\ShopHours;
use App\Plan\Making\MakePlan;
use App\Plan\Making\PlanMove;
use App\Plan\Making\PlanRow;
use App\Shop\Person;
use App\Shop\Role;
use App\Shop\Setting;
use App\Stock\Orders\Order;
use App\Stock\Orders\Supplier;
use App\Stock\Parts\Part;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** A small shop with hours: a Monday at nine, a technician and a lead at the bench. */
abstract class PlanTestCase extends BenchTestCase
{
    protected Person $bo;

    protected Person $ada;

    protected function setUp(): void
    {
        parent::setUp();
        Setting::put('zone', 'Europe/Berlin');
        $this->travelTo(Carbon::parse('2026-12-07T09:00:00+01:00'));
        DB::table('hours')->delete();
        foreach ([1, 2, 3, 4, 5] as $weekday) {
            DB::table('hours')->insert([
                ['person_id' => null, 'weekday' => $weekday, 'opens' => 480, 'closes' => 720],
                ['person_id' => null, 'weekday' => $weekday, 'opens' => 765, 'closes' => 1020],
            ]);
        }
        $this->bo = $this->person();
        $this->ada = $this->person(Role::Lead);
        $this->actingAs($this->bo);
    }

    /** What lives as long as a request is read anew. */
    protected function anew(): void
    {
        foreach ([ShopHours::class, Names::class, Practice::class, LookedBefore::class, HoursQuery::class] as $scoped) {
            $this->app->forgetInstance($scoped);
        }
    }

    protected function plan(): PlanRow
    {
        $this->anew();

        return $this->app->make(MakePlan::class)->make();
    }

    /**
     * @return array<string, mixed>
     *
     * @phpstan-impure
     */
    protected function today(): array
    {
        return $this->told('today');
    }

    /**
     * @return array<string, mixed>
     *
     * @phpstan-impure
     */
    protected function told(string $what): array
    {
        $this->anew();

        /** @var array<string, mixed> */
        return $this->getJson("/api/v1/plan/{$what}")->assertOk()->json();
    }

    /**
     * @return list<array<string, mixed>>
     *
     * @phpstan-impure
     */
    protected function steps(): array
    {
        $moved = PlanMove::query()->get()->map(static fn (PlanMove $m): string => "{$m->job_id} {$m->step}")->all();

        return array_map(
            static fn (array $s): array => $s + ['moved' => in_array("{$s['job']} {$s['what']}", $moved, true)],
            PlanRow::query()->orderByDesc('id')->firstOrFail()->body['steps'],
        );
    }

    /**
     * @return array<string, mixed> the first step of a job
     *
     * @phpstan-impure
     */
    protected function stepOf(Job $job): array
    {
        foreach ($this->steps() as $step) {
            if ($step['job'] === $job->id) {
                return $step;
            }
        }
        self::fail('It is not in the plan.');
    }

    /** @return list<array<string, mixed>> */
    protected function stepsOf(Person $person): array
    {
        foreach ($this->today()['people'] as $one) {
            if ($one['id'] === $person->id) {
                return $one['steps'];
            }
        }

        return [];
    }

    /** An owner’s machine with a day it is promised for. */
    protected function promised(string $day): Job
    {
        $job = $this->job($this->machine('tern-220', 'owner'), $this->bo);
        $job->update(['promised_for' => $day]);

        return $job;
    }

    /** It was found what it is, it stands at Fix, and nobody has to agree to a price. */
    protected function toMend(string $fault, string $promised): Job
    {
        $job = $this->promised($promised);
        $this->atFix($job, $fault);
        $this->app->make(Hands::class)->off($job->refresh());
        Job::query()->whereKey($job->id)->update(['waits_for' => null]);

        return $job->refresh();
    }

    protected function order(Part $part, int $pieces, string $expected): void
    {
        $order = Order::query()->create([
            'supplier_id' => Supplier::query()->firstOrCreate(['name' => 'Harbour Parts'], ['lead_days' => 5])->id,
            'sent_at' => now()->subDays(9),
            'expected_at' => Carbon::parse($expected)->utc(),
            'person_id' => $this->bo->id,
            'freight_minor' => 0,
        ]);
        DB::table('order_lines')->insert([
            'order_id' => $order->id, 'part_id' => $part->id, 'packs' => $pieces, 'pack' => 1, 'pack_cost_minor' => 100, 'received' => 0,
        ]);
    }

    /** A red tag whose second signature is wanted. */
    protected function tagRed(Job $job): void
    {
        $this->send('POST', "/jobs/{$job->id}/red-tag", ['reason' => 'A burnt plug at the bed'])->assertOk();
        DB::table('red_tags')->where('machine_id', $job->machine_id)->update(['off_asked_by' => $this->bo->id, 'off_asked_at' => now()]);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    protected function away(?Person $person, string $first, ?string $from, ?string $to, ?string $last = null): TestResponse
    {
        return $this->send('POST', '/plan/days-off', [
            'person' => $person?->id, 'first' => $first, 'last' => $last, 'from' => $from, 'to' => $to, 'why' => 'inventory',
        ]);
    }
}
