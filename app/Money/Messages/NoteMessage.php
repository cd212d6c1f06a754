<?php

declare(strict_types=1);

namespace App\Money\Messages;

use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;

/** Notes what an owner was told or answered. The shop sends it; this remembers. */
final readonly class NoteMessage
{
    /**
     * @param  'told'|'answered'|'estimate'|'ready'|'reminder'  $kind
     * @param  'phone'|'letter'|'email'|'page'|'counter'  $way
     */
    public function note(Job $job, string $kind, string $way, string $text, ?Person $by): Message
    {
        return DB::transaction(static fn (): Message => Message::query()->create([
            'job_id' => $job->id,
            'kind' => $kind,
            'way' => $way,
            'text' => $text,
            'person_id' => $by?->id,
            'at' => now(),
        ]));
    }
}
