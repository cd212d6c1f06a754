<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What came along with a machine, and how many of it went back. */
#[OA\Schema]
final readonly class AccessoryView extends View
{
    public function __construct(
        #[OA\Property] public ?string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public int $came,
        #[OA\Property] public int $went,
        #[OA\Property(description: 'why what did not go back stays here')] public ?string $staysBecause,
        #[OA\Property(description: 'in words, what still stands against the machine leaving')] public ?string $missing,
    ) {
    }

    public static function of(Accessory $accessory): self
    {
        return new self(
            $accessory->code,
            $accessory->name,
            $accessory->came,
            $accessory->went,
            $accessory->stays_because,
            $accessory->judged()->isMissing(),
        );
    }
}
