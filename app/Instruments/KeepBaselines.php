<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Intake\Job;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** At release: what a well machine read in its job becomes what later readings are held against. */
final readonly class KeepBaselines
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /** Inside a running write. */
    public function of(Job $job): void
    {
        $latest = [];
        foreach (Reading::query()->where('job_id', $job->id)->orderBy('id')->get() as $reading) {
            $latest["{$reading->instrument}|{$reading->position}"] = $reading;
        }
        foreach ($latest as $reading) {
            [$value, $unit] = $this->figure($reading);
            if ($value !== null && in_array($reading->verdict, ['ok', null], true)) {
                DB::table('baselines')->insert([
                    'machine_id' => $job->machine_id,
                    'reading_id' => $reading->id,
                    'job_id' => $job->id,
                    'instrument' => $reading->instrument,
                    'position' => $reading->position,
                    'value' => $value,
                    'unit' => $unit,
                    'at' => now(),
                ]);
            }
        }
    }

    /** @return array{float|null, string} */
    private function figure(Reading $reading): array
    {
        if (str_starts_with($reading->instrument, 'check:')) {
            return [$reading->value, $reading->unit];
        }
        $baseline = $this->knowledge->instruments[$reading->instrument]->baseline ?? null;

        return $baseline === null ? [null, ''] : [$baseline->value($reading->input, $reading->result), $baseline->unit];
    }
}
