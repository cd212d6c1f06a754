<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\Circumstance;
use OddBench\Knowledge\Knowledge;

/** Shows lives as they were worked out last. */
final readonly class LifeLines
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * @param  Collection<int, LifeFit>  $fits
     * @return list<LifeLineView>
     */
    public function of(Collection $fits): array
    {
        $parts = DB::table('parts')->whereIntegerInRaw('id', $fits->pluck('part_id')->filter()->unique()->all())
            ->get(['id', 'number', 'name'])->keyBy('id');
        $numbers = $parts->pluck('number', 'id');
        $names = $parts->pluck('name', 'id');

        return array_values($fits->map(fn (LifeFit $f): LifeLineView => new LifeLineView(
            partClass: $f->part_class,
            name: $this->name($f, $names),
            part: $f->part_id === null ? null : self::number($numbers, $f->part_id),
            family: $f->family,
            circumstance: $f->circumstance,
            failures: $f->failures,
            running: $f->running,
            meanHours: $f->mean_h,
            lowHours: $f->low_h,
            highHours: $f->high_h,
            shape: $f->shape,
            own: $f->method === 'ml',
            leansOnAll: $f->leans_on_all,
            tradeHours: $f->trade_h,
            believedFrom: $f->believed_from?->toDateString(),
            differs: $f->life()->differs(),
            notCounted: array_sum($f->not_counted),
        ))->all());
    }

    /** @param  Collection<array-key, mixed>  $names */
    private function name(LifeFit $fit, Collection $names): string
    {
        return match (true) {
            $fit->part_id !== null => self::number($names, $fit->part_id),
            $fit->family !== null => $this->knowledge->familyName($fit->family),
            $fit->circumstance !== null => Circumstance::words($fit->circumstance),
            default => ucfirst($this->knowledge->partClasses[$fit->part_class] ?? $fit->part_class),
        };
    }

    /** @param  Collection<array-key, mixed>  $numbers */
    private static function number(Collection $numbers, int $part): string
    {
        $number = $numbers[$part] ?? null;

        return is_string($number) ? $number : '?';
    }
}
