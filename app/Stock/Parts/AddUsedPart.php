<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use OddBench\Stock\SpareGrade;

/** The used part of a grade, made known when there is none yet. */
final readonly class AddUsedPart
{
    public function add(Part $of, SpareGrade $grade): Part
    {
        // under the lock of the new one, so that two who take spares at once make one number known
        $root = Part::query()->lockForUpdate()->findOrFail($of->used_of_id ?? $of->id);

        return Part::query()->where(['used_of_id' => $root->id, 'grade' => $grade->value])->first() ?? Part::query()->create([
            'number' => $grade->numberOf($root->number),
            'name' => "{$root->name}, {$grade->words()}",
            'class' => $root->class,
            'bin' => $root->bin,
            'words' => $root->words,
            'fits' => $root->fits,
            'used_of_id' => $root->id,
            'grade' => $grade->value,
            'counts_with_id' => $root->counts_with_id ?? $root->id,
        ]);
    }
}
