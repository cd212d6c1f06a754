<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\Csv;
use App\Shop\ShopDay;
use Generator;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use Symfony\Component\HttpFoundation\Response;

/** Parts, stock and movements as tables; what goes out can come in again. */
final readonly class ExportTable
{
    public function __construct(private Knowledge $knowledge, private ShopDay $day)
    {
    }

    public function of(string $kind): Response
    {
        return Csv::stream($kind.'-'.$this->day->today(), match ($kind) {
            'parts' => $this->parts(...), 'stock' => $this->stock(...), default => $this->movements(...)
        });
    }

    /** @return Generator<int, list<float|int|string|null>> */
    private function parts(): Generator
    {
        yield [
            'number',
            'name',
            'class',
            'class_name',
            'bin',
            'words',
            'notes',
            'shelf_life_weeks',
            'supplier',
            'supplier_number',
            'pack',
            'pack_cost',
            'on_hand_all',
            'value',
        ];
        foreach (DB::table('parts AS p')->leftJoin(
            'supplies AS s',
            static fn ($j) => $j->on('s.part_id', 'p.id')->where('s.preferred', true),
        )->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')->where('p.grade', 'new')
            ->select(['p.id', 'p.number', 'p.name', 'p.class', 'p.bin', 'p.words', 'p.notes', 'p.shelf_life_weeks', 'p.on_hand', 'p.value_minor', 'v.name AS supplier', 's.number AS theirs', 's.pack', 's.pack_cost_minor'])->lazyById(2000, 'p.id', 'id') as $p) {
            yield [
                $p->number,
                $p->name,
                $p->class,
                $this->knowledge->partClasses[$p->class] ?? '',
                $p->bin,
                $p->words,
                $p->notes,
                $p->shelf_life_weeks,
                $p->supplier,
                $p->theirs,
                $p->pack,
                self::money($p->pack_cost_minor),
                $p->on_hand,
                self::money($p->value_minor),
            ];
        }
    }

    /** @return Generator<int, list<float|int|string|null>> */
    private function stock(): Generator
    {
        yield ['number', 'name', 'grade', 'bin', 'on_hand', 'reserved'];
        foreach (DB::table('parts AS p')->select([
            'p.id',
            'p.number',
            'p.name',
            'p.grade',
            'p.bin',
            'p.on_hand',
        ])->lazyById(2000, 'p.id', 'id')->chunk(1000) as $parts) {
            $bins = DB::table('bin_stocks')->whereIn('part_id', $parts->pluck('id'))
                ->where('on_hand', '>', 0)
                ->orderBy('bin')
                ->get()
                ->groupBy('part_id');
            $reserved = DB::table('reservations')->whereIn('part_id', $parts->pluck('id'))
                ->groupBy('part_id')
                ->selectRaw('part_id, sum(quantity) AS n')
                ->pluck('n', 'part_id');
            foreach ($parts as $p) {
                foreach ($bins->get($p->id) ?? [(object) ['bin' => $p->bin, 'on_hand' => 0]] as $i => $b) {
                    yield [$p->number, $p->name, $p->grade, $b->bin, $b->on_hand, $i === 0 ? (int) ($reserved[$p->id] ?? 0) : 0];
                }
            }
        }
    }

    /** @return Generator<int, list<float|int|string|null>> */
    private function movements(): Generator
    {
        yield ['at', 'number', 'name', 'kind', 'quantity', 'value', 'bin', 'batch', 'note', 'machine', 'job', 'position', 'by'];
        foreach (DB::table('movements AS m')->join('parts AS p', 'p.id', 'm.part_id')->join(
            'people AS w',
            'w.id',
            'm.person_id',
        )->leftJoin('jobs AS j', 'j.id', 'm.job_id')->leftJoin(
            'machines AS x',
            static fn ($on) => $on->whereRaw('x.id = coalesce(m.machine_id, j.machine_id)'),
        )
            ->select(['m.id', 'm.at', 'p.number', 'p.name', 'm.kind', 'm.quantity', 'm.value_minor', 'm.bin', 'm.batch', 'm.note', 'x.tag', 'm.job_id', 'm.position', 'w.name AS who'])->lazyById(5000, 'm.id', 'id') as $m) {
            yield [
                $m->at,
                $m->number,
                $m->name,
                $m->kind,
                $m->quantity,
                self::money($m->value_minor),
                $m->bin,
                $m->batch,
                $m->note,
                $m->tag,
                $m->job_id,
                $m->position,
                $m->who,
            ];
        }
    }

    private static function money(mixed $minor): ?string
    {
        return is_numeric($minor) ? number_format((int) $minor / 100, 2, '.', '') : null;
    }
}
