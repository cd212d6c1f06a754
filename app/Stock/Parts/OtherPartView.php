<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Another part that has to do with this one. */
#[OA\Schema]
final readonly class OtherPartView extends View
{
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $name,
        #[OA\Property] public string $bin,
        #[OA\Property] public int $onHand,
        #[OA\Property] public string $grade,
        #[OA\Property] public ?string $note,
    ) {
    }
}
