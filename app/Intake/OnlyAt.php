<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Refused;
use OddBench\Intake\Station;

/** Where a job has to stand for some work. */
final readonly class OnlyAt
{
    /** @param  list<Station>  $stations */
    private function __construct(private string $work, private array $stations)
    {
    }

    /** @param  string  $work  in words that “at Fix” follows, such as “parts are used” */
    public static function the(string $work, Station ...$stations): self
    {
        return new self($work, array_values($stations));
    }

    /** @throws Refused when it stands elsewhere */
    public function hold(Job $job): void
    {
        if (! in_array($job->station, $this->stations, true)) {
            $where = implode(' and at ', array_map(static fn (Station $s): string => $s->words(), $this->stations));
            throw Refused::because('station', "The job stands at {$job->station->words()}; {$this->work} at {$where}.");
        }
    }
}
