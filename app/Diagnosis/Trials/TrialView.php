<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use App\Api\View;
use App\Intake\PhotographView;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class TrialView extends View
{
    /**
     * @param  array<string, float|int|string>  $settings
     * @param  list<string>  $changed  settings that differ from the trial before
     */
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')]),
        )]
        public array $settings,
        #[OA\Property] public int $rating,
        #[OA\Property] public bool $stopped,
        #[OA\Property] public ?float $bandFromMm,
        #[OA\Property] public ?float $bandToMm,
        #[OA\Property] public ?string $note,
        #[OA\Property] public ?PhotographView $photograph,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $changed,
        #[OA\Property] public ?string $warning,
    ) {
    }
}
