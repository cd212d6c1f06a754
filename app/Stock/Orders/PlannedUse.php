<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Intake\Job;
use App\Intake\JobState;
use App\Stock\Kits\Reservation;
use App\Stock\Parts\PartChoice;
use App\Stock\Shelf\StockOfJob;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\KitNeeds;

/** What the kits of the open jobs will take, beyond what is promised to them. */
final readonly class PlannedUse
{
    public function __construct(private Knowledge $knowledge, private WorkAhead $ahead)
    {
    }

    /**
     * @param  list<string>|null  $classes  only parts of these; all when nothing is said
     * @return array<int, array{count: int, tags: list<string>}> part id => how many, and for which machines
     */
    public function all(?array $classes = null): array
    {
        $jobs = $this->ahead->only(Job::query())->with('machine')->whereNull('finished_at')->orderBy('id')->get();
        $promised = Reservation::query()->with('part')->whereIn('job_id', $jobs->pluck('id'))->get()->groupBy('job_id');
        $needs = [];
        foreach (JobState::ofMany($jobs) as $state) {
            $job = $state->job;
            ['faults' => $faults, 'guides' => $begun, 'classes' => $classesAhead] = $this->ahead->of($state);
            if ($faults === [] && $begun === [] && $classesAhead === []) {
                continue;
            }
            $had = [];
            foreach (StockOfJob::of($state)->movements as $movement) {
                $taken = in_array($movement->kind, ['used', 'returned'], true) ? -$movement->quantity : 0;
                $had[$movement->part->class] = ($had[$movement->part->class] ?? 0) + $taken;
            }
            foreach ($promised->get($job->id) ?? [] as $reservation) {
                $had[$reservation->part->class] = ($had[$reservation->part->class] ?? 0) + $reservation->quantity;
            }
            $open = (new KitNeeds($this->knowledge))->open($job->machine->family, $faults, $begun, $had, $classesAhead);
            $open = $classes === null ? $open : array_intersect_key($open, array_flip($classes));
            if ($open !== []) {
                $needs[] = [$job->machine->family, $job->machine->tag, $open];
            }
        }

        return $this->parts($needs);
    }

    /**
     * @param  list<array{string, string, array<string, int>}>  $needs  family, tag, class => count
     * @return array<int, array{count: int, tags: list<string>}>
     */
    private function parts(array $needs): array
    {
        $planned = $wanted = [];
        foreach ($needs as [$family, , $open]) {
            $wanted[$family] = array_values(array_unique([...($wanted[$family] ?? []), ...array_keys($open)]));
        }
        $best = PartChoice::best($wanted, $this->knowledge);
        foreach ($needs as [$family, $tag, $open]) {
            foreach ($open as $class => $count) {
                $part = $best[$family][$class]->id ?? 0;
                if ($part > 0) {
                    $planned[$part] = [
                        'count' => ($planned[$part]['count'] ?? 0) + $count,
                        'tags' => array_values(array_unique([...($planned[$part]['tags'] ?? []), $tag])),
                    ];
                }
            }
        }

        return $planned;
    }
}
