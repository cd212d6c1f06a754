<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Diagnosis\Findings\JobFinding;
use App\Shop\Ability;
use Illuminate\Support\Facades\Gate;
use OddBench\Knowledge\Knowledge;

final readonly class EstimateController
{
    private const MOST = 200;

    public function __construct(private Knowledge $knowledge)
    {
    }

    public function index(): EstimatesView
    {
        Gate::authorize(Ability::SeeMoney);
        $sent = SentEstimate::query()->with(['job.machine.owner', 'answer.person'])
            ->whereNull('superseded_at')
            ->orderByDesc('id')
            ->limit(self::MOST)
            ->get();
        $found = JobFinding::query()->whereIn('job_id', $sent->pluck('job_id'))->toBase()
            ->selectRaw('job_id, max(id) AS last')
            ->groupBy('job_id')
            ->pluck('last', 'job_id');
        $rows = $sent->map(fn (SentEstimate $s): EstimateRow => new EstimateRow(
            $s->job_id,
            $s->job->machine->tag,
            $this->knowledge->familyName($s->job->machine->family),
            $s->job->machine->owner?->name,
            $s->number,
            $s->expected_minor,
            $s->ceiling_minor,
            $s->at->toIso8601String(),
            $s->answer === null ? null : OwnerAnswerView::of($s->answer),
            $s->job->isOpen() && (int) ($found[$s->job_id] ?? 0) > $s->upToFinding(),
            ! $s->job->isOpen(),
        ));
        [$open, $answered] = $rows->partition(static fn (EstimateRow $r): bool => $r->answer === null && ! $r->finished);

        return new EstimatesView([...$open->sortBy('at')->values()->all(), ...$answered->values()->all()], $open->count());
    }
}
