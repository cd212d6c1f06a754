<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What was believed of one fault after each move. */
#[OA\Schema]
final readonly class LineView extends View
{
    /** @param  list<float>  $points  probabilities, one for each move */
    public function __construct(
        #[OA\Property] public string $fault,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $superseded,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $points,
    ) {
    }
}
