<?php

declare(strict_types=1);

namespace App\Intake;

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

final readonly class JobController
{
    public function __construct(private ShowJob $show)
    {
    }

    public function show(int $job): JobView
    {
        return $this->show->of($job);
    }

    public function store(BookInRequest $request, RegisterMachine $register, BookIn $bookIn): JobView
    {
        Gate::authorize(Ability::BookIn);
        $job = DB::transaction(function () use ($request, $register, $bookIn): Job {
            $tag = $request->words('tag');
            /** @var 'owner'|'farm'|'resale' $heldAs */
            $heldAs = $request->string('heldAs')->toString();
            $machine = $tag !== null
                ? Machine::known($tag)
                : $register->register(
                    $request->string('family')->toString(),
                    $request->words('serial'),
                    $heldAs,
                    OwnerChoice::of($request),
                    $request->wholeOrNull('pricePaidMinor'),
                );

            return $bookIn->book($machine, new Booking(
                kind: JobKind::from($request->string('kind')->toString()),
                complaint: $request->string('complaint')->trim()->toString(),
                began: Began::from($request->string('began')->toString()),
                hours: $request->numberOrNull('hours'),
                counterBeganAnew: $request->boolean('counterBeganAnew'),
                screenSaid: $request->words('screenSaid'),
                cameAlong: $request->words('cameAlong'),
                promisedFor: $request->words('promisedFor'),
                told: $request->told(),
            ), Here::person());
        });

        return $this->show->of($job->id);
    }

    public function update(int $job, EditJobRequest $request, EditJob $edit): JobView
    {
        Gate::authorize(Ability::Edit);
        $found = Job::query()->findOrFail($job);
        $version = $request->integer('version');
        if ($request->has('waitsFor')) {
            /** @var 'itself'|'part'|'person'|'claim'|null $for */
            $for = $request->validated('waitsFor');
            $edit->wait($found, $for, $request->words('waitsNote'), $request->wholeOrNull('waitsMinutes'), $version, Here::person());
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
