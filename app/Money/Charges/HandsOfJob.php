<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Intake\JobPart;
use App\Intake\JobState;
use App\Intake\WorkSpell;
use Illuminate\Support\Collection;
use OddBench\Intake\Station;

/** Minutes of hands on a job, by station and person. */
final readonly class HandsOfJob implements JobPart
{
    private const FINDING = [Station::Intake, Station::Safety, Station::Diagnosis];

    /** @param  list<HandsMinutes>  $minutes  in the order of the stations */
    private function __construct(public array $minutes)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Collection $jobs): array
    {
        [$sum, $bound] = WorkSpell::minutes();
        $rows = WorkSpell::query()->join('people', 'people.id', '=', 'work_spells.person_id')
            ->whereIn('job_id', $jobs->pluck('id'))
            ->toBase()
            ->selectRaw("job_id, station, person_id, people.name, {$sum} AS minutes", $bound)
            ->groupBy('job_id', 'station', 'person_id', 'people.name')
            ->orderBy('person_id')
            ->get()
            ->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $minutes = [];
            foreach ($rows->get($job->id) ?? [] as $row) {
                $minutes[] = new HandsMinutes(
                    Station::from((string) $row->station),
                    (int) $row->person_id,
                    (string) $row->name,
                    round((float) $row->minutes, 1),
                );
            }
            $order = array_flip(array_column(Station::cases(), 'value'));
            $place = static fn (HandsMinutes $one): array => [$order[$one->station->value], $one->person];
            usort($minutes, static fn (HandsMinutes $a, HandsMinutes $b): int => $place($a) <=> $place($b));
            $parts[$job->id] = new self($minutes);
        }

        return $parts;
    }

    /** Up to the confirmed fault. */
    public function finding(): float
    {
        return $this->sum(true);
    }

    /** On mending, proving and sending out. */
    public function fixing(): float
    {
        return $this->sum(false);
    }

    public function all(): float
    {
        return $this->finding() + $this->fixing();
    }

    private function sum(bool $finding): float
    {
        return array_sum(array_map(
            static fn (HandsMinutes $m): float => in_array($m->station, self::FINDING, true) === $finding ? $m->minutes : 0.0,
            $this->minutes,
        ));
    }
}
