<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Api\Refused;
use App\Diagnosis\Findings\JobFinding;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Photograph;
use App\Intake\Said;
use App\Machines\Machine;
use App\Shop\Person;
use App\Shop\ShopDay;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** A claim begins: what is claimed of whom, with its proof out of the job. */
final readonly class OpenClaim
{
    public function __construct(private JobRecord $record, private Knowledge $knowledge, private ShopDay $day)
    {
    }

    /**
     * @param  bool  $waits  the job waits for it
     *
     * @throws InputError when the proof is of another job, or the deadline lies before today
     * @throws Refused when the same is claimed already
     */
    public function open(Machine $machine, ?Job $job, Claimed $claimed, bool $waits, Person $by): Claim
    {
        return DB::transaction(function () use ($machine, $job, $claimed, $waits, $by): Claim {
            Machine::query()->lockForUpdate()->findOrFail($machine->id);
            if (Claim::query()->where(['machine_id' => $machine->id, 'against' => $claimed->against, 'state' => 'open'])->exists()) {
                throw Refused::because(
                    'against',
                    "There is an open claim of {$machine->tag} against {$claimed->against}. Go on with that one.",
                );
            }
            $deadline = $claimed->deadline ?? $machine->warranty_until?->toDateString();
            if ($claimed->deadline !== null && $claimed->deadline < $this->day->today()) {
                throw InputError::at('deadline', 'The deadline lies before today. Leave it empty where there is none.');
            }
            $claim = Claim::query()->create([
                'machine_id' => $machine->id,
                'job_id' => $job?->id,
                'against' => $claimed->against,
                'against_is' => $claimed->againstIs,
                'claims' => $claimed->claims,
                'what' => $claimed->what,
                'worth_minor' => $claimed->worth,
                'effort_minor' => $claimed->effort,
                'deadline' => $deadline,
                'next_on' => $claimed->nextOn,
                'video' => $claimed->video,
                'proof' => $this->proof($job, $claimed),
                'person_id' => $by->id,
                'at' => now(),
            ])->refresh();
            if ($job !== null && $job->isOpen()) {
                $this->record->write($job, $by, null, static function (Job $job) use ($claimed, $waits): Said {
                    if ($waits) {
                        $job->waitFor('claim', "Claim against {$claimed->against}");
                    }

                    return new Said('claim', "Claimed of {$claimed->against}: {$claimed->what}");
                }, byHand: false);
            }

            return $claim;
        });
    }

    /** @return list<array{kind: string, id: int, words: string}> */
    private function proof(?Job $job, Claimed $claimed): array
    {
        $proof = [];
        foreach (array_values($claimed->photographs) as $i => $id) {
            $photograph = $job === null ? null : Photograph::query()->where('job_id', $job->id)->find($id);
            if ($photograph === null) {
                throw InputError::at("photographs.{$i}", 'This photograph is not of this job.');
            }
            $proof[] = ['kind' => 'photograph', 'id' => $photograph->id, 'words' => "Photograph of {$photograph->at->format('j M Y')}"];
        }
        foreach (array_values($claimed->findings) as $i => $id) {
            $finding = $job === null ? null : JobFinding::query()->where('job_id', $job->id)->whereNull('withdrawn_at')->find($id);
            if ($finding === null) {
                throw InputError::at("findings.{$i}", 'This finding is not of this job, or was withdrawn.');
            }
            $name = $this->knowledge->findings[$finding->code]->name ?? $finding->code;
            $proof[] = [
                'kind' => 'finding',
                'id' => $finding->id,
                'words' => ($finding->present ? $name : "Not: {$name}").($finding->value === null ? '' : ", {$finding->value}"),
            ];
        }

        return $proof;
    }
}
