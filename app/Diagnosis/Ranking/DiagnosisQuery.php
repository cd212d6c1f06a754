<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Diagnosis\Faults\CountedFaults;
use App\Diagnosis\Findings\FoundInJob;
use App\Intake\JobState;
use App\Safety\SafetyOfJob;
use App\Shop\Setting;
use OddBench\Diagnosis\Session;
use OddBench\Knowledge\Knowledge;

/** Puts a job’s case before the computation: its findings, its family’s traits and history, the shop’s shelf and rates. */
final readonly class DiagnosisQuery
{
    public function __construct(private Knowledge $knowledge, private OpenedCases $opened)
    {
    }

    /** The case of a job, looked at once for as long as the job stands as it does. */
    public function of(JobState $state): Session
    {
        return $state->once('diagnosis', fn (): Session => $this->opened->open($this->input($state)));
    }

    public function counted(JobState $state): CountedFaults
    {
        return CaseRest::of($state)->counted;
    }

    /** @return array<string, mixed> what `compute diagnose` would be given */
    public function input(JobState $state): array
    {
        $job = $state->job;
        $findings = [];
        foreach (FoundInJob::of($state)->findings() as $finding) {
            // a code that has left the knowledge no longer speaks
            if (isset($this->knowledge->findings[$finding->code])) {
                $findings[$finding->code] = $finding->present ? 'present' : 'absent';
            }
        }
        $family = $job->machine->family;
        $rest = CaseRest::of($state);
        [$parts, $counted] = [$rest->costs, $rest->counted];

        return [
            'traits' => $this->knowledge->families[$family]->traits ?? [],
            'findings' => $findings,
            'history' => [...$counted->ofFamily($family), 'shop' => $counted->ofShop()],
            'untold' => 'weigh',
            'red_tag' => SafetyOfJob::of($state)->redTag !== null,
            'hidden' => array_values(array_filter(
                $rest->hidden,
                fn (string $code): bool => isset($this->knowledge->checks[$code]),
            )),
            'on_shelf' => $parts['on_shelf'],
            'rates' => ['bench_minute' => (float) Setting::benchMinuteMinor(), 'parts' => $parts['costs'], 'waiting' => $parts['waiting']],
        ];
    }
}
