<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Intake\JobState;
use App\Money\Worth\WorthQuery;
use OddBench\Money\Bid;
use OddBench\Money\Price;

/** How a machine on offer stands. */
final readonly class OfferStanding
{
    public function __construct(private WorthQuery $worth)
    {
    }

    /**
     * How it stands: what is still needed, whether to stop, and that in words. Money that is spent counts for nothing.
     *
     * @return array{int|null, bool, string}
     */
    public function of(Offer $offer, Bid $bid, ?JobState $job, SoldView $sold): array
    {
        if ($offer->state !== 'bought') {
            return [null, false, match (true) {
                $offer->state === 'let-go' => "Let go: {$offer->let_go_because}",
                $bid->most < 0 => 'Not for nothing: it costs more than it brings.',
                $offer->asked_minor === null => 'No price is asked yet.',
                $offer->asked_minor <= $bid->most => 'Worth what is asked.',
                default => sprintf('%s too dear.', Price::words($offer->asked_minor - $bid->most)),
            }];
        }
        if ($sold->priceMinor !== null) {
            return [null, false, sprintf(
                ($sold->madeMinor ?? 0) < 0 ? 'Sold for %s, lost %s.' : 'Sold for %s, made %s.',
                Price::words($sold->priceMinor),
                Price::words(abs((int) $sold->madeMinor)),
            )];
        }
        $next = null;
        foreach ($offer->stages as $i => $stage) {
            if ($stage->outcome === 'failed' || $stage->outcome === 'stopped') {
                return [null, false, ucfirst($stage->outcome)." at “{$stage->name}”: {$stage->end}."];
            }
            if ($stage->outcome === null) {
                $next = $i;
                break;
            }
        }
        if ($next === null) {
            return [null, false, 'Every test passed.'];
        }
        $step = $bid->plan[$next];
        $needed = $job === null ? $step->stage->cost : ($this->worth->further($job) ?? $step->stage->cost);
        $stop = $step->stopsAt($needed);

        return [$needed, $stop, sprintf(
            $stop
                ? 'Stop now: %s is still needed, and “%s” is worth no more than %s. What is spent is spent.'
                : 'Go on: %s is still needed for “%s”; stop above %s.',
            Price::words($needed),
            $step->stage->name,
            Price::words((int) floor($step->stopAbove)),
        )];
    }
}
