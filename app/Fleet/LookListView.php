<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A look-list with its machines and how far it has come. */
#[OA\Schema]
final readonly class LookListView extends View
{
    /**
     * @param  list<string>  $steps  how to look
     * @param  list<string>  $cautions
     * @param  list<LookView>  $machines  those to look at first
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $fault,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $danger,
        #[OA\Property] public string $look,
        #[OA\Property] public float $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $cautions,
        #[OA\Property] public string $because,
        #[OA\Property] public int $foundInJob,
        #[OA\Property] public string $foundOn,
        #[OA\Property] public string $by,
        #[OA\Property] public string $openedAt,
        #[OA\Property] public ?string $closedAt,
        #[OA\Property] public int $all,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $affected,
        #[OA\Property(description: 'share of those looked at')] public ?float $share,
        #[OA\Property(description: '95 % interval by Wilson for the share of all')] public ?float $shareLow,
        #[OA\Property] public ?float $shareHigh,
        #[OA\Property] public string $said,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LookView::class))] public array $machines,
    ) {
    }
}
