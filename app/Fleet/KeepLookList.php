<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Api\Refused;
use App\Diagnosis\Faults\Confirmed;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Machines\Machine;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Opens a look-list, notes what was seen on each machine, and ends it. */
final readonly class KeepLookList
{
    public function __construct(private Knowledge $knowledge, private SistersQuery $sisters, private JobRecord $record)
    {
    }

    /**
     * @throws InputError for a fault that is no reason to look at sisters
     * @throws Refused when it is not confirmed here, such a list is open, or there is no sister
     */
    public function open(Job $job, string $code, Person $by): LookList
    {
        $fault = $this->knowledge->fault($code);
        $sisters = $fault->sisters ?? throw InputError::at('fault', "“{$fault->name}” says nothing about other machines.");
        $list = null;
        $this->record->write($job, $by, null, function (Job $job) use ($fault, $sisters, $by, &$list): Said {
            if (! Confirmed::query()->where(['job_id' => $job->id, 'fault' => $fault->code])->whereNull('superseded_at')->exists()) {
                throw Refused::because('fault', "“{$fault->name}” is not confirmed in this job.");
            }
            if (LookList::query()->where('fault', $fault->code)->whereNull('closed_at')->exists()) {
                throw Refused::because('fault', "A look-list for “{$fault->name}” is open already.");
            }
            $machines = $this->sisters->of($fault, $job->machine)->pluck('id');
            if ($machines->isEmpty()) {
                throw Refused::because('fault', 'There is no other machine with this part here.');
            }
            $list = LookList::query()->create([
                'fault' => $fault->code,
                'look' => $sisters->look,
                'because' => $sisters->because,
                'job_id' => $job->id,
                'opened_by' => $by->id,
                'opened_at' => now(),
            ]);
            DB::table('looks_owed')->insert($machines->map(static fn (mixed $id): array => [
                'look_list_id' => $list->id,
                'machine_id' => $id,
            ])->all());

            return new Said('look-list', sprintf('Look-list opened: %s on %d other machines', $fault->name, $machines->count()));
        }, byHand: false);

        return $list ?? throw Refused::because('fault', 'The look-list was not opened. Try again.');
    }

    /** @throws Refused when the list is closed or the machine is not on it */
    public function look(LookList $list, Machine $machine, bool $affected, ?string $note, Person $by): void
    {
        DB::transaction(function () use ($list, $machine, $affected, $note, $by): void {
            $this->lockOpen($list);
            $changed = LookOwed::query()->where(['look_list_id' => $list->id, 'machine_id' => $machine->id])
                ->update(['affected' => $affected, 'note' => $note, 'looked_by' => $by->id, 'looked_at' => now()]);
            if ($changed === 0) {
                throw Refused::because('tag', "{$machine->tag} is not on this look-list.");
            }
        });
    }

    public function close(LookList $list, Person $by): void
    {
        DB::transaction(function () use ($list, $by): void {
            $this->lockOpen($list);
            $list->update(['closed_at' => now(), 'closed_by' => $by->id]);
        });
    }

    private function lockOpen(LookList $list): void
    {
        if (LookList::query()->lockForUpdate()->findOrFail($list->id)->closed_at !== null) {
            throw Refused::because('list', 'This look-list is closed. Open a new one from a job that shows the fault.');
        }
    }
}
