<?php

declare(strict_types=1);

namespace App\Stock\Kits;

use App\Intake\Job;
use App\Stock\Orders\OrderLine;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use Illuminate\Database\Eloquent\Collection;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Guide;
use OddBench\Knowledge\KitPart;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\KitCheck;

/** What a guide needs against what is on the shelf: the part this family used last goes first, others of its class do as well. */
final readonly class KitQuery
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function of(Job $job, Guide $guide, ?string $school): Kit
    {
        return $this->against($this->knowledge->family($job->machine->family), $guide, $school, $job);
    }

    /** For a family, whichever machine of it; what is promised to any job is not free. */
    public function against(Family $family, Guide $guide, ?string $school, ?Job $job = null): Kit
    {
        $kit = $guide->kitOf($school);
        $classes = array_values(array_map(static fn (KitPart $p): string => $p->class, $kit));
        $parts = Part::query()->with('substitutes')->whereIn('class', $classes)->orderByDesc('on_hand')->orderBy('number')->get();
        $promised = Reservation::query()->whereIn('part_id', $parts->pluck('id'))->get();
        $usual = PartChoice::usual($family->code, $classes);
        $parts = PartChoice::fitting($parts, $family);
        $free = $substitutes = $wanted = $needed = $chosen = [];
        foreach ($parts as $part) {
            $free[$part->number] = max(
                0,
                $part->on_hand - (int) $promised->where('part_id', $part->id)->where('job_id', '<>', $job?->id)->sum('quantity'),
            );
        }
        foreach ($kit as $of) {
            $alike = $parts->where('class', $of->class)
                ->sortByDesc(static fn (Part $p): array => [$usual[$p->id] ?? 0, $free[$p->number] > 0 ? 1 : 0])
                ->values();
            $first = $alike->first();
            if ($first !== null) {
                $chosen[$of->class] = $first;
                $wanted[$first->number] = ($wanted[$first->number] ?? 0) + $of->count;
                $needed[$first->number] = ($needed[$first->number] ?? 0) + ($of->ifNeeded ? 0 : $of->count);
                $named = $first->substitutes->pluck('number')->filter(static fn (mixed $n): bool => isset($free[$n]))->all();
                $substitutes[$first->number] = array_values(array_unique([
                    ...$named,
                    ...$alike->slice(1)->map(static fn (Part $p): string => $p->number)->all(),
                ]));
            }
        }
        $check = (new KitCheck)->check($wanted, $free, $substitutes, $this->due($parts));
        $needed = array_filter($needed);
        $must = array_filter($kit, static fn (KitPart $p): bool => ! $p->ifNeeded);
        $unknown = array_values(array_filter(array_map(
            fn (KitPart $p): ?string => isset($chosen[$p->class]) ? null : ($this->knowledge->partClasses[$p->class] ?? $p->class),
            $must,
        )));
        $times = (new KitCheck)->times($needed, $free, $substitutes);
        $names = $parts->pluck('name', 'number');

        return new Kit(
            array_values(array_map(
                fn (KitPart $of): KitLineView => $this->line(
                    $of,
                    $chosen[$of->class] ?? null,
                    $parts,
                    $free,
                    $check,
                    $promised->where('job_id', $job?->id),
                ),
                $kit,
            )),
            $must === [] ? null : ($unknown === [] ? $times['times'] : 0),
            $unknown === [] ? array_map(
                static fn (string $number): string => is_string($names[$number] ?? null) ? $names[$number] : $number,
                $times['shortest'],
            ) : $unknown,
            $check['could_start'],
        );
    }

    /**
     * @param  Collection<int, Part>  $parts
     * @return array<string, string> part number => the day more of it is expected
     */
    private function due(Collection $parts): array
    {
        $due = [];
        foreach (OrderLine::query()->with('order')->whereIn('part_id', $parts->pluck('id'))->whereHas(
            'order',
            static fn ($q) => $q->whereNull('closed_at'),
        )->get() as $line) {
            $number = $parts->firstWhere('id', $line->part_id)->number ?? '';
            $day = $line->order->expected_at->toDateString();
            $due[$number] = isset($due[$number]) ? min($due[$number], $day) : $day;
        }

        return $due;
    }

    /**
     * @param  Collection<int, Part>  $parts
     * @param  array<string, int>  $free
     * @param  array{short: list<array{part: string, count: int, due: string|null}>, substitutes: list<array{part: string, by: string, count: int}>}  $check
     * @param  \Illuminate\Support\Collection<int, Reservation>  $promised
     */
    private function line(
        KitPart $of,
        ?Part $part,
        Collection $parts,
        array $free,
        array $check,
        \Illuminate\Support\Collection $promised,
    ): KitLineView {
        $name = $this->knowledge->partClasses[$of->class] ?? $of->class;
        if ($part === null) {
            return new KitLineView($of->class, $name, $of->count, $of->ifNeeded, null, null, null, 0, $of->count, 0, []);
        }
        $short = array_sum(array_map(static fn (array $s): int => $s['part'] === $part->number ? $s['count'] : 0, $check['short']));
        $others = $parts->where('class', $of->class)
            ->where('id', '<>', $part->id)
            ->filter(static fn (Part $p): bool => $free[$p->number] > 0)
            ->map(static fn (Part $p): string => "{$p->name}, bin {$p->bin}, {$free[$p->number]} free");
        $own = (int) $promised->where('part_id', $part->id)->sum('quantity');

        return new KitLineView(
            $of->class,
            $name,
            $of->count,
            $of->ifNeeded,
            $part->number,
            $part->name,
            $part->bin,
            $free[$part->number],
            $short,
            $own,
            array_values($others->take(3)->all()),
        );
    }
}
