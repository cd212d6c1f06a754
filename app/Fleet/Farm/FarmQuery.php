<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Machines\Place;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\PartRisk;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use stdClass;

/** Reads the farm: one question for all machines, for they may be two thousand. */
final readonly class FarmQuery
{
    private const MOST = 3000;

    public function __construct(private Knowledge $knowledge)
    {
    }

    /** @param  1|2|4|8  $weeks */
    public function read(int $weeks, string $heldAs, ?string $family, ?int $rack): FarmView
    {
        if ($family !== null) {
            $this->knowledge->family($family, 'family');
        }
        $rows = $this->rows($weeks, $heldAs, $family, $rack);
        $machines = array_map($this->machine(...), array_slice($rows, 0, self::MOST));

        return new FarmView(
            $weeks,
            array_values(Rack::query()->orderBy('sort')->orderBy('id')->get()->map(RackView::of(...))->all()),
            $this->families(array_values(array_unique(array_column($rows, 'family')))),
            $machines,
            count($rows) > self::MOST,
            round(array_sum(array_map(static fn (stdClass $r): float => $r->place === 'service' ? (float) $r->per_week : 0.0, $rows)), 0),
            PartRisk::LIKELY,
        );
    }

    /** @return list<stdClass> */
    private function rows(int $weeks, string $heldAs, ?string $family, ?int $rack): array
    {
        return array_values(DB::table('machines as m')->leftJoin('machine_risks as k', 'k.machine_id', '=', 'm.id')
            ->leftJoin('rack_places as t', 't.machine_id', '=', 'm.id')
            ->leftJoin('jobs as j', static fn ($on) => $on->on('j.machine_id', '=', 'm.id')->whereNull('j.finished_at'))
            ->leftJoin('red_tags as g', static fn ($on) => $on->on('g.machine_id', '=', 'm.id')->whereNull('g.off_at'))
            ->where('m.held_as', $heldAs)
            ->whereNotIn('m.place', Place::gone())
            ->when($family !== null, static fn ($q) => $q->where('m.family', $family))
            ->when($rack !== null, static fn ($q) => $q->where('t.rack_id', $rack))
            ->orderBy('m.tag')
            ->limit(self::MOST + 1)
            ->get([
                'm.tag', 'm.family', 'm.place', 'm.counter_wonder', 'k.hours', 'k.per_week', "k.worst_{$weeks} as worst",
                "k.worst_risk_{$weeks} as risk", 'k.service', 'k.service_days', 'j.id as job', 'j.station', 'g.reason', 't.rack_id',
                't.shelf', 't.place as spot',
            ])->all());
    }

    private function machine(stdClass $row): FarmMachineView
    {
        return new FarmMachineView(
            tag: $row->tag,
            family: $row->family,
            place: $row->place,
            hours: $row->hours === null ? null : (int) round((float) $row->hours),
            risk: round((float) ($row->risk ?? 0.0), 4),
            worst: $row->worst === null ? null : $this->knowledge->positionName($row->family, $row->worst),
            service: $row->service === null ? null : str_replace('-', ' ', $row->service),
            serviceDays: $row->service_days === null ? null : (int) $row->service_days,
            openJob: $row->job === null ? null : (int) $row->job,
            station: $row->station === null ? null : Station::from($row->station)->words(),
            redTag: $row->reason,
            wonder: $row->counter_wonder,
            rack: $row->rack_id === null ? null : (int) $row->rack_id,
            shelf: $row->shelf === null ? null : (int) $row->shelf,
            spot: $row->spot === null ? null : (int) $row->spot,
        );
    }

    /**
     * @param  list<mixed>  $codes
     * @return list<FarmFamilyView>
     */
    private function families(array $codes): array
    {
        $views = [];
        foreach ($codes as $code) {
            $family = is_string($code) ? ($this->knowledge->families[$code] ?? null) : null;
            $views[] = new FarmFamilyView(
                is_string($code) ? $code : '',
                $family->name ?? (is_string($code) ? $code : ''),
                $family->traits['motion'] ?? null,
                in_array($family->traits['chamber'] ?? null, ['enclosed', 'heated'], true),
            );
        }

        return $views;
    }
}
