<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Intake\Job;
use App\Release\OnOwnersPage;
use App\Shop\Setting;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\Price;

/** The estimate that stands, for its owner to answer. */
final readonly class AskedOnPage implements OnOwnersPage
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function of(Job $job): ?array
    {
        $standing = SentEstimate::query()->with('answer')->where('job_id', $job->id)->whereNull('superseded_at')->first();
        if ($standing === null) {
            return null;
        }
        $currency = Setting::text('currency');
        $answer = $standing->answer;
        $family = $this->knowledge->familyName($job->machine->family);

        return ['owners-estimate', [
            'estimate' => $standing,
            'paragraphs' => array_slice(explode("\n\n", EstimateWords::letter($job, $family, $standing->frozen, false)), 1, -1),
            'answered' => $answer === null ? null : $answer->words().($answer->up_to_minor === null ? '' : " {$currency}"),
            'upTo' => Price::words(max($standing->ceiling_minor, $standing->expected_minor)),
            'above' => Price::words($standing->expected_minor),
            'currency' => $currency,
            'key' => $job->machine->page_key,
        ]];
    }
}
