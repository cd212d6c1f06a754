<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Input\Moment;
use OddBench\Units\Quantity;

/**
 * Whose hands on which machine, when: least weighted lateness, then least sum of completion times. All times are minutes from `from`.
 * Exact where that can be proved, and it says so; else with a bound no plan goes below.
 */
final readonly class BenchPlan implements Computation
{
    private const MOST_JOBS = 200;

    private const MOST_STEPS = 40;

    public function name(): string
    {
        return 'bench-plan';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $this->from($fields);
        $workers = array_map($this->worker(...), $fields->objects('people', 50));
        $jobs = array_map($this->job(...), $fields->objects('jobs', self::MOST_JOBS));
        $places = [];
        foreach (array_keys($fields->map('places')) as $place) {
            $places[$place] = $fields->object('places')->whole($place, 0, 100);
        }
        $open = $fields->has('open') ? $this->spans($fields, 'open', 'open') : null;
        $seed = $fields->wholeOrNull('seed', 0, 2_147_483_647) ?? 1;
        $fields->done();
        $this->check($workers, $jobs);

        return self::told((new Planner)->plan($workers, $jobs, $places, $seed, $open));
    }

    /** What the minutes count from is named and not reckoned with: a number, a day, or a moment of the shop's clock with or without zone. */
    private function from(Fields $fields): void
    {
        $from = $fields->words('from');
        if ($from !== '' && ! is_numeric($from)) {
            Moment::read(preg_match('/\dT\d{2}:\d{2}(:\d{2})?$/', $from) === 1 ? "{$from}Z" : $from, 'from');
        }
    }

    /** @return array<string, mixed> */
    private static function told(Planned $plan): array
    {
        $problem = $plan->problem;
        $late = [];
        foreach ($problem->jobs as $j => $job) {
            $by = $job->due === null ? 0 : $plan->timetable->ends[$j] - $job->due;
            if ($by > 0) {
                $late[] = ['job' => $job->id, 'by' => $by];
            }
        }

        return [
            'timetable' => array_map(static fn (Placed $one): array => [
                'job' => $problem->jobs[$one->job]->id,
                'step' => $one->step + 1,
                'person' => $one->worker < 0 ? null : $problem->workers[$one->worker]->name,
                'start' => $one->start,
                'end' => $one->end,
                'alone_until' => $one->aloneUntil,
            ], $plan->timetable->placed),
            'late' => $late,
            'unplaced' => array_map(static fn (Unplaced $one): array => [
                'job' => $one->job,
                'step' => $one->step + 1,
                'because' => $one->because,
            ], $plan->unplaced),
            'lateness' => round($plan->timetable->score->lateness, 6),
            'completion' => $plan->timetable->score->completion,
            'bound' => round($plan->bound, 6),
            'completion_bound' => round($plan->completionBound, 6),
            'proved' => $plan->proved,
            'gap' => round($plan->gap(), 6),
        ];
    }

    private function worker(Fields $of): Worker
    {
        $name = $of->text('name');
        $free = $this->spans($of, 'free', "free of {$name}");
        $rights = $of->texts('rights', 20);
        $of->done();

        return new Worker($name, $free, $rights);
    }

    /** @return list<array{int, int}> */
    private function spans(Fields $of, string $key, string $called): array
    {
        $spans = [];
        foreach ($of->items($key) === [] ? [] : $of->pairs($key, ...Quantity::PlanMinute->bounds()) as $i => [$from, $to]) {
            if ($from !== floor($from) || $to !== floor($to) || $to <= $from || ($spans !== [] && $from < $spans[count($spans) - 1][1])) {
                throw InputError::at(
                    "{$key}.{$i}",
                    "{$called}: spans are whole minutes [from, to], one after the other, each ending after it begins.",
                );
            }
            $spans[] = [(int) $from, (int) $to];
        }

        return $spans;
    }

    private function job(Fields $of): PlanJob
    {
        $job = new PlanJob(
            $of->words('id') === '' ? $of->text('id') : $of->words('id'),
            $of->wholeOrNull('due', ...Quantity::PlanDue->bounds()),
            $of->numberOrNull('weight', ...Quantity::PlanWeight->bounds()) ?? 1.0,
            array_map($this->step(...), $of->objects('steps', self::MOST_STEPS)),
            $of->texts('after', self::MOST_JOBS),
        );
        $of->done();

        return $job;
    }

    private function step(Fields $of): Step
    {
        $by = [];
        foreach (array_keys($of->map('hands_by')) as $name) {
            $by[$name] = $of->object('hands_by')->whole($name, ...Quantity::StepMinutes->bounds());
        }
        $step = new Step(
            $of->wholeOrNull('hands', ...Quantity::StepMinutes->bounds()) ?? 0,
            $of->wholeOrNull('alone', ...Quantity::StepAlone->bounds()) ?? 0,
            $of->flag('beside'),
            $of->texts('rights', 20),
            $of->has('place') ? [$of->text('place')] : [],
            $of->wholeOrNull('not_before', ...Quantity::PlanMinute->bounds()) ?? 0,
            $of->has('who') ? $of->text('who') : null,
            $by,
            $of->has('waits_for') ? $of->text('waits_for') : null,
            $of->flag('begun'),
            $of->flag('attended'),
            $of->flag('pinned'),
        );
        $of->done();

        return $step;
    }

    /**
     * @param  list<Worker>  $workers
     * @param  list<PlanJob>  $jobs
     */
    private function check(array $workers, array $jobs): void
    {
        $names = array_map(static fn (Worker $worker): string => $worker->name, $workers);
        $ids = array_map(static fn (PlanJob $job): string => $job->id, $jobs);
        foreach ([['people', $names], ['jobs', $ids]] as [$field, $all]) {
            if (count(array_unique($all)) < count($all)) {
                throw InputError::at($field, "{$field}: two are called the same; give each a name of its own.");
            }
        }
        foreach ($jobs as $i => $job) {
            if ($job->steps === []) {
                throw InputError::at("jobs.{$i}.steps", "jobs.{$i}.steps is empty: a job has at least one step.");
            }
            foreach ($job->steps as $k => $step) {
                if ($step->hands + $step->alone + array_sum($step->handsBy) === 0) {
                    throw InputError::at(
                        "jobs.{$i}.steps.{$k}.hands",
                        "jobs.{$i}.steps.{$k}: a step takes minutes of hands, alone or both.",
                    );
                }
            }
            foreach ($job->after as $id) {
                if (! in_array($id, $ids, true)) {
                    throw InputError::unknown("jobs.{$i}.after", 'job', $id, $ids);
                }
            }
        }
    }
}
