<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Machines\FacesQuery;
use App\Machines\Fitting;
use App\Machines\Machine;
use App\Machines\RailTurn;
use App\Shop\Setting;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** Parts whose last spare, or whose last fresh face, has gone into use: history would not say that one is wanted. */
final readonly class LastOfKind
{
    private const YEARS = 3;

    public function __construct(private Knowledge $knowledge, private FacesQuery $faces)
    {
    }

    /**
     * @param  list<int>  $partIds
     * @return array<int, string> part id => what happened
     */
    public function all(array $partIds): array
    {
        return $this->lastFaces($partIds) + $this->lastSpares($partIds);
    }

    /**
     * @param  list<int>  $partIds
     * @return array<int, string>
     */
    private function lastSpares(array $partIds): array
    {
        $said = [];
        foreach (DB::table('parts AS p')
            ->joinLateral(
                DB::table('movements AS m')->whereColumn('m.part_id', 'p.id')->whereNotIn(
                    'm.kind',
                    ['counted', 'moved'],
                )->orderByDesc('m.id')->limit(1),
                'm',
            )
            ->join('jobs AS j', 'j.id', '=', 'm.job_id')->join('machines AS x', 'x.id', '=', 'j.machine_id')
            ->where('p.on_hand', 0)
            ->whereNull('p.counts_with_id')
            ->where('m.kind', 'used')
            ->whereNotNull('m.position')
            ->where('m.at', '>', now()->subYears(self::YEARS))
            ->whereIn('p.id', $partIds)
            ->get(['p.id', 'm.position', 'm.at', 'x.tag', 'x.family']) as $row) {
            $said[(int) $row->id] = sprintf(
                'The last spare went into %s of %s on %s.',
                $this->knowledge->positionName((string) $row->family, (string) $row->position),
                $row->tag,
                $this->day(Carbon::parse((string) $row->at)),
            );
        }

        return $said;
    }

    /**
     * @param  list<int>  $partIds
     * @return array<int, string>
     */
    private function lastFaces(array $partIds): array
    {
        $turns = RailTurn::query()->orderBy('id')->get();
        if ($turns->isEmpty()) {
            return [];
        }
        $machines = Machine::query()->whereIn('id', $turns->pluck('machine_id')->unique())
            ->whereNotIn('place', ['scrap', 'donor'])
            ->get()
            ->keyBy('id');
        $classes = DB::table('parts')->whereIntegerInRaw('id', $partIds)->distinct()->pluck('class')->all();
        $fitted = Fitting::query()->whereIn('machine_id', $machines->keys())
            ->whereNull('removed_at')
            ->get()
            ->keyBy(static fn (Fitting $f): string => "{$f->machine_id} {$f->position}");
        $said = $alike = [];
        foreach ($turns->groupBy(static fn (RailTurn $t): string => "{$t->machine_id} {$t->position}") as $key => $own) {
            $latest = $own->last();
            $machine = $latest === null ? null : $machines->get($latest->machine_id);
            $position = $machine === null || $latest === null
                ? null
                : ($this->knowledge->family($machine->family)->positions[$latest->position] ?? null);
            if ($machine === null || $position === null || ! in_array($position->partClass, $classes, true)
                || $this->faces->from($position, $own, $fitted->get($key)?->fitted_at)->left() > 0
            ) {
                continue;
            }
            $parts = PartChoice::fitting(
                $alike[$position->partClass] ??= Part::query()->where('class', $position->partClass)->orderBy('id')->get(),
                $this->knowledge->family($machine->family),
                $position->code,
            );
            $part = $parts->firstWhere('counts_with_id', null);
            if ($part !== null && $parts->sum('on_hand') === 0 && in_array($part->id, $partIds, true)) {
                $said[$part->id] = sprintf(
                    'The last fresh face of %s of %s runs since %s.',
                    $position->name,
                    $machine->tag,
                    $this->day($latest->at),
                );
            }
        }

        return $said;
    }

    private function day(Carbon $at): string
    {
        return $at->copy()->setTimezone(Setting::text('zone'))->format('j M');
    }
}
