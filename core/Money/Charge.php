<?php

declare(strict_types=1);

namespace OddBench\Money;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Units\Quantity;

/** What a finished job is charged at: hands, parts with their markup, freight, tax on the whole, each rounded half up once. */
final readonly class Charge implements Computation
{
    private const MOST_PARTS = 1000;

    public function name(): string
    {
        return 'charge';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $minutes = $fields->number('hands_minutes', ...Quantity::HandsMinutes->bounds());
        $rate = $fields->number('rate_per_minute', ...Quantity::BenchMinute->bounds());
        $parts = [];
        foreach ($fields->objects('parts', self::MOST_PARTS) as $of) {
            $parts[] = new PartSold(
                $of->whole('count', ...Quantity::PartCount->bounds()),
                $of->whole('cost', ...Quantity::PieceCost->bounds()),
                $of->numberOrNull('markup_pct', ...Quantity::Markup->bounds()) ?? 0.0,
            );
            $of->done();
        }
        $freight = $fields->wholeOrNull('freight', ...Quantity::Sum->bounds()) ?? 0;
        $tax = $fields->numberOrNull('tax_pct', ...Quantity::TaxShare->bounds()) ?? 0.0;
        $minimum = $fields->wholeOrNull('minimum', ...Quantity::Sum->bounds()) ?? 0;
        $free = $fields->flag('no_charge');
        $own = $fields->numberOrNull('own_rate_per_minute', ...Quantity::BenchMinute->bounds());
        $fields->done();
        $charged = $this->judge($minutes, $rate, $parts, $freight, $tax, $minimum, $free, $own);

        return [
            'hands' => $charged->hands,
            'parts' => $charged->parts,
            'net' => $charged->net,
            'tax' => $charged->tax,
            'gross' => $charged->gross,
            'own_cost' => $charged->ownCost,
        ];
    }

    /**
     * @param  float  $handsMinutes  those that are charged
     * @param  float  $ratePerMinute  minor units
     * @param  list<PartSold>  $parts
     * @param  int  $freight  this job’s share of what it cost to have the parts sent
     * @param  float  $taxPct  per cent of net
     * @param  int  $minimum  least net of a job that is charged at all
     * @param  bool  $noCharge  a comeback, or the shop’s own mistake: it costs the shop and nobody else
     * @param  float|null  $ownRatePerMinute  what a minute costs the shop; null for what is charged
     * @param  float|null  $ownMinutes  all minutes, learning and practice too; null for those that are charged
     */
    public function judge(
        float $handsMinutes,
        float $ratePerMinute,
        array $parts,
        int $freight = 0,
        float $taxPct = 0.0,
        int $minimum = 0,
        bool $noCharge = false,
        ?float $ownRatePerMinute = null,
        ?float $ownMinutes = null,
    ): Charged {
        $hands = Exact::hands($handsMinutes, $ratePerMinute);
        $prices = array_map(static fn (PartSold $part): int => $part->price(), $parts);
        $cost = array_sum(array_map(static fn (PartSold $part): int => $part->count * $part->cost, $parts));
        $sum = $hands + array_sum($prices) + $freight;
        $net = $noCharge ? 0 : max($sum, $minimum);
        $tax = Exact::percent($net, $taxPct);

        return new Charged(
            $hands,
            array_sum($prices),
            $prices,
            $freight,
            $net,
            $tax,
            $net + $tax,
            Exact::hands($ownMinutes ?? $handsMinutes, $ownRatePerMinute ?? $ratePerMinute) + $cost + $freight,
            ! $noCharge && $minimum > $sum,
        );
    }
}
