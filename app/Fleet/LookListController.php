<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

final readonly class LookListController
{
    public function __construct(private LookListQuery $query, private KeepLookList $keep)
    {
    }

    public function index(): LookListsView
    {
        return $this->query->all();
    }

    public function show(int $list): LookListView
    {
        return $this->query->one(LookList::query()->findOrFail($list));
    }

    public function open(int $job, OpenLookListRequest $request): LookListView
    {
        Gate::authorize(Ability::Work);

        return $this->query->one($this->keep->open(Job::query()->findOrFail($job), $request->string('fault')->toString(), Here::person()));
    }

    public function look(int $list, NoteLookRequest $request): LookListView
    {
        Gate::authorize(Ability::Work);
        $found = LookList::query()->findOrFail($list);
        $this->keep->look(
            $found,
            Machine::known($request->string('tag')->toString()),
            $request->boolean('affected'),
            $request->words('note'),
            Here::person(),
        );

        return $this->show($list);
    }

    public function close(int $list): LookListView
    {
        Gate::authorize(Ability::Work);
        $this->keep->close(LookList::query()->findOrFail($list), Here::person());

        return $this->show($list);
    }
}
