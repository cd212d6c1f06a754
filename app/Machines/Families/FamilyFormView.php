<?php

declare(strict_types=1);

namespace App\Machines\Families;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A family as it is edited. */
#[OA\Schema]
final readonly class FamilyFormView extends View
{
    /** @param  array<mixed>  $content */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(description: 'the shop has written it, over a shipped one or as one more')] public bool $own,
        #[OA\Property(description: 'one of this code comes with the application')] public bool $shipped,
        #[OA\Property] public int $machines,
        #[OA\Property(type: 'object', additionalProperties: true, description: 'as its file holds it')] public array $content,
        #[OA\Property(description: 'address of a picture of it')] public ?string $picture,
    ) {
    }
}
