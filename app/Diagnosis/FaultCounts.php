<?php

declare(strict_types=1);

namespace App\Diagnosis;

use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/** How many finished jobs had which confirmed fault, by family. Kept in a table that the queue worker recounts. */
final readonly class FaultCounts
{
    /** Stands for “any”: the row that counts a family’s jobs. */
    private const ANY = '*';

    public function __construct(private Knowledge $knowledge)
    {
    }

    /** @return array{jobs: int, faults: array<string, int>} */
    public function ofFamily(string $family): array
    {
        return $this->read([$family]);
    }

    /** @return array{jobs: int, faults: array<string, int>, exposed: array<string, int>} exposed: jobs on machines that can have the fault, where not all can */
    public function ofShop(): array
    {
        $shop = $this->read(null);
        $jobs = DB::table('fault_counts')->where('fault', self::ANY)->pluck('jobs', 'family')->all();
        $exposed = [];
        foreach ($this->knowledge->faults as $fault) {
            if ($fault->needs === []) {
                continue;
            }
            $of = 0;
            foreach ($this->knowledge->families as $family) {
                $of += Traits::of($family->traits)->allow($fault->needs) ? (int) ($jobs[$family->code] ?? 0) : 0;
            }
            $exposed[$fault->code] = min($shop['jobs'], max($of, $shop['faults'][$fault->code] ?? 0));
        }

        return [...$shop, 'exposed' => $exposed];
    }

    /** @return array<string, int> fault => jobs in which it was back within the warranty of its repair */
    public function cameBack(?string $family): array
    {
        return DB::table('fault_counts')->where('fault', '<>', self::ANY)->when($family !== null, fn ($query) => $query->where('family', $family))
            ->groupBy('fault')->selectRaw('fault, sum(came_back)::int as jobs')->pluck('jobs', 'fault')->map(static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0)->all();
    }

    public function recount(): void
    {
        DB::transaction(function (): void {
            DB::statement('LOCK TABLE fault_counts IN EXCLUSIVE MODE');
            DB::table('fault_counts')->delete();
            DB::statement(<<<'SQL'
                INSERT INTO fault_counts (family, fault, jobs, came_back)
                SELECT m.family, d.fault, count(DISTINCT j.id), count(DISTINCT j.id) FILTER (WHERE d.comeback_of IS NOT NULL)
                FROM jobs j JOIN machines m ON m.id = j.machine_id JOIN diagnoses d ON d.job_id = j.id
                WHERE j.finished_at IS NOT NULL AND d.superseded_at IS NULL
                GROUP BY m.family, d.fault
                UNION ALL
                SELECT m.family, '*', count(*), 0
                FROM jobs j JOIN machines m ON m.id = j.machine_id
                WHERE j.finished_at IS NOT NULL AND j.kind = 'repair'
                GROUP BY m.family
                SQL);
        });
    }

    /**
     * @param  list<string>|null  $families  null for all
     * @return array{jobs: int, faults: array<string, int>}
     */
    private function read(?array $families): array
    {
        $rows = DB::table('fault_counts')
            ->when($families !== null, fn ($query) => $query->whereIn('family', $families ?? []))
            ->groupBy('fault')->selectRaw('fault, sum(jobs) as jobs')->get();
        $jobs = 0;
        $faults = [];
        foreach ($rows as $row) {
            if ($row->fault === self::ANY) {
                $jobs = (int) $row->jobs;
            } elseif (isset($this->knowledge->faults[$row->fault])) {
                $faults[(string) $row->fault] = (int) $row->jobs;
            }
        }

        // jobs of other kinds confirm faults too; there are never more of a fault than jobs
        return ['jobs' => max([$jobs, 0, ...array_values($faults)]), 'faults' => $faults];
    }
}
