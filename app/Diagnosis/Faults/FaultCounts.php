<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** Keeps how many finished jobs had which confirmed fault, in a table that the queue worker recounts. */
final readonly class FaultCounts
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function now(): CountedFaults
    {
        $all = [];
        foreach (DB::table('fault_counts')->get() as $row) {
            $all[(string) $row->family][(string) $row->fault] = ['jobs' => (int) $row->jobs, 'came_back' => (int) $row->came_back];
        }

        return new CountedFaults($this->knowledge, $all);
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
                UNION ALL
                SELECT '*', '*first', count(*), count(*) FILTER (WHERE overturned) FROM (
                    SELECT DISTINCT ON (d.job_id) d.superseded_at IS NOT NULL AS overturned
                    FROM diagnoses d JOIN jobs j ON j.id = d.job_id WHERE j.finished_at IS NOT NULL ORDER BY d.job_id, d.id) AS first
                SQL);
        });
    }
}
