<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class CampaignsView extends View
{
    /**
     * @param  list<CampaignLine>  $campaigns  open ones first, newest first
     * @param  list<AssigneeView>  $people  who may be given one
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: CampaignLine::class))] public array $campaigns,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AssigneeView::class))] public array $people,
    ) {
    }
}
