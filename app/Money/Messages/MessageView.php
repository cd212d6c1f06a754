<?php

declare(strict_types=1);

namespace App\Money\Messages;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What an owner was told or answered. */
#[OA\Schema]
final readonly class MessageView extends View
{
    public function __construct(
        #[OA\Property(enum: ['told', 'answered', 'estimate', 'ready', 'reminder'])] public string $kind,
        #[OA\Property] public string $way,
        #[OA\Property] public string $text,
        #[OA\Property] public ?string $by,
        #[OA\Property] public string $at,
    ) {
    }

    /** The relation person must be loaded. */
    public static function of(Message $message): self
    {
        return new self($message->kind, $message->way, $message->text, $message->person?->name, $message->at->toIso8601String());
    }
}
