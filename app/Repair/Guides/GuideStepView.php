<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A step of a guide. */
#[OA\Schema]
final readonly class GuideStepView extends View
{
    /**
     * @param  list<string>  $hazards
     */
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property] public string $do,
        #[OA\Property] public string $power,
        #[OA\Property] public string $heat,
        #[OA\Property] public bool $powerChanges,
        #[OA\Property] public bool $heatChanges,
        #[OA\Property] public ?string $target,
        #[OA\Property] public ?string $caution,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $hazards,
        #[OA\Property(description: 'such as 15 to 20 min')] public ?string $timer,
        #[OA\Property] public ?string $timerName,
        #[OA\Property] public ?string $school,
        #[OA\Property] public ?string $part,
        #[OA\Property] public ?string $instrument,
        #[OA\Property(description: 'what goes on the tray')] public ?string $off,
    ) {
    }
}
