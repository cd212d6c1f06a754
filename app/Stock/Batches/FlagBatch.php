<?php

declare(strict_types=1);

namespace App\Stock\Batches;

use App\Api\Refused;
use App\Shop\Person;
use App\Stock\Shelf\Movement;

/** Parts received together that are not to be trusted any more, or are again. */
final class FlagBatch
{
    public function flag(Movement $receipt, string $because, Person $by): BadBatch
    {
        if ($receipt->quantity <= 0 || in_array($receipt->kind, ['returned', 'moved', 'counted'], true)) {
            throw Refused::because('movement', 'Only what came in together can be a bad batch: a receipt, or what was made or salvaged.');
        }

        return BadBatch::query()->updateOrCreate(
            ['movement_id' => $receipt->id],
            ['because' => $because, 'person_id' => $by->id, 'at' => now(), 'lifted_at' => null, 'lifted_because' => null],
        );
    }

    public function lift(BadBatch $bad, string $because): void
    {
        if ($bad->lifted_at !== null) {
            throw Refused::because('batch', 'This batch is trusted again already.');
        }
        $bad->update(['lifted_at' => now(), 'lifted_because' => $because]);
    }
}
