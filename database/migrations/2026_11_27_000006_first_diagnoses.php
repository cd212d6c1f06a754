<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** First diagnoses and how many were overturned are counted with the faults: a shop that had them keeps its sentence at once. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(<<<'SQL'
            INSERT INTO fault_counts (family, fault, jobs, came_back)
            SELECT '*', '*first', count(*), count(*) FILTER (WHERE overturned) FROM (
                SELECT DISTINCT ON (d.job_id) d.superseded_at IS NOT NULL AS overturned
                FROM diagnoses d JOIN jobs j ON j.id = d.job_id WHERE j.finished_at IS NOT NULL ORDER BY d.job_id, d.id) AS first
            ON CONFLICT DO NOTHING
            SQL);
    }
};
