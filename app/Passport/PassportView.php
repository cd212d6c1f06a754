<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\View;
use App\Fleet\Campaigns\CampaignLine;
use App\Machines\HoursView;
use App\Machines\ServiceDueView;
use App\Machines\WarrantyView;
use App\Release\PastJobView;
use App\Repair\Positions\FittingView;
use App\Safety\RedTagView;
use OpenApi\Attributes as OA;

/** A machine with everything that is known of it. */
#[OA\Schema]
final readonly class PassportView extends View
{
    /**
     * @param  list<FittingView>  $positions
     * @param  list<PastJobView>  $jobs  newest first
     * @param  list<TimelineLine>  $timeline  newest first
     * @param  list<CampaignLine>  $campaigns  open ones it stands on
     * @param  list<ServiceDueView>  $service  what comes round, the most due first
     */
    public function __construct(
        #[OA\Property] public MachineSummary $machine,
        #[OA\Property] public HoursView $hours,
        #[OA\Property] public ?int $ownerId,
        #[OA\Property] public ?string $ownerContact,
        #[OA\Property] public ?string $notes,
        #[OA\Property(description: 'where its printer is reached is known')] public bool $hasPrinter,
        #[OA\Property] public ?int $pricePaidMinor,
        #[OA\Property] public ?RedTagView $redTag,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FittingView::class))] public array $positions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PastJobView::class))] public array $jobs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TimelineLine::class))] public array $timeline,
        #[OA\Property] public ?int $olderThan,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CampaignLine::class))] public array $campaigns,
        #[OA\Property(description: 'jobs in which a fault came back within the warranty of its repair')] public int $comebacks,
        #[OA\Property(description: 'address of the page its owner may see; null for whoever does not see owners')]
        public ?string $ownersPage,
        #[OA\Property] public ?WarrantyView $warranty,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ServiceDueView::class))] public array $service,
    ) {
    }
}
