<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use Illuminate\Support\Facades\DB;

/** One part may no longer stand in for another. */
final readonly class DropSubstitute
{
    public function drop(Part $part, Part $other): void
    {
        DB::table('part_substitutes')->where(['part_id' => $part->id, 'substitute_id' => $other->id])->delete();
    }
}
