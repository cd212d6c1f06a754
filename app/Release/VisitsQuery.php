<?php

declare(strict_types=1);

namespace App\Release;

use App\Api\Iso;
use App\Machines\Machine;
use App\Shop\ShopDay;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Destination;
use OddBench\Release\RepairWarranty;
use stdClass;

/** The visits of a machine, the newest first: what was found, how each ended, and whether the shop still stands for it. */
final readonly class VisitsQuery
{
    private const MOST = 50;

    public function __construct(private Knowledge $knowledge, private ShopDay $day)
    {
    }

    private const VISITS = <<<'SQL'
        SELECT j.id, j.kind, j.complaint, %s AS opened_at, %s AS finished_at, j.hours, r.destination, r.sheet IS NOT NULL AS sheet,
            r.warranty_until, r.warranty_hours, d.faults, coalesce(d.back, false) AS back
        FROM (SELECT * FROM jobs WHERE machine_id = ? ORDER BY id DESC LIMIT ?) AS j
        LEFT JOIN releases r ON r.job_id = j.id
        LEFT JOIN LATERAL (SELECT json_agg(fault ORDER BY id) AS faults, bool_or(comeback_of IS NOT NULL) AS back
            FROM diagnoses WHERE job_id = j.id AND superseded_at IS NULL) d ON true
        ORDER BY j.id DESC
        SQL;

    /** @return list<PastJobView> */
    public function of(Machine $machine): array
    {
        $today = $this->day->today();
        $hours = $machine->hoursRun();
        $visits = sprintf(self::VISITS, Iso::sql('j.opened_at'), Iso::sql('j.finished_at'));

        return array_map(
            fn (stdClass $row): PastJobView => $this->visit($row, $hours, $today),
            array_values(DB::select($visits, [$machine->id, self::MOST])),
        );
    }

    private function visit(stdClass $row, ?float $hours, string $today): PastJobView
    {
        $faults = is_string($row->faults) ? (array) json_decode($row->faults, true) : [];
        $for = $row->warranty_hours === null ? null : (float) $row->warranty_hours;
        $runs = $row->warranty_until !== null && (new RepairWarranty($row->warranty_until, $for))->covers($today, $hours);

        return new PastJobView(
            (int) $row->id,
            $row->kind,
            $row->complaint,
            $row->opened_at,
            $row->finished_at,
            $row->hours === null ? null : (float) $row->hours,
            array_values(array_map($this->knowledge->faultName(...), array_filter($faults, is_string(...)))),
            $row->destination === null ? null : Destination::from($row->destination)->words(),
            $row->sheet,
            $runs ? $row->warranty_until : null,
            $for,
            $row->back,
        );
    }
}
