<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A spool, what is left on it, and whether it can be trusted. */
#[OA\Schema]
final readonly class SpoolView extends View
{
    /**
     * @param  list<string>  $because
     * @param  list<SpoolEventView>  $events
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $material,
        #[OA\Property] public ?string $colour,
        #[OA\Property] public ?string $lot,
        #[OA\Property] public float $netG,
        #[OA\Property] public float $emptyG,
        #[OA\Property] public float $leftG,
        #[OA\Property] public float $leftM,
        #[OA\Property] public int $pricePerKgMinor,
        #[OA\Property] public ?string $madeOn,
        #[OA\Property] public ?string $openedAt,
        #[OA\Property] public ?string $driedAt,
        #[OA\Property] public bool $ended,
        #[OA\Property] public bool $old,
        #[OA\Property] public bool $damp,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $because,
        #[OA\Property(description: 'how to dry it')] public ?string $drying,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SpoolEventView::class))] public array $events,
    ) {
    }
}
