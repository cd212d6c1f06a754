<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use App\Api\Csv;
use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;
use OddBench\Diagnosis\Trials;
use Symfony\Component\HttpFoundation\Response;

final readonly class TrialController
{
    public function __construct(private TrialsQuery $query, private KeepTrials $keep, private ShowJob $show)
    {
    }

    public function index(int $job): TrialsView
    {
        Job::query()->findOrFail($job);
        $prints = $this->query->prints($job);

        return TrialsView::of($prints, $this->query->judge($prints), $this->keep->concluded($job));
    }

    public function store(int $job, AddTrialRequest $request): TrialsView
    {
        Gate::authorize(Ability::Work);
        $band = $request->filled('bandFromMm') ? [$request->float('bandFromMm'), $request->float('bandToMm')] : null;
        $settings = $request->settings();
        $this->keep->add(
            Job::query()->findOrFail($job),
            $settings === [] ? ['-' => '-'] : $settings,
            $request->integer('rating'),
            $request->boolean('stopped'),
            $band,
            $request->words('note'),
            $request->wholeOrNull('photograph'),
            Here::person(),
        );

        return $this->index($job);
    }

    /** Works the prints of a plan out; nothing is written. */
    public function plan(int $job, PlanTrialsRequest $request): TrialPlanView
    {
        Gate::authorize(Ability::Work);

        return new TrialPlanView(array_map(
            static fn (array $print): array => array_map(strval(...), $print),
            Trials::prints($request->levels()),
        ));
    }

    public function withdraw(int $job, int $trial): TrialsView
    {
        Gate::authorize(Ability::Work);
        $this->keep->withdraw(Job::query()->findOrFail($job), $trial, Here::person());

        return $this->index($job);
    }

    public function conclude(int $job): JobView
    {
        Gate::authorize(Ability::Work);
        $this->keep->conclude(Job::query()->findOrFail($job), Here::person());

        return $this->show->of($job);
    }

    /** The table as CSV (RFC 4180). */
    public function csv(int $job): Response
    {
        $found = Job::query()->with('machine')->findOrFail($job);
        $view = $this->index($job);
        $rows = [['trial', ...$view->settings, 'rating', 'stopped', 'band_from_mm', 'band_to_mm', 'changed', 'note', 'by', 'at']];
        foreach ($view->trials as $t) {
            $rows[] = [
                $t->number,
                ...array_map(static fn (string $name): float|int|string => $t->settings[$name] ?? '', $view->settings),
                $t->rating,
                $t->stopped ? 'yes' : 'no',
                $t->bandFromMm,
                $t->bandToMm,
                implode(' ', $t->changed),
                $t->note ?? '',
                $t->by,
                $t->at,
            ];
        }

        return Csv::file("trials-{$found->machine->tag}-{$found->id}", $rows, marked: false);
    }
}
