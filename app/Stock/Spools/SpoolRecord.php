<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\Refused;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;

/** Changes one spool at a time and keeps what happened to it. */
final readonly class SpoolRecord
{
    /** A scale and a spool’s own mass are not surer than this. */
    public const SCALE_G = 15.0;

    /** @param  callable(Spool): array<string, mixed>  $change */
    public function write(Spool $spool, callable $change, Person $by): void
    {
        DB::transaction(static function () use ($spool, $change, $by): void {
            $spool = Spool::query()->lockForUpdate()->findOrFail($spool->id);
            if ($spool->ended_at !== null) {
                throw Refused::because('spool', "{$spool->code} is done with.");
            }
            $event = $change($spool);
            SpoolEvent::query()->create([
                ...$event,
                'spool_id' => $spool->id,
                'grams' => $spool->left_g,
                'person_id' => $by->id,
                'at' => now(),
            ]);
        });
    }
}
