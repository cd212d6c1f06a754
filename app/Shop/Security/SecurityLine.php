<?php

declare(strict_types=1);

namespace App\Shop\Security;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class SecurityLine extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'what was done, in words')] public string $what,
        #[OA\Property] public bool $refused,
        #[OA\Property(description: 'of HTTP')] public int $status,
        #[OA\Property] public ?string $person,
        #[OA\Property] public ?string $about,
        #[OA\Property] public ?string $address,
    ) {
    }

    public static function of(SecurityEvent $event): self
    {
        return new self(
            $event->id,
            $event->at->toIso8601String(),
            $event->what,
            $event->status >= 400,
            $event->status,
            $event->person?->name,
            $event->about,
            $event->address,
        );
    }
}
