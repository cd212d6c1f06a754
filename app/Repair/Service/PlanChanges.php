<?php

declare(strict_types=1);

namespace App\Repair\Service;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Machines\Machine;
use App\Machines\Place;
use App\Machines\ServiceQuery;
use App\Shop\Person;
use App\Stock\Kits\PromiseClasses;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\ChangeWork;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\ServiceDue;

/**
 * Has parts changed before they fail: in a service job of its own, with what comes round on the machine anyway; or in the job that is
 * open, for then the machine lies open too. The parts that are there are promised to it.
 */
final readonly class PlanChanges
{
    public function __construct(
        private Knowledge $knowledge,
        private KeepService $service,
        private ServiceQuery $due,
        private JobRecord $record,
        private PromiseClasses $promise,
    ) {
    }

    /**
     * @param  list<string>  $positions
     *
     * @throws InputError for a position its family has not, or none
     * @throws Refused when they are planned already
     */
    public function plan(Machine $machine, array $positions, Person $by, string $field = 'positions'): Job
    {
        $this->refuseUnknown($machine, $positions, $field);

        return DB::transaction(function () use ($machine, $positions, $by, $field): Job {
            $machine = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            if (Place::from($machine->place)->isGone()) {
                throw Refused::because($field, "{$machine->tag} is gone: nothing is changed on it any more.");
            }
            $open = Job::query()->where('machine_id', $machine->id)->whereNull('finished_at')->first();
            $names = implode(', ', array_map(fn (string $p): string => $this->knowledge->positionName($machine->family, $p), $positions));
            $job = $open ?? $this->service->openFor($machine, $this->dueItems($machine), "Change before it fails: {$names}", null, $by);

            return $this->record->write($job, $by, null, function (Job $job) use ($machine, $positions, $names, $by, $field): Said {
                $new = array_values(array_diff(
                    $positions,
                    PlannedChange::query()->where('job_id', $job->id)->pluck('position')->all(),
                ));
                if ($new === []) {
                    throw Refused::because($field, "Job {$job->id} of {$machine->tag} is to change that already.");
                }
                $classes = [];
                foreach ($new as $position) {
                    $class = $this->knowledge->family($machine->family)->positions[$position]->partClass;
                    $classes[$class] = ($classes[$class] ?? 0) + 1;
                    PlannedChange::query()->create([
                        'job_id' => $job->id,
                        'position' => $position,
                        'part_class' => $class,
                        'guide' => ChangeWork::of($this->knowledge, $machine->family, $class)->guide,
                    ]);
                }
                $promised = $this->promise->promise($job, $classes, $by);

                $shelf = $promised === [] ? '' : '. Promised: '.implode('; ', $promised);

                return new Said('planned', "To change before it fails: {$names}{$shelf}");
            }, byHand: false);
        });
    }

    /** @return list<string> codes of what comes round on it and is due */
    private function dueItems(Machine $machine): array
    {
        $due = $this->due->of(new Collection([$machine]))[$machine->id] ?? [];

        return array_values(array_map(
            static fn (ServiceDue $d): string => $d->item->code,
            array_filter($due, static fn (ServiceDue $d): bool => $d->share >= 1.0),
        ));
    }

    /** @param  list<string>  $positions */
    private function refuseUnknown(Machine $machine, array $positions, string $field): void
    {
        $known = $this->knowledge->family($machine->family)->positions;
        foreach ($positions as $i => $position) {
            if (! isset($known[$position])) {
                throw InputError::unknown("{$field}.{$i}", 'position', $position, array_keys($known));
            }
        }
        if ($positions === []) {
            throw InputError::at($field, 'Choose at least one part to change.');
        }
    }
}
