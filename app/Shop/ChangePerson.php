<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Refused;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** What is known of somebody, and what somebody may do, changes. */
final readonly class ChangePerson
{
    /**
     * @param  string|null  $mainsUntil  a day; null for whoever may not work on mains
     * @param  string|null  $mainsBy  who says so
     * @param  bool  $seesMoney  what things cost and bring, though the role does not say so
     *
     * @throws InputError when one of day and name is missing
     * @throws Refused when nobody would be left to lead
     */
    public function change(Person $person, string $name, Role $role, ?string $mainsUntil, ?string $mainsBy, bool $seesMoney = false): void
    {
        if (($mainsUntil === null) !== ($mainsBy === null)) {
            throw InputError::at(
                $mainsBy === null ? 'mainsBy' : 'mainsUntil',
                $mainsBy === null ? 'Who says that this person may work on mains?' : 'Until when may this person work on mains?',
            );
        }
        DB::transaction(static function () use ($person, $name, $role, $mainsUntil, $mainsBy, $seesMoney): void {
            $leads = Leads::lock();
            $person = Person::query()->lock('FOR NO KEY UPDATE')->findOrFail($person->id);
            if ($role !== Role::Lead) {
                Leads::refuseLast($person, $leads);
            }
            $moved = $person->role !== $role;
            $person->update([
                'name' => $name,
                'role' => $role,
                'mains_until' => $mainsUntil,
                'mains_by' => $mainsBy,
                'sees_money' => $seesMoney,
            ]);
            // what somebody may is looked up when they log in next
            if ($moved) {
                OpenSessions::end($person);
            }
        });
    }
}
