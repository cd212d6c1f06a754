<?php

declare(strict_types=1);

namespace App\Money\Buying;

use OddBench\Money\Bid;
use OddBench\Money\BidCap;
use OddBench\Money\BidCase;
use OddBench\Money\BidStep;

/** The plan of staged tests, as it is shown. */
final readonly class PlanViews
{
    public function __construct(private BidCap $bid)
    {
    }

    /** @return list<BidStageView> */
    public function stages(BidCase $case, Bid $bid, ?Offer $offer): array
    {
        $sure = $this->bid->ifSure($case);

        return array_map(static function (BidStep $step, int $i) use ($offer, $sure): BidStageView {
            $kept = $offer?->stages->get($i);

            return new BidStageView(
                $i + 1,
                $step->stage->name,
                $step->stage->cost,
                $step->stage->passes,
                $step->stage->fallback,
                $step->stage->end,
                (int) round($step->worth),
                $step->because(),
                $step->goOn,
                (int) floor($step->stopAbove),
                $sure[$i],
                $kept?->outcome,
                $kept?->real_minor,
            );
        }, $bid->plan, array_keys($bid->plan));
    }

    /** @return list<BidEndView> */
    public static function ends(Bid $bid): array
    {
        $ends = [];
        foreach ($bid->ends as $end) {
            $ends[] = new BidEndView($end->name ?? 'mended, all of it', round($end->probability, 4));
        }

        return $ends;
    }
}
