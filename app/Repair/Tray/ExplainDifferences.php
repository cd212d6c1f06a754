<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Repair\WorkOnJob;
use App\Shop\Person;
use OddBench\Input\InputError;

/** Says in words why something is not accounted for; it holds for the differences there are now, not for later ones. */
final readonly class ExplainDifferences
{
    private const SHORTEST = 10;

    public function __construct(private JobRecord $record, private TrayQuery $tray)
    {
    }

    public function explain(Job $job, string $because, Person $by): Job
    {
        if (mb_strlen($because) < self::SHORTEST) {
            throw InputError::at('because', 'Say it in a few words: who opens this machine next reads it.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($because, $by): Said {
            $open = $this->tray->open(WorkOnJob::now($job));
            if ($open === []) {
                throw Refused::because('because', 'Everything is accounted for; there is nothing to explain.');
            }
            Explained::query()->create([
                'job_id' => $job->id,
                'because' => $because,
                'differences' => $open,
                'person_id' => $by->id,
                'at' => now(),
            ]);

            return new Said('explained', 'Not accounted for: '.implode('; ', $open).". {$because}");
        });
    }
}
