<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Where a part is bought, and how it stands against what is asked for. */
#[OA\Schema]
final readonly class SupplyView extends View
{
    /**
     * @param  list<string>  $plannedFor
     * @param  list<int>  $history  taken in each week, the oldest first
     */
    public function __construct(
        #[OA\Property] public string $supplier,
        #[OA\Property] public ?string $contact,
        #[OA\Property] public int $saysDays,
        #[OA\Property] public float $leadDays,
        #[OA\Property] public ?string $number,
        #[OA\Property] public int $pack,
        #[OA\Property] public int $packCostMinor,
        #[OA\Property] public int $reserved,
        #[OA\Property] public int $onOrder,
        #[OA\Property(description: 'what the kits of open jobs will take')] public int $planned,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'tags of their machines')] public array $plannedFor,
        #[OA\Property(description: 'on hand and on order, less what is promised and planned')] public int $free,
        #[OA\Property] public int $reorderPoint,
        #[OA\Property] public int $orderPacks,
        #[OA\Property] public float $risk,
        #[OA\Property] public float $demandPerWeek,
        #[OA\Property] public string $because,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $history,
        #[OA\Property(description: 'of those in use on the farm so many are expected to fail until an order of today is here')]
        public ?float $foretold,
        #[OA\Property] public ?int $inUse,
        #[OA\Property(description: 'when an order of today is here')] public string $hereOn,
    ) {
    }

    public static function of(Judged $j): self
    {
        return new self(
            $j->supply->supplier->name,
            $j->supply->supplier->contact,
            $j->supply->supplier->lead_days,
            round($j->lead->meanDays, 1),
            $j->supply->number,
            $j->supply->pack,
            $j->supply->pack_cost_minor,
            $j->reserved,
            $j->onOrder,
            $j->planned,
            $j->plannedFor,
            $j->says->free,
            $j->says->point,
            $j->says->packs,
            round($j->says->risk, 4),
            $j->says->demandPerWeek,
            $j->says->because,
            $j->history,
            $j->foretold === null ? null : round($j->foretold->expected, 2),
            $j->foretold?->inUse,
            now()->addDays((int) round($j->lead->meanDays))->toDateString(),
        );
    }
}
