<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Fleet\Lives\KeepLives;
use App\Fleet\Risks\KeepRisks;
use App\Machines\CounterSource;
use App\Machines\Machine;
use App\Machines\NoteHours;
use App\Shop\Person;
use App\Shop\Role;
use App\Stock\Parts\Part;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** A farm with machines that came new and have run, and parts that were changed on them. A lead looks at it. */
abstract class FarmTestCase extends BenchTestCase
{
    protected Person $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->person(Role::Lead);
        $this->actingAs($this->lead);
    }

    /** A machine of the farm that came new, in service since a year, and has run so long. */
    protected function running(float $hours, string $family = 'tern-220'): Machine
    {
        $machine = $this->machine($family);
        $this->read($machine, 0.0, 400);
        $this->read($machine, max($hours / 2, $hours - 1500), 170);
        $this->read($machine, $hours);
        $machine->update(['place' => 'service']);

        return $machine->refresh();
    }

    protected function read(Machine $machine, float $hours, int $daysAgo = 0): void
    {
        $this->app->make(NoteHours::class)->note($machine, $hours, CounterSource::Typed, $this->lead, Carbon::now()->subDays($daysAgo));
    }

    protected function workOut(): void
    {
        $this->app->make(KeepLives::class)->workOut();
        $this->app->make(KeepRisks::class)->all();
    }

    /**
     * A part was changed in a job that is over.
     *
     * @param  array<string, mixed>  $old  what is known of the one that came out
     * @param  string|null  $fault  that was confirmed in that job
     * @return int the job
     */
    protected function changed(
        Machine $machine,
        string $position,
        float $at,
        ?Part $new = null,
        ?string $fault = null,
        array $old = [],
    ): int {
        $when = Carbon::now()->subDays((int) max(1, 400 - $at / 8));
        $job = (int) DB::table('jobs')->insertGetId([
            'machine_id' => $machine->id, 'kind' => $fault === null ? 'service' : 'repair', 'station' => 'release',
            'complaint' => 'It stopped', 'began' => 'not-known', 'hours' => $at, 'opened_by' => $this->lead->id,
            'opened_at' => $when, 'station_since' => $when, 'finished_at' => $when,
        ]);
        if ($fault !== null) {
            DB::table('diagnoses')->insert([
                'job_id' => $job, 'fault' => $fault, 'probability' => 0.9, 'person_id' => $this->lead->id, 'at' => $when,
            ]);
        }
        $here = ['machine_id' => $machine->id, 'position' => $position];
        $before = DB::table('fittings')->where($here)->whereNull('removed_at')->value('id')
            ?? DB::table('fittings')->insertGetId($here + ['fitted_at' => $machine->created_at, 'fitted_hours' => 0]);
        DB::table('fittings')->where('id', $before)->update($old + [
            'removed_at' => $when, 'removed_hours' => $at, 'removed_by' => $this->lead->id, 'removed_job_id' => $job, 'became' => 'scrap',
        ]);
        $new ??= $this->spare();
        DB::table('fittings')->insert($here + [
            'part_id' => $new->id, 'replaces_id' => $before, 'fitted_at' => $when, 'fitted_hours' => $at, 'job_id' => $job,
            'movement_id' => DB::table('movements')->insertGetId([
                'part_id' => $new->id, 'kind' => 'used', 'quantity' => -1, 'value_minor' => 0, 'job_id' => $job, 'position' => $position,
                'bin' => $new->bin, 'person_id' => $this->lead->id, 'at' => $when,
            ]),
        ]);

        return $job;
    }

    protected function spare(string $number = 'FAN-9', string $class = 'heat-break-fan'): Part
    {
        return Part::query()->where('number', $number)->first() ?? $this->part(0, $class, $number);
    }
}
