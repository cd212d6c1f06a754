<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Intake\JobPart;
use App\Intake\JobState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Jobs;
use OddBench\Money\Approval;

/** The estimates its owner got for a job, the newest first. */
final readonly class EstimatesOfJob implements JobPart
{
    /** @param  Collection<int, SentEstimate>  $sent */
    private function __construct(public Collection $sent)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Jobs $jobs): array
    {
        $sent = SentEstimate::query()->with('answer')->whereIn('job_id', $jobs->pluck('id'))->orderByDesc('id')->get()->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self($sent->get($job->id) ?? new Collection);
        }

        return $parts;
    }

    /** The one that stands. */
    public function standing(): ?SentEstimate
    {
        return $this->sent->firstWhere('superseded_at', null);
    }

    public function approval(): Approval
    {
        $standing = $this->standing();

        return match (true) {
            $standing === null => Approval::notAsked(),
            $standing->answer === null => Approval::waiting(),
            default => Approval::answered($standing->answer->answer, $standing->answer->up_to_minor),
        };
    }
}
