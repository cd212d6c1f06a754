<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Family;
use OddBench\Machines\Fit;
use OddBench\Stock\SpareGrade;

/** Which part of a class a family gets: one that fits and can be trusted, the one it got most often first. */
final readonly class PartChoice
{
    private const LOOKED_AT = 8;

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

    /** The part of a class a family is given: of those that fit the one it got most often, else the one there is most of. */
    public static function best(Family $family, string $class): ?Part
    {
        $often = DB::table('part_uses')->where(['family' => $family->code, 'class' => $class])
            ->orderByDesc('times')
            ->orderBy('part_id')
            ->limit(self::LOOKED_AT)
            ->pluck('times', 'part_id')
            ->all();
        $used = Part::query()->whereIn('id', array_keys($often))
            ->whereNull('counts_with_id')
            ->get()
            ->sortByDesc(static fn (Part $p): mixed => $often[$p->id] ?? 0);

        return self::fitting($used, $family)->first()
            ?? self::fitting(
                Part::query()->where('class', $class)->whereNull('counts_with_id')->orderByDesc('on_hand')->orderBy('id')->get(),
                $family,
            )->first();
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
