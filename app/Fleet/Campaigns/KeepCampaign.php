<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\Refused;
use App\Intake\BookIn;
use App\Intake\Booking;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Machines\Machine;
use App\Safety\PutOnRedTag;
use App\Safety\RedTag;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Knowledge\Knowledge;

/** Notes what was seen on each machine of a campaign, what was mended, who was written to; tags what is dangerous; ends it. */
final readonly class KeepCampaign
{
    public function __construct(
        private Knowledge $knowledge,
        private BookIn $bookIn,
        private PutOnRedTag $redTag,
        private JobRecord $record,
    ) {
    }

    /** @throws Refused when it is closed or the machine is not on it */
    public function look(Campaign $campaign, Machine $machine, bool $affected, ?string $note, Person $by): void
    {
        $this->write($campaign, function (Campaign $campaign) use ($machine, $affected, $note, $by): void {
            $owed = $this->owed($campaign, $machine);
            $owed->update([
                'affected' => $affected, 'note' => $note, 'looked_by' => $by->id, 'looked_at' => now(),
                // what is well was not mended
                'mended_at' => $affected ? $owed->mended_at : null,
                'mended_by' => $affected ? $owed->getAttribute('mended_by') : null,
            ]);
        });
    }

    /** @throws Refused when it was not affected */
    public function mended(Campaign $campaign, Machine $machine, Person $by): void
    {
        $this->write($campaign, function (Campaign $campaign) use ($machine, $by): void {
            $owed = $this->owed($campaign, $machine);
            if ($owed->affected !== true) {
                throw Refused::because('tag', "{$machine->tag} was not found affected: look at it first.");
            }
            $owed->update(['mended_by' => $by->id, 'mended_at' => $owed->mended_at ?? now()]);
        });
    }

    /** @throws Refused where there is nobody to write to */
    public function wroteTo(Campaign $campaign, Machine $machine): void
    {
        DB::transaction(function () use ($campaign, $machine): void {
            if ($machine->owner_id === null) {
                throw Refused::because('tag', "{$machine->tag} has no owner to write to.");
            }
            $this->owed(Campaign::query()->lockForUpdate()->findOrFail($campaign->id), $machine)->update(['letter_at' => now()]);
        });
    }

    public function change(Campaign $campaign, ?string $mend, ?int $assignedTo, ?string $dueOn): void
    {
        if ($assignedTo !== null && ! Person::query()->whereKey($assignedTo)->whereNull('left_at')->exists()) {
            throw InputError::at('assignedTo', 'Nobody here goes by that.');
        }
        $this->write($campaign, static function (Campaign $campaign) use ($mend, $assignedTo, $dueOn): void {
            $campaign->update(['mend' => $mend, 'assigned_to' => $assignedTo, 'due_on' => $dueOn]);
        });
    }

    /**
     * Red tags on what is here and nobody has looked at, or was found affected and is not put right: each is booked
     * in for it, for a red tag hangs on a job.
     *
     * @return int how many
     *
     * @throws Refused when it is not dangerous, or there is nothing left to tag
     */
    public function tagTheRest(Campaign $campaign, Person $lead): int
    {
        $tagged = 0;
        $this->write($campaign, function (Campaign $campaign) use ($lead, &$tagged): void {
            if (! $campaign->dangerous) {
                throw Refused::because('campaign', 'This campaign is over nothing dangerous: red tags are for what can hurt people.');
            }
            $rest = LookOwed::query()->with('machine')->where('campaign_id', $campaign->id)->orderBy('id')->get()
                ->filter(static fn (LookOwed $o): bool => $o->mayHaveIt());
            $open = Job::query()->whereIn('machine_id', $rest->pluck('machine_id'))->whereNull('finished_at')->get()->keyBy('machine_id');
            $worn = RedTag::worn($rest->pluck('machine_id'));
            $name = $this->name($campaign);
            foreach ($rest as $owed) {
                if (isset($worn[$owed->machine_id]) && str_contains($worn[$owed->machine_id]->reason, $name)) {
                    continue;
                }
                $job = $open->get($owed->machine_id) ?? $this->bookIn->book(
                    $owed->machine,
                    new Booking(JobKind::Inspection, "Look for: {$name}", Began::NotKnown),
                    $lead,
                );
                $this->record->write(
                    $job,
                    $lead,
                    null,
                    fn (Job $job): Said => $this->redTag->on(
                        $job,
                        $name.($owed->affected === true ? ': found affected' : ': not looked at'),
                        $lead,
                    ),
                    byHand: false,
                );
                $tagged++;
            }
            if ($tagged === 0) {
                throw Refused::because('campaign', 'Nothing is left to tag: what stands here is well or put right, or wears a tag for it.');
            }
            $campaign->update(['tagged_by' => $lead->id, 'tagged_at' => now()]);
        });

        return $tagged;
    }

    public function close(Campaign $campaign, Person $by): void
    {
        $this->write($campaign, static function (Campaign $campaign) use ($by): void {
            $campaign->update(['closed_at' => now(), 'closed_by' => $by->id]);
        });
    }

    /** What it is called. */
    public function name(Campaign $campaign): string
    {
        return $campaign->title ?? $this->knowledge->faultName((string) $campaign->fault);
    }

    private function owed(Campaign $campaign, Machine $machine): LookOwed
    {
        return LookOwed::query()->where(['campaign_id' => $campaign->id, 'machine_id' => $machine->id])->first()
            ?? throw Refused::because('tag', "{$machine->tag} is not on this campaign.");
    }

    /** @param  callable(Campaign): void  $do */
    private function write(Campaign $campaign, callable $do): void
    {
        DB::transaction(static function () use ($campaign, $do): void {
            $locked = Campaign::query()->lockForUpdate()->findOrFail($campaign->id);
            if ($locked->closed_at !== null) {
                throw Refused::because('campaign', 'This campaign is closed. Open a new one.');
            }
            $do($locked);
        });
    }
}
