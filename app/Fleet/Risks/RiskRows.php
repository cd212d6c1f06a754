<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\PartRisk;
use OddBench\Input\InputError;
use stdClass;

/** Parts and what was worked out of them, for a span. */
final class RiskRows
{
    /**
     * @return Builder rows for RiskRow::of, of machines of the farm
     *
     * @throws InputError for a span that is not looked ahead
     */
    public static function of(int $weeks): Builder
    {
        if (! in_array($weeks, PartRisk::WEEKS, true)) {
            throw InputError::at('weeks', 'weeks must be one of '.implode(', ', PartRisk::WEEKS).'.');
        }

        return DB::table('position_risks as r')->join('machines as m', 'm.id', '=', 'r.machine_id')
            ->leftJoin('parts as p', 'p.id', '=', 'r.part_id')
            ->where('m.held_as', 'farm')
            ->select([
                'r.machine_id', 'm.tag', 'm.family', 'r.position', 'r.part_class', 'p.number', 'r.age_h', 'r.not_counted', 'r.change_at_h',
                'r.failures', 'r.shape', 'r.scale_h', 'r.planned_minor', 'r.failure_minor',
                "r.risk_{$weeks} as risk", "r.saves_{$weeks} as saves",
            ]);
    }

    /** @return list<RiskRow> */
    public static function read(Builder $rows): array
    {
        return array_values(array_map(static fn (stdClass $r): RiskRow => RiskRow::of($r), $rows->get()->all()));
    }
}
