<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Stock\Orders\ForetellsUse;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\PartRisk;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\Foretold;

/**
 * What the farm is going to ask of the shelf: each part that runs there and whose age is known fails within the time it takes until an
 * order is here, or not. What a job is to change anyway is promised or planned already.
 */
final readonly class ForetoldUse implements ForetellsUse
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function of(array $weeks): array
    {
        $classes = DB::table('parts')->whereIntegerInRaw('id', array_keys($weeks))->distinct()->pluck('class')->all();
        $rows = DB::table('class_risks')->whereIn('part_class', $classes)->orderBy('family')->get();
        $wanted = [];
        foreach ($rows as $row) {
            $wanted[(string) $row->family][] = (string) $row->part_class;
        }
        if ($wanted === []) {
            return [];
        }
        $best = PartChoice::best($wanted, $this->knowledge);
        $foretold = [];
        foreach ($rows as $row) {
            $part = $best[$row->family][$row->part_class] ?? null;
            $id = $part === null ? 0 : $part->counts_with_id ?? $part->id;
            if (isset($weeks[$id])) {
                $foretold[$id][] = Foretold::within($weeks[$id], self::spans($row));
            }
        }

        return array_map(Foretold::together(...), $foretold);
    }

    /**
     * Sums it up from what was worked out part by part.
     *
     * @param  list<string>|null  $families  of which something changed; all where nothing is said
     */
    public static function sumUp(?array $families = null): void
    {
        $sums = implode(', ', array_map(
            static fn (int $w): string => "sum(r.risk_{$w}) AS expected_{$w}, sum(r.risk_{$w} * (1 - r.risk_{$w})) AS variance_{$w}",
            PartRisk::WEEKS,
        ));
        $columns = implode(', ', array_map(static fn (int $w): string => "expected_{$w}, variance_{$w}", PartRisk::WEEKS));
        DB::transaction(static function () use ($sums, $columns, $families): void {
            DB::statement('LOCK TABLE class_risks IN SHARE ROW EXCLUSIVE MODE');
            DB::table('class_risks')->when($families !== null, static fn ($q) => $q->whereIn('family', $families))->delete();
            DB::insert(<<<SQL
                INSERT INTO class_risks (family, part_class, in_use, {$columns})
                SELECT m.family, r.part_class, count(*), {$sums}
                FROM position_risks r JOIN machines m ON m.id = r.machine_id
                WHERE (?::boolean OR m.family = ANY (?)) AND m.held_as = 'farm' AND m.place IN ('service', 'bench') AND r.age_h IS NOT NULL
                    AND NOT EXISTS (SELECT 1 FROM planned_changes c JOIN jobs j ON j.id = c.job_id
                        WHERE j.machine_id = r.machine_id AND j.finished_at IS NULL AND c.position = r.position)
                GROUP BY m.family, r.part_class
                SQL, [$families === null, '{'.implode(',', $families ?? []).'}']);
        });
    }

    /** @return non-empty-array<int, Foretold> weeks => */
    private static function spans(\stdClass $row): array
    {
        $spans = [];
        foreach (PartRisk::WEEKS as $weeks) {
            $spans[$weeks] = new Foretold((float) $row->{"expected_{$weeks}"}, (float) $row->{"variance_{$weeks}"}, (int) $row->in_use);
        }

        return $spans;
    }
}
