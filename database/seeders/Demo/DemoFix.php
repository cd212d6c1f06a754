<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Diagnosis\Faults\Confirmed;
use App\Intake\Job;
use App\Machines\KeepPaper;
use App\Machines\Machine;
use App\Machines\Warranty;
use App\Repair\Guides\GuideRun;
use App\Repair\Guides\RunGuide;
use App\Repair\Positions\ChangePosition;
use App\Repair\Service\KeepService;
use App\Repair\Tray\PutStepBack;
use App\Repair\Tray\Removal;
use App\Repair\Tray\TakenOff;
use App\Repair\Tray\TakeOff;
use App\Repair\Tray\TrayQuery;
use App\Repair\WorkOnJob;
use App\Shop\Person;
use Illuminate\Support\Carbon;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use OddBench\Repair\FastenerList;
use OddBench\Repair\LearningCurve;

/** What is done by guides, on the tray and by the hours, through the same actions the page uses. */
final readonly class DemoFix
{
    /** Worked by its guide and written down step by step; other mends are noted only. */
    private const BY_GUIDE = [
        'tube-cooked' => 'replace-liner',
        'nozzle-worn-out' => 'change-nozzle-hot',
        'nozzle-blocked' => 'clear-full-clog',
        'feeder-tube-jam' => 'clear-feeder',
        'break-fan-failed' => 'change-fans',
        'fan-part-failed' => 'change-fans',
        'knob-screws-free' => 'lock-bed-screws',
        'belt-slack' => 'belts-and-tensioner',
    ];

    public function __construct(
        private Knowledge $knowledge,
        private RunGuide $guides,
        private TakeOff $takeOff,
        private PutStepBack $back,
        private TrayQuery $tray,
        private KeepService $service,
        private ChangePosition $positions,
        private Warranty $warranty,
        private KeepPaper $papers,
    ) {
    }

    /** Mends a fault by its guide, when there is one for this machine that is written down here; says whether it did. */
    public function byGuide(Job $job, string $fault, Person $by): bool
    {
        $code = self::BY_GUIDE[$fault] ?? null;
        $guide = $code === null ? null : $this->knowledge->guides[$code];
        if ($guide === null
            || $by->login !== 'bo'
            || ! Traits::of($this->knowledge->families[$job->machine->family]->traits)->allow($guide->needs)) {
            return false;
        }
        $school = $guide->schools()[0] ?? null;
        $job = $this->guides->start($job, $guide->code, $school, $by);
        $run = (int) GuideRun::query()->where('job_id', $job->id)->latest('id')->value('id');
        foreach (array_keys($guide->stepsOf($school)) as $number) {
            $job = $this->guides->tick($job, $run, $number, $by);
        }
        $this->allBack($job, $by);
        $before = GuideRun::query()->where(['guide' => $guide->code, 'person_id' => $by->id])->whereNotNull('minutes')->count();
        $this->guides->end(
            $job,
            $run,
            false,
            round(LearningCurve::of($guide->first, $guide->practised)->minutes($before + 1) * (0.85 + ($job->id % 7) / 20), 1),
            $by,
        );

        return true;
    }

    private function allBack(Job $job, Person $by): void
    {
        $work = WorkOnJob::now($job);
        $already = $work->takenOff->whereNotNull('back')->pluck('number')->map(strval(...))->all();
        foreach (array_diff($this->tray->record($work)->sequence->order, $already) as $number) {
            $this->back->put($job, (int) $number, null, null, null, true, $by);
        }
    }

    /** Our own machines are gone over while they are here, some things more often than others. */
    public function goneOver(Job $job, bool $service, Person $by): void
    {
        $machine = $job->machine;
        $traits = Traits::of($this->knowledge->families[$machine->family]->traits);
        foreach ($this->knowledge->service as $item) {
            $does = $service || crc32("{$job->id} {$item->code}") % 10 < 7;
            if ($machine->held_as === 'farm' && $does && $traits->allow($item->needs)) {
                $this->service->done($job, $item->code, $by);
            }
        }
    }

    public function turnRail(Job $job, Person $by): void
    {
        foreach (['y-rail-left', 'y-rail-right'] as $rail) {
            if (isset($this->knowledge->families[$job->machine->family]->positions[$rail]) && crc32("{$job->machine_id} {$rail}") % 3 > 0) {
                rescue(fn () => $this->positions->turn($job, $rail, 'groove under the wheel', $by), report: false);
            }
        }
    }

    /**
     * A tray in the middle of its work, a manual’s map, machines under warranty.
     *
     * @param  array<string, Person>  $people
     */
    public function setTheTray(Carbon $today, array $people): void
    {
        // none that is on the bench: it might be open already
        foreach (Machine::query()->where('held_as', 'farm')->whereNotIn(
            'id',
            Job::query()->select('machine_id')->whereNull('finished_at'),
        )->orderByDesc('id')->limit(2)->get() as $machine) {
            $this->warranty->note($machine, 'seller', $today->copy()->addMonths(5)->toDateString(), 'invoice in the blue folder');
        }
        // the demo’s simulated printers stand in for those at Prove
        foreach (Job::query()->whereNull('finished_at')->where('station', 'proof')->orderBy('id')->get() as $job) {
            $port = DemoPrinters::port($job->machine->family);
            $job->machine->update(['printer_host' => $port === null ? null : '127.0.0.1', 'printer_port' => $port]);
        }
        foreach (['tern-220', 'heron-cx'] as $family) {
            $map = new DemoBoardMap($this->knowledge->families[$family]);
            $paper = $this->papers->keep($family, 'Connector map of the board', $map->png(), $people['ada']);
            foreach ($map->points() as $socket => [$x, $y]) {
                $this->papers->mark($paper, 'socket', $socket, 1, $x, $y, $people['ada']);
            }
        }
        $job = Job::query()->whereNull('finished_at')->where('station', 'repair')
            ->whereIn('id', Confirmed::query()->select('job_id')->where('fault', 'hotend-blob')->whereNull('superseded_at'))
            ->whereNotIn('id', TakenOff::query()->select('job_id')->whereNull('withdrawn_at'))->orderBy('id')->first();
        if ($job !== null) {
            Carbon::setTestNow($today->copy()->subMinutes(58));
            $this->openHotEnd($job, $people['imre']);
        }
    }

    private function openHotEnd(Job $job, Person $by): void
    {
        $steps = [
            new Removal(
                'Hot-end cover',
                FastenerList::read('2 M3x25'),
                wayRound: 'cut-out to the fan',
                firstPass: 'both in, finger-tight',
                secondPass: 'snug, it is plastic',
            ),
            new Removal('Fan shroud', FastenerList::read('4 M3x12'), check: 'fan turns free'),
            new Removal('Board cover', FastenerList::read('2 M2.5x8'), sockets: ['E', 'TH', 'F2']),
            new Removal('Idler arm and spring', FastenerList::read('1 M3x25, 1 spring'), caution: 'the spring jumps: a hand over it'),
            new Removal('Liner, collar pressed first', FastenerList::read('1 collar clip'), parts: ['liner']),
        ];
        foreach ($steps as $step) {
            $job = $this->takeOff->take($job, $step, $by);
        }
        // whatever stood on this tray before
        $last = (int) TakenOff::query()->where('job_id', $job->id)->max('number');
        $this->back->put($job, $last, null, null, ['liner' => 'new'], true, $by);
        $this->back->put($job, $last - 1, null, null, null, true, $by);
        $this->back->put($job, $last - 2, FastenerList::read('1 M2.5x8'), null, null, true, $by);
    }
}
