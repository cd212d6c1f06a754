<?php

declare(strict_types=1);

namespace App\Intake;

use App\Machines\Families\KeepFamily;
use App\Machines\Machine;
use App\Machines\Owners\OwnerChoice;
use App\Machines\RegisterMachine;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;

final readonly class JobController
{
    public function __construct(private ShowJob $show)
    {
    }

    public function show(int $job): JobView
    {
        return $this->show->of($job);
    }

    public function store(BookInRequest $request, KeepFamily $families): JobView
    {
        Gate::authorize(Ability::BookIn);
        $job = DB::transaction(function () use ($request, $families): Job {
            $tag = $request->words('tag');
            $family = $this->family($request, $families);
            /** @var 'owner'|'farm'|'resale' $heldAs */
            $heldAs = $request->string('heldAs')->toString();
            $machine = $tag !== null
                ? Machine::known($tag)
                : app(RegisterMachine::class)->register(
                    $family,
                    $request->words('serial'),
                    $heldAs,
                    OwnerChoice::of($request),
                    $request->wholeOrNull('pricePaidMinor'),
                );

            return app(BookIn::class)->book($machine, new Booking(
                kind: JobKind::from($request->string('kind')->toString()),
                complaint: $request->string('complaint')->trim()->toString(),
                began: Began::from($request->string('began')->toString()),
                hours: $request->numberOrNull('hours'),
                counterBeganAnew: $request->boolean('counterBeganAnew'),
                screenSaid: $request->words('screenSaid'),
                cameAlong: $request->words('cameAlong'),
                promisedFor: $request->words('promisedFor'),
                told: $request->told(),
                accessories: AccessoriesRequest::list($request),
            ), Here::person());
        });

        return app(ShowJob::class)->of($job->id);
    }

    /** Its family, or one that is not known yet: made of what somebody can see. */
    private function family(BookInRequest $request, KeepFamily $families): string
    {
        $family = $request->string('family')->toString();
        if ($family !== 'unknown') {
            return $family;
        }
        /** @var array<string, string> $traits */
        $traits = array_filter((array) $request->input('unknownTraits', []), is_string(...));
        $code = $families->unknown($request->words('unknownName'), $traits, Here::person());
        // from here on in this request it is known: whoever knew of the trade before reads it anew
        app()->forgetInstance(Knowledge::class);
        app()->forgetScopedInstances();

        return $code;
    }

    public function update(int $job, EditJobRequest $request, EditJob $edit): JobView
    {
        Gate::authorize(Ability::Edit);
        $found = Job::query()->findOrFail($job);
        $version = $request->integer('version');
        if ($request->has('waitsFor')) {
            /** @var 'itself'|'part'|'person'|'claim'|'owner'|null $for */
            $for = $request->validated('waitsFor');
            $hot = $request->has('waitsHot') && $request->validated('waitsHot') !== null ? $request->boolean('waitsHot') : null;
            $edit->wait($found, $for, $request->words('waitsNote'), $request->wholeOrNull('waitsMinutes'), $version, Here::person(), $hot);
        } else {
            $columns = [
                'complaint' => 'complaint',
                'screenSaid' => 'screen_said',
                'cameAlong' => 'came_along',
                'promisedFor' => 'promised_for',
            ];
            $changes = [];
            foreach ($columns as $key => $column) {
                if ($request->has($key)) {
                    $changes[$column] = $request->words($key);
                }
            }
            $edit->correct($found, $changes, $version, Here::person());
        }

        return $this->show->of($job);
    }

    public function accessories(int $job, AccessoriesRequest $request, KeepAccessories $keep): JobView
    {
        Gate::authorize(Ability::Edit);
        $keep->keep(
            Job::query()->findOrFail($job),
            AccessoriesRequest::list($request),
            $request->integer('version'),
            Here::person(),
        );

        return $this->show->of($job);
    }

    public function move(int $job, MoveJobRequest $request, MoveJob $move): JobView
    {
        Gate::authorize(Ability::Work);
        $move->move(
            Job::query()->findOrFail($job),
            Station::from($request->string('to')->toString()),
            $request->words('why'),
            $request->integer('version'),
            Here::person(),
        );

        return $this->show->of($job);
    }

    public function hands(int $job, HandsRequest $request, Hands $hands): JobView
    {
        Gate::authorize(Ability::Work);
        $found = Job::query()->whereNull('finished_at')->findOrFail($job);
        DB::transaction(fn () => $request->boolean('on') ? $hands->on($found, Here::person()) : $hands->off($found, Here::person()));

        return $this->show->of($job);
    }
}
