<?php

declare(strict_types=1);

namespace App\Plan\Making;

use Carbon\CarbonImmutable;
use OddBench\Plan\BeforeYouGo;
use OddBench\Plan\ChainStep;
use OddBench\Plan\NightStep;
use OddBench\Plan\Planned;
use OddBench\Plan\Watch;

/** The next night of a plan as it is kept. */
final readonly class NightBody
{
    /** An hour before closing it is time to think of the night. */
    private const BEFORE_CLOSING = 60;

    /** For less nobody leaves something on. */
    private const WORTH_THE_NIGHT = 45;

    public function __construct(private Situation $situation, private Planned $plan)
    {
    }

    /**
     * What is started before everybody goes, and what is not and why.
     *
     * @return array{at: string|null, steps: list<array<string, mixed>>, goesOn: list<array<string, mixed>>,
     *     look: list<array<string, mixed>>, not: list<array<string, mixed>>}
     */
    public function told(): array
    {
        [$closes, $opens] = $this->tonight();
        if ($closes === null || $opens === null) {
            return ['at' => null, 'steps' => [], 'goesOn' => [], 'look' => [], 'not' => []];
        }
        $from = max(0, $closes - self::BEFORE_CLOSING);
        [$may, $not] = [[], []];
        foreach ($this->standing($from) as $j => $k) {
            $id = (int) $this->plan->problem->jobs[$j]->id;
            $chain = $this->situation->chains[$id][$k];
            $step = $this->plan->problem->jobs[$j]->steps[$k];
            if ($chain->alone < self::WORTH_THE_NIGHT || $step->begun || $step->notBefore > $closes || $step->waitsFor !== null) {
                continue;
            }
            if ($chain->watch === Watch::Nobody) {
                $may[] = new NightStep((string) $id, $chain->what, $chain->hands, $chain->alone, 1.0, $chain->place);
            } else {
                $not[] = $this->nightly($id, $chain) + ['because' => $chain->because];
            }
        }
        $minutes = array_sum(array_map(static fn (array $span): int => max(0, min($span[1], $closes) - max($span[0], $from)), array_merge(
            ...array_map(static fn ($worker): array => $worker->free, $this->situation->workers),
            ...[[]],
        )));
        $on = $this->goesOn($from, $closes);
        $free = $this->situation->places;
        foreach ($on as [$id, $chain]) {
            if ($chain->place !== null) {
                $free[$chain->place] = max(0, ($free[$chain->place] ?? 1) - 1);
            }
        }
        $chosen = BeforeYouGo::choose($may, $minutes, $opens - $closes, $free);
        $told = fn (bool $alone): array => array_values(array_map(
            fn (array $one): array => $this->nightly($one[0], $one[1])
                + ['until' => $this->situation->at($one[2])->toIso8601String()]
                + ($alone ? [] : ['because' => $one[1]->because]),
            array_filter($on, static fn (array $one): bool => $alone === ($one[1]->watch === Watch::Nobody)),
        ));

        return [
            'at' => $this->situation->at($from)->toIso8601String(),
            'steps' => array_map(fn (NightStep $step): array => [
                'job' => (int) $step->job,
                'tag' => $this->situation->jobs[(int) $step->job]->machine->tag,
                'what' => $step->what,
                'hands' => $step->hands,
                'alone' => $step->alone,
            ], $chosen),
            'goesOn' => $told(true),
            // it was begun, though it is not to be left
            'look' => $told(false),
            'not' => $not,
        ];
    }

    /**
     * What was started before that and is not over when everybody goes.
     *
     * @return list<array{int, ChainStep, int}> its job, it, and the minute it is over
     */
    private function goesOn(int $from, int $closes): array
    {
        $on = [];
        foreach ($this->plan->timetable->placed as $one) {
            $id = (int) $this->plan->problem->jobs[$one->job]->id;
            $chain = $this->situation->chains[$id][$one->step];
            $started = $one->start < $from || $chain->begun;
            if ($started && $one->aloneUntil > $closes && $one->end <= $closes) {
                $on[] = [$id, $chain, $one->aloneUntil];
            }
        }

        return $on;
    }

    /** @return array<string, mixed> */
    private function nightly(int $id, ChainStep $chain): array
    {
        return [
            'job' => $id,
            'tag' => $this->situation->jobs[$id]->machine->tag,
            'what' => $chain->what,
            'hands' => $chain->hands,
            'alone' => $chain->alone,
        ];
    }

    /**
     * When the shop shuts next, and opens after that.
     *
     * @return array{int|null, int|null}
     */
    private function tonight(): array
    {
        $days = $this->situation->hours->shop()->spans($this->situation->from, SituationQuery::DAYS);
        foreach ($days as $i => [, $end]) {
            $next = $days[$i + 1] ?? null;
            $today = CarbonImmutable::instance($this->situation->at($end))->setTimezone($this->situation->hours->zone())->toDateString();
            if ($next !== null && $this->situation->at($next[0])->setTimezone($this->situation->hours->zone())->toDateString() !== $today) {
                return [$end, $next[0]];
            }
        }

        return [null, null];
    }

    /**
     * The step each job stands at by then: the one before it is over, and it has not begun.
     *
     * @return array<int, int> job => step
     */
    private function standing(int $minute): array
    {
        $standing = [];
        $over = array_fill(0, count($this->plan->problem->jobs), 0);
        foreach ($this->plan->timetable->placed as $one) {
            if ($one->aloneUntil <= $minute) {
                $over[$one->job] = max($over[$one->job], $one->step + 1);
            } elseif ($one->start < $minute) {
                // it is being done, or goes by itself
                $over[$one->job] = PHP_INT_MAX;
            }
        }
        foreach ($over as $j => $k) {
            if (isset($this->plan->problem->jobs[$j]->steps[$k])) {
                $standing[$j] = $k;
            }
        }

        return $standing;
    }
}
