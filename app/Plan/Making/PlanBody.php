<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Plan\Ahead\PartsComing;
use App\Shop\Person;
use App\Shop\Setting;
use Carbon\CarbonImmutable;
use OddBench\Plan\BeforeYouGo;
use OddBench\Plan\ChainStep;
use OddBench\Plan\NightStep;
use OddBench\Plan\Placed;
use OddBench\Plan\Planned;
use OddBench\Plan\Unplaced;
use OddBench\Plan\Watch;

/** A plan as it is kept: moments instead of minutes, names instead of places in lists. */
final readonly class PlanBody
{
    /** An hour before closing it is time to think of the night. */
    public const BEFORE_CLOSING = 60;

    /** For less nobody leaves something on. */
    private const WORTH_THE_NIGHT = 45;

    /** @return array<string, mixed> */
    public static function of(Situation $situation, Planned $plan): array
    {
        $steps = array_map(static fn (Placed $one): array => self::step($situation, $plan, $one), $plan->timetable->placed);

        return [
            'from' => $situation->from->toIso8601String(),
            'shop' => [$situation->places['oven'] ?? 0, Setting::yes('nights')],
            'steps' => $steps,
            'jobs' => self::jobs($situation, $plan),
            'unplaced' => array_map(static fn (Unplaced $one): array => [
                'job' => (int) $one->job,
                'what' => $situation->chains[(int) $one->job][$one->step]->what,
                'because' => $one->because,
            ], $plan->unplaced),
            'parts' => array_map(static fn (array $part): array => [
                'at' => $part[1]->toIso8601String(),
                'name' => $part[3],
                'pieces' => $part[2],
            ], PartsComing::ordered()),
            'open' => array_map(static fn (array $span): array => [
                $situation->at($span[0])->toIso8601String(),
                $situation->at($span[1])->toIso8601String(),
            ], $situation->hours->shop()->spans($situation->from, 8)),
            'free' => self::free($situation),
            'night' => self::night($situation, $plan),
            'proved' => $plan->proved,
            'gap' => round($plan->gap(), 4),
            'late' => count(array_filter(self::jobs($situation, $plan), static fn (array $job): bool => $job['late'] > 0)),
            'bound' => round($plan->bound, 2),
        ];
    }

    /** @return array<string, mixed> */
    private static function step(Situation $situation, Planned $plan, Placed $one): array
    {
        $id = (int) $plan->problem->jobs[$one->job]->id;
        $chain = $situation->chains[$id][$one->step];
        $person = $one->worker < 0 ? null : $situation->people[$one->worker];

        return [
            'job' => $id,
            'tag' => $situation->jobs[$id]->machine->tag,
            'what' => $chain->what,
            'station' => $chain->station->value,
            'person' => $person?->id,
            'start' => $situation->at($one->start)->toIso8601String(),
            'end' => $situation->at($one->end)->toIso8601String(),
            'aloneUntil' => $situation->at($one->aloneUntil)->toIso8601String(),
            'watch' => $chain->watch->value,
            'because' => $chain->because,
            'place' => $chain->place,
            'begun' => $plan->problem->jobs[$one->job]->steps[$one->step]->begun,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function jobs(Situation $situation, Planned $plan): array
    {
        $jobs = [];
        foreach ($situation->ends($plan) as $id => $end) {
            $job = $situation->jobs[(int) $id];
            $jobs[] = [
                'job' => (int) $id,
                'tag' => $job->machine->tag,
                'name' => $end->name,
                'ready' => $end->ready?->format(DATE_ATOM),
                'due' => $job->promised_for?->toDateString(),
                'late' => $end->lateDays(),
                'spare' => $end->ready === null || $end->due === null
                    ? null
                    : (int) floor(($end->due->getTimestamp() - $end->ready->getTimestamp()) / 60),
            ];
        }

        return $jobs;
    }

    /** @return list<array{person: int, name: string, role: string, spans: list<array{string, string}>}> */
    private static function free(Situation $situation): array
    {
        return array_map(static fn (int $w, Person $person): array => [
            'person' => $person->id,
            'name' => $situation->workers[$w]->name,
            'role' => $person->role->value,
            'spans' => array_values(array_map(
                static fn (array $span): array => [
                    $situation->at($span[0])->toIso8601String(),
                    $situation->at($span[1])->toIso8601String(),
                ],
                array_filter($situation->workers[$w]->free, static fn (array $span): bool => $span[0] < 8 * 1440),
            )),
        ], array_keys($situation->people), $situation->people);
    }

    /**
     * What is started before everybody goes, and what is not and why.
     *
     * @return array{at: string|null, steps: list<array<string, mixed>>, goesOn: list<array<string, mixed>>, not: list<array<string, mixed>>}
     */
    private static function night(Situation $situation, Planned $plan): array
    {
        [$closes, $opens] = self::tonight($situation);
        if ($closes === null || $opens === null) {
            return ['at' => null, 'steps' => [], 'goesOn' => [], 'not' => []];
        }
        $from = max(0, $closes - self::BEFORE_CLOSING);
        [$may, $not] = [[], []];
        foreach (self::standing($plan, $from) as $j => $k) {
            $id = (int) $plan->problem->jobs[$j]->id;
            $chain = $situation->chains[$id][$k];
            $step = $plan->problem->jobs[$j]->steps[$k];
            if ($chain->alone < self::WORTH_THE_NIGHT || $step->begun || $step->notBefore > $closes || $step->waitsFor !== null) {
                continue;
            }
            if ($chain->watch === Watch::Nobody) {
                $may[] = new NightStep((string) $id, $chain->what, $chain->hands, $chain->alone, 1.0, $chain->place);
            } else {
                $not[] = self::nightly($situation, $id, $chain) + ['because' => $chain->because];
            }
        }
        $minutes = array_sum(array_map(static fn (array $span): int => max(0, min($span[1], $closes) - max($span[0], $from)), array_merge(
            ...array_map(static fn ($worker): array => $worker->free, $situation->workers),
            ...[[]],
        )));
        $chosen = BeforeYouGo::choose($may, $minutes, $opens - $closes, $situation->places);

        return [
            'at' => $situation->at($from)->toIso8601String(),
            'steps' => array_map(static fn (NightStep $step): array => [
                'job' => (int) $step->job,
                'tag' => $situation->jobs[(int) $step->job]->machine->tag,
                'what' => $step->what,
                'hands' => $step->hands,
                'alone' => $step->alone,
            ], $chosen),
            'goesOn' => self::goesOn($situation, $plan, $from, $closes),
            'not' => $not,
        ];
    }

    /**
     * What was started before that and is not over when everybody goes.
     *
     * @return list<array<string, mixed>>
     */
    private static function goesOn(Situation $situation, Planned $plan, int $from, int $closes): array
    {
        $on = [];
        foreach ($plan->timetable->placed as $one) {
            if ($one->start < $from && $one->aloneUntil > $closes && $one->end <= $closes) {
                $id = (int) $plan->problem->jobs[$one->job]->id;
                $on[] = self::nightly($situation, $id, $situation->chains[$id][$one->step])
                    + ['until' => $situation->at($one->aloneUntil)->toIso8601String()];
            }
        }

        return $on;
    }

    /** @return array<string, mixed> */
    private static function nightly(Situation $situation, int $id, ChainStep $chain): array
    {
        return [
            'job' => $id,
            'tag' => $situation->jobs[$id]->machine->tag,
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
    private static function tonight(Situation $situation): array
    {
        $days = $situation->hours->shop()->spans($situation->from, SituationQuery::DAYS);
        foreach ($days as $i => [, $end]) {
            $next = $days[$i + 1] ?? null;
            $today = CarbonImmutable::instance($situation->at($end))->setTimezone($situation->hours->zone())->toDateString();
            if ($next !== null && $situation->at($next[0])->setTimezone($situation->hours->zone())->toDateString() !== $today) {
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
    private static function standing(Planned $plan, int $minute): array
    {
        $standing = [];
        $over = array_fill(0, count($plan->problem->jobs), 0);
        foreach ($plan->timetable->placed as $one) {
            if ($one->aloneUntil <= $minute) {
                $over[$one->job] = max($over[$one->job], $one->step + 1);
            } elseif ($one->start < $minute) {
                // it is being done, or goes by itself
                $over[$one->job] = PHP_INT_MAX;
            }
        }
        foreach ($over as $j => $k) {
            if (isset($plan->problem->jobs[$j]->steps[$k])) {
                $standing[$j] = $k;
            }
        }

        return $standing;
    }
}
