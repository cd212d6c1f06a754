<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Intake\Job;
use App\Shop\Setting;
use OddBench\Knowledge\Knowledge;

/**
 * What a day costs that a job stands, in the shop's currency: an owner who waits, a machine of the farm that does not print, money that
 * lies in a machine for sale.
 */
final readonly class Weights
{
    private const DAYS_A_YEAR = 365;

    /** Hours a day a machine of the farm prints where nobody knows (from memory). */
    private const HOURS_A_DAY = 8.0;

    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * Minor units a day.
     *
     * @param  float|null  $hoursPerWeek  its machine runs
     */
    public function perDay(Job $job, ?float $hoursPerWeek = null): float
    {
        return match ($job->machine->held_as) {
            'farm' => Setting::whole('print_hour_minor') * ($hoursPerWeek === null ? self::HOURS_A_DAY : $hoursPerWeek / 7),
            'resale' => (float) ($job->machine->price_paid_minor ?? 0) * Setting::whole('holding_pct') / 100 / self::DAYS_A_YEAR,
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
