<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Api\View;
use OpenApi\Attributes as OA;

/** One answer a next step can give. */
#[OA\Schema]
final readonly class AnswerView extends View
{
    /** @param  list<BeliefView>  $leadsTo */
    public function __construct(
        #[OA\Property] public string $answer,
        #[OA\Property] public string $name,
        #[OA\Property] public float $probability,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BeliefView::class))] public array $leadsTo,
    ) {
    }
}
