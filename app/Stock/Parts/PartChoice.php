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
        $often = DB::table('part_uses')->whereIn('family', array_keys($wanted))
            ->whereIn('class', $classes)
            ->orderByDesc('times')
            ->orderBy('part_id')
            ->get(['family', 'class', 'part_id']);
        $used = Part::query()->whereIn('id', $often->pluck('part_id')->unique())->whereNull('counts_with_id')->get();
        $best = $missing = [];
        foreach ($wanted as $family => $its) {
            foreach ($its as $class) {
                $rank = array_flip(
                    $often->where('family', $family)
                        ->where('class', $class)
                        ->pluck('part_id')
                        ->map(static fn (mixed $id): int => (int) $id)
                        ->all(),
                );
                $theirs = $used->whereIn('id', array_keys($rank))->sortBy(static fn (Part $p): int => $rank[$p->id]);
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
            ->get();
        foreach ($missing as $class => $families) {
            foreach ($families as $family) {
                $first = self::fitting($others->where('class', $class), $knowledge->family($family))->first();
                if ($first !== null) {
                    $best[$family][$class] = $first;
                }
            }
        }

        return $best;
    }

    /** A family got this part once more, or once less when it was put back. */
    public static function used(string $family, Part $part, int $times): void
    {
        DB::statement(
            'INSERT INTO part_uses (family, class, part_id, times) VALUES (?, ?, ?, ?) ON CONFLICT (family, part_id) DO UPDATE SET times = part_uses.times + excluded.times',
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
