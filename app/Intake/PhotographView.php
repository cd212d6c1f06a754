<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class PhotographView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $url,
        #[OA\Property] public int $width,
        #[OA\Property] public int $height,
    ) {
    }

    public static function of(Photograph $photograph): self
    {
        return new self($photograph->id, "/files/photographs/{$photograph->id}.jpg", $photograph->width, $photograph->height);
    }
}
