<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A rack as it stands in the room. */
#[OA\Schema]
final readonly class RackView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public int $shelves,
        #[OA\Property(description: 'on a shelf')] public int $places,
        #[OA\Property] public int $version,
    ) {
    }

    public static function of(Rack $rack): self
    {
        return new self($rack->id, $rack->name, $rack->shelves, $rack->places, $rack->version);
    }
}
