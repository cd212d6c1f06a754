<?php

declare(strict_types=1);

namespace App\Money;

use App\Api\View;
use App\Intake\PhotographView;
use App\Money\Charges\BillView;
use App\Money\Charges\ChargeView;
use App\Money\Estimates\EstimateView;
use App\Money\Estimates\SentEstimateView;
use App\Money\Messages\MessageView;
use App\Money\Pickup\PickupView;
use App\Money\Worth\WorthView;
use OpenApi\Attributes as OA;

/** What a job costs, brings and is charged at, and what its owner was told. */
#[OA\Schema]
final readonly class JobMoneyView extends View
{
    /**
     * @param  list<SentEstimateView>  $sent  the newest first
     * @param  list<MessageView>  $messages
     * @param  list<PhotographView>  $photographs
     */
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property(enum: ['owner', 'farm', 'resale'])] public string $heldAs,
        #[OA\Property] public ?string $owner,
        #[OA\Property] public ?EstimateView $estimate,
        #[OA\Property(description: 'the estimate as a letter, to copy')] public ?string $letter,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SentEstimateView::class))] public array $sent,
        #[OA\Property(description: 'why it is not mended yet')] public ?string $against,
        #[OA\Property(description: 'left of what its owner allowed')] public ?int $leftMinor,
        #[OA\Property] public WorthView $worth,
        #[OA\Property] public ChargeView $charge,
        #[OA\Property] public ?BillView $bill,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageView::class))] public array $messages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PhotographView::class), description: 'of the job, for a claim')]
        public array $photographs,
        #[OA\Property] public ?PickupView $pickup,
        #[OA\Property(description: 'the sheet it was bought by')] public ?int $offer,
        #[OA\Property(description: 'it is for sale')] public bool $maySell,
        #[OA\Property(description: 'it is ready and its owner may be told')] public bool $mayTellReady,
        #[OA\Property(description: 'the address of its owner’s page, after the shop’s own; null for whoever does not see owners')]
        public ?string $page,
    ) {
    }
}
