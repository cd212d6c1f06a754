<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Instruments\Reading;
use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Writes down the measured value of a check: the knowledge says which findings it stands for. */
final readonly class RecordReading
{
    public function __construct(private Knowledge $knowledge, private RecordFinding $record)
    {
    }

    /** @throws InputError when the check measures no single value, or no such value can be */
    public function record(Job $job, string $code, float $value, Person $by): Job
    {
        $check = $this->knowledge->check($code);
        if ($check->reading === null) {
            throw InputError::at('check', "“{$check->name}” has no single value; answer what is there.");
        }
        $findings = $check->reading->judge($value);

        $reading = $check->reading;

        return DB::transaction(function () use ($job, $check, $reading, $value, $findings, $by): Job {
            $job = $this->record->record(
                $job,
                $findings === [] ? ['' => false] : $findings,
                [$check->code],
                sprintf('%s %s', round($value, 4), $reading->unit),
                $by,
            );
            Reading::query()->create([
                'job_id' => $job->id,
                'machine_id' => $job->machine_id,
                'instrument' => "check:{$check->code}",
                'position' => null,
                'hours' => $job->hours,
                'input' => ['value' => $value], 'result' => [], 'value' => $value, 'unit' => $reading->unit,
                'verdict' => in_array(true, $findings, true) ? 'out' : 'ok', 'because' => null, 'person_id' => $by->id, 'at' => now(),
            ]);

            return $job;
        });
    }
}
