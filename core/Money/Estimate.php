<?php

declare(strict_types=1);

namespace OddBench\Money;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * What a job will cost while it is not yet known what is wrong: a sum for each way it may turn out, their mean, and the quantile
 * that is not exceeded with a share.
 */
final readonly class Estimate implements Computation
{
    /** So often the ceiling holds unless another share is asked for. */
    public const SHARE = 0.8;

    /** Probabilities that add up to one but for their last printed digits. */
    private const ADDS_UP = 0.001;

    private const MOST_LINES = 1000;

    public function name(): string
    {
        return 'estimate';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $rate = $fields->number('rate_per_minute', ...Quantity::BenchMinute->bounds());
        $find = $fields->number('find_minutes', ...Quantity::HandsMinutes->bounds());
        $lines = [];
        foreach ($fields->objects('lines', self::MOST_LINES) as $of) {
            $lines[] = new EstimateLine(
                $of->text('code'),
                $of->number('probability', ...Quantity::Chance->bounds()),
                $of->number('minutes', ...Quantity::HandsMinutes->bounds()),
                $of->wholeOrNull('parts', ...Quantity::Sum->bounds()) ?? 0,
            );
            $of->done();
        }
        $share = $fields->numberOrNull('share', ...Quantity::Chance->bounds()) ?? self::SHARE;
        $tax = $fields->numberOrNull('tax_pct', ...Quantity::TaxShare->bounds()) ?? 0.0;
        $minimum = $fields->wholeOrNull('minimum', ...Quantity::Sum->bounds()) ?? 0;
        $fields->done();
        $judged = $this->judge($rate, $find, $lines, $share, $tax, $minimum);

        return [
            'expected' => $judged->expected,
            'ceiling' => $judged->ceiling,
            'least' => $judged->least,
            'most' => $judged->most,
            'within' => $judged->within,
            'lines' => array_map(static fn (EstimateLine $line, int $sum): array => [
                'code' => $line->code,
                'probability' => $line->probability,
                'sum' => $sum,
            ], $lines, $judged->sums),
            'because' => $judged->because,
        ];
    }

    /**
     * @param  float  $ratePerMinute  minor units for a minute of hands
     * @param  float  $findMinutes  of hands to find out which of them it is, gone and still to come
     * @param  list<EstimateLine>  $lines  every way it may turn out, their probabilities adding up to one
     * @param  float  $share  0 to 1
     * @param  float  $taxPct  on top, per cent
     * @param  int  $minimum  least that is charged before tax, minor units
     *
     * @throws InputError when there is no line, or the probabilities do not add up to one
     */
    public function judge(
        float $ratePerMinute,
        float $findMinutes,
        array $lines,
        float $share = self::SHARE,
        float $taxPct = 0.0,
        int $minimum = 0,
    ): EstimateJudged {
        $all = array_sum(array_map(static fn (EstimateLine $line): float => $line->probability, $lines));
        if ($lines === [] || abs($all - 1) > self::ADDS_UP) {
            throw InputError::at('lines', $lines === [] ? 'lines is empty: say at least one way the job may turn out.' : sprintf(
                'The probabilities of the lines add up to %s, not to 1. Add a line for what is left, such as “something else”.',
                round($all, 4),
            ));
        }
        $sums = [];
        $expected = 0.0;
        foreach ($lines as $line) {
            $net = max($minimum, Exact::hands($findMinutes + $line->minutes, $ratePerMinute) + $line->parts);
            $sums[] = $sum = Exact::raised($net, $taxPct);
            $expected += $line->probability / $all * $sum;
        }
        $order = $sums;
        asort($order);
        $within = 0.0;
        $ceiling = max($sums);
        foreach ($order as $i => $sum) {
            $within += $lines[$i]->probability / $all;
            // a third and two thirds are one
            if ($within >= $share - 1e-9) {
                $ceiling = $sum;
                break;
            }
        }
        $within = $this->within($lines, $sums, $ceiling) / $all;

        return new EstimateJudged(Exact::whole($expected), $ceiling, $within, min($sums), max($sums), $sums, sprintf(
            'About %s on the average over %d %s; not more than %s in %d of 10.',
            Price::words(Exact::whole($expected)),
            count($lines),
            count($lines) === 1 ? 'way' : 'ways it may turn out',
            Price::words($ceiling),
            (int) floor(10 * $within + 1e-9),
        ));
    }

    /**
     * @param  list<EstimateLine>  $lines
     * @param  list<int>  $sums
     */
    private function within(array $lines, array $sums, int $ceiling): float
    {
        $within = 0.0;
        foreach ($sums as $i => $sum) {
            $within += $sum <= $ceiling ? $lines[$i]->probability : 0.0;
        }

        return $within;
    }
}
