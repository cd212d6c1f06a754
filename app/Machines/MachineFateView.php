<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class MachineFateView extends View
{
    public function __construct(
        #[OA\Property(description: 'of the file, the first row is 1')] public int $line,
        #[OA\Property(enum: MachineFate::class)] public string $fate,
        #[OA\Property(description: 'what stands there')] public string $what,
        #[OA\Property(description: 'why, where it is not new')] public string $message,
        #[OA\Property(description: 'its tag, where it has one')] public ?string $tag,
    ) {
    }
}
