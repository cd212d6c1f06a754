<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Intake\Job;
use App\Machines\Machine;
use App\Machines\Place;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

final readonly class CampaignController
{
    private const FIRST = 12;

    public function __construct(private CampaignQuery $query, private OpenCampaign $open, private KeepCampaign $keep)
    {
    }

    public function index(): CampaignsView
    {
        return $this->query->all();
    }

    public function show(int $campaign): CampaignView
    {
        return $this->query->one(Campaign::query()->findOrFail($campaign));
    }

    public function fromJob(int $job, SistersRequest $request): CampaignView
    {
        Gate::authorize(Ability::Work);

        return $this->query->one(
            $this->open->fromJob(Job::query()->findOrFail($job), $request->string('fault')->toString(), Here::person()),
        );
    }

    /** Whom it would be about; nothing is begun. */
    public function who(WhoRequest $request, WhoQuery $who): WhoView
    {
        Gate::authorize(Ability::Work);
        $machines = $who->of(WhoRules::read($request, 'who'));
        $running = Place::running();

        return new WhoView(
            (clone $machines)->count(),
            (clone $machines)->whereIn('place', $running)->count(),
            (clone $machines)->where('place', 'owner')->count(),
            array_values(array_map(strval(...), $machines->orderBy('tag')->limit(self::FIRST)->pluck('tag')->all())),
        );
    }

    public function store(CampaignRequest $request): CampaignView
    {
        Gate::authorize(Ability::Work);
        /** @var 'fault'|'batch'|'bulletin'|'thought' $origin */
        $origin = $request->string('origin')->toString();

        return $this->query->one($this->open->open(new NewCampaign(
            $origin,
            $request->string('title')->trim()->toString(),
            WhoRules::read($request, 'who'),
            $request->words('because'),
            $request->words('fault'),
            $request->words('look'),
            $request->words('lookFor'),
            $request->boolean('dangerous'),
            $request->words('mend'),
            $request->wholeOrNull('assignedTo'),
            $request->words('dueOn'),
        ), Here::person()));
    }

    public function change(int $campaign, ChangeCampaignRequest $request): CampaignView
    {
        Gate::authorize(Ability::Work);
        $this->keep->change(
            Campaign::query()->findOrFail($campaign),
            $request->words('mend'),
            $request->wholeOrNull('assignedTo'),
            $request->words('dueOn'),
        );

        return $this->show($campaign);
    }

    public function look(int $campaign, NoteLookRequest $request): CampaignView
    {
        Gate::authorize(Ability::Work);
        $this->keep->look(
            Campaign::query()->findOrFail($campaign),
            Machine::known($request->string('tag')->toString()),
            $request->boolean('affected'),
            $request->words('note'),
            Here::person(),
        );

        return $this->show($campaign);
    }

    public function mended(int $campaign, TagRequest $request): CampaignView
    {
        Gate::authorize(Ability::Work);
        $this->keep->mended(Campaign::query()->findOrFail($campaign), Machine::known($request->string('tag')->toString()), Here::person());

        return $this->show($campaign);
    }

    public function tagTheRest(int $campaign): CampaignView
    {
        Gate::authorize(Ability::Countersign);
        $this->keep->tagTheRest(Campaign::query()->findOrFail($campaign), Here::person());

        return $this->show($campaign);
    }

    public function letters(int $campaign, LettersQuery $letters): OwnerLettersView
    {
        Gate::authorize(Ability::SeeOwners);

        return $letters->of(Campaign::query()->findOrFail($campaign));
    }

    public function wroteTo(int $campaign, TagRequest $request, LettersQuery $letters): OwnerLettersView
    {
        Gate::authorize(Ability::SeeOwners);
        $this->keep->wroteTo(Campaign::query()->findOrFail($campaign), Machine::known($request->string('tag')->toString()));

        return $letters->of(Campaign::query()->findOrFail($campaign));
    }

    public function close(int $campaign): CampaignView
    {
        Gate::authorize(Ability::Work);
        $this->keep->close(Campaign::query()->findOrFail($campaign), Here::person());

        return $this->show($campaign);
    }
}
