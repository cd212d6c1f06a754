<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Intake\Job;
use App\Release\OnOwnersPage;
use App\Shop\Setting;

/** That an estimate waits for an answer. What it costs, and where it is answered, stands in the letter alone: a label is seen by many. */
final readonly class AskedOnPage implements OnOwnersPage
{
    public function of(Job $job): ?array
    {
        $standing = SentEstimate::query()->with('answer')->where('job_id', $job->id)->whereNull('superseded_at')->first();

        return $standing === null ? null : ['owners-estimate', [
            'sent' => $standing->at->copy()->setTimezone(Setting::text('zone'))->format('j F'),
            'answered' => $standing->answer?->at->setTimezone(Setting::text('zone'))->format('j F'),
        ]];
    }
}
