<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Intake\Job;
use App\Intake\JobState;
use App\Intake\WorkSpell;
use App\Plan\Ahead\AheadQuery;
use App\Plan\Ahead\Names;
use App\Plan\Ahead\PartsComing;
use App\Plan\Ahead\Weights;
use App\Plan\Calendar\ShopHours;
use App\Shop\Person;
use App\Shop\Role;
use App\Shop\Setting;
use App\Shop\ShopDay;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use OddBench\Knowledge\Knowledge;
use OddBench\Plan\Chain;
use OddBench\Plan\ChainStep;
use OddBench\Plan\OpenHours;
use OddBench\Plan\PlanJob;
use OddBench\Plan\Step;
use OddBench\Plan\Watch;
use OddBench\Plan\Worker;

/** Reads what a plan is made of: who is here when, how far each job is, which parts come when, what was moved by hand. */
final readonly class SituationQuery
{
    /** So many days are planned. */
    public const DAYS = 28;

    private const MOST_JOBS = 200;

    /** What takes longer than reckoned is reckoned to be over in so many minutes. */
    private const NEARLY = 5;

    private const MINUTES_A_DAY = 1440;

    public function __construct(
        private Knowledge $knowledge,
        private AheadQuery $ahead,
        private ShopHours $hours,
        private ShopDay $day,
        private Weights $weights,
        private Names $names,
    ) {
    }

    /** @param  PlanMove|null  $tried  as if it were kept */
    public function read(?PlanMove $tried = null): Situation
    {
        $from = CarbonImmutable::now()->startOfMinute();
        $jobs = Job::query()->with(['machine.owner', 'spell.person'])->whereNull('finished_at')
            ->orderByRaw('promised_for NULLS LAST, id')->limit(self::MOST_JOBS)->get();
        $moves = PlanMove::query()->whereIn('job_id', $jobs->pluck('id'))->get()->toBase();
        if ($tried !== null) {
            $moves = $moves->reject(
                static fn (PlanMove $m): bool => $m->job_id === $tried->job_id && $m->step === $tried->step,
            )->push($tried);
        }
        $moves = $moves->groupBy('job_id');
        $parts = new PartsComing($this->knowledge);
        $chain = new Chain($this->knowledge);
        $names = $this->names->all();
        $people = $this->names->people();
        [$planned, $chains] = [[], []];
        $perDay = $this->weights->perDay($jobs);
        foreach (JobState::ofMany($jobs->toBase()) as $id => $state) {
            $job = $state->job;
            $chains[$id] = $chain->of($this->ahead->of($state));
            $due = Situation::due($job, $this->hours);
            $planned[] = new PlanJob(
                (string) $id,
                match (true) {
                    $due !== null => (int) floor(($due->getTimestamp() - $from->getTimestamp()) / 60),
                    // what stands idle costs from now on
                    $job->machine->held_as === 'farm' => 0,
                    default => null,
                },
                $perDay[$id] / self::MINUTES_A_DAY,
                $this->steps($job, $chains[$id], $parts, $moves->get($id) ?? new Collection, $from, $names),
            );
        }
        $baking = count(array_filter(
            array_merge(...array_values($chains), ...[[]]),
            static fn (ChainStep $step): bool => $step->begun && $step->place === 'oven',
        ));
        $workers = array_map(fn (Person $person): Worker => new Worker(
            $names[$person->id],
            $this->hours->free($person, $from, self::DAYS),
            $this->rights($person),
        ), array_values($people));

        return new Situation(
            $from,
            array_values($people),
            $workers,
            $jobs->keyBy('id')->all(),
            $planned,
            $chains,
            // what is in an oven is in it, whatever the shop says of itself
            ['oven' => max(Setting::whole('ovens'), $baking)],
            OpenHours::both(
                $this->hours->shop()->spans($from, self::DAYS),
                OpenHours::any(array_merge(...array_map(static fn (Worker $worker): array => $worker->free, $workers), ...[[]])),
            ),
            $perDay,
            $this->hours,
        );
    }

    /** @return list<string> */
    private function rights(Person $person): array
    {
        return [
            ...($person->role === Role::Lead ? ['lead'] : []),
            ...($person->mains_until !== null && $person->mains_until->toDateString() >= $this->day->today() ? ['mains'] : []),
        ];
    }

    /**
     * @param  list<ChainStep>  $chain
     * @param  Collection<int, PlanMove>  $moves
     * @param  array<int, string>  $names
     * @return list<Step>
     */
    private function steps(Job $job, array $chain, PartsComing $parts, Collection $moves, CarbonImmutable $from, array $names): array
    {
        $steps = [];
        [$waits, $until] = $this->waits($job);
        $spell = $this->spell($job);
        foreach ($chain as $k => $one) {
            $part = $one->part === null ? null : $parts->take($job, $one->part);
            $notBefore = [$until, $part instanceof Carbon ? $part : null];
            $who = null;
            $move = $moves->firstWhere('step', $one->what);
            if ($move !== null) {
                $notBefore[] = $move->not_before;
                $who = $move->person_id;
            }
            // the first step of hands is what somebody is at
            $now = $spell !== null && isset($names[$spell->person_id]) && $one->hands > 0 && ($k === 0 || ($k === 1 && $chain[0]->begun));
            $steps[] = new Step(
                $now ? max(self::NEARLY, $one->hands - $this->gone($spell)) : $one->hands,
                $one->alone,
                $one->watch === Watch::Beside && $one->alone > 0 && ! $one->begun,
                $one->rights,
                $one->place === null ? [] : [$one->place],
                max(0, ...array_map(
                    static fn (?Carbon $at): int => $at === null ? 0 : (int) ceil(($at->getTimestamp() - $from->getTimestamp()) / 60),
                    $notBefore,
                )),
                $now ? ($names[$spell->person_id] ?? null) : ($names[$who ?? 0] ?? null),
                $now ? [] : array_intersect_key($one->handsBy, array_flip($names)),
                $one->begun ? null : $waits ?? (is_string($part) ? $part : null),
                $one->begun || $now,
                $one->watch === Watch::InTheShop && $one->alone > 0 && ! $one->begun,
                $move !== null,
            );
            $until = null;
            $waits = $one->begun ? $waits : null;
        }

        return $steps;
    }

    /**
     * What a job waits for: words without a date, or its date.
     *
     * @return array{string|null, Carbon|null}
     */
    private function waits(Job $job): array
    {
        if ($job->waits_for === null || $job->waits_for === 'itself') {
            return [null, null];
        }
        if ($job->waits_until !== null) {
            return [null, $job->waits_until];
        }

        return [match ($job->waits_for) {
            'owner' => 'its owner',
            'part' => 'a part',
            'claim' => 'a claim',
            default => 'somebody',
        }.($job->waits_note === null ? '' : " ({$job->waits_note})"), null];
    }

    private function spell(Job $job): ?WorkSpell
    {
        return $job->spell !== null && $job->spell->last_seen_at->gte(now()->subMinutes(WorkSpell::FORGOTTEN_MINUTES)) ? $job->spell : null;
    }

    private function gone(WorkSpell $spell): int
    {
        return (int) floor($spell->began_at->diffInMinutes(now()));
    }
}
