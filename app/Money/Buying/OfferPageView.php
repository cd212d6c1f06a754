<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\View;
use OpenApi\Attributes as OA;

/** The sheet of a machine on offer, what to pay for it at most, and how it went. */
#[OA\Schema]
final readonly class OfferPageView extends View
{
    /**
     * @param  list<string>  $findings
     * @param  list<BidStageView>  $stages
     * @param  list<BidEndView>  $ends
     * @param  list<LikelyFaultView>  $likely
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $version,
        #[OA\Property] public string $family,
        #[OA\Property] public string $familyName,
        #[OA\Property] public string $seller,
        #[OA\Property] public string $says,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $findings,
        #[OA\Property] public ?string $missing,
        #[OA\Property] public ?int $askedMinor,
        #[OA\Property] public int $freightMinor,
        #[OA\Property(description: 'what is missing costs')] public int $missingMinor,
        #[OA\Property] public int $sellingMinor,
        #[OA\Property] public int $sellsMinor,
        #[OA\Property(description: 'mended, without its feeder')] public ?int $singleMinor,
        #[OA\Property] public int $partsMinor,
        #[OA\Property] public int $marginMinor,
        #[OA\Property(enum: ['open', 'bought', 'let-go'])] public string $state,
        #[OA\Property] public int $mostMinor,
        #[OA\Property(description: 'as it stands, before costs and margin')] public int $worthMinor,
        #[OA\Property(description: 'on the average, at what is asked')] public ?int $earnsAskedMinor,
        #[OA\Property(description: 'probability that it earns anything at what is asked')] public ?float $winsAsked,
        #[OA\Property(description: 'probability that it earns anything at the most to pay')] public float $winsMost,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BidStageView::class))] public array $stages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BidEndView::class))] public array $ends,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LikelyFaultView::class))] public array $likely,
        #[OA\Property] public ?int $boughtMinor,
        #[OA\Property] public ?string $tag,
        #[OA\Property(description: 'its open job')] public ?int $job,
        #[OA\Property] public ?string $letGoBecause,
        #[OA\Property(description: 'what is still needed for the next test or, on the bench, by its job')] public ?int $neededMinor,
        #[OA\Property(description: 'stopping is better than going on')] public bool $stopNow,
        #[OA\Property] public string $stands,
        #[OA\Property] public SoldView $sold,
        #[OA\Property(description: 'it is for sale')] public bool $maySell,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {
    }
}
