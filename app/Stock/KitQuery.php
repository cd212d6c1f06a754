<?php

declare(strict_types=1);

namespace App\Stock;

use App\Intake\Job;
use Illuminate\Database\Eloquent\Collection;
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

    /** @return list<KitLineView> */
    public function of(Job $job, Guide $guide, ?string $school): array
    {
        $kit = $guide->kitOf($school);
        $classes = array_map(static fn (KitPart $p): string => $p->class, $kit);
        $parts = Part::query()->whereIn('class', $classes)->orderByDesc('on_hand')->orderBy('number')->get();
        $promised = Reservation::query()->whereIn('part_id', $parts->pluck('id'))->get();
        $usual = $this->usual($job, $parts);
        $free = $substitutes = $wanted = $chosen = [];
        foreach ($parts as $part) {
            $free[$part->number] = max(0, $part->on_hand - (int) $promised->where('part_id', $part->id)->where('job_id', '<>', $job->id)->sum('quantity'));
        }
        foreach ($kit as $of) {
            $alike = $parts->where('class', $of->class)->sortByDesc(static fn (Part $p): array => [$usual[$p->id] ?? 0, $free[$p->number] > 0 ? 1 : 0])->values();
            $first = $alike->first();
            if ($first !== null) {
                $chosen[$of->class] = $first;
                $wanted[$first->number] = ($wanted[$first->number] ?? 0) + $of->count;
                $substitutes[$first->number] = array_values($alike->slice(1)->map(static fn (Part $p): string => $p->number)->all());
            }
        }
        $check = (new KitCheck)->check($wanted, $free, $substitutes, []);

        return array_map(fn (KitPart $of): KitLineView => $this->line($of, $chosen[$of->class] ?? null, $parts, $free, $check, $promised->where('job_id', $job->id)), $kit);
    }

    /**
     * @param  Collection<int, Part>  $parts
     * @return array<int, int> part id => times used on this family
     */
    private function usual(Job $job, Collection $parts): array
    {
        return Movement::query()->where('kind', 'used')->whereIn('part_id', $parts->pluck('id'))
            ->whereHas('job.machine', fn ($machine) => $machine->where('family', $job->machine->family))
            ->groupBy('part_id')->selectRaw('part_id, count(*) as times')->toBase()->pluck('times', 'part_id')->map(fn (mixed $n): int => (int) $n)->all();
    }

    /**
     * @param  Collection<int, Part>  $parts
     * @param  array<string, int>  $free
     * @param  array{short: list<array{part: string, count: int, due: string|null}>, substitutes: list<array{part: string, by: string, count: int}>}  $check
     * @param  \Illuminate\Support\Collection<int, Reservation>  $promised
     */
    private function line(KitPart $of, ?Part $part, Collection $parts, array $free, array $check, \Illuminate\Support\Collection $promised): KitLineView
    {
        $name = $this->knowledge->partClasses[$of->class] ?? $of->class;
        if ($part === null) {
            return new KitLineView($of->class, $name, $of->count, $of->ifNeeded, null, null, null, 0, $of->count, 0, []);
        }
        $short = array_sum(array_map(static fn (array $s): int => $s['part'] === $part->number ? $s['count'] : 0, $check['short']));
        $others = $parts->where('class', $of->class)->where('id', '<>', $part->id)->filter(static fn (Part $p): bool => $free[$p->number] > 0)
            ->map(static fn (Part $p): string => "{$p->name}, bin {$p->bin}, {$free[$p->number]} free");
        $own = (int) $promised->where('part_id', $part->id)->sum('quantity');

        return new KitLineView($of->class, $name, $of->count, $of->ifNeeded, $part->number, $part->name, $part->bin, $free[$part->number], $short, $own, array_values($others->take(3)->all()));
    }
}
