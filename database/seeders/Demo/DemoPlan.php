<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Intake\EditJob;
use App\Intake\Hands;
use App\Intake\Job;
use App\Machines\Machine;
use App\Plan\Calendar\KeepDayOff;
use App\Plan\Calendar\KeepHours;
use App\Plan\Making\MakePlan;
use App\Plan\Making\PlanRow;
use App\Plan\Making\SituationQuery;
use App\Shop\Person;
use App\Shop\Setting;
use App\Stock\Orders\Order;
use Illuminate\Container\Container;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Intake\JobKind;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** When the quay repair room is open, who is there when, what comes when, and what the last jobs were reckoned to take. */
final class DemoPlan
{
    private const SEED = 1919;

    /** Minutes nobody waits for with his hands. */
    private const LONG = 180;

    private const ADA_COMES = '9:00';

    private const ADA_GOES = '12:00';

    /** Minutes from now until what is ordered comes. */
    private const COMES_IN = [95, 1230];

    /** @var array<int, Station> machine id => where its job was reckoned last */
    private array $reckoned = [];

    public function __construct(
        private readonly Container $app,
        private readonly KeepHours $hours,
        private readonly KeepDayOff $off,
        private readonly EditJob $edit,
        private readonly Hands $hands,
        private readonly Knowledge $knowledge,
    ) {
    }

    /** @param  array<string, Person>  $people */
    public function open(array $people): void
    {
        Setting::put('nights', true);
        $week = static fn (int $last, string ...$clock): array => array_merge(...array_map(
            static fn (int $day): array => array_map(
                static fn (array $span): array => ['weekday' => $day, 'opens' => $span[0], 'closes' => $span[1]],
                array_chunk($clock, 2),
            ),
            range(1, $last),
        ));
        $this->hours->keep(null, $week(5, '8:00', '12:00', '12:45', '17:00'), $people['ada']);
        $this->hours->keep($people['ada'], $week(5, self::ADA_COMES, self::ADA_GOES), $people['ada']);
        DB::table('plan_news')->delete();
    }

    /** What a job is reckoned to take where it stands now; once for each station. */
    public function reckon(Machine $machine): void
    {
        $station = Job::query()->where('machine_id', $machine->id)->whereNull('finished_at')->first(['station'])?->station;
        if ($station === null || ($this->reckoned[$machine->id] ?? null) === $station) {
            return;
        }
        $this->reckoned[$machine->id] = $station;
        $this->app->forgetScopedInstances();
        $this->app->make(MakePlan::class)->reckon($this->app->make(SituationQuery::class)->read());
    }

    /**
     * Two that run through the night: a spool to be dried, and a board that was changed and has shown everything but the long print.
     *
     * @param  array<string, Person>  $people
     */
    public function forTheNight(Carbon $today, array $people): void
    {
        $random = new Randomizer(new Mt19937(self::SEED));
        $promised = $today->copy()->addDays(2)->toDateString();
        foreach ([['heron-cx', 'filament-wet', 'fix', 250], ['tern-220', 'board-failed', null, 245]] as [$family, $fault, $stopAt, $ago]) {
            $machine = Machine::query()->where('family', $family)->where('place', 'owner')->whereNotNull('owner_id')
                ->whereNotIn('id', Job::query()->select('machine_id')->whereNull('finished_at'))
                ->orderBy('id')->firstOrFail();
            Carbon::setTestNow($today->copy()->subMinutes($ago));
            $plot = new DemoPlot(JobKind::Repair, 'ada', (float) $machine->hoursRun() + 40, 5, $promised, $stopAt);
            /** @var DemoJob $job */
            $job = $this->app->make(DemoJob::class, ['random' => $random]);
            foreach ($job->play($plot, $machine, DemoTruth::of($this->knowledge, $family, [$fault], $random), $people) as $beat) {
                if ($beat->waitMinutes >= self::LONG) {
                    break;
                }
                $at = Carbon::now()->addMinutes($beat->minutes + min($beat->waitMinutes, 5));
                Carbon::setTestNow($at->min($today->copy()->subMinutes(10)));
            }
            $open = Job::query()->where('machine_id', $machine->id)->whereNull('finished_at')->sole();
            $this->hands->off($open);
        }
        Carbon::setTestNow();
    }

    /**
     * What is waited for comes, and somebody is away next week.
     *
     * @param  array<string, Person>  $people
     */
    public function setTheBench(Carbon $today, array $people): void
    {
        Carbon::setTestNow($today->copy()->subMinutes(9));
        foreach (Order::query()->whereNull('closed_at')->orderBy('id')->limit(2)->get() as $i => $order) {
            $order->update(['expected_at' => $today->copy()->addMinutes(self::COMES_IN[$i])]);
        }
        foreach (Job::query()->whereNull('finished_at')->where('waits_for', 'part')->orderBy('id')->get() as $job) {
            $this->edit->wait($job, 'part', $job->waits_note, self::COMES_IN[1], $job->version, $people['sam']);
        }
        $first = $today->copy()->addDays(7)->toDateString();
        $this->off->keep($people['imre'], $first, $first, null, null, 'fire drill instructor', $people['imre']);
        Carbon::setTestNow();
    }

    /** The plan as it is now, and nothing that is told of those before. */
    public function now(): void
    {
        PlanRow::query()->delete();
        DB::table('plan_news')->delete();
        $this->plan();
    }

    private function plan(): void
    {
        $this->app->forgetScopedInstances();
        $this->app->make(MakePlan::class)->make();
    }
}
