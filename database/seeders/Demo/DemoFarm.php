<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Diagnosis\RecountFaults;
use App\Fleet\Campaigns\KeepCampaign;
use App\Fleet\Campaigns\LookOwed;
use App\Fleet\Campaigns\NewCampaign;
use App\Fleet\Campaigns\OpenCampaign;
use App\Fleet\Campaigns\Who;
use App\Fleet\Farm\KeepRacks;
use App\Machines\Machine;
use App\Machines\RegisterMachine;
use App\Shop\Person;
use App\Stock\Orders\NoteSupply;
use App\Stock\Orders\Supplier;
use App\Stock\Parts\Part;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mend;
use OddBench\Knowledge\Traits;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The shop’s own farm: sixteen machines that came new and have run for fourteen months beside those of the story, with every part that
 * was changed on them. Written down in one go, in the order it happened; it disturbs no other story.
 */
final class DemoFarm
{
    private const SEED = 1931;

    private const DAYS = 424;

    /** family, how many, prints filled filament, prints hot */
    private const MACHINES = [
        ['tern-220', 5, false, false],
        ['tern-220', 3, true, false],
        ['heron-cx', 5, false, false],
        ['bittern-ht', 3, false, true],
    ];

    private const RACKS = [['Row A, window', 1, 9], ['Row B, wall', 1, 9], ['Row C, door', 1, 8]];

    /** Changed as a matter of course, not as a repair. */
    private const IN_PASSING = ['nozzle'];

    /** When something came loose on one machine, as shares of its hours: quicker and quicker. */
    private const LOOSE = [0.62, 0.76, 0.85, 0.9, 0.935, 0.96, 0.98];

    private Randomizer $random;

    /** When hands are free again. */
    private ?Carbon $free = null;

    /** @var array<string, list<Part>> class => its makes */
    private array $parts = [];

    /** @var array<string, int> class and make => used */
    private array $used = [];

    public function __construct(
        private readonly Knowledge $knowledge,
        private readonly RegisterMachine $register,
        private readonly NoteSupply $supply,
        private readonly KeepRacks $racks,
        private readonly OpenCampaign $campaigns,
        private readonly KeepCampaign $looks,
    ) {
    }

    /** @param  array<string, Person>  $people */
    public function play(Carbon $today, array $people): void
    {
        $this->random = new Randomizer(new Mt19937(self::SEED));
        Carbon::setTestNow($today);
        $this->makeParts($people['sam'], $today);
        $visits = $cared = [];
        foreach ($this->machines($today) as $i => [$machine, $abrasive, $start, $perDay]) {
            $until = $perDay * ($today->diffInDays($start, true) - 4);
            $visits = [...$visits, ...$this->visits($machine, $abrasive, $start, $perDay, $until)];
            $this->counters($machine, $start, $perDay, $today);
            $cared[] = [$machine, $start, $perDay, $i];
        }
        usort($visits, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);
        foreach ($visits as $visit) {
            $this->write($visit, $people);
        }
        foreach ($cared as [$machine, $start, $perDay, $i]) {
            $this->services($machine, $start, $perDay, $today, $i % 6 === 4);
        }
        $this->stock($people['sam'], $today);
        $this->standing();
        $this->campaign($today, $people);
        RecountFaults::dispatchSync();
    }

    /** @return list<array{Machine, bool, Carbon, float}> machine, abrasive, since when, hours a day */
    private function machines(Carbon $today): array
    {
        $made = [];
        $i = 0;
        foreach (self::MACHINES as [$family, $many, $abrasive, $hot]) {
            for ($k = 0; $k < $many; $k++) {
                $start = $today->copy()->subDays(self::DAYS - 3 * $i)->setTime(9, 0);
                Carbon::setTestNow($start);
                $machine = $this->register->register($family, sprintf('FM%04d', 1040 + 7 * $i), 'farm', null, null);
                $machine->update(['place' => 'service', 'prints_abrasive' => $abrasive, 'prints_hot' => $hot, 'hours' => 0]);
                $made[] = [$machine, $abrasive, $start, 7.2 + $this->random->getInt(0, 400) / 100];
                $i++;
            }
        }
        Carbon::setTestNow($today);

        return $made;
    }

    /**
     * @return list<array{at: Carbon, machine: Machine, hours: float, changes: list<array{at: float, position: string, class: string, make: int, failed: bool, with: bool}>}>
     */
    private function visits(Machine $machine, bool $abrasive, Carbon $start, float $perDay, float $until): array
    {
        $family = $this->knowledge->family($machine->family);
        $visits = [];
        foreach ((new FarmLives($this->random))->of($family, $abrasive, $until) as $change) {
            if ($change['with']) {
                $visits[count($visits) - 1]['changes'][] = $change;
            } else {
                $at = $start->copy()->addSeconds((int) (86_400 * $change['at'] / $perDay));
                $visits[] = ['at' => $at, 'machine' => $machine, 'hours' => $change['at'], 'changes' => [$change]];
            }
        }
        // one machine does not hold: what was set comes loose, quicker and quicker
        if ($machine->serial === 'FM1082') {
            foreach (self::LOOSE as $share) {
                $at = $start->copy()->addSeconds((int) (86_400 * $share * $until / $perDay));
                $visits[] = ['at' => $at, 'machine' => $machine, 'hours' => $share * $until, 'changes' => []];
            }
        }

        return $visits;
    }

    /** Read on Mondays, most weeks. */
    private function counters(Machine $machine, Carbon $start, float $perDay, Carbon $today): void
    {
        $rows = [['machine_id' => $machine->id, 'at' => $start, 'hours' => 0.0, 'source' => 'typed', 'person_id' => null]];
        for ($day = $start->copy()->addWeek()->setTime(7, 40); $day < $today->copy()->subHours(20); $day = $day->addWeek()) {
            if ($this->random->getInt(1, 10) > 2) {
                $rows[] = [
                    'machine_id' => $machine->id,
                    'at' => $day->copy(),
                    'hours' => round($perDay * $start->diffInSeconds($day, true) / 86_400, 1),
                    'source' => 'typed',
                    'person_id' => null,
                ];
            }
        }
        DB::table('counters')->insert($rows);
        $last = $rows[count($rows) - 1];
        DB::table('machines')->where('id', $machine->id)->update(['hours' => $last['hours'], 'place_since' => $start]);
    }

    /** What comes round was done on the way; on some it is overdue. */
    private function services(Machine $machine, Carbon $start, float $perDay, Carbon $today, bool $late): void
    {
        $job = DB::table('jobs')->where('machine_id', $machine->id)->orderByDesc('id')->first(['id', 'opened_by']);
        if ($job === null) {
            return;
        }
        foreach ($this->knowledge->serviceOf($machine->family) as $item) {
            $every = min(($item->everyHours ?? INF) / $perDay, 30.44 * ($item->everyMonths ?? INF));
            $ago = $every * ($late && $item->code === 'wipe-down' ? 1.3 : $this->random->getInt(10, 80) / 100);
            $at = $today->copy()->subMinutes((int) (1440 * $ago));
            DB::table('services_done')->insert([
                'machine_id' => $machine->id, 'item' => $item->code, 'job_id' => $job->id, 'person_id' => $job->opened_by, 'at' => $at,
                'hours' => round($perDay * $start->diffInSeconds($at, true) / 86_400, 1),
            ]);
        }
    }

    /**
     * @param  array{at: Carbon, machine: Machine, hours: float, changes: list<array{at: float, position: string, class: string, make: int, failed: bool, with: bool}>}  $visit
     * @param  array<string, Person>  $people
     */
    private function write(array $visit, array $people): void
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

    /** @param  array{at: float, position: string, class: string, make: int, failed: bool, with: bool}  $change */
    private function change(int $job, Machine $machine, array $change, Person $by, Carbon $at, bool $passing): void
    {
        $part = $this->parts[$change['class']][$change['make']];
        $cost = FarmLives::LAWS[$change['class']][$change['make']][1];
        $this->used["{$change['class']} {$change['make']}"] = ($this->used["{$change['class']} {$change['make']}"] ?? 0) + 1;
        $movement = (int) DB::table('movements')->insertGetId([
            'part_id' => $part->id, 'kind' => 'used', 'quantity' => -1, 'value_minor' => -$cost, 'job_id' => $job,
            'position' => $change['position'], 'bin' => $part->bin, 'person_id' => $by->id, 'at' => $at,
        ]);
        $before = DB::table('fittings')->where(['machine_id' => $machine->id, 'position' => $change['position']])->whereNull('removed_at')->value('id')
            ?? DB::table('fittings')->insertGetId([
                'machine_id' => $machine->id, 'position' => $change['position'], 'fitted_at' => $machine->created_at, 'fitted_hours' => 0,
            ]);
        DB::table('fittings')->where('id', $before)->update([
            'removed_at' => $at, 'removed_hours' => round($change['at'], 1), 'removed_by' => $by->id, 'ended_by' => $movement,
            'removed_job_id' => $job, 'became' => 'scrap',
            // what a repair was for says so itself; what was changed along with it says that it worked
            'ended_as' => $change['failed'] ? ($passing ? 'failed' : null) : 'worked',
        ]);
        DB::table('fittings')->insert([
            'machine_id' => $machine->id, 'position' => $change['position'], 'part_id' => $part->id, 'movement_id' => $movement,
            'replaces_id' => $before, 'fitted_at' => $at, 'fitted_hours' => round($change['at'], 1), 'job_id' => $job, 'person_id' => $by->id,
        ]);
        DB::statement(
            'INSERT INTO part_uses (family, class, part_id, times) VALUES (?, ?, ?, 1) ON CONFLICT (family, part_id) DO UPDATE SET times = part_uses.times + 1',
            [$machine->family, $change['class'], $part->id],
        );
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

    /** So many were bought before the first one was used, and some lie there. */
    private function makeParts(Person $by, Carbon $today): void
    {
        $supplier = Supplier::query()->orderBy('id')->firstOrFail();
        Carbon::setTestNow($today->copy()->subDays(self::DAYS + 1)->setTime(7, 0));
        foreach (FarmLives::LAWS as $class => $makes) {
            foreach ($makes as $i => [$name, $cost, $bin]) {
                $part = Part::query()->create([
                    'number' => 'FM-'.strtoupper(substr(str_replace('-', '', $class), 0, 4)).($i + 1),
                    'name' => $name, 'class' => $class, 'bin' => $bin,
                ]);
                $this->supply->note($part, $supplier, 'M-'.$part->number, 4, 4 * $cost);
                DB::table('movements')->insert([
                    'part_id' => $part->id, 'kind' => 'received', 'quantity' => 1, 'value_minor' => $cost, 'bin' => $bin,
                    'person_id' => $by->id, 'at' => now(), 'note' => 'opening stock',
                ]);
                $this->parts[$class][] = $part;
            }
        }
        Carbon::setTestNow($today);
    }

    /** Bought as many as were used and a few more, all at the start: the price did not change. */
    private function stock(Person $by, Carbon $today): void
    {
        foreach (FarmLives::LAWS as $class => $makes) {
            foreach ($makes as $i => [, $cost, $bin]) {
                $part = $this->parts[$class][$i];
                $there = 2 + $this->random->getInt(0, 3);
                $count = ($this->used["{$class} {$i}"] ?? 0) + $there;
                DB::table('movements')->where(['part_id' => $part->id, 'kind' => 'received'])
                    ->update(['quantity' => $count, 'value_minor' => $count * $cost]);
                $part->update(['on_hand' => $there, 'value_minor' => $there * $cost]);
                DB::table('bin_stocks')->insert(['part_id' => $part->id, 'bin' => $bin, 'on_hand' => $there]);
            }
        }
    }

    /** Rows as they stand in the room. */
    private function standing(): void
    {
        $machines = Machine::query()->where('held_as', 'farm')->whereIn('place', ['service', 'bench'])->orderBy('tag')->get();
        foreach (self::RACKS as [$name, $shelves, $places]) {
            $rack = $this->racks->draw($name, $shelves, $places);
            // the last place of each row is free
            foreach ($machines->splice(0, $places - 1) as $i => $machine) {
                $this->racks->put($machine, $rack, 1, $i + 1, false);
            }
        }
    }

    /**
     * A thought of Ada’s: are the connectors of the heated beds brown? Begun last week, half looked at.
     *
     * @param  array<string, Person>  $people
     */
    private function campaign(Carbon $today, array $people): void
    {
        Carbon::setTestNow($today->copy()->subDays(6));
        $campaign = $this->campaigns->open(new NewCampaign(
            'bulletin',
            'Belt clamps that were printed, not moulded',
            new Who(class: 'belt', heldAs: 'farm'),
            because: 'the seller writes that spares of spring were printed and creep in the warm',
            lookFor: 'Light on the clamp at the back of the carriage: printed ones show layers. A crack at the screw is affected as well.',
            mend: 'moulded clamp, belt set to its tension again',
            assignedTo: $people['imre']->id,
            dueOn: $today->copy()->addDays(9)->toDateString(),
        ), $people['ada']);
        $owed = LookOwed::query()->with('machine')->where('campaign_id', $campaign->id)->orderBy('id')->limit(11)->get();
        foreach ($owed as $i => $one) {
            Carbon::setTestNow($today->copy()->subDays(3)->addMinutes(4 * $i));
            $affected = in_array($i, [1, 4, 9], true);
            $this->looks->look($campaign, $one->machine, $affected, $affected ? 'shows layers' : null, $people['imre']);
            if ($i === 1) {
                $this->looks->mended($campaign, $one->machine, $people['bo']);
            }
        }
        Carbon::setTestNow($today);
    }

    /**
     * @param  array{at: Carbon, machine: Machine, hours: float, changes: list<array{at: float, position: string, class: string, make: int, failed: bool, with: bool}>}  $visit
     * @return array<string, mixed>
     */
    private static function event(int $job, array $visit, Person $by, Carbon $at, string $kind, string $text): array
    {
        return [
            'job_id' => $job, 'machine_id' => $visit['machine']->id, 'version' => 1, 'station' => $kind === 'booked-in' ? 'safety' : 'release',
            'kind' => $kind, 'text' => $text, 'hours' => round($visit['hours'], 1), 'person_id' => $by->id, 'at' => $at,
        ];
    }
}
