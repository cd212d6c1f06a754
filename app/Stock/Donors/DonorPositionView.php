<?php

declare(strict_types=1);

namespace App\Stock\Donors;

use App\Api\View;
use App\Stock\Parts\OtherPartView;
use OpenApi\Attributes as OA;

/** A position of a donor. */
#[OA\Schema]
final readonly class DonorPositionView extends View
{
    /**
     * @param  list<OtherPartView>  $choices
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public string $className,
        #[OA\Property(description: 'something is still in it')] public bool $left,
        #[OA\Property] public ?string $part,
        #[OA\Property] public ?string $partName,
        #[OA\Property(description: 'run there')] public ?float $hours,
        #[OA\Property(description: 'number of the spare it became')] public ?string $spare,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OtherPartView::class))] public array $choices,
        #[OA\Property(description: 'its share of what the machine cost; null where that was not spread')] public ?int $costMinor,
    ) {
    }
}
