<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Refused;
use Illuminate\Support\Facades\DB;

/** Somebody leaves: logged out everywhere at once, with no hands on anything. What they did stays under their name. */
final readonly class EndPerson
{
    /** @param  iterable<HearsLeaving>  $rooms */
    public function __construct(private iterable $rooms)
    {
    }

    /** @throws Refused when nobody would be left to lead */
    public function end(Person $person): void
    {
        DB::transaction(function () use ($person): void {
            $leads = Leads::lock();
            $person = Person::query()->lock('FOR NO KEY UPDATE')->findOrFail($person->id);
            Leads::refuseLast($person, $leads);
            if ($person->left_at !== null) {
                return;
            }
            $person->update(['left_at' => now(), 'code' => null, 'code_until' => null]);
            $person->tokens()->delete();
            OpenSessions::end($person);
            foreach ($this->rooms as $room) {
                $room->left($person);
            }
        });
    }
}
