<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\OnlyAt;
use App\Intake\Said;
use App\Machines\FacesQuery;
use App\Machines\Fitting;
use App\Machines\RailTurn;
use App\Shop\Person;
use App\Stock\Donors\Salvage;
use OddBench\Fleet\LifeEnd;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;

/** Turns rails and takes parts out of positions, with what became of them. */
final readonly class ChangePosition
{
    public function __construct(
        private Knowledge $knowledge,
        private JobRecord $record,
        private FacesQuery $faces,
        private Salvage $salvage,
    ) {
    }

    /** @throws Refused when the profile has no fresh face left */
    public function turn(Job $job, string $code, ?string $reason, Person $by): Job
    {
        $position = $this->position($job, $code);

        return $this->record->write($job, $by, null, function (Job $job) use ($position, $reason, $by): Said {
            $faces = $this->faces->of($job->machine, $position);
            $next = $faces->next();
            if ($next === null) {
                throw Refused::because(
                    'position',
                    $position->faces < 2
                        ? "{$position->name} has nothing to turn."
                        : "{$position->name} has no fresh face left: ".implode(' and ', $faces->used()).' have run. Replace the profile.',
                );
            }
            RailTurn::query()->create([
                'machine_id' => $job->machine_id,
                'position' => $position->code,
                'face' => $next,
                'job_id' => $job->id,
                'hours' => $job->machine->hours,
                'reason' => $reason,
                'person_id' => $by->id,
                'at' => now(),
            ]);
            $left = $faces->left() - 1;

            return new Said('part-used', "Turned {$position->name} to face {$next}".($left === 0 ? '; it is the last fresh one' : ''));
        }, at: OnlyAt::the('positions are changed', Station::Repair));
    }

    /**
     * @param  'scrap'|'spare'|'seller'|'lost'  $became
     * @param  'tested'|'untested'|null  $grade
     * @param  LifeEnd|null  $ended  whether it had failed; nothing when nobody said
     */
    public function remove(
        Job $job,
        string $code,
        string $became,
        ?string $grade,
        ?string $reason,
        Person $by,
        ?LifeEnd $ended = null,
    ): Job {
        $position = $this->position($job, $code);
        if (($became === 'spare') !== ($grade !== null)) {
            throw InputError::at('grade', $became === 'spare' ? 'A spare is tested or untested; say which.' : 'Only a spare has a grade.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($position, $became, $grade, $reason, $by, $ended): Said {
            $now = Fitting::query()->where(['machine_id' => $job->machine_id, 'position' => $position->code])
                ->whereNull('removed_at')
                ->first()
                // what came with the machine has run as long as the machine
                ?? Fitting::original($job->machine, $position->code);
            $now->update([
                'removed_at' => now(),
                'removed_hours' => $job->machine->hours,
                'removed_by' => $by->id,
                'removed_job_id' => $job->id,
                'ended_as' => $ended?->value,
                'became' => $became,
                'grade' => $grade,
                'job_id' => $now->job_id ?? $job->id,
                'reason' => $now->reason ?? $reason,
            ]);
            $kept = $became === 'spare' ? $this->salvage->keep($job->machine, $now, $job, $by) : null;

            return new Said('part-out', "Out of {$position->name}: ".match ($became) {
                'spare' => "kept as a spare, {$grade}"
                    .($kept === null ? '' : ", bin {$kept->bin}"), 'seller' => 'back to the seller', 'lost' => 'lost', default => 'scrapped'
            }.($reason === null ? '' : ". {$reason}"));
        }, at: OnlyAt::the('positions are changed', Station::Repair));
    }

    private function position(Job $job, string $code): Position
    {
        $positions = $this->knowledge->family($job->machine->family)->positions;

        return $positions[$code] ?? throw InputError::unknown('position', 'position', $code, array_keys($positions));
    }
}
