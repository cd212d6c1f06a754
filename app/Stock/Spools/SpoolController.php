<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

final readonly class SpoolController
{
    public function __construct(private SpoolsQuery $query, private KeepSpools $keep)
    {
    }

    public function index(): SpoolsView
    {
        return $this->query->all();
    }

    public function store(NewSpoolRequest $request): SpoolsView
    {
        Gate::authorize(Ability::MoveStock);
        $made = $request->words('madeOn');
        $this->keep->add(
            $request->string('material')->toString(),
            $request->words('colour'),
            $request->words('lot'),
            $request->float('netG'),
            $request->float('emptyG'),
            $request->wholeOrNull('pricePerKgMinor') ?? 0,
            $made === null ? null : Carbon::parse($made),
        );

        return $this->query->all();
    }

    public function event(string $code, SpoolEventRequest $request): SpoolsView
    {
        Gate::authorize(Ability::MoveStock);
        $spool = Spool::coded($code);
        match ($request->string('kind')->toString()) {
            'opened' => $this->keep->opened($spool, Here::person()),
            'weighed' => $this->keep->weighed($spool, $request->float('grams'), Here::person()),
            'dried' => $this->keep->dried($spool, $request->float('hours'), $request->numberOrNull('celsius'), Here::person()),
            'used' => $this->keep->used($spool, $request->float('grams'), $request->words('note'), Here::person()),
            default => $this->keep->ended($spool, Here::person()),
        };

        return $this->query->all();
    }

    public function inJob(int $job, JobSpoolRequest $request, ShowJob $show): JobView
    {
        Gate::authorize(Ability::Work);
        $this->keep->inJob(Spool::coded($request->string('spool')->trim()->toString()), Job::query()->findOrFail($job), Here::person());

        return $show->of($job);
    }
}
