<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** A part follows another: from now on it is bought. */
final readonly class SucceedPart
{
    /**
     * From now on the other one is bought; what is left of this one is used up and counts with it.
     *
     * @throws InputError when it would follow itself
     */
    public function succeed(Part $part, ?Part $by): void
    {
        DB::transaction(static function () use ($part, $by): void {
            $part = Part::query()->lockForUpdate()->findOrFail($part->id);
            if ($part->grade !== 'new' || ($by !== null && $by->grade !== 'new')) {
                throw InputError::at('other', 'Used parts follow the part they are used ones of.');
            }
            for ($next = $by; $next !== null; $next = $next->successor) {
                if ($next->is($part)) {
                    throw InputError::at('other', "{$by?->name} was followed by this part itself.");
                }
            }
            $part->update(['successor_id' => $by?->id]);
            self::countAnew();
        });
    }

    /** Each part with a successor, and each used one, counts with the last of its line. */
    private static function countAnew(): void
    {
        DB::statement(<<<'SQL'
            WITH RECURSIVE line (id, follows) AS (
                SELECT id, coalesce(successor_id, used_of_id) FROM parts WHERE coalesce(successor_id, used_of_id) IS NOT NULL
                UNION ALL
                SELECT l.id, coalesce(p.successor_id, p.used_of_id) FROM line l JOIN parts p ON p.id = l.follows WHERE coalesce(p.successor_id, p.used_of_id) IS NOT NULL
            ), ends AS (SELECT l.id, l.follows FROM line l JOIN parts p ON p.id = l.follows WHERE coalesce(p.successor_id, p.used_of_id) IS NULL)
            UPDATE parts SET counts_with_id = e.follows FROM parts q LEFT JOIN ends e ON e.id = q.id WHERE parts.id = q.id AND parts.counts_with_id IS DISTINCT FROM e.follows
            SQL);
    }
}
