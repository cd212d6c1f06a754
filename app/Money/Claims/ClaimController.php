<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;
use OddBench\Input\InputError;

final readonly class ClaimController
{
    public function __construct(private ClaimsQuery $claims)
    {
    }

    public function index(): ClaimsView
    {
        Gate::authorize(Ability::SeeMoney);

        return $this->claims->all();
    }

    public function store(ClaimRequest $request, OpenClaim $open): ClaimsView
    {
        Gate::authorize(Ability::SeeMoney);
        $machine = Machine::known($request->string('tag')->toString());
        $id = $request->wholeOrNull('job');
        $job = $id === null ? null : (Job::query()->with('machine')->where('machine_id', $machine->id)->find($id)
            ?? throw InputError::at('job', "Job {$id} is not one of {$machine->tag}."));
        $open->open($machine, $job, $request->claimed(), $request->boolean('waits'), Here::person());

        return $this->claims->all();
    }

    public function say(int $claim, ClaimWordRequest $request, GoOnWithClaim $goOn): ClaimsView
    {
        Gate::authorize(Ability::SeeMoney);
        /** @var 'we'|'they' $saidBy */
        $saidBy = $request->string('saidBy')->toString();
        $goOn->said(
            Claim::query()->findOrFail($claim),
            $saidBy,
            $request->string('text')->trim()->toString(),
            $request->words('saidOn'),
            $request->words('nextOn'),
            Here::person(),
        );

        return $this->claims->all();
    }

    public function close(int $claim, CloseClaimRequest $request, CloseClaim $close): ClaimsView
    {
        Gate::authorize(Ability::SeeMoney);
        /** @var 'won'|'partly'|'lost'|'dropped' $state */
        $state = $request->string('state')->toString();
        $close->close(Claim::query()->findOrFail($claim), $state, $request->sumOrNull('got'), Here::person());

        return $this->claims->all();
    }
}
