<?php

declare(strict_types=1);

namespace App\Machines;

use App\Machines\Owners\OwnerChoice;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** Machines that are made known and edited without a job. */
final readonly class KnownController
{
    public function show(string $tag): KnownView
    {
        Gate::authorize(Ability::Edit);

        return KnownView::of(Machine::known($tag));
    }

    public function store(AddMachineRequest $request, AddMachine $add): KnownView
    {
        Gate::authorize(Ability::BookIn);
        /** @var 'owner'|'farm'|'resale' $heldAs */
        $heldAs = $request->string('heldAs')->toString();

        return KnownView::of($add->add(
            $request->string('family')->toString(),
            $request->words('serial'),
            $heldAs,
            OwnerChoice::of($request),
            $request->wholeOrNull('pricePaidMinor'),
            $request->numberOrNull('hours'),
            $request->words('notes'),
            Here::person(),
        ));
    }

    public function update(string $tag, ChangeMachineRequest $request, ChangeMachine $change): KnownView
    {
        Gate::authorize(Ability::Edit);

        return KnownView::of($change->change(
            Machine::known($tag),
            $request->change(),
            $request->string('seen')->toString(),
            Here::person(),
        ));
    }

    /** A label that was lost, or copied: its code opens nothing any more. */
    public function renewCode(string $tag, KeepsHistory $history): KnownView
    {
        Gate::authorize(Ability::Edit);

        return KnownView::of(DB::transaction(static function () use ($tag, $history): Machine {
            $machine = Machine::query()->lockForUpdate()->findOrFail(Machine::known($tag)->id);
            $machine->update(['page_key' => Machine::freshKey()]);
            $history->note($machine, Here::person(), 'edited', 'The code of its label was renewed: the one before opens nothing');

            return $machine;
        }));
    }
}
