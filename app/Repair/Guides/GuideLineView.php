<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A guide on one line. */
#[OA\Schema]
final readonly class GuideLineView extends View
{
    /**
     * @param  list<string>  $schools
     * @param  list<string>  $families  names
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public string $area,
        #[OA\Property] public float $first,
        #[OA\Property] public float $practised,
        #[OA\Property(description: 'minutes it will take the person who asks')] public ?float $estimate,
        #[OA\Property(description: 'how often that person did it')] public int $times,
        #[OA\Property(description: 'the fault or the service it is for in this job')] public ?string $for,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $schools,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $families,
    ) {
    }
}
