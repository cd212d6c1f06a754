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
    /** So many of those a family got are looked at. */
    private const FIRST_FEW = 12;

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
     * many at once, in three questions at most.
     *
     * @param  array<string, list<string>>  $wanted  family => classes
     * @return array<string, array<string, Part>> family => class => part, where there is one
     */
    public static function best(array $wanted, Knowledge $knowledge): array
    {
        $classes = array_values(array_unique(array_merge([], ...array_values($wanted))));
        $pairs = [];
        foreach ($wanted as $family => $its) {
            foreach ($its as $class) {
                $pairs[] = ['family' => $family, 'class' => $class];
            }
        }
        // what a family got most often; one of the first few of them fits, or none of them does
        $often = [];
        foreach (DB::select(<<<'SQL'
            SELECT w.family, w.class, u.part_id FROM json_to_recordset(?::json) AS w(family text, class text)
            JOIN LATERAL (SELECT part_id, times FROM part_uses WHERE family = w.family AND class = w.class
                ORDER BY times DESC, part_id LIMIT ?) u ON true
            ORDER BY w.family, w.class, u.times DESC, u.part_id
            SQL, [json_encode($pairs), self::FIRST_FEW]) as $row) {
            $often[(string) $row->family][(string) $row->class][] = (int) $row->part_id;
        }
        $ids = array_merge([], ...array_merge([], ...array_map(array_values(...), array_values($often))));
        $used = Part::query()->whereIntegerInRaw('id', array_unique($ids))->whereNull('counts_with_id')->get()->keyBy('id');
        $best = $missing = [];
        foreach ($wanted as $family => $its) {
            foreach ($its as $class) {
                /** @var Collection<int, Part> $theirs */
                $theirs = new Collection(array_filter(array_map($used->get(...), $often[$family][$class] ?? [])));
                $first = self::fitting($theirs, $knowledge->family($family))->first();
                if ($first === null) {
                    $missing[$class][] = $family;
                } else {
                    $best[$family][$class] = $first;
                }
            }
        }
        $others = $missing === [] ? new Collection : Part::query()->whereIn('class', array_keys($missing))
            ->whereNull('counts_with_id')
            ->orderByDesc('on_hand')
            ->orderBy('id')
            ->get()
            ->groupBy('class');
        foreach ($missing as $class => $families) {
            foreach ($families as $family) {
                $first = self::fitting(self::some($others->get($class)), $knowledge->family($family))->first();
                if ($first !== null) {
                    $best[$family][$class] = $first;
                }
            }
        }

        return $best;
    }

    /**
     * @param  Collection<int, \Illuminate\Database\Eloquent\Model>|null  $parts
     * @return Collection<int, Part>
     */
    private static function some(?Collection $parts): Collection
    {
        return new Collection(array_values(array_filter($parts?->all() ?? [], static fn (mixed $p): bool => $p instanceof Part)));
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
