<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Intake\Job;
use App\Intake\JobState;
use App\Machines\Machine;
use App\Money\Charges\HandsOfJob;
use App\Money\Charges\PartsOfJob;
use App\Money\Terms\PriceList;
use App\Shop\Setting;
use App\Stock\Shelf\Movement;
use OddBench\Intake\JobKind;
use OddBench\Money\Exact;

/**
 * What the next visit of a machine is going to cost, as its last ones did, hands and parts: an owner what the shop charges, the shop
 * what they cost it.
 */
final class NextVisit
{
    private const LAST = 5;

    /** @return int|null minor units; nothing where it never was here for a repair */
    public static function costs(Machine $machine): ?int
    {
        $jobs = Job::query()->with('machine')->where('machine_id', $machine->id)->where('kind', JobKind::Repair)
            ->whereNotNull('finished_at')
            ->orderByDesc('id')
            ->limit(self::LAST)
            ->get();
        $terms = PriceList::read();
        $costs = array_map(
            static fn (JobState $state): float => $machine->held_as === 'owner'
                ? (HandsOfJob::of($state)->all() * $terms->minuteMinor + PartsOfJob::price($state, $terms)) * (1 + $terms->taxPct / 100)
                : HandsOfJob::of($state)->all() * Setting::benchMinuteMinor()
                    + array_sum(array_map(static fn (Movement $m): int => -$m->value_minor, PartsOfJob::used($state))),
            array_values(JobState::ofMany($jobs)),
        );

        return $costs === [] ? null : Exact::whole(array_sum($costs) / count($costs));
    }
}
