<?php

declare(strict_types=1);

namespace App\Plan;

use App\Diagnosis\DiagnosisQuery;
use App\Intake\Job;
use App\Intake\WalkQuery;
use App\Proof\OwedQuery;
use App\Repair\TakenOff;
use App\Repair\TrayQuery;
use App\Safety\SafetyState;
use Illuminate\Database\Eloquent\Collection;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Destination;

/** Says what is to be done next on a job, in words and minutes. Kept with the job until the job changes. */
final readonly class NextStep
{
    private const MINUTES_TO_SIGN = 2;

    public function __construct(private Knowledge $knowledge, private DiagnosisQuery $diagnosis, private WalkQuery $walk, private OwedQuery $owed, private SafetyState $safety, private TrayQuery $tray)
    {
    }

    /** @param  Collection<int, Job>  $jobs those without a step get one */
    public function fill(Collection $jobs): void
    {
        $without = $jobs->filter(static fn (Job $job): bool => $job->next_step === null);
        $without->loadMissing(['findings', 'confirmed', 'mends', 'proofResults', 'safetyAnswers', 'movements', 'takenOff.back', 'explained', 'railTurns', 'machine.redTag.supervisedTest']);
        foreach ($without as $job) {
            [$step, $minutes] = $this->of($job);
            Job::query()->where(['id' => $job->id, 'version' => $job->version])->update(['next_step' => mb_substr($step, 0, 200), 'next_minutes' => $minutes]);
            $job->next_step = $step;
            $job->next_minutes = $minutes;
        }
    }

    /** @return array{string, int|null} words, minutes of hands */
    private function of(Job $job): array
    {
        if ($job->machine->redTag?->off_asked_by !== null) {
            return ['A lead to countersign the red tag', self::MINUTES_TO_SIGN];
        }

        return match ($job->station) {
            Station::Intake, Station::Safety => $this->safety->unanswered($job) === [] ? ['On to Find', 1] : ['Answer the safety questions', self::MINUTES_TO_SIGN],
            Station::Diagnosis => $this->find($job),
            Station::Repair => $this->fix($job),
            Station::Proof => $this->prove($job),
            Station::Release => ['Send out: '.mb_strtolower(Destination::forMachineHeldAs($job->machine->held_as)[0]->words()), self::MINUTES_TO_SIGN],
        };
    }

    /** @return array{string, int|null} */
    private function find(Job $job): array
    {
        if ($job->findings->isEmpty()) {
            return ['Say what it does', 3];
        }
        $next = $this->diagnosis->of($job)->nextAtTheBench($this->diagnosis->signedTest($job))[0] ?? null;

        return match ($next?->kind) {
            null => ['Confirm what it is', 1],
            'check' => [$this->knowledge->checks[$next->code]->name, (int) ceil($next->minutes)],
            'sweep' => [sprintf('%d quick looks', count($next->looks)), (int) ceil($next->minutes)],
            default => ["Confirm: {$this->knowledge->faults[$next->code]->name}", 1],
        };
    }

    /** @return array{string, int|null} */
    private function fix(Job $job): array
    {
        $unmended = $this->walk->unmended($job);
        if ($unmended !== []) {
            $fault = $this->knowledge->faults[$unmended[0]] ?? null;

            return $fault === null ? ['Mend it', null] : ["Mend: {$fault->name}", (int) ceil($fault->mend()->minutes)];
        }

        $off = $job->takenOff->filter(static fn (TakenOff $t): bool => $t->back === null)->count();
        if ($this->tray->open($job) !== []) {
            return $off === 0 ? ['The tray does not add up: put it right', 3] : ["Put it together again, {$off} to go", max(2, 2 * $off)];
        }

        return $job->machine->redTag === null ? ['Done here, on to Prove', 1] : ['Red tag: measure, sign, then prove', 5];
    }

    /** @return array{string, int|null} */
    private function prove(Job $job): array
    {
        $missing = $this->owed->plan($job)->missing($this->owed->passed($job));

        return $missing === [] ? ['All proved, on to Send out', 1] : [$missing[0]->proof->name, (int) $this->knowledge->bench->minutesToProve($missing[0]->proof->stage)];
    }
}
