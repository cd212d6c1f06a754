<?php

declare(strict_types=1);

namespace App\Bench;

use App\Intake\Job;
use App\Intake\WorkSpell;
use App\Money\MoneyNotes;
use App\Plan\Today\NextOf;
use App\Plan\Today\PlanWarnings;
use App\Repair\Timers\Timer;
use App\Repair\Timers\TimerView;
use App\Safety\RedTag;
use App\Shop\Ability;
use App\Shop\Backups\LastBackup;
use App\Shop\Here;
use App\Shop\ShopDay;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Shop\DiskRoom;

/** Reads the bench: every open job, grouped by what it waits for. */
final readonly class BenchQuery
{
    private const GROUPS = [
        'hands-on' => 'Hands on now',
        'ready' => 'Ready for hands',
        'itself' => 'Running by itself',
        'waiting' => 'Waiting',
        'to-go' => 'Ready to go',
    ];

    public function __construct(
        private Knowledge $knowledge,
        private ServiceDueQuery $service,
        private DiskRoom $disk,
        private LastBackup $backup,
        private ShopDay $day,
        private MoneyNotes $money,
    ) {
    }

    public function read(): BenchView
    {
        $jobs = Job::query()
            ->with(['machine.owner', 'spell.person'])
            ->whereNull('finished_at')
            ->orderByRaw('promised_for NULLS LAST, station_since')
            ->limit(500)
            ->get();
        $tags = RedTag::worn($jobs->pluck('machine_id'));
        $today = $this->day->today();
        $byGroup = $jobs->groupBy(fn (Job $job): string => $this->group($job));
        $groups = [];
        foreach (self::GROUPS as $code => $name) {
            $in = $byGroup->get($code) ?? new Collection;
            if ($in->isNotEmpty()) {
                $groups[] = new BenchGroup(
                    $code,
                    $name,
                    $this->summary($code, $in),
                    array_values($in->map(fn (Job $job): BenchLine => BenchLine::of(
                        $job,
                        $this->knowledge,
                        $today,
                        isset($tags[$job->machine_id]),
                    ))->all()),
                );
            }
        }
        $ready = $byGroup->get('ready') ?? new Collection;
        [$pick, $because] = $this->pick($ready);
        [$claims, $letters] = Gate::allows(Ability::SeeMoney) ? $this->money->read() : [null, null];

        return new BenchView(
            groups: $groups,
            pick: $pick === null ? null : BenchLine::of($pick, $this->knowledge, $today, isset($tags[$pick->machine_id])),
            pickBecause: $because,
            minutesReady: (int) $ready->sum('next_minutes'),
            minutesDone: $this->minutesDone(),
            redTags: $this->redTags(),
            now: now()->toIso8601String(),
            timers: array_values(
                Timer::query()->with('job.machine')
                    ->whereNull('stopped_at')
                    ->orderBy('rings_at')
                    ->limit(40)
                    ->get()
                    ->map(TimerView::of(...))
                    ->all(),
            ),
            service: $this->service->read(),
            diskLow: $this->disk->isLow() ? $this->disk->words() : null,
            backup: $this->backup->words(),
            claimsToMend: $claims,
            warnings: PlanWarnings::last(),
            lettersDue: $letters,
        );
    }

    private function group(Job $job): string
    {
        return match (true) {
            $job->waits_for === 'itself' && ($job->waits_until === null || $job->waits_until->isFuture()) => 'itself',
            $job->waits_for !== null && $job->waits_for !== 'itself' => 'waiting',
            $job->spell !== null => 'hands-on',
            $job->station === Station::Release => 'to-go',
            default => 'ready',
        };
    }

    /** @param  Collection<int, Job>  $jobs */
    private function summary(string $code, Collection $jobs): string
    {
        $count = $jobs->count().($jobs->count() === 1 ? ' machine' : ' machines');

        return match ($code) {
            'ready' => "{$count}, {$jobs->sum('next_minutes')} minutes",
            'waiting' => $jobs->countBy('waits_for')->map(
                fn (int $n, string $for): string => "{$n} on ".($for === 'owner' ? 'the owner' : "a {$for}"),
            )->implode(', '),
            default => $count,
        };
    }

    /**
     * The promised and late ones first, then the one whose next step is quickest.
     *
     * @param  Collection<int, Job>  $ready
     * @return array{Job|null, string}
     */
    private function pick(Collection $ready): array
    {
        $next = NextOf::person(Here::person());
        $planned = $next === null ? null : $ready->firstWhere('id', $next->job);
        if ($next !== null && $planned !== null) {
            $at = Carbon::parse($next->start)->setTimezone($this->day->zone());

            return [$planned, sprintf(
                'Your next by the plan%s: %s.',
                $at->toDateString() === $this->day->today() ? " at {$at->format('H:i')}" : '',
                lcfirst($next->what),
            )];
        }
        $pick = $ready->sortBy([
            fn (Job $a, Job $b): int => self::promisedOrNever($a) <=> self::promisedOrNever($b),
            fn (Job $a, Job $b): int => ($a->next_minutes ?? 99) <=> ($b->next_minutes ?? 99),
        ])->first();
        if ($pick === null) {
            return [null, ''];
        }
        $minutes = $pick->next_minutes === null ? '' : "about {$pick->next_minutes} min of hands";

        return [$pick, match (true) {
            $pick->promised_for === null => ucfirst($minutes).'; nothing that is ready has a promised day.',
            $pick->promised_for->toDateString() < $this->day
                ->today() => 'Promised for '.$pick->promised_for
                ->format('j M').', so it is late; '.$minutes.'.',
            default => 'Promised for '.$pick->promised_for->format('j M').', the first of those that are ready; '.$minutes.'.',
        }];
    }

    /** The day as it is written, for comparing: a date made of it would be made some thousand times. */
    private static function promisedOrNever(Job $job): string
    {
        $day = $job->getRawOriginal('promised_for');

        return is_string($day) ? $day : '9999-12-31';
    }

    private function minutesDone(): int
    {
        [$minutes, $bound] = WorkSpell::minutes();
        $done = WorkSpell::query()->where('began_at', '>=', $this->day->began())
            ->toBase()
            ->selectRaw("{$minutes} AS minutes", $bound)
            ->value('minutes');

        return (int) round(is_numeric($done) ? (float) $done : 0.0);
    }

    /** @return list<TaggedView> */
    private function redTags(): array
    {
        $tags = RedTag::query()->whereNull('off_at')
            ->join('machines', 'machines.id', '=', 'red_tags.machine_id')
            ->whereIn('machines.place', ['bench', 'unmended'])
            ->leftJoin('jobs', fn ($join) => $join->on('jobs.machine_id', '=', 'machines.id')->whereNull('jobs.finished_at'))
            ->orderBy('put_on_at')
            ->toBase()->get(['machines.tag', 'jobs.id as job', 'red_tags.reason', 'red_tags.put_on_at', 'red_tags.off_asked_by']);

        return array_values($tags->map(fn (object $t): TaggedView => new TaggedView(
            (string) $t->tag,
            $t->job === null ? null : (int) $t->job,
            (string) $t->reason,
            \Illuminate\Support\Carbon::parse((string) $t->put_on_at)->toIso8601String(),
            $t->off_asked_by !== null,
        ))->all());
    }
}
