<?php

declare(strict_types=1);

namespace App\Stock;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Family;
use OddBench\Stock\Fit;
use OddBench\Stock\SpareGrade;

/** Which part of a class a family gets: one that fits and can be trusted, the one it got lately first. */
final readonly class PartChoice
{
    private const LATELY_WEEKS = 52;

    /**
     * @param  Collection<int, Part>  $parts
     * @return Collection<int, Part> those that fit and may be counted on
     */
    public static function fitting(Collection $parts, Family $family, ?string $position = null): Collection
    {
        return $parts->filter(static fn (Part $p): bool => SpareGrade::from($p->grade)->counts() && ($p->successor_id === null || $p->on_hand > 0) && Fit::kept($p->fits)->allows($family, $position));
    }

    /**
     * @param  list<string>  $families
     * @param  list<string>  $classes
     * @return array<string, array<int, int>> family => part id => times it was used on it lately
     */
    public static function usual(array $families, array $classes): array
    {
        $usual = [];
        foreach (DB::table('movements')->join('parts', 'parts.id', '=', 'movements.part_id')->join('jobs', 'jobs.id', '=', 'movements.job_id')->join('machines', 'machines.id', '=', 'jobs.machine_id')
            ->where('movements.kind', 'used')->where('movements.at', '>', now()->subWeeks(self::LATELY_WEEKS))->whereIn('machines.family', $families)->whereIn('parts.class', $classes)
            ->groupBy('machines.family', 'movements.part_id')->selectRaw('machines.family, movements.part_id, count(*) AS times')->get() as $row) {
            $usual[(string) $row->family][(int) $row->part_id] = (int) $row->times;
        }

        return $usual;
    }
}
