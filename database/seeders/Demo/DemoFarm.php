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
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The shop’s own farm: sixteen machines that came new and have run for fourteen months beside those of the story, with every part that
 * was changed on them. Written down in one go, in the order it happened; it disturbs no other story.
 *
 * @phpstan-import-type Visit from FarmVisits
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

    /** When something came loose on one machine, as shares of its hours: quicker and quicker. */
    private const LOOSE = [0.62, 0.76, 0.85, 0.9, 0.935, 0.96, 0.98];

    private Randomizer $random;

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
        $shelf = new FarmShelf($this->supply, $this->random);
        $shelf->make($people['sam'], $today, self::DAYS);
        $done = new FarmVisits($this->knowledge, $this->random, $shelf);
        $visits = $cared = [];
        foreach ($this->machines($today) as $i => [$machine, $abrasive, $start, $perDay]) {
            $until = $perDay * ($today->diffInDays($start, true) - 4);
            $visits = [...$visits, ...$this->visits($machine, $abrasive, $start, $perDay, $until)];
            $this->counters($machine, $start, $perDay, $today);
            $cared[] = [$machine, $start, $perDay, $i];
        }
        usort($visits, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);
        foreach ($visits as $visit) {
            $done->write($visit, $people);
        }
        foreach ($cared as [$machine, $start, $perDay, $i]) {
            $this->services($machine, $start, $perDay, $today, $i % 6 === 4);
        }
        $shelf->bought();
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
     * @return list<Visit>
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
     * A bulletin of the seller’s, begun last week and half looked at.
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
}
