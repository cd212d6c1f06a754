<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Api\OnceOnly;
use App\Shop\Ability;
use App\Shop\Here;
use App\Shop\Person;
use Illuminate\Support\Facades\Gate;

final readonly class CalendarController
{
    public function show(): CalendarView
    {
        return CalendarView::read(Here::person());
    }

    public function hours(HoursRequest $request, KeepHours $keep): CalendarView
    {
        Gate::authorize(Ability::RunShop);
        $keep->keep($this->person($request->wholeOrNull('person')), $request->week(), Here::person());

        return CalendarView::read(Here::person());
    }

    /** Everybody says when they are away themselves; a lead says it of all, and of the shop. */
    public function away(DayOffRequest $request, KeepDayOff $keep): CalendarView
    {
        $me = Here::person();
        $person = $this->person($request->wholeOrNull('person'));
        Gate::authorize($person?->id === $me->id ? Ability::Work : Ability::RunShop);
        $first = $request->string('first')->toString();
        $keep->keep(
            $person,
            $first,
            $request->words('last') ?? $first,
            $request->words('from'),
            $request->words('to'),
            $request->string('why')->trim()->toString(),
            $me,
        );

        return CalendarView::read($me);
    }

    public function back(int $off, KeepDayOff $keep): CalendarView
    {
        $me = Here::person();
        $row = DayOff::query()->with('person')->findOrFail($off);
        Gate::authorize($row->person_id === $me->id ? Ability::Work : Ability::RunShop);
        $keep->drop($row);

        return CalendarView::read($me);
    }

    public function address(CalendarAddress $address): CalendarView
    {
        Gate::authorize(Ability::Work);
        OnceOnly::showsOnce('address');

        return CalendarView::read(Here::person(), $address->renew(Here::person()));
    }

    public function endAddress(CalendarAddress $address): CalendarView
    {
        Gate::authorize(Ability::Work);
        $address->end(Here::person());

        return CalendarView::read(Here::person());
    }

    private function person(?int $id): ?Person
    {
        return $id === null ? null : Person::query()->whereNull('left_at')->findOrFail($id);
    }
}
