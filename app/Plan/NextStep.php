<?php

declare(strict_types=1);

namespace App\Plan;

use App\Diagnosis\Findings\FoundInJob;
use App\Diagnosis\Ranking\DiagnosisQuery;
use App\Intake\JobState;
use App\Intake\SaysNextStep;
use App\Intake\WalkQuery;
use App\Proof\OwedQuery;
use App\Repair\Tray\TrayQuery;
use App\Repair\WorkOnJob;
use App\Safety\SafetyOfJob;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Destination;

/** Says what is to be done next on a job, in words and minutes. */
final readonly class NextStep implements SaysNextStep
{
    private const MINUTES_TO_SIGN = 2;

    private const LONGEST = 200;

    public function __construct(
        private Knowledge $knowledge,
        private DiagnosisQuery $diagnosis,
        private WalkQuery $walk,
        private OwedQuery $owed,
        private TrayQuery $tray,
    ) {
    }

    public function of(JobState $state): array
    {
        [$step, $minutes] = $this->step($state);

        return [mb_substr($step, 0, self::LONGEST), $minutes];
    }

    /** @return array{string, int|null} words, minutes of hands */
    private function step(JobState $state): array
    {
        if (SafetyOfJob::of($state)->redTag?->off_asked_by !== null) {
            return ['A lead to countersign the red tag', self::MINUTES_TO_SIGN];
        }

        return match ($state->job->station) {
            Station::Intake,
            Station::Safety => $this->walk->of($state)->safetyAnswered ? ['On to Find', 1] : [
                'Answer the safety questions',
                self::MINUTES_TO_SIGN,
            ],
            Station::Diagnosis => $this->find($state),
            Station::Repair => $this->fix($state),
            Station::Proof => $this->prove($state),
            Station::Release => [
                'Send out: '.mb_strtolower(Destination::forMachineHeldAs($state->job->machine->held_as)[0]->words()),
                self::MINUTES_TO_SIGN,
            ],
        };
    }

    /** @return array{string, int|null} */
    private function find(JobState $state): array
    {
        if (FoundInJob::of($state)->findings()->isEmpty()) {
            return ['Say what it does', 3];
        }
        try {
            $next = $this->diagnosis->of($state)->diagnosis()->nextAtTheBench(SafetyOfJob::of($state)->signedTest())[0] ?? null;
        } catch (InputError) {
            return ['Too much at once: withdraw the vaguest findings', 3];
        }

        return match ($next?->kind) {
            null => ['Confirm what it is', 1],
            'check' => [$this->knowledge->checks[$next->code]->name, (int) ceil($next->minutes)],
            'sweep' => [sprintf('%d quick looks', count($next->looks)), (int) ceil($next->minutes)],
            default => ["Confirm: {$this->knowledge->faults[$next->code]->name}", 1],
        };
    }

    /** @return array{string, int|null} */
    private function fix(JobState $state): array
    {
        $work = WorkOnJob::of($state);
        $unmended = $work->unmended($state);
        if ($unmended !== []) {
            $fault = $this->knowledge->faults[$unmended[0]] ?? null;

            return $fault === null ? ['Mend it', null] : ["Mend: {$fault->name}", (int) ceil($fault->mend()->minutes)];
        }

        $off = $work->off();
        if ($this->tray->open($work) !== []) {
            return $off === 0 ? ['The tray does not add up: put it right', 3] : ["Put it together again, {$off} to go", max(2, 2 * $off)];
        }

        return SafetyOfJob::of($state)->redTag === null ? ['Done here, on to Prove', 1] : ['Red tag: measure, sign, then prove', 5];
    }

    /** @return array{string, int|null} */
    private function prove(JobState $state): array
    {
        $missing = $this->owed->plan($state)->missing($this->owed->passed($state));

        return $missing === [] ? ['All proved, on to Send out', 1] : [
            $missing[0]->proof->name,
            (int) $this->knowledge->bench->minutesToProve($missing[0]->proof->stage),
        ];
    }
}
