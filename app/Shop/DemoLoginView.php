<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class DemoLoginView extends View
{
    public function __construct(
        #[OA\Property] public string $login,
        #[OA\Property] public string $name,
        #[OA\Property] public string $role,
        #[OA\Property] public string $password,
    ) {
    }
}
