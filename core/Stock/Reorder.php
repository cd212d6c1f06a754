<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * When to order a part and how many packs of it: reorder point from the demand over the lead time, quantity by F. W. Harris
 * (How many parts to make at once, 1913), bounded by shelf life and money.
 */
final readonly class Reorder implements Computation
{
    /** What may be asked for over a lead time at the most. */
    private const MOST_WEEKS = 5000;

    /** Fewer events than this in a history leave its rate open. */
    private const FEW = 10;

    private const MOST_PARTS = 1_000_000;

    public function name(): string
    {
        return 'reorder';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $rate = $this->rate($fields);
        $lead = $fields->numberOrNone('lead_time_weeks', ...Quantity::LeadTime->bounds());
        $leadSd = $fields->has('lead_time_sd_weeks') ? $fields->numberOrNone('lead_time_sd_weeks', ...Quantity::LeadSpread->bounds()) : 0.0;
        $review = $fields->has('review_weeks') ? $fields->numberOrNone('review_weeks', ...Quantity::ReviewTime->bounds()) : 0.0;
        if ($lead <= 0.0 && $leadSd > 0.0) {
            throw InputError::at(
                'lead_time_sd_weeks',
                'lead_time_weeks is 0 and lead_time_sd_weeks is not: what is there at once cannot be late. Say how long it takes on average.',
            );
        }
        $level = $fields->number('service_level', ...Quantity::ServiceLevel->bounds());
        $pack = $fields->whole('pack_size', ...Quantity::PackSize->bounds());
        $onHand = $fields->whole('on_hand', ...Quantity::PartCount->bounds());
        $reserved = $fields->has('reserved') ? $fields->whole('reserved', ...Quantity::PartCount->bounds()) : 0;
        $onOrder = $fields->has('on_order') ? $fields->whole('on_order', ...Quantity::PartCount->bounds()) : 0;
        $planned = $fields->has('planned') ? $fields->whole('planned', ...Quantity::PartCount->bounds()) : 0;
        $lot = $this->lot($fields, $rate->mean);
        $shelfLife = $fields->numberOrNull('shelf_life_weeks', ...Quantity::ShelfLife->bounds());
        $money = $fields->numberOrNull('most_to_spend', ...Quantity::MoneySpent->bounds());
        $cost = $fields->numberOrNull('unit_cost', ...Quantity::UnitCost->bounds());
        $last = $fields->has('last_of_kind') ? $fields->text('last_of_kind') : null;
        $fields->done();
        if ($money !== null && $cost === null) {
            throw InputError::at('unit_cost', 'most_to_spend needs unit_cost.');
        }
        $law = $this->law($rate, $lead + $review, $leadSd);
        if ($law->furthest($level) > self::MOST_PARTS) {
            throw InputError::at(
                $fields->has('history') ? 'history' : 'demand_per_week',
                sprintf(
                    'Up to %d may be asked for before a new order is here; this is for spare parts, up to %d. Count in larger units, as boxes.',
                    (int) min(1e15, $law->furthest($level)),
                    self::MOST_PARTS,
                ),
            );
        }
        $point = $law->quantile($level);
        $free = $onHand + $onOrder - $reserved - $planned;
        // what nobody asks for is bought only when somebody needs it
        $enough = $free > $point || ($rate->mean == 0.0 && $free >= 0);
        // whatever history says: without one in hand the next time it is needed the machine waits for the post
        $lastGone = $last !== null && $enough && $free <= 0;
        $enough = $enough && ! $lastGone;
        $packs = $enough ? 0 : $this->packs($free, $point, $lot, $pack, $rate->mean, $shelfLife, $money, $cost, $lastGone);
        $risk = 1 - $law->atMost($free);
        $cover = $rate->mean > 0 ? max(0, $free) / $rate->mean : null;

        return [
            'reorder_point' => $point,
            'order_packs' => $packs,
            'stockout_probability' => $risk,
            'cover_weeks' => $cover,
            'free' => $free,
            'demand_per_week' => $rate->mean,
            'method' => $rate->method,
            'law' => $law->name(),
            'because' => ($last === null ? '' : "{$last} ").$this->because($free, $point, $enough, $packs, $pack, $risk, $cover, $lead),
        ];
    }

    private function rate(Fields $fields): DemandRate
    {
        if ($fields->has('history') === $fields->has('demand_per_week')) {
            throw InputError::at('history', 'Give either history, what was asked for in each week, or demand_per_week.');
        }
        if (! $fields->has('history')) {
            return DemandRate::known($fields->numberOrNone('demand_per_week', ...Quantity::WeeklyDemand->bounds()));
        }
        $history = $fields->numbers('history', ...Quantity::WeekDemand->bounds());
        if (count($history) > self::MOST_WEEKS) {
            throw InputError::at('history', sprintf('history holds %d weeks; up to %d are looked at.', count($history), self::MOST_WEEKS));
        }

        return DemandRate::of($history, $fields->numberOrNull('smoothing', ...Quantity::Smoothing->bounds()) ?? DemandRate::SMOOTHING);
    }

    /** What is asked for until an order that is thought of now is here: over the lead time and until it is looked at again. */
    private function law(DemandRate $rate, float $over, float $leadSd): DemandLaw
    {
        $wavers = $rate->mean ** 2 * $leadSd ** 2;

        return $rate->events > 0 && $rate->events < self::FEW
            ? DemandLaw::afterFew(
                $rate->events,
                $rate->weeks,
                $over,
                ($rate->variance > DemandLaw::AGREES * $rate->mean ? $over * ($rate->variance - $rate->mean) : 0.0) + $wavers,
            )
            : DemandLaw::of($over * $rate->mean, $over * $rate->variance + $wavers);
    }

    /** The lot that costs least a year, √(2·D·K/(h·c)); nothing when a figure is missing. */
    private function lot(Fields $fields, float $perWeek): ?float
    {
        $order = $fields->numberOrNull('order_cost', ...Quantity::UnitCost->bounds());
        $holding = $fields->numberOrNull('holding_pct_year', ...Quantity::HoldingShare->bounds());
        $unit = $fields->numberOrNull('unit_cost', ...Quantity::UnitCost->bounds());

        return $order === null || $holding === null || $unit === null || $unit <= 0
            ? null
            : sqrt(2 * 52 * $perWeek * $order / ($holding / 100 * $unit));
    }

    private function packs(
        int $free,
        int $point,
        ?float $lot,
        int $pack,
        float $perWeek,
        ?float $shelfLife,
        ?float $money,
        ?float $cost,
        bool $lastGone,
    ): int {
        $least = (int) ceil((($perWeek > 0 ? $point + 1 : ($lastGone ? 1 : 0)) - $free) / $pack);
        $packs = max($least, (int) round(($lot ?? 0.0) / $pack));
        if ($shelfLife !== null) {
            // what would spoil before it is used is not bought, but what is short is
            $packs = min($packs, max((int) ceil(max(0, -$free) / $pack), 1, (int) floor(($perWeek * $shelfLife - max(0, $free)) / $pack)));
        }
        if ($money !== null && $cost !== null && $cost > 0) {
            $packs = min($packs, (int) floor($money / ($cost * $pack)));
        }

        return max(0, $packs);
    }

    private function because(int $free, int $point, bool $enough, int $packs, int $pack, float $risk, ?float $cover, float $lead): string
    {
        $are = $free.($free === 1 ? ' is' : ' are');
        $lasts = sprintf('that lasts about %s weeks', round($cover ?? 0.0, $cover < 10 ? 1 : 0));
        $runs = sprintf(
            'it runs out before a new order is here (%s weeks) with %s %%',
            round($lead, 1),
            $risk < 0.001 ? 'less than 0.1' : round(100 * $risk, $risk < 0.1 ? 1 : 0),
        );

        return match (true) {
            $packs > 0 => sprintf(
                '%s free, the reorder point is %d: order %d %s of %d. As it stands, %s.',
                $are,
                $point,
                $packs,
                $packs === 1 ? 'pack' : 'packs',
                $pack,
                $runs,
            ),
            ! $enough => sprintf(
                '%s free, the reorder point is %d, but the money does not reach for a pack. As it stands, %s.',
                $are,
                $point,
                $runs,
            ),
            $cover === null => sprintf('%s free, and nothing is asked for.', $are),
            default => sprintf('%s free, over the reorder point of %d; %s, and %s.', $are, $point, $lasts, $runs),
        };
    }
}
