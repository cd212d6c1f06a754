<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** One part may stand in for another, with what is to be minded. */
final readonly class AllowSubstitute
{
    /** @throws InputError when it is the part itself */
    public function allow(Part $part, Part $other, ?string $note): void
    {
        if ($part->is($other)) {
            throw InputError::at('other', 'A part does not stand in for itself.');
        }
        DB::table('part_substitutes')->upsert(
            [['part_id' => $part->id, 'substitute_id' => $other->id, 'note' => $note]],
            ['part_id', 'substitute_id'],
            ['note'],
        );
    }
}
