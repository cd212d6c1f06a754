<?php

declare(strict_types=1);

namespace App\Bench;

use App\Intake\Job;
use App\Machines\Machine;
use App\Machines\ServiceQuery;
use Illuminate\Support\Facades\Cache;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\ServiceDue;

/** Machines of our own in service on which something is due; worked out anew every minute. */
final readonly class ServiceDueQuery
{
    private const SHOWN = 6;

    private const SECONDS = 60;

    public function __construct(private Knowledge $knowledge, private ServiceQuery $service)
    {
    }

    /** @return list<ServiceLine> the most due first */
    public function read(): array
    {
        /** @var list<array{string, string, list<string>, list<string>, string}> $lines */
        $lines = Cache::store('memo')->remember('service-due', self::SECONDS, fn (): array => $this->lines());

        return array_map(static fn (array $l): ServiceLine => new ServiceLine(...$l), $lines);
    }

    /** @return list<array{string, string, list<string>, list<string>, string}> */
    private function lines(): array
    {
        $machines = Machine::query()->where(['held_as' => 'farm', 'place' => 'service'])
            ->whereNotIn('id', Job::query()->select('machine_id')->whereNull('finished_at'))
            ->orderBy('id')
            ->limit(1000)
            ->get();
        $due = array_filter(array_map(
            static fn (array $of): array => array_values(array_filter($of, static fn (ServiceDue $d): bool => $d->due())),
            $this->service->of($machines),
        ));
        uasort($due, static fn (array $a, array $b): int => $b[0]->share <=> $a[0]->share);
        $byId = $machines->keyBy('id');
        $lines = [];
        foreach (array_slice($due, 0, self::SHOWN, true) as $id => $of) {
            $machine = $byId[$id] ?? null;
            if ($machine !== null) {
                $lines[] = [
                    $machine->tag,
                    $this->knowledge->familyName($machine->family),
                    array_map(static fn (ServiceDue $d): string => $d->item->code, $of),
                    array_map(static fn (ServiceDue $d): string => $d->item->name, $of),
                    $of[0]->words(),
                ];
            }
        }

        return $lines;
    }
}
