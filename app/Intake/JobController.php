<?php

declare(strict_types=1);

namespace App\Intake;

use App\Machines\Machine;
use App\Machines\RegisterMachine;
use App\Shop\Here;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Intake\Station;

final readonly class JobController
{
    public function __construct(private ShowJob $show) {}

    public function show(int $job): JobView
    {
        return $this->show->of($job);
    }

    public function store(BookInRequest $request, RegisterMachine $register, BookIn $bookIn): JobView
    {
        Gate::authorize('bookIn', Job::class);
        $text = static fn (string $key): ?string => $request->filled($key) ? $request->string($key)->trim()->toString() : null;
        $job = DB::transaction(function () use ($request, $register, $bookIn, $text): Job {
            $tag = $text('tag');
            /** @var 'owner'|'farm'|'resale' $heldAs */
            $heldAs = $request->string('heldAs')->toString();
            $machine = $tag !== null
                ? Machine::known($tag)
                : $register->register($request->string('family')->toString(), $text('serial'), $heldAs, $text('ownerName'), $text('ownerContact'), $request->filled('pricePaidMinor') ? $request->integer('pricePaidMinor') : null);

            return $bookIn->book($machine, new Booking(
                kind: JobKind::from($request->string('kind')->toString()),
                complaint: $request->string('complaint')->trim()->toString(),
                began: Began::from($request->string('began')->toString()),
                hours: $request->filled('hours') ? $request->float('hours') : null,
                screenSaid: $text('screenSaid'),
                cameAlong: $text('cameAlong'),
                promisedFor: $text('promisedFor'),
            ), Here::person());
        });

        return $this->show->of($job->id);
    }

    public function update(int $job, EditJobRequest $request, EditJob $edit): JobView
    {
        Gate::authorize('edit', Job::class);
        $found = Job::query()->findOrFail($job);
        $version = $request->integer('version');
        if ($request->has('waitsFor')) {
            /** @var 'itself'|'part'|'person'|'claim'|null $for */
            $for = $request->validated('waitsFor');
            $edit->wait($found, $for, $request->filled('waitsNote') ? $request->string('waitsNote')->toString() : null, $request->filled('waitsMinutes') ? $request->integer('waitsMinutes') : null, $version, Here::person());
        } else {
            $columns = ['complaint' => 'complaint', 'screenSaid' => 'screen_said', 'cameAlong' => 'came_along', 'promisedFor' => 'promised_for'];
            $changes = [];
            foreach ($columns as $key => $column) {
                if ($request->has($key)) {
                    $changes[$column] = $request->filled($key) ? $request->string($key)->toString() : null;
                }
            }
            $edit->correct($found, $changes, $version, Here::person());
        }

        return $this->show->of($job);
    }

    public function move(int $job, MoveJobRequest $request, MoveJob $move): JobView
    {
        Gate::authorize('work', Job::class);
        $move->move(Job::query()->findOrFail($job), Station::from($request->string('to')->toString()), $request->filled('why') ? $request->string('why')->toString() : null, $request->integer('version'), Here::person());

        return $this->show->of($job);
    }

    public function hands(int $job, HandsRequest $request, Hands $hands): JobView
    {
        Gate::authorize('work', Job::class);
        $found = Job::query()->whereNull('finished_at')->findOrFail($job);
        DB::transaction(fn () => $request->boolean('on') ? $hands->on($found, Here::person()) : $hands->off($found, Here::person()));

        return $this->show->of($job);
    }
}
