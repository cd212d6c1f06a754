<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Plan\Ahead\PartsComing;
use App\Shop\Person;
use App\Shop\Setting;
use OddBench\Plan\Placed;
use OddBench\Plan\Planned;
use OddBench\Plan\Unplaced;

/** A plan as it is kept: moments instead of minutes, names instead of places in lists. */
final readonly class PlanBody
{
    /** @return array<string, mixed> */
    public static function of(Situation $situation, Planned $plan): array
    {
        $steps = array_map(static fn (Placed $one): array => self::step($situation, $plan, $one), $plan->timetable->placed);

        return [
            'from' => $situation->from->toIso8601String(),
            'shop' => [Setting::whole('ovens'), Setting::yes('nights')],
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
            'night' => (new NightBody($situation, $plan))->told(),
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
}
