<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A machine as it is seen from three metres. */
#[OA\Schema]
final readonly class FarmMachineView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $family,
        #[OA\Property] public string $place,
        #[OA\Property] public ?int $hours,
        #[OA\Property(description: 'of the part that is likeliest to fail within the span, 0 to 1')] public float $risk,
        #[OA\Property(description: 'that part')] public ?string $worst,
        #[OA\Property(description: 'what comes round on it next, in a word or two')] public ?string $service,
        #[OA\Property(description: 'days until then, 0 and below: due')] public ?int $serviceDays,
        #[OA\Property] public ?int $openJob,
        #[OA\Property] public ?string $station,
        #[OA\Property(description: 'why it wears a red tag')] public ?string $redTag,
        #[OA\Property(description: 'what its counter said and nobody believes')] public ?string $wonder,
        #[OA\Property(description: 'rack it stands in; null: nowhere that was drawn')] public ?int $rack,
        #[OA\Property(description: 'from the top')] public ?int $shelf,
        #[OA\Property(description: 'from the left')] public ?int $spot,
    ) {
    }
}
