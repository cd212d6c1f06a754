<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\View;
use OpenApi\Attributes as OA;

/** One thing that came off. */
#[OA\Schema]
final readonly class TrayStepView extends View
{
    /**
     * @param  list<FastenerView>  $fasteners
     * @param  list<string>  $sockets
     * @param  list<string>  $parts
     * @param  list<string>  $waitsFor  what must be back before it
     */
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property] public string $off,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FastenerView::class))] public array $fasteners,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $sockets,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $parts,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $waitsFor,
        #[OA\Property(description: 'can be ticked now')] public bool $open,
        #[OA\Property(enum: StepState::class)] public string $standing,
        #[OA\Property] public ?int $cell,
        #[OA\Property] public ?string $wayRound,
        #[OA\Property] public ?string $caution,
        #[OA\Property] public ?string $undoFirst,
        #[OA\Property] public ?string $firstPass,
        #[OA\Property] public ?string $secondPass,
        #[OA\Property] public ?string $check,
        #[OA\Property] public ?string $photograph,
        #[OA\Property(description: 'what went in, when it is not what came out')] public ?string $wentIn,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {
    }
}
