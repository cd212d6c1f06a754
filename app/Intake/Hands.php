<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\Person;

/** Whose hands are on which job, and for how long. A person’s hands are on one job at a time. */
final class Hands
{
    public function on(Job $job, Person $person): void
    {
        $still = WorkSpell::query()->where([
            'person_id' => $person->id,
            'job_id' => $job->id,
            'station' => $job->station->value,
        ])->whereNull('ended_at')
            ->where('last_seen_at', '>=', now()->subMinutes(WorkSpell::FORGOTTEN_MINUTES))->update(['last_seen_at' => now()]);
        if ($still > 0) {
            return;
        }
        // two writes of one person come one after the other; “no key”, for each has noted its key for this person already
        Person::query()->whereKey($person->id)->lock('FOR NO KEY UPDATE')->value('id');
        $open = WorkSpell::query()->where('person_id', $person->id)->whereNull('ended_at')->lockForUpdate()->first();
        if ($open !== null && $open->job_id === $job->id && $open->station === $job->station->value && ! $this->forgotten($open)) {
            $open->update(['last_seen_at' => now()]);

            return;
        }
        if ($open !== null) {
            $this->end($open);
        }
        $spell = WorkSpell::query()->create([
            'job_id' => $job->id,
            'person_id' => $person->id,
            'station' => $job->station->value,
            'began_at' => now(),
            'last_seen_at' => now(),
        ]);
        $job->setRelation('spell', $spell->setRelation('person', $person));
    }

    public function off(Job $job, ?Person $person = null): void
    {
        $open = WorkSpell::query()->where('job_id', $job->id)->whereNull('ended_at');
        if ($person !== null) {
            $open->where('person_id', $person->id);
        }
        $open->get()->each($this->end(...));
        $job->unsetRelation('spell');
    }

    private function end(WorkSpell $spell): void
    {
        $spell->update(['ended_at' => $this->forgotten($spell) ? $spell->last_seen_at->addMinutes(WorkSpell::FORGOTTEN_MINUTES) : now()]);
    }

    private function forgotten(WorkSpell $spell): bool
    {
        return $spell->last_seen_at->lt(now()->subMinutes(WorkSpell::FORGOTTEN_MINUTES));
    }
}
