<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use Illuminate\Support\Facades\DB;
use OddBench\Practice\Calibration;

/** What this shop confirmed first, and whether it stood: not overturned in its job, nor back within its warranty. */
final readonly class FirstDiagnoses
{
    /** Faults confirmed at the first time of each finished job. */
    private const TOLD = <<<'SQL'
        SELECT d.probability, d.superseded_at IS NULL AND NOT EXISTS (SELECT 1 FROM diagnoses c WHERE c.comeback_of = d.job_id AND c.fault = d.fault) AS stood
        FROM diagnoses d JOIN jobs j ON j.id = d.job_id
        WHERE j.finished_at IS NOT NULL AND d.at = (SELECT min(f.at) FROM diagnoses f WHERE f.job_id = d.job_id)
        ORDER BY d.id
        SQL;

    public function calibration(): Calibration
    {
        $told = [];
        foreach (DB::select(self::TOLD) as $row) {
            $row = (array) $row;
            $told[] = [is_numeric($row['probability']) ? (float) $row['probability'] : 0.0, (bool) $row['stood']];
        }

        return Calibration::of($told);
    }
}
