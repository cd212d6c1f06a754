<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Diagnosis\Faults\ConfirmFaults;
use App\Diagnosis\Findings\FoundInJob;
use App\Diagnosis\Findings\RecordFinding;
use App\Diagnosis\Findings\WithdrawFinding;
use App\Diagnosis\Trials\KeepTrials;
use App\Fleet\Campaigns\KeepCampaign;
use App\Fleet\Campaigns\LookOwed;
use App\Fleet\Campaigns\OpenCampaign;
use App\Intake\Job;
use App\Intake\JobState;
use App\Intake\MoveJob;
use App\Safety\RedTag;
use App\Shop\Person;
use Illuminate\Support\Carbon;
use OddBench\Intake\Station;

/** What the demo shop is finding out today: trial prints, and a campaign half done. */
final readonly class DemoFind
{
    /** Settings, rating, what was seen. */
    private const TRIALS = [
        [['nozzle' => 215.0, 'speed' => 80.0, 'retraction' => 5.0], 2, 'echoes after every corner, hairs'],
        [['nozzle' => 205.0, 'speed' => 80.0, 'retraction' => 5.0], 2, 'fewer hairs, echoes as before'],
        [['nozzle' => 205.0, 'speed' => 50.0, 'retraction' => 5.0], 4, 'echoes gone'],
        [['nozzle' => 205.0, 'speed' => 50.0, 'retraction' => 6.0], 4, 'no difference'],
    ];

    public function __construct(
        private KeepTrials $trials,
        private OpenCampaign $campaigns,
        private KeepCampaign $looks,
        private RecordFinding $findings,
        private ConfirmFaults $confirm,
        private MoveJob $move,
        private WithdrawFinding $withdraw,
    ) {
    }

    /** @param  array<string, Person>  $people */
    public function play(Carbon $today, array $people): void
    {
        $this->trialPrints($today, $people['tove']);
        $this->sisters($today, $people['bo'], $people['imre']);
        Carbon::setTestNow($today);
    }

    private function trialPrints(Carbon $today, Person $by): void
    {
        $job = $this->openJob('gannet-delta', 'diagnosis');
        foreach (self::TRIALS as $i => [$settings, $rating, $note]) {
            Carbon::setTestNow($today->copy()->subMinutes(380 - 55 * $i));
            $this->trials->add($job, $settings, $rating, false, null, $note, null, $by);
        }
    }

    /** Screws that turn with their knobs were found on one machine; eleven of its sisters have been looked at. */
    private function sisters(Carbon $today, Person $by, Person $other): void
    {
        Carbon::setTestNow($today->copy()->subMinutes(320));
        $list = $this->campaigns->fromJob($this->withFreeScrews($by), 'knob-screws-free', $by);
        foreach (LookOwed::query()->with('machine')->where('campaign_id', $list->id)->orderBy('id')->limit(11)->get() as $i => $owed) {
            Carbon::setTestNow($today->copy()->subMinutes(310 - 6 * $i));
            $affected = in_array($i, [2, 3, 8], true);
            $this->looks->look(
                $list,
                $owed->machine,
                $affected,
                $affected ? ['front left turns', 'all four turn', 'rear right'][intdiv($i, 3)] : null,
                $i % 2 === 0 ? $by : $other,
            );
        }
    }

    /** The machine they were found on; when something else was found first, they are found as well. */
    private function withFreeScrews(Person $by): Job
    {
        $job = $this->openJob('tern-220-d', 'repair');
        if (in_array('knob-screws-free', FoundInJob::of(JobState::of($job))->faults(), true)) {
            return $job;
        }
        $this->move->move($job, Station::Diagnosis, 'The screws turn with their knobs as well', $job->version, $by);
        $turns = FoundInJob::of(JobState::of($job))->findings()->where('code', 'knob-screw-turns');
        foreach ($turns->where('present', false) as $wrong) {
            $this->withdraw->withdraw($job, $wrong, $by);
        }
        if ($turns->where('present', true)->isEmpty()) {
            $this->findings->record($job->refresh(), ['knob-screw-turns' => true], [], null, $by);
        }
        $this->confirm->confirm($job->refresh(), ['knob-screws-free'], $job->version, $by);

        return $job->refresh();
    }

    private function openJob(string $family, string $station): Job
    {
        return Job::query()->whereNull('finished_at')
            ->where('station', $station)
            ->whereHas(
                'machine',
                fn ($m) => $m->where('family', $family)->whereNotIn('id', RedTag::query()->select('machine_id')->whereNull('off_at')),
            )
            ->orderByDesc('opened_at')->orderBy('id')
            ->firstOrFail();
    }
}
