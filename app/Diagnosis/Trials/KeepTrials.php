<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use App\Api\Refused;
use App\Diagnosis\Findings\JobFinding;
use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Photograph;
use App\Intake\Said;
use App\Safety\AllowCheck;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Writes trial prints down, takes wrong ones back, and makes a finding of what they say. */
final readonly class KeepTrials
{
    /** The check these prints are, and the finding it settles. */
    private const CHECK = 'trial-prints';

    private const FINDING = 'setting-cures-it';

    public function __construct(
        private Knowledge $knowledge,
        private JobRecord $record,
        private Findings $findings,
        private AllowCheck $allow,
        private TrialsQuery $trials,
    ) {
    }

    /**
     * @param  non-empty-array<string, float|string>  $settings
     * @param  array{float, float}|null  $bandMm
     */
    public function add(
        Job $job,
        array $settings,
        int $rating,
        bool $stopped,
        ?array $bandMm,
        ?string $note,
        ?int $photograph,
        Person $by,
    ): Job {
        if ($photograph !== null && ! Photograph::query()->where(['id' => $photograph, 'job_id' => $job->id])->exists()) {
            throw InputError::at('photograph', 'This photograph is not one of this job’s.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use (
            $settings,
            $rating,
            $stopped,
            $bandMm,
            $note,
            $photograph,
            $by,
        ): Said {
            $this->allow->underRedTag($job, self::CHECK);
            $number = 1 + (int) TrialPrint::query()->where('job_id', $job->id)->max('number');
            TrialPrint::query()->create([
                'job_id' => $job->id, 'number' => $number, 'settings' => $settings, 'rating' => $rating, 'stopped' => $stopped,
                'band_from_mm' => $bandMm[0] ?? null,
                'band_to_mm' => $bandMm[1] ?? null,
                'note' => $note,
                'photograph_id' => $photograph,
                'person_id' => $by->id,
                'at' => now(),
            ]);
            $words = implode(
                ', ',
                array_map(static fn (string $name, float|string $value): string => "{$name} {$value}", array_keys($settings), $settings),
            );

            return new Said('trial', "Trial {$number}: {$words}; rated {$rating} of 5".($stopped ? ', stopped early' : ''));
        });
    }

    public function withdraw(Job $job, int $number, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($number, $by): Said {
            $changed = TrialPrint::query()->where(['job_id' => $job->id, 'number' => $number])
                ->whereNull('withdrawn_at')
                ->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id]);
            if ($changed === 0) {
                throw Refused::because('trial', "There is no trial {$number} to withdraw.");
            }

            return new Said('trial', "Withdrawn: trial {$number}");
        });
    }

    /** What the trials say becomes a finding; it is said by the arithmetic, not by whoever presses. */
    public function conclude(Job $job, Person $by): Job
    {
        $judged = $this->trials->judge($this->trials->prints($job->id));
        if ($judged->verdict === 'watch') {
            throw Refused::because('trials', $judged->because);
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($judged, $by): Said {
            $finding = $this->knowledge->finding(self::FINDING);
            $present = $judged->verdict === 'ok';
            $this->findings->put($job, $finding->code, $present, 'check:'.self::CHECK, $judged->matters, $by);

            return new Said('finding', "Trial prints: {$judged->because}");
        });
    }

    /** Whether the conclusion stands as a finding. */
    public function concluded(int $job): ?bool
    {
        return JobFinding::query()->where(['job_id' => $job, 'code' => self::FINDING])->whereNull('withdrawn_at')->first()?->present;
    }
}
