<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Shop\Setting;
use OddBench\Knowledge\Knowledge;

/** Writes to the owners of affected machines, and of dangerous ones nobody could look at. */
final readonly class LettersQuery
{
    public function __construct(private Knowledge $knowledge, private KeepCampaign $keep)
    {
    }

    public function of(Campaign $campaign): OwnerLettersView
    {
        $owed = LookOwed::query()->with('machine.owner')->where('campaign_id', $campaign->id)
            ->whereHas('machine', static fn ($m) => $m->whereNotNull('owner_id'))
            ->where(static fn ($q) => $q->where('affected', true)
                ->orWhere(static fn ($u) => $u->whereNull('looked_at')->whereHas('machine', static fn ($m) => $m->where('place', 'owner'))))
            ->get()
            ->sortBy(static fn (LookOwed $o): array => [$o->letter_at !== null, $o->machine->tag]);

        return new OwnerLettersView(array_values($owed->map(fn (LookOwed $o): OwnerLetterView => new OwnerLetterView(
            $o->machine->tag,
            (string) $o->machine->owner?->name,
            $o->machine->owner?->contact,
            $this->text($campaign, $o),
            $o->letter_at?->toIso8601String(),
        ))->all()));
    }

    private function text(Campaign $campaign, LookOwed $owed): string
    {
        $machine = $owed->machine;
        $place = $machine->place === 'owner';
        $seen = match (true) {
            $owed->affected === true && $owed->mended_at !== null => 'Your machine had it. It is put right'
                .($campaign->mend === null ? '.' : ": {$campaign->mend}."),
            $owed->affected === true => 'Your machine has it.'.($campaign->mend === null ? '' : " What puts it right: {$campaign->mend}."),
            default => 'Your machine may have it; we have not looked at it yet.',
        };
        $do = match (true) {
            $owed->mended_at !== null => 'There is nothing for you to do.',
            $campaign->dangerous && $place => 'Switch it off and pull the plug until it was looked at. '
                .'Leave work on the mains to qualified people.',
            $place => 'Please bring it in, or tell us when we may look at it.',
            default => 'It stands here; we will tell you when it is done.',
        };

        return implode("\n\n", array_filter([
            $machine->owner === null ? '' : "{$machine->owner->name},",
            "this is about {$machine->tag}, your {$this->knowledge->familyName($machine->family)}.",
            "On machines like it we look for: {$this->keep->name($campaign)}."
                .($campaign->because === '' ? '' : ' The reason: '.rtrim($campaign->because, '.').'.'),
            $seen,
            $do,
            Setting::text('shop_name'),
        ]));
    }
}
