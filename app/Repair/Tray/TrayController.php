<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Intake\Job;
use App\Intake\JobState;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Repair\FixQuery;
use App\Repair\FixView;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;
use OddBench\Repair\FastenerList;

final readonly class TrayController
{
    public function __construct(private ShowJob $show)
    {
    }

    public function show(int $job, FixQuery $fix): FixView
    {
        return $fix->of(JobState::of(Job::query()->findOrFail($job)), Here::person());
    }

    public function take(int $job, TakeOffRequest $request, TakeOff $take): JobView
    {
        Gate::authorize(Ability::Work);
        /** @var array{sockets?: list<string>, parts?: list<string>, after?: list<int>|null, before?: list<int>} $lists */
        $lists = $request->validated();
        $take->take(Job::query()->findOrFail($job), new Removal(
            off: $request->string('off')->trim()->toString(),
            fasteners: FastenerList::read($request->words('fasteners') ?? ''),
            missing: FastenerList::read($request->words('missing') ?? '', 'missing'),
            sockets: array_values(array_unique($lists['sockets'] ?? [])),
            parts: array_values(array_unique($lists['parts'] ?? [])),
            after: isset($lists['after']) ? array_values($lists['after']) : null,
            before: array_values($lists['before'] ?? []),
            cell: $request->wholeOrNull('cell'),
            into: $request->words('into'),
            engagementMm: $request->numberOrNull('engagementMm'),
            roomMm: $request->numberOrNull('roomMm'),
            wayRound: $request->words('wayRound'),
            caution: $request->words('caution'),
            undoFirst: $request->words('undoFirst'),
            firstPass: $request->words('firstPass'),
            secondPass: $request->words('secondPass'),
            check: $request->words('check'),
            photograph: $request->wholeOrNull('photograph'),
        ), Here::person());

        return $this->show->of($job);
    }

    public function missing(int $job, int $step, MissingRequest $request, TakeOff $take): JobView
    {
        Gate::authorize(Ability::Work);
        $take->missing(
            Job::query()->findOrFail($job),
            $step,
            FastenerList::read($request->string('fasteners')->toString()),
            Here::person(),
        );

        return $this->show->of($job);
    }

    public function withdraw(int $job, int $step, TakeOff $take): JobView
    {
        Gate::authorize(Ability::Work);
        $take->withdraw(Job::query()->findOrFail($job), $step, Here::person());

        return $this->show->of($job);
    }

    public function putBack(int $job, int $step, PutBackRequest $request, PutStepBack $back): JobView
    {
        Gate::authorize(Ability::Work);
        /** @var array{sockets?: list<string>|null, parts?: array<string, string>|null} $lists */
        $lists = $request->validated();
        $fasteners = $request->has('fasteners') && $request->input('fasteners') !== null
            ? self::wentIn($request->string('fasteners')->trim()->toString())
            : null;
        $back->put(
            Job::query()->findOrFail($job),
            $step,
            $fasteners,
            $lists['sockets'] ?? null,
            $lists['parts'] ?? null,
            $request->boolean('finished', true),
            Here::person(),
        );

        return $this->show->of($job);
    }

    public function undo(int $job, int $step, PutStepBack $back): JobView
    {
        Gate::authorize(Ability::Work);
        $back->undo(Job::query()->findOrFail($job), $step, Here::person());

        return $this->show->of($job);
    }

    public function explain(int $job, ExplainRequest $request, ExplainDifferences $explain): JobView
    {
        Gate::authorize(Ability::Work);
        $explain->explain(Job::query()->findOrFail($job), $request->string('because')->trim()->toString(), Here::person());

        return $this->show->of($job);
    }

    /** @return array<string, int> */
    private static function wentIn(string $text): array
    {
        return in_array(mb_strtolower($text), ['none', 'nothing', '0'], true) ? [] : FastenerList::read($text);
    }
}
