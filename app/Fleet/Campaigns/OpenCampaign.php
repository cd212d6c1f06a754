<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\Refused;
use App\Diagnosis\Faults\Confirmed;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Machines\Machine;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\LookFirst;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Begins a campaign: from a fault a job confirmed, or from a batch, a bulletin or a thought, without any job. */
final readonly class OpenCampaign
{
    private const MOST_MACHINES = 5000;

    private const AT_ONCE = 1000;

    public function __construct(
        private Knowledge $knowledge,
        private SistersQuery $sisters,
        private WhoQuery $who,
        private JobRecord $record,
    ) {
    }

    /**
     * @throws InputError for a fault that is no reason to look at sisters
     * @throws Refused when it is not confirmed here, such a campaign is open, or there is no sister
     */
    public function fromJob(Job $job, string $code, Person $by): Campaign
    {
        $fault = $this->knowledge->fault($code);
        $sisters = $fault->sisters ?? throw InputError::at('fault', "“{$fault->name}” says nothing about other machines.");
        $campaign = null;
        $this->record->write($job, $by, null, function (Job $job) use ($fault, $sisters, $by, &$campaign): Said {
            if (! Confirmed::query()->where(['job_id' => $job->id, 'fault' => $fault->code])->whereNull('superseded_at')->exists()) {
                throw Refused::because('fault', "“{$fault->name}” is not confirmed in this job.");
            }
            $this->refuseSecond($fault->code);
            $machines = $this->sisters->of($fault, $job->machine);
            if (! (clone $machines)->exists()) {
                throw Refused::because('fault', 'There is no other machine with this part here.');
            }
            $campaign = Campaign::query()->create([
                'origin' => 'fault',
                'fault' => $fault->code,
                'look' => $sisters->look,
                'because' => $sisters->because,
                'job_id' => $job->id,
                'dangerous' => $fault->danger,
                'mend' => $fault->mend()->do,
                'opened_by' => $by->id,
                'opened_at' => now(),
            ]);
            $count = $this->owe($campaign, $machines, $sisters->part);

            return new Said('campaign', sprintf('Campaign opened: %s on %d other machines', $fault->name, $count));
        }, byHand: false);

        return $campaign ?? throw Refused::because('fault', 'The campaign was not opened. Try again.');
    }

    /**
     * @throws InputError for what nobody knows, or a campaign over nothing
     * @throws Refused when one over the same fault is open
     */
    public function open(NewCampaign $new, Person $by): Campaign
    {
        $fault = $new->fault === null ? null : $this->knowledge->fault($new->fault);
        $look = $new->look ?? $fault?->sisters->look ?? null;
        if ($look !== null) {
            $this->knowledge->check($look, 'look');
        }
        if ($look === null && $new->lookFor === null) {
            throw InputError::at('lookFor', 'What is to be looked for? Say it so that somebody else sees it.');
        }
        if ($new->assignedTo !== null && ! Person::query()->whereKey($new->assignedTo)->whereNull('left_at')->exists()) {
            throw InputError::at('assignedTo', 'Nobody here goes by that.');
        }
        $machines = $this->who->of($new->who);

        return DB::transaction(function () use ($new, $fault, $look, $machines, $by): Campaign {
            if ($fault !== null) {
                $this->refuseSecond($fault->code);
            }
            $campaign = Campaign::query()->create([
                'origin' => $new->origin,
                'title' => $new->title,
                'fault' => $fault?->code,
                'look' => $look,
                'look_for' => $new->lookFor,
                'because' => $new->because ?? '',
                'criteria' => $new->who->kept(),
                'dangerous' => $new->dangerous || ($fault->danger ?? false),
                'mend' => $new->mend,
                'assigned_to' => $new->assignedTo,
                'due_on' => $new->dueOn,
                'opened_by' => $by->id,
                'opened_at' => now(),
            ]);
            if ($this->owe($campaign, $machines, $new->who->class ?? $fault?->sisters->part ?? null) === 0) {
                throw InputError::at('who', 'A campaign over nothing: no machine here is like that.');
            }

            return $campaign;
        });
    }

    private function refuseSecond(string $fault): void
    {
        if (Campaign::query()->where('fault', $fault)->whereNull('closed_at')->lockForUpdate()->exists()) {
            throw Refused::because('fault', "A campaign over “{$this->knowledge->faultName($fault)}” is open already.");
        }
    }

    /**
     * @param  Builder<Machine>  $machines
     * @param  string|null  $class  of part it is about
     * @return int how many
     */
    private function owe(Campaign $campaign, Builder $machines, ?string $class): int
    {
        $all = $machines->limit(self::MOST_MACHINES + 1)->get(['id', 'place']);
        if ($all->count() > self::MOST_MACHINES) {
            throw InputError::at('who', sprintf('A campaign reaches up to %d machines. Say more of which.', self::MOST_MACHINES));
        }
        $risks = $class === null ? [] : DB::table('position_risks')->where('part_class', $class)
            ->whereIntegerInRaw('machine_id', $all->modelKeys())->whereNotNull('age_h')
            ->groupBy('machine_id')
            ->selectRaw('machine_id, max(risk_4) AS risk')
            ->pluck('risk', 'machine_id')
            ->all();
        foreach ($all->sortBy('id')->chunk(self::AT_ONCE) as $some) {
            LookOwed::query()->insert($some->map(static fn (Machine $m): array => [
                'campaign_id' => $campaign->id,
                'machine_id' => $m->id,
                'risk' => $risks[$m->id] ?? null,
                'harm' => LookFirst::harm($campaign->dangerous ?? false, $m->place === 'owner'),
            ])->values()->all());
        }

        return $all->count();
    }
}
