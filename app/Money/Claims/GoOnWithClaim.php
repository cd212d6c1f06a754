<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Api\Refused;
use App\Shop\Person;
use App\Shop\ShopDay;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** What was said of a claim and when, and the day it is looked at next. */
final readonly class GoOnWithClaim
{
    public function __construct(private ShopDay $day)
    {
    }

    /**
     * @param  'we'|'they'  $saidBy
     * @param  string|null  $saidOn  a day, today unless said
     *
     * @throws InputError when it was said after today
     * @throws Refused when the claim is closed
     */
    public function said(Claim $claim, string $saidBy, string $text, ?string $saidOn, ?string $nextOn, Person $by): void
    {
        $saidOn ??= $this->day->today();
        if ($saidOn > $this->day->today()) {
            throw InputError::at('saidOn', 'It was said today or before.');
        }
        DB::transaction(static function () use ($claim, $saidBy, $text, $saidOn, $nextOn, $by): void {
            $claim = self::open($claim);
            ClaimWord::query()->create([
                'claim_id' => $claim->id,
                'said_by' => $saidBy,
                'text' => $text,
                'said_on' => $saidOn,
                'person_id' => $by->id,
                'at' => now(),
            ]);
            $claim->update(['next_on' => $nextOn ?? $claim->next_on, 'version' => $claim->version + 1]);
        });
    }

    /** Locked; closed ones are not gone on with. */
    public static function open(Claim $claim): Claim
    {
        $claim = Claim::query()->lockForUpdate()->findOrFail($claim->id);
        if ($claim->closed_at !== null) {
            throw Refused::because('claim', sprintf(
                'This claim was closed on %s: %s. Begin a new one when there is something new.',
                $claim->closed_at->format('j M Y'),
                $claim->state,
            ));
        }

        return $claim;
    }
}
