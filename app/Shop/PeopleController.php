<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\OnceOnly;
use Illuminate\Support\Facades\Gate;

final class PeopleController
{
    public function index(): PeopleView
    {
        Gate::authorize(Ability::RunShop);

        return PeopleView::read();
    }

    public function store(NewPersonRequest $request, AddPerson $add): PeopleView
    {
        Gate::authorize(Ability::RunShop);

        OnceOnly::showsOnce('code');

        return PeopleView::read(...$add->add(
            $request->string('login')->trim()->toString(),
            $request->string('name')->trim()->toString(),
            Role::from($request->string('role')->toString()),
        ));
    }

    public function update(int $person, ChangePersonRequest $request, ChangePerson $change): PeopleView
    {
        Gate::authorize(Ability::RunShop);
        $change->change(
            Person::query()->findOrFail($person),
            $request->string('name')->trim()->toString(),
            Role::from($request->string('role')->toString()),
            $request->words('mainsUntil'),
            $request->words('mainsBy'),
            $request->boolean('seesMoney'),
        );

        return PeopleView::read();
    }

    /** A new code for who forgot the password; who is logged in stays so until it is used. */
    public function code(int $person): PeopleView
    {
        Gate::authorize(Ability::RunShop);
        OnceOnly::showsOnce('code');
        $of = Person::query()->whereNull('left_at')->findOrFail($person);

        return PeopleView::read($of, Code::give($of));
    }

    public function leave(int $person, EndPerson $end): PeopleView
    {
        Gate::authorize(Ability::RunShop);
        $end->end(Person::query()->findOrFail($person));

        return PeopleView::read();
    }
}
