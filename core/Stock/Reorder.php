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
        $case = new ReorderCase(
            demand: $rate,
            leadWeeks: $lead,
            serviceLevel: $fields->number('service_level', ...Quantity::ServiceLevel->bounds()),
            pack: $fields->whole('pack_size', ...Quantity::PackSize->bounds()),
            onHand: $fields->whole('on_hand', ...Quantity::PartCount->bounds()),
            reserved: $fields->wholeOrNull('reserved', ...Quantity::PartCount->bounds()) ?? 0,
            onOrder: $fields->wholeOrNull('on_order', ...Quantity::PartCount->bounds()) ?? 0,
            planned: $fields->wholeOrNull('planned', ...Quantity::PartCount->bounds()) ?? 0,
            leadSdWeeks: $leadSd,
            reviewWeeks: $review,
            orderCost: $fields->numberOrNull('order_cost', ...Quantity::UnitCost->bounds()),
            holdingPctYear: $fields->numberOrNull('holding_pct_year', ...Quantity::HoldingShare->bounds()),
            unitCost: $fields->numberOrNull('unit_cost', ...Quantity::UnitCost->bounds()),
            shelfLifeWeeks: $fields->numberOrNull('shelf_life_weeks', ...Quantity::ShelfLife->bounds()),
            mostToSpend: $fields->numberOrNull('most_to_spend', ...Quantity::MoneySpent->bounds()),
            lastOfKind: $fields->has('last_of_kind') ? $fields->text('last_of_kind') : null,
            foretold: $this->foretold($fields),
        );
        $fields->done();
        if ($case->mostToSpend !== null && $case->unitCost === null) {
            throw InputError::at('unit_cost', 'most_to_spend needs unit_cost.');
        }
        $judged = $this->judge($case);

        return [
            'reorder_point' => $judged->point,
            'order_packs' => $judged->packs,
            'stockout_probability' => $judged->risk,
            'cover_weeks' => $judged->coverWeeks,
            'free' => $judged->free,
            'demand_per_week' => $judged->demandPerWeek,
            'method' => $judged->method,
            'law' => $judged->law,
            'because' => $judged->because,
        ];
    }

    /** @throws InputError when more may be asked for until an order is here than a shop keeps of spare parts */
    public function judge(ReorderCase $case): ReorderJudged
    {
        $law = $case->law();
        $furthest = $law->furthest($case->serviceLevel);
        if ($furthest > self::MOST_PARTS) {
            throw InputError::at(
                $case->demand->method === 'rate' ? 'demand_per_week' : 'history',
                sprintf(
                    'Up to %d may be asked for before a new order is here; this is for spare parts, up to %d. Count in larger units, as boxes.',
                    (int) min(1e15, $furthest),
                    self::MOST_PARTS,
                ),
            );
        }
        $point = $law->quantile($case->serviceLevel);
        $free = $case->free();
        $perWeek = $case->perWeek();
        // what nobody asks for is bought only when somebody needs it
        $enough = $free > $point || ($perWeek == 0.0 && $free >= 0);
        // whatever history says: without one in hand the next time it is needed the machine waits for the post
        $lastGone = $case->lastOfKind !== null && $enough && $free <= 0;
        $enough = $enough && ! $lastGone;
        $packs = $enough ? 0 : $this->packs($case, $point, $lastGone);
        $risk = 1 - $law->atMost($free);
        $cover = $perWeek > 0 ? max(0, $free) / $perWeek : null;
        $because = $this->because($case, $point, $enough, $packs, $risk, $cover);

        return new ReorderJudged(
            $point,
            $packs,
            $risk,
            $cover,
            $free,
            $perWeek,
            $case->demand->method,
            $law->name(),
            ($case->lastOfKind === null ? '' : "{$case->lastOfKind} ").$because,
        );
    }

    private function foretold(Fields $fields): ?Foretold
    {
        if (! $fields->has('foretold')) {
            return null;
        }
        $of = $fields->object('foretold');
        $expected = $of->number('expected', ...Quantity::PartCount->bounds());
        $foretold = new Foretold(
            $expected,
            ($of->numberOrNull('sd', ...Quantity::PartCount->bounds()) ?? sqrt($expected)) ** 2,
            $of->wholeOrNull('in_use', ...Quantity::PartCount->bounds()),
        );
        $of->done();

        return $foretold;
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

    private function packs(ReorderCase $case, int $point, bool $lastGone): int
    {
        $free = $case->free();
        $perWeek = $case->perWeek();
        $least = (int) ceil((($perWeek > 0 ? $point + 1 : ($lastGone ? 1 : 0)) - $free) / $case->pack);
        $packs = max($least, (int) round(($case->lot() ?? 0.0) / $case->pack));
        if ($case->shelfLifeWeeks !== null) {
            // what would spoil before it is used is not bought, but what is short is
            $used = (int) floor(($perWeek * $case->shelfLifeWeeks - max(0, $free)) / $case->pack);
            $packs = min($packs, max((int) ceil(max(0, -$free) / $case->pack), 1, $used));
        }
        if ($case->mostToSpend !== null && $case->unitCost !== null && $case->unitCost > 0) {
            $packs = min($packs, (int) floor($case->mostToSpend / ($case->unitCost * $case->pack)));
        }

        return max(0, $packs);
    }

    private function because(ReorderCase $case, int $point, bool $enough, int $packs, float $risk, ?float $cover): string
    {
        [$free, $pack, $lead] = [$case->free(), $case->pack, $case->leadWeeks];
        $are = $free.($free === 1 ? ' is' : ' are');
        $lasts = sprintf('that lasts about %s weeks', round($cover ?? 0.0, $cover < 10 ? 1 : 0));
        $runs = sprintf(
            'it runs out before a new order is here (%s weeks) with %s %%',
            round($lead, 1),
            $risk < 0.001 ? 'less than 0.1' : round(100 * $risk, $risk < 0.1 ? 1 : 0),
        );

        $foretold = $case->foretold === null || $case->foretold->expected < 0.05 ? '' : ' '.ucfirst($case->foretold->words()).'.';

        return match (true) {
            $packs > 0 => sprintf(
                '%s free, the reorder point is %d: order %d %s of %d. As it stands, %s.',
                $are,
                $point,
                $packs,
                $packs === 1 ? 'pack' : 'packs',
                $pack,
                $runs,
            ).$foretold,
            ! $enough => sprintf(
                '%s free, the reorder point is %d, but the money does not reach for a pack. As it stands, %s.',
                $are,
                $point,
                $runs,
            ).$foretold,
            $cover === null => sprintf('%s free, and nothing is asked for.', $are),
            default => sprintf('%s free, over the reorder point of %d; %s, and %s.', $are, $point, $lasts, $runs).$foretold,
        };
    }
}
