<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Plan\Ahead\LookedBefore;
use App\Plan\Calendar\ShopHours;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use OddBench\Plan\JobEnd;
use OddBench\Plan\PlanChange;
use OddBench\Plan\Planner;
use OddBench\Plan\Steady;

/** Makes a plan of how things stand now, says what it changes and why, and keeps it. */
final readonly class MakePlan
{
    private const KEPT = 60;

    private const MOST_NEWS = 3;

    public function __construct(private SituationQuery $situation, private Savers $savers, private LookedBefore $looked)
    {
    }

    public function make(): PlanRow
    {
        $started = hrtime(true);
        // what happens from now on is news to the next plan
        $news = DB::table('plan_news')->orderBy('id')->pluck('because', 'id')->all();
        $versions = DB::table('jobs')->whereNull('finished_at')->orderBy('id')->pluck('version', 'id')->all();
        $because = $this->because($news, $versions);
        $situation = $this->situation->read();
        $found = (new Planner)->plan($situation->workers, $situation->planned, $situation->places, 1, $situation->open);
        $plan = Steady::choose($found, LastOrder::of($situation, $found->problem));
        $body = PlanBody::of($situation, $plan) + ['warnings' => $this->savers->lost($situation, $plan)];
        $took = (int) round((hrtime(true) - $started) / 1e6);

        $row = DB::transaction(function () use ($situation, $plan, $body, $because, $news, $versions, $took): PlanRow {
            $last = PlanRow::query()->orderByDesc('id')->first();
            $change = $last === null ? null : PlanChange::of($this->endsOf($last, $situation->hours), $situation->ends($plan));
            $row = PlanRow::query()->create([
                'made_at' => now(),
                'took_ms' => $took,
                'because' => mb_substr($because, 0, 500),
                'changes' => ['costs' => $change->costs ?? [], 'gains' => $change->gains ?? []],
                'versions' => (object) $versions,
                'looked' => (object) $this->looked->kept(),
                'body' => $body,
            ]);
            DB::table('plan_news')->whereIn('id', array_keys($news))->delete();
            PlanRow::query()->where('id', '<=', $row->id - self::KEPT)->delete();
            $this->reckon($situation);

            return $row;
        });
        // what would save what is lost takes plans of its own; the plan is shown meanwhile
        if ($body['warnings'] !== []) {
            $row->update(['body' => ['warnings' => $this->savers->ways($body['warnings'], $situation, $plan)] + $body]);
        }

        return $row;
    }

    /**
     * What was heard since the last plan, in words.
     *
     * @param  array<int, string>  $news
     * @param  array<int, int>  $versions  job => as it stands now
     */
    private function because(array $news, array $versions): string
    {
        $known = PlanRow::query()->orderByDesc('id')->first()->versions ?? null;
        $jobs = $known === null ? [] : array_keys(array_diff_assoc($versions, $known));
        $events = $jobs === [] ? [] : DB::table('job_events')->join('machines', 'machines.id', '=', 'job_events.machine_id')
            ->whereIn('job_id', $jobs)->orderBy('job_id')->orderByDesc('job_events.id')
            ->selectRaw("DISTINCT ON (job_id) job_events.id, tag || ': ' || left(text, 120) AS words")->pluck('words', 'id')->all();
        ksort($events);
        $words = array_unique(array_filter([...array_values($news), ...array_values($events)]));

        return implode('; ', array_slice($words, -self::MOST_NEWS));
    }

    /** @return array<int, JobEnd> by job */
    private function endsOf(PlanRow $row, ShopHours $hours): array
    {
        $ends = [];
        $zone = $hours->zone();
        /** @var list<array{job: int, name: string, ready: string|null, due: string|null}> $jobs */
        $jobs = $row->body['jobs'] ?? [];
        foreach ($jobs as $job) {
            $ends[$job['job']] = new JobEnd(
                $job['name'],
                $job['ready'] === null ? null : CarbonImmutable::parse($job['ready'])->setTimezone($zone),
                $job['due'] === null ? null : CarbonImmutable::parse($job['due'], $zone)->setTime(23, 59),
            );
        }

        return $ends;
    }

    /** What a job was reckoned to take at the station it stands at, when it was planned there first. */
    public function reckon(Situation $situation): void
    {
        $rows = [];
        foreach ($situation->chains as $id => $chain) {
            $minutes = 0;
            foreach ($chain as $step) {
                $minutes += $step->station === $situation->jobs[$id]->station ? $step->hands : 0;
            }
            $rows[] = ['job_id' => $id, 'station' => $situation->jobs[$id]->station->value, 'minutes' => $minutes];
        }
        DB::table('reckoned_minutes')->insertOrIgnore($rows);
    }
}
