<?php

declare(strict_types=1);

namespace OddBench\Money;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * The most to pay for a broken machine that is tested in stages: worked backward from what it sells for, at each stage the better
 * of stopping and going on (backward induction: R. Bellman, Dynamic Programming, 1957).
 */
final readonly class BidCap implements Computation
{
    private const MOST_STAGES = 50;

    /** How the end is called at which every stage passed. */
    private const ALL = 'all';

    public function name(): string
    {
        return 'bid-cap';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $stages = [];
        foreach ($fields->objects('stages', self::MOST_STAGES) as $i => $of) {
            $name = $of->text('name');
            $end = $of->has('end') ? $of->text('end') : "{$name} fails";
            if ($end === self::ALL) {
                throw InputError::at("stages.{$i}.end", '“all” is when every stage passed: call this end otherwise.');
            }
            $stages[] = new BidStage(
                $name,
                $of->whole('cost', ...Quantity::Sum->bounds()),
                $of->number('passes', ...Quantity::Chance->bounds()),
                $of->whole('fallback', ...Quantity::Sum->bounds()),
                $end,
            );
            $of->done();
        }
        $bid = $this->judge(new BidCase(
            $stages,
            $fields->whole('sells_at', ...Quantity::Sum->bounds()),
            $fields->wholeOrNull('costs', ...Quantity::Sum->bounds()) ?? 0,
            $fields->wholeOrNull('margin', ...Quantity::Sum->bounds()) ?? 0,
        ));
        $fields->done();

        $ends = [];
        foreach ($bid->ends as $end) {
            $ends[$end->name ?? self::ALL] = $end->probability;
        }

        return [
            'most' => $bid->most,
            'worth' => $bid->worth,
            'plan' => array_map(static fn (BidStep $step): array => [
                'name' => $step->stage->name,
                'worth' => $step->worth,
                'go_on' => $step->goOn,
                'stop_above' => $step->stopAbove,
            ], $bid->plan),
            'chance' => $bid->chance,
            'ends' => (object) $ends,
        ];
    }

    public function judge(BidCase $case): Bid
    {
        $worth = (float) $case->sellsAt;
        $plan = [];
        foreach (array_reverse($case->stages) as $stage) {
            $goesOn = $stage->passes * $worth + (1 - $stage->passes) * $stage->fallback - $stage->cost;
            $stopAbove = $stage->passes * ($worth - $stage->fallback);
            $after = $worth;
            $worth = max((float) $stage->fallback, $goesOn);
            // on a par the work is saved
            array_unshift($plan, new BidStep($stage, $worth, $goesOn > $stage->fallback, $stopAbove, $after));
        }
        [$ends, $chance] = $this->ends($plan);

        // what is a whole sum but for the last digits of a float is that sum
        return new Bid((int) floor($worth - $case->costs - $case->margin + 1e-6), $worth, $plan, $ends, $chance, $case);
    }

    /**
     * What could be paid if it were known beforehand that a stage passes, by stage: the one worth asking the seller about stands out.
     *
     * @return list<int> minor units
     */
    public function ifSure(BidCase $case): array
    {
        $most = [];
        foreach (array_keys($case->stages) as $sure) {
            $stages = $case->stages;
            $of = $stages[$sure];
            $stages[$sure] = new BidStage($of->name, $of->cost, 1.0, $of->fallback, $of->end);
            $most[] = $this->judge(new BidCase(array_values($stages), $case->sellsAt, $case->costs, $case->margin))->most;
        }

        return $most;
    }

    /**
     * @param  list<BidStep>  $plan
     * @return array{list<BidEnd>, float}
     */
    private function ends(array $plan): array
    {
        $names = $sums = [];
        $reached = 1.0;
        foreach ($plan as $step) {
            $stops = $step->goOn ? $reached * (1 - $step->stage->passes) : $reached;
            $known = array_search($step->stage->end, $names, true);
            $place = $known === false ? count($names) : $known;
            $names[$place] = $step->stage->end;
            $sums[$place] = ($sums[$place] ?? 0.0) + $stops;
            $reached -= $stops;
            if (! $step->goOn) {
                $reached = 0.0;
                break;
            }
        }

        $chance = max(0.0, $reached);

        return [[
            new BidEnd(null, $chance),
            ...array_map(static fn (string $name, float $p): BidEnd => new BidEnd($name, $p), $names, $sums),
        ], $chance];
    }
}
