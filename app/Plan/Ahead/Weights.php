<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Intake\Job;
use App\Machines\HoursQuery;
use App\Machines\Machine;
use App\Shop\Setting;
use Illuminate\Support\Collection;
use OddBench\Knowledge\Knowledge;

/**
 * What a day costs that a job stands, in the shop's currency: an owner who waits, a machine of the farm that does not print, money that
 * lies in a machine for sale.
 */
final readonly class Weights
{
    private const DAYS_A_YEAR = 365;

    private const DAYS_A_WEEK = 7;

    /** Hours a day a machine of the farm prints where neither its counter nor the shop's others tell (from memory). */
    private const HOURS_A_DAY = 8.0;

    public function __construct(private Knowledge $knowledge, private HoursQuery $hours)
    {
    }

    /**
     * Minor units a day.
     *
     * @param  Collection<int, Job>  $jobs
     * @return array<int, float> job id =>
     */
    public function perDay(Collection $jobs): array
    {
        $farm = $jobs->map(static fn (Job $job): Machine => $job->machine)->where('held_as', 'farm')->unique('id');
        $run = $farm->isEmpty() ? [] : $this->hours->of($farm->toBase());
        $perDay = [];
        foreach ($jobs as $job) {
            $perWeek = ($run[$job->machine_id] ?? null)?->perWeek;
            $perDay[$job->id] = $this->ofOne($job->machine, $perWeek === null ? self::HOURS_A_DAY : $perWeek / self::DAYS_A_WEEK);
        }

        return $perDay;
    }

    private function ofOne(Machine $machine, float $hours): float
    {
        return match ($machine->held_as) {
            'farm' => Setting::whole('print_hour_minor') * $hours,
            'resale' => (float) ($machine->price_paid_minor ?? 0) * Setting::whole('holding_pct') / 100 / self::DAYS_A_YEAR,
            default => $this->knowledge->bench->waitingDay * Setting::benchMinuteMinor(),
        };
    }

    /** Why, in words. */
    public static function words(Job $job): string
    {
        return match ($job->machine->held_as) {
            'farm' => 'idle in the farm',
            'resale' => 'for sale',
            default => 'its owner waits',
        };
    }
}
