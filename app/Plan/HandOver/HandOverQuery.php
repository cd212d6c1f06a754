<?php

declare(strict_types=1);

namespace App\Plan\HandOver;

use App\Intake\Job;
use App\Intake\JobState;
use App\Plan\Ahead\PartsComing;
use App\Plan\Ahead\Timers;
use App\Plan\Calendar\ShopHours;
use App\Plan\Making\PlanRow;
use App\Plan\Today\PlanWords;
use App\Proof\Run\HeatState;
use App\Proof\Run\ProofRun;
use App\Repair\Timers\Timer;
use App\Repair\WorkOnJob;
use App\Safety\RedTag;
use App\Shop\Ability;
use App\Shop\ShopDay;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;
use OddBench\Knowledge\Heat;
use OddBench\Knowledge\Knowledge;
use OddBench\Plan\Running;

/** Gathers the hand-over out of the record: nobody has to remember to write it. */
final readonly class HandOverQuery
{
    private const MOST = 60;

    public function __construct(private Knowledge $knowledge, private ShopDay $day, private ShopHours $hours)
    {
    }

    public function read(): HandOverView
    {
        $jobs = Job::query()->with(['machine.owner', 'spell.person'])->whereNull('finished_at')
            ->orderByRaw('promised_for NULLS LAST, id')->limit(500)->get();

        return new HandOverView(
            now()->toIso8601String(),
            [...$this->runs(), ...$this->clocks($jobs->toBase()), ...$this->redTags($jobs->toBase())],
            $this->open($jobs->toBase()),
            $this->countedOn(),
            $this->promised($jobs->toBase()),
            $this->call($jobs->toBase()),
            $this->done(),
        );
    }

    /** @return list<HandOverLineView> */
    private function runs(): array
    {
        return array_values(ProofRun::query()->with('job.machine')
            ->where(static fn ($q) => $q->whereIn('state', ProofRun::ON)->orWhereIn('heat', HeatState::MAY_BE_ON))
            ->orderBy('id')->limit(self::MOST)->get()
            ->map(fn (ProofRun $run): HandOverLineView => new HandOverLineView(
                $run->job_id,
                $run->job->machine->tag,
                match ($run->heat) {
                    'unconfirmed' => 'Its heaters may be on: pull the plug.',
                    'cooling' => 'Switched off after a proof run; it is not seen to cool yet.',
                    'hot' => sprintf('Hot, a proof runs on it since %s.', $this->clock($run->began_at)),
                    default => sprintf('A proof runs on it since %s.', $this->clock($run->began_at)),
                },
                urgent: $run->heat === 'unconfirmed',
            ))->all());
    }

    /**
     * @param  Collection<int, Job>  $jobs
     * @return list<HandOverLineView>
     */
    private function clocks(Collection $jobs): array
    {
        $lines = Timer::query()->with(['job.machine', 'run'])->whereNull('stopped_at')->orderBy('rings_at')->limit(self::MOST)->get()
            ->toBase()->map(fn (Timer $timer): HandOverLineView => $this->running(
                $timer->job,
                Timers::clock($timer, $this->knowledge),
                $timer->rings_at,
            ));
        foreach ($jobs as $job) {
            $waits = Timers::waits($job);
            if ($waits !== null && $job->waits_until !== null) {
                $lines->push($this->running($job, $waits, $job->waits_until));
            }
        }

        return array_values($lines->all());
    }

    private function running(Job $job, Running $running, CarbonInterface $until): HandOverLineView
    {
        return new HandOverLineView(
            $job->id,
            $job->machine->tag,
            sprintf('%s until %s%s.', ucfirst($running->name), $this->clock($until), match (true) {
                $running->oven => ', in the oven or dryer',
                default => match ($running->heat) {
                    Heat::Cold => ', cold',
                    Heat::Hot => ', hot',
                    Heat::Falling => ', still hot',
                    null => '; nobody has said whether it is hot',
                },
            }),
            urgent: $until->isPast(),
        );
    }

    /**
     * @param  Collection<int, Job>  $jobs
     * @return list<HandOverLineView>
     */
    private function redTags(Collection $jobs): array
    {
        $open = $jobs->keyBy('machine_id');

        return array_values(RedTag::query()->whereNull('off_at')->with('machine')->orderBy('put_on_at')->limit(self::MOST)->get()
            ->filter(static fn (RedTag $tag): bool => in_array($tag->machine->place, ['bench', 'unmended'], true))
            ->map(static fn (RedTag $tag): HandOverLineView => new HandOverLineView(
                $open->get($tag->machine_id)?->id,
                $tag->machine->tag,
                "Red tag: {$tag->reason}".($tag->off_asked_by === null ? '' : ' A lead’s signature is wanted.'),
                urgent: true,
            ))->all());
    }

    /**
     * @param  Collection<int, Job>  $jobs
     * @return list<HandOverLineView>
     */
    private function open(Collection $jobs): array
    {
        $states = JobState::ofMany($jobs);
        $lines = [];
        foreach ($jobs as $job) {
            $pieces = WorkOnJob::of($states[$job->id])->off();
            $words = array_filter([
                $pieces === 0
                    ? null
                    : ($pieces === 1 ? 'One step is off and lies on its tray' : "{$pieces} steps are off and lie on its tray"),
                $job->spell === null ? null : "in {$job->spell->person->name}’s hands since {$this->clock($job->spell->began_at)}",
            ]);
            if ($words !== []) {
                $lines[] = new HandOverLineView($job->id, $job->machine->tag, ucfirst(implode('; ', $words)).". Next: {$job->next_step}.");
            }
        }

        return $lines;
    }

    /** @return list<HandOverLineView> */
    private function countedOn(): array
    {
        $until = CarbonImmutable::now()->addDays(3);
        $lines = [];
        foreach (PartsComing::ordered() as [, $at, $pieces, $name]) {
            if ($at->lt($until)) {
                $lines[] = new HandOverLineView(null, null, sprintf(
                    '%s%s, %s %s.',
                    $pieces === 1 ? '' : "{$pieces} × ",
                    $name,
                    $at->isPast() ? 'should have come' : 'comes',
                    $at->copy()->setTimezone($this->hours->zone())->format('D j M'),
                ), urgent: $at->isPast());
            }
        }
        /** @var list<array{job: int, tag: string, what: string, alone: int}> $night what is under way stands under hot */
        $night = PlanRow::query()->orderByDesc('id')->first()->body['night']['steps'] ?? [];
        foreach ($night as $step) {
            $lines[] = new HandOverLineView(
                $step['job'],
                $step['tag'],
                sprintf('Start before you go: %s, %s by itself.', lcfirst($step['what']), PlanWords::span($step['alone'])),
            );
        }

        return $lines;
    }

    /**
     * @param  Collection<int, Job>  $jobs
     * @return list<HandOverLineView>
     */
    private function promised(Collection $jobs): array
    {
        $tomorrow = CarbonImmutable::now()->setTimezone($this->hours->zone())->addDay()->toDateString();
        /** @var list<array{job: int, ready: string|null, late: int}> $planned */
        $planned = PlanRow::query()->orderByDesc('id')->first()->body['jobs'] ?? [];
        $ready = array_column($planned, null, 'job');
        $lines = [];
        foreach ($jobs as $job) {
            $day = $job->promised_for?->toDateString();
            if ($day === null || $day > $tomorrow) {
                continue;
            }
            $plan = $ready[$job->id] ?? null;
            $lines[] = new HandOverLineView(
                $job->id,
                $job->machine->tag,
                sprintf(
                    '%s, promised for %s: %s.',
                    $job->machine->owner->name ?? 'Our own',
                    $day === $this->day->today() ? 'today' : ($day < $this->day->today() ? 'before today' : 'tomorrow'),
                    match (true) {
                        $plan === null || $plan['ready'] === null => 'in no plan',
                        $plan['late'] > 0 => 'late, ready '.CarbonImmutable::parse($plan['ready'])->format('D H:i'),
                        default => 'ready '.CarbonImmutable::parse($plan['ready'])->format('D H:i'),
                    },
                ),
                urgent: $plan === null || $plan['ready'] === null || $plan['late'] > 0,
            );
        }

        return $lines;
    }

    /**
     * @param  Collection<int, Job>  $jobs
     * @return list<HandOverLineView>
     */
    private function call(Collection $jobs): array
    {
        $contacts = Gate::allows(Ability::SeeOwners);
        $lines = [];
        foreach ($jobs as $job) {
            $owner = $job->machine->owner;
            if (! in_array($job->waits_for, ['owner', 'person', 'claim'], true)) {
                continue;
            }
            $lines[] = new HandOverLineView(
                $job->id,
                $job->machine->tag,
                sprintf(
                    '%s: %s, since %s.',
                    $owner->name ?? 'Our own machine',
                    $job->waits_note ?? match ($job->waits_for) {
                        'owner' => 'an estimate waits for an answer',
                        'claim' => 'a claim waits',
                        default => 'it waits on a person',
                    },
                    ($job->waits_since ?? $job->station_since)->copy()->setTimezone($this->hours->zone())->format('D j M'),
                ),
                $contacts && $job->waits_for === 'owner' ? $owner?->contact : null,
            );
        }

        return $lines;
    }

    /** @return list<HandOverLineView> */
    private function done(): array
    {
        return array_values(Job::query()->with('machine')->where('finished_at', '>=', $this->day->began())->orderBy('finished_at')
            ->limit(self::MOST)->get()->map(fn (Job $job): HandOverLineView => new HandOverLineView(
                $job->id,
                $job->machine->tag,
                sprintf('Sent out at %s.', $this->clock($job->finished_at ?? now())),
            ))->all());
    }

    private function clock(CarbonInterface $at): string
    {
        $at = $at->copy()->setTimezone($this->hours->zone());

        return $at->toDateString() === $this->day->today() ? $at->format('H:i') : $at->format('D H:i');
    }
}
