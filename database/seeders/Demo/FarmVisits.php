<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Machines\Machine;
use App\Shop\Person;
use App\Stock\Parts\PartChoice;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mend;
use OddBench\Knowledge\Traits;
use Random\Randomizer;

/**
 * What was done to the machines of the farm, written down as jobs that are over: one after the other, in the order it happened.
 *
 * @phpstan-import-type Change from FarmLives
 *
 * @phpstan-type Visit array{at: Carbon, machine: Machine, hours: float, changes: list<Change>}
 */
final class FarmVisits
{
    /** Changed on the way, seen or heard by whoever walks by: no repair was booked in for it. */
    private const IN_PASSING = ['nozzle', 'heat-break-fan'];

    /** When hands are free again. */
    private ?Carbon $free = null;

    public function __construct(
        private readonly Knowledge $knowledge,
        private readonly Randomizer $random,
        private readonly FarmShelf $shelf,
    ) {
    }

    /**
     * @param  Visit  $visit
     * @param  array<string, Person>  $people
     */
    public function write(array $visit, array $people): void
    {
        $by = $people[['bo', 'imre', 'tove'][$visit['at']->dayOfYear % 3]];
        $first = $visit['changes'][0] ?? null;
        $fault = $first === null ? $this->knowledge->fault('belt-slack') : $this->fault($visit['machine']->family, $first['class']);
        $passing = $first !== null && in_array($first['class'], self::IN_PASSING, true);
        $name = $first === null ? '' : $this->knowledge->positionName($visit['machine']->family, $first['position']);
        [$from, $to] = $this->hands($visit['at']);
        $job = (int) DB::table('jobs')->insertGetId([
            'machine_id' => $visit['machine']->id,
            'kind' => $passing ? 'service' : 'repair',
            'station' => 'release',
            'station_since' => $to,
            'complaint' => $passing ? "Service: new {$name}" : ($first === null ? 'Prints shifted again' : "Stopped: {$name}"),
            'began' => 'not-known',
            'hours' => round($visit['hours'], 1),
            'find_passed_because' => $passing ? 'service, nothing is complained of' : null,
            'opened_by' => $by->id,
            'opened_at' => $from,
            'finished_at' => $to,
        ]);
        DB::table('work_spells')->insert([
            'job_id' => $job, 'person_id' => $by->id, 'station' => 'repair', 'began_at' => $from, 'last_seen_at' => $to, 'ended_at' => $to,
        ]);
        if (! $passing) {
            $mend = $first === null ? $fault->mend() : self::taking($fault, $first['class'])[0];
            $this->found($job, $visit['machine'], $fault, $mend, $by, $from, $first === null);
        }
        foreach ($visit['changes'] as $change) {
            $this->change($job, $visit['machine'], $change, $by, $to, $passing);
        }
        DB::table('proof_results')->insert([
            'job_id' => $job, 'proof' => 'small-print', 'passed' => true, 'person_id' => $by->id, 'at' => $to,
        ]);
        DB::table('releases')->insert(['job_id' => $job, 'destination' => 'service', 'person_id' => $by->id, 'at' => $to,
            'warranty_until' => $to->copy()->addDays(90)->toDateString(), 'warranty_hours' => round($visit['hours'] + 500, 1)]);
        DB::table('job_events')->insert([
            self::event($job, $visit, $by, $from, 'booked-in', $passing ? 'Booked in for service' : 'Booked in for repair'),
            self::event($job, $visit, $by, $to, 'sent-out', 'Signed out: in service'),
        ]);
    }

    /**
     * One after the other in the evening, when nobody’s hands are on a job of the day.
     *
     * @return array{Carbon, Carbon}
     */
    private function hands(Carbon $at): array
    {
        $evening = $at->copy()->setTime(18, 0);
        $began = $evening->lessThan($at) ? $evening->addDay() : $evening;
        if ($this->free !== null && $this->free->greaterThan($began)) {
            $began = $this->free->copy();
        }
        $ended = $began->copy()->addMinutes(16 + $this->random->getInt(0, 14));
        $this->free = $ended->copy()->addMinutes(3);

        return [$began, $ended];
    }

    private function found(int $job, Machine $machine, Fault $fault, Mend $mend, Person $by, Carbon $at, bool $again): void
    {
        $before = $again ? DB::table('diagnoses as d')->join('jobs as j', 'j.id', '=', 'd.job_id')
            ->where(['j.machine_id' => $machine->id, 'd.fault' => $fault->code])
            ->where('j.finished_at', '>', $at->copy()->subDays(90))
            ->orderByDesc('j.id')
            ->value('j.id') : null;
        DB::table('diagnoses')->insert([
            'job_id' => $job, 'fault' => $fault->code, 'probability' => 0.8, 'person_id' => $by->id, 'at' => $at->copy()->addMinutes(6),
            'comeback_of' => $before,
        ]);
        DB::table('mends')->insert([
            'job_id' => $job, 'fault' => $fault->code, 'done' => $mend->do, 'touched' => json_encode($mend->touches),
            'person_id' => $by->id, 'at' => $at->copy()->addMinutes(14),
        ]);
    }

    /** @param  Change  $change */
    private function change(int $job, Machine $machine, array $change, Person $by, Carbon $at, bool $passing): void
    {
        $part = $this->shelf->take($change);
        $cost = FarmLives::LAWS[$change['class']][$change['make']][1];
        $movement = (int) DB::table('movements')->insertGetId([
            'part_id' => $part->id, 'kind' => 'used', 'quantity' => -1, 'value_minor' => -$cost, 'job_id' => $job,
            'position' => $change['position'], 'bin' => $part->bin, 'person_id' => $by->id, 'at' => $at,
        ]);
        $here = ['machine_id' => $machine->id, 'position' => $change['position']];
        $before = DB::table('fittings')->where($here)->whereNull('removed_at')->value('id')
            ?? DB::table('fittings')->insertGetId($here + ['fitted_at' => $machine->created_at, 'fitted_hours' => 0]);
        DB::table('fittings')->where('id', $before)->update([
            'removed_at' => $at, 'removed_hours' => round($change['at'], 1), 'removed_by' => $by->id, 'ended_by' => $movement,
            'removed_job_id' => $job, 'became' => 'scrap',
            // what a repair was for says so itself; what was changed along with it says that it worked
            'ended_as' => $change['failed'] ? ($passing ? 'failed' : null) : 'worked',
        ]);
        DB::table('fittings')->insert($here + [
            'part_id' => $part->id, 'movement_id' => $movement, 'replaces_id' => $before,
            'fitted_at' => $at, 'fitted_hours' => round($change['at'], 1), 'job_id' => $job, 'person_id' => $by->id,
        ]);
        PartChoice::used($machine->family, $part, 1);
    }

    /** The usual fault that takes such a part. */
    private function fault(string $family, string $class): Fault
    {
        $traits = Traits::of($this->knowledge->family($family)->traits);
        $faults = array_filter(
            $this->knowledge->faults,
            static fn (Fault $f): bool => self::taking($f, $class) !== [] && ! $f->danger && $traits->allow($f->needs),
        );
        uasort($faults, static fn (Fault $a, Fault $b): int => $b->rate <=> $a->rate);

        return array_values($faults)[0];
    }

    /** @return list<Mend> ways to put a fault right that take such a part */
    private static function taking(Fault $fault, string $class): array
    {
        return array_values(array_filter($fault->mends, static fn (Mend $m): bool => in_array($class, $m->parts, true)));
    }

    /**
     * @param  Visit  $visit
     * @return array<string, mixed>
     */
    private static function event(int $job, array $visit, Person $by, Carbon $at, string $kind, string $text): array
    {
        return [
            'job_id' => $job, 'machine_id' => $visit['machine']->id, 'version' => 1,
            'station' => $kind === 'booked-in' ? 'safety' : 'release',
            'kind' => $kind, 'text' => $text, 'hours' => round($visit['hours'], 1), 'person_id' => $by->id, 'at' => $at,
        ];
    }
}
