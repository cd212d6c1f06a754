<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class OwnerLetterView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $owner,
        #[OA\Property(description: 'how they are reached')] public ?string $contact,
        #[OA\Property] public string $text,
        #[OA\Property] public ?string $writtenAt,
    ) {
    }
}
