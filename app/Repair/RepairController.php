<?php

declare(strict_types=1);

namespace App\Repair;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Ability;
use App\Shop\Here;
use App\Stock\Parts\Part;
use App\Stock\Shelf\FitNote;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\UsePart;
use App\Stock\Shelf\UsePartRequest;
use Illuminate\Support\Facades\Gate;
use OddBench\Fleet\LifeEnd;

final readonly class RepairController
{
    public function __construct(private ShowJob $show)
    {
    }

    public function note(int $job, NoteMendRequest $request, NoteMend $note): JobView
    {
        Gate::authorize(Ability::Work);
        /** @var list<string> $touched */
        $touched = array_values((array) $request->validated('touched', []));
        $note->note(
            Job::query()->findOrFail($job),
            $request->words('fault'),
            $request->words('way'),
            $request->string('done')->trim()->toString(),
            $touched,
            Here::person(),
        );

        return $this->show->of($job);
    }

    public function usePart(int $job, UsePartRequest $request, UsePart $use): JobView
    {
        Gate::authorize(Ability::Work);
        $use->use(
            $job,
            Part::numbered($request->string('part')->trim()->toString()),
            $request->integer('quantity'),
            $request->words('position'),
            Here::person(),
            $this->fitNote($request),
            $request->boolean('askedFor'),
        );

        return $this->show->of($job);
    }

    private function fitNote(UsePartRequest $request): FitNote
    {
        /** @var 'scrap'|'spare'|'seller'|'lost'|null $became */
        $became = $request->words('oldBecame');
        /** @var 'tested'|'untested'|null $grade */
        $grade = $request->words('oldGrade');

        return new FitNote(
            $request->words('reason'),
            $request->boolean('upgrade'),
            $became,
            $grade,
            $request->boolean('allTheSame'),
            LifeEnd::tryFrom($request->words('oldEnded') ?? ''),
            $request->numberOrNull('hadHours'),
        );
    }

    public function putBack(int $job, int $movement, UsePart $use): JobView
    {
        Gate::authorize(Ability::Work);
        $use->putBack(Job::query()->findOrFail($job), Movement::query()->findOrFail($movement), Here::person());

        return $this->show->of($job);
    }
}
