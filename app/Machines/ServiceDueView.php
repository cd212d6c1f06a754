<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OddBench\Machines\ServiceDue;
use OpenApi\Attributes as OA;

/** Work that comes round on a machine. */
#[OA\Schema]
final readonly class ServiceDueView extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'how much of the way is gone; 1 and more is due')] public float $share,
        #[OA\Property] public bool $due,
        #[OA\Property] public string $words,
        #[OA\Property] public ?string $guide,
    ) {
    }

    public static function of(ServiceDue $due): self
    {
        return new self($due->item->code, $due->item->name, round($due->share, 3), $due->due(), $due->words(), $due->item->guide);
    }
}
