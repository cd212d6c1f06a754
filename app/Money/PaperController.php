<?php

declare(strict_types=1);

namespace App\Money;

use App\Api\Pdf;
use App\Intake\Job;
use App\Money\Charges\Bill;
use App\Money\Estimates\AnswerKey;
use App\Money\Estimates\EstimateWords;
use App\Money\Estimates\SentEstimate;
use App\Shop\Ability;
use App\Shop\Setting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use OddBench\Knowledge\Knowledge;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Letters to owners as PDF. */
final readonly class PaperController
{
    public function __construct(private Pdf $pdf, private Knowledge $knowledge)
    {
    }

    public function estimate(int $job): Response
    {
        Gate::authorize(Ability::SeeMoney);
        $sent = SentEstimate::query()->with(['job.machine.owner', 'person'])->where('job_id', $job)->orderByDesc('number')->first()
            ?? throw new NotFoundHttpException('No estimate of this job was sent yet.');
        $family = $this->knowledge->familyName($sent->job->machine->family);

        return $this->pdf->of("estimate-{$job}-{$sent->number}", 'estimate', [
            ...$this->head($sent->job, $sent->at),
            'number' => $sent->number,
            'by' => $sent->person->name,
            'paragraphs' => explode("\n\n", EstimateWords::letter(
                $sent->job,
                $family,
                $sent->frozen,
                Gate::allows(Ability::SeeOwners) ? AnswerKey::address($job, $sent->number) : null,
            )),
            'lines' => array_values(array_filter((array) ($sent->frozen['lines'] ?? []), is_array(...))),
        ]);
    }

    public function bill(int $job): Response
    {
        Gate::authorize(Ability::SeeMoney);
        $bill = Bill::query()->with(['job.machine.owner', 'person'])->where('job_id', $job)->first()
            ?? throw new NotFoundHttpException('The bill of this job is not written yet.');

        return $this->pdf->of("bill-{$bill->number}", 'bill', [...$this->head($bill->job, $bill->at), 'bill' => $bill]);
    }

    /** @return array<string, mixed> */
    private function head(Job $job, Carbon $at): array
    {
        return [
            'job' => $job,
            'familyName' => $this->knowledge->familyName($job->machine->family),
            'owner' => $job->machine->owner,
            'shop' => Setting::text('shop_name'),
            'currency' => Setting::text('currency'),
            'day' => $at->copy()->setTimezone(Setting::text('zone'))->format('j F Y'),
        ];
    }
}
