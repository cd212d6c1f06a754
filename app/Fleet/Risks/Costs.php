<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Shop\Setting;
use App\Stock\Parts\ClassCosts;
use OddBench\Fleet\ChangeCosts;
use OddBench\Fleet\ChangeWork;
use OddBench\Knowledge\Knowledge;

/** What changing a class of part costs this shop, planned and when it fails. One of these lives as long as a request. */
final class Costs
{
    private const DAYS_A_WEEK = 7.0;

    /** @var array<string, float>|null minor units */
    private ?array $prices = null;

    /** @var array<string, ChangeWork> */
    private array $work = [];

    public function __construct(private readonly Knowledge $knowledge, private readonly ClassCosts $classes)
    {
    }

    /** @param  float  $perWeek  hours its machine runs */
    public function of(string $family, string $class, float $perWeek): ChangeCosts
    {
        return ChangeCosts::of(
            part: $this->price($class),
            changeMinutes: $this->work($family, $class)->minutes,
            openMinutes: Setting::whole('open_minutes'),
            findMinutes: Setting::whole('find_minutes'),
            minute: Setting::benchMinuteMinor(),
            // to the hour: machines that run alike are reckoned alike
            lostHours: Setting::whole('down_days') * round($perWeek) / self::DAYS_A_WEEK,
            hourWorth: Setting::whole('print_hour_minor'),
        );
    }

    public function work(string $family, string $class): ChangeWork
    {
        return $this->work["{$family} {$class}"] ??= ChangeWork::of($this->knowledge, $family, $class);
    }

    /** What it costs to take a machine out, open it, prove it and put it back: paid once a visit. */
    public function opening(): float
    {
        return (float) Setting::whole('open_minutes') * Setting::benchMinuteMinor();
    }

    private function price(string $class): float
    {
        $this->prices ??= $this->classes->all()['costs'];

        return $this->prices[$class] ?? ($this->knowledge->prices[$class] ?? 0.0) * Setting::benchMinuteMinor();
    }
}
