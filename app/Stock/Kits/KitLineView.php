<?php

declare(strict_types=1);

namespace App\Stock\Kits;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A part of a kit, and where it stands. */
#[OA\Schema]
final readonly class KitLineView extends View
{
    /** @param  list<string>  $substitutes  what does as well, with its bin */
    public function __construct(
        #[OA\Property] public string $class,
        #[OA\Property] public string $name,
        #[OA\Property] public int $count,
        #[OA\Property] public bool $ifNeeded,
        #[OA\Property] public ?string $part,
        #[OA\Property] public ?string $partName,
        #[OA\Property] public ?string $bin,
        #[OA\Property(description: 'on the shelf and not promised to another job')] public int $free,
        #[OA\Property] public int $short,
        #[OA\Property(description: 'promised to this job')] public int $promised,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $substitutes,
    ) {
    }
}
