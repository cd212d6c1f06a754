<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\Fit;
use OddBench\Stock\SpareGrade;

/** Which part of a class a family gets: one that fits and can be trusted, the one it got most often first. */
final readonly class PartChoice
{
    /** So many of those a family got are looked at, and so many more when none of them fits. */
    private const FIRST_FEW = [2, 12];

    /**
     * @param  Collection<int, Part>  $parts
     * @return Collection<int, Part> those that fit and may be counted on
     */
    public static function fitting(Collection $parts, Family $family, ?string $position = null): Collection
    {
        return $parts->filter(
            static fn (Part $p): bool => SpareGrade::from($p->grade)->counts()
                && ($p->successor_id === null || $p->on_hand > 0)
                && Fit::kept($p->fits)->allows($family, $position),
        );
    }

    /**
     * @param  list<string>  $classes
     * @return array<int, int> part id => times it was used on the family
     */
    public static function usual(string $family, array $classes): array
    {
        return array_map(
            static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0,
            DB::table('part_uses')->where('family', $family)->whereIn('class', $classes)->pluck('times', 'part_id')->all(),
        );
    }

    /**
     * The part of a class a family is given: of those that fit the one it got most often, else the one there is most of. For
     * many at once, in five questions at most.
     *
     * @param  array<string, list<string>>  $wanted  family => classes
     * @return array<string, array<string, Part>> family => class => part, where there is one
     */
    public static function best(array $wanted, Knowledge $knowledge): array
    {
        $best = [];
        foreach (self::FIRST_FEW as $few) {
            self::choose($best, self::often($wanted, $few), $knowledge);
            $wanted = array_filter(array_map(
                static fn (string $family): array => array_values(array_diff($wanted[$family], array_keys($best[$family] ?? []))),
                array_combine(array_keys($wanted), array_keys($wanted)),
            ));
        }
        self::choose($best, self::most($wanted), $knowledge);

        return $best;
    }

    /**
     * @param  array<string, array<string, Part>>  $best
     * @param  array<string, array<string, list<Part>>>  $from  family => class => the best first
     */
    private static function choose(array &$best, array $from, Knowledge $knowledge): void
    {
        foreach ($from as $family => $classes) {
            foreach ($classes as $class => $parts) {
                $first = self::fitting(new Collection($parts), $knowledge->family($family))->first();
                if ($first !== null) {
                    $best[$family][$class] = $first;
                }
            }
        }
    }

    /**
     * @param  array<string, list<string>>  $wanted  family => classes
     * @return array<string, array<string, list<Part>>> family => class => the few it got most often, of those that may be counted on
     */
    private static function often(array $wanted, int $few): array
    {
        $pairs = [];
        foreach ($wanted as $family => $classes) {
            foreach ($classes as $class) {
                $pairs[] = ['family' => $family, 'class' => $class];
            }
        }
        if ($pairs === []) {
            return [];
        }
        $rows = DB::select(<<<'SQL'
            SELECT w.family, w.class, u.part_id FROM json_to_recordset(?::json) AS w(family text, class text)
            JOIN LATERAL (SELECT n.part_id, n.times FROM part_uses n JOIN parts p ON p.id = n.part_id
                WHERE n.family = w.family AND n.class = w.class AND p.counts_with_id IS NULL AND p.grade = ANY(?)
                    AND (p.successor_id IS NULL OR p.on_hand > 0)
                ORDER BY n.times DESC, n.part_id LIMIT ?) u ON true
            ORDER BY w.family, w.class, u.times DESC, u.part_id
            SQL, [json_encode($pairs), '{'.implode(',', SpareGrade::counted()).'}', $few]);
        $parts = Part::query()->whereIntegerInRaw('id', array_unique(array_column($rows, 'part_id')))->get()->keyBy('id');
        $often = [];
        foreach ($rows as $row) {
            $part = $parts->get((int) $row->part_id);
            if ($part !== null) {
                $often[(string) $row->family][(string) $row->class][] = $part;
            }
        }

        return $often;
    }

    /**
     * @param  array<string, list<string>>  $wanted  family => classes
     * @return array<string, array<string, list<Part>>> family => class => all of the class, first what there is most of
     */
    private static function most(array $wanted): array
    {
        $classes = array_values(array_unique(array_merge([], ...array_values($wanted))));
        $parts = [];
        $all = $classes === [] ? [] : Part::query()->whereIn('class', $classes)->whereNull('counts_with_id')
            ->orderByDesc('on_hand')
            ->orderBy('id')
            ->get();
        foreach ($all as $part) {
            $parts[$part->class][] = $part;
        }

        return array_map(
            static fn (array $its): array => array_intersect_key($parts, array_flip($its)),
            $wanted,
        );
    }

    /** A family got this part once more, or once less when it was put back. */
    public static function used(string $family, Part $part, int $times): void
    {
        DB::statement(
            'INSERT INTO part_uses (family, class, part_id, times) VALUES (?, ?, ?, ?)
                ON CONFLICT (family, part_id) DO UPDATE SET times = part_uses.times + excluded.times',
            [$family, $part->class, $part->id, $times],
        );
    }

    /** Some parts are of another class now. */
    public static function sorted(): void
    {
        DB::update(
            'UPDATE part_uses SET class = parts.class FROM parts WHERE parts.id = part_uses.part_id AND part_uses.class <> parts.class',
        );
    }
}
