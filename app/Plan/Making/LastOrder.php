<?php

declare(strict_types=1);

namespace App\Plan\Making;

use OddBench\Plan\ListSchedule;
use OddBench\Plan\Problem;
use OddBench\Plan\Timetable;

/** What is still to be done, in the order the last plan had; what is new to it comes after. */
final class LastOrder
{
    public static function of(Situation $situation, Problem $problem): Timetable
    {
        $at = $open = [];
        foreach ($problem->jobs as $j => $job) {
            $at[(int) $job->id] = $j;
            foreach (array_slice($situation->chains[(int) $job->id], 0, count($job->steps)) as $step) {
                $open["{$job->id} {$step->what}"] = true;
            }
        }
        $order = [];
        /** @var list<array{job: int, what: string}> $steps */
        $steps = PlanRow::query()->orderByDesc('id')->first()->body['steps'] ?? [];
        foreach ($steps as $step) {
            if (isset($open["{$step['job']} {$step['what']}"])) {
                $order[] = $at[$step['job']];
            }
        }
        foreach ($problem->jobs as $j => $job) {
            $order = [...$order, ...array_fill(0, count($job->steps), $j)];
        }

        return (new ListSchedule($problem))->of($order);
    }
}
