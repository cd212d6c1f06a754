<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A code and the words for it. */
#[OA\Schema]
final readonly class NamedView extends View
{
    public function __construct(#[OA\Property] public string $code, #[OA\Property] public string $name)
    {
    }

    /**
     * @param  array<string, string>  $names
     * @return list<self>
     */
    public static function all(array $names): array
    {
        $views = [];
        foreach ($names as $code => $name) {
            $views[] = new self($code, $name);
        }

        return $views;
    }
}
