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
    public function __construct(private SpoolsQuery $query)
    {
    }

    public function index(): SpoolsView
    {
        return $this->query->all();
    }

    public function store(NewSpoolRequest $request, AddSpool $addSpool): SpoolsView
    {
        Gate::authorize(Ability::MoveStock);
        $made = $request->words('madeOn');
        $addSpool->add(
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

    public function event(
        string $code,
        SpoolEventRequest $request,
        OpenSpool $openSpool,
        WeighSpool $weighSpool,
        DrySpool $drySpool,
        UseSpool $useSpool,
        EndSpool $endSpool,
    ): SpoolsView {
        Gate::authorize(Ability::MoveStock);
        $spool = Spool::coded($code);
        match ($request->string('kind')->toString()) {
            'opened' => $openSpool->open($spool, Here::person()),
            'weighed' => $weighSpool->weigh($spool, $request->float('grams'), Here::person()),
            'dried' => $drySpool->dry($spool, $request->float('hours'), $request->numberOrNull('celsius'), Here::person()),
            'used' => $useSpool->take($spool, $request->float('grams'), $request->words('note'), Here::person()),
            default => $endSpool->end($spool, Here::person()),
        };

        return $this->query->all();
    }

    public function inJob(int $job, JobSpoolRequest $request, ShowJob $show, NameSpool $nameSpool): JobView
    {
        Gate::authorize(Ability::Work);
        $nameSpool->name(Spool::coded($request->string('spool')->trim()->toString()), Job::query()->findOrFail($job), Here::person());

        return $show->of($job);
    }
}
