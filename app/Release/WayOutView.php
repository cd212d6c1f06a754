<?php

declare(strict_types=1);

namespace App\Release;

use App\Api\View;
use OddBench\Release\Grade;
use OpenApi\Attributes as OA;

/** A place the machine can go to, and what stands against it. */
#[OA\Schema]
final readonly class WayOutView extends View
{
    /**
     * @param  list<string>  $reasonsAgainst
     * @param  list<string>  $gradeBecause
     */
    public function __construct(
        #[OA\Property] public string $to,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $runsAgain,
        #[OA\Property] public bool $needsDanger,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $reasonsAgainst,
        #[OA\Property(description: 'days the shop stands for a repair unless told otherwise; null where no repair is stood for')]
        public ?int $warrantyDays,
        #[OA\Property] public ?int $warrantyHours,
        #[OA\Property(enum: Grade::class, description: 'of a machine for sale')] public ?string $grade,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $gradeBecause,
    ) {
    }
}
