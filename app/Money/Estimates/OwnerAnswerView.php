<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\View;
use OddBench\Money\OwnerSaid;
use OpenApi\Attributes as OA;

/** What an owner answered. */
#[OA\Schema]
final readonly class OwnerAnswerView extends View
{
    public function __construct(
        #[OA\Property(enum: OwnerSaid::class)] public string $answer,
        #[OA\Property] public string $words,
        #[OA\Property] public ?int $upToMinor,
        #[OA\Property] public string $saidBy,
        #[OA\Property] public string $way,
        #[OA\Property(description: 'it came when the work was done')] public bool $late,
        #[OA\Property(description: 'who took it down; nobody when its owner wrote it')] public ?string $by,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'network address it was written from, when its owner wrote it')] public ?string $address,
    ) {
    }

    /** The relation person must be loaded. */
    public static function of(EstimateAnswer $answer): self
    {
        return new self(
            $answer->answer->value,
            $answer->answer->words(),
            $answer->up_to_minor,
            $answer->said_by,
            $answer->way,
            $answer->late,
            $answer->person?->name,
            $answer->at->toIso8601String(),
            $answer->address,
        );
    }
}
