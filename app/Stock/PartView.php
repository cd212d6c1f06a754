<?php

declare(strict_types=1);

namespace App\Stock;

use App\Api\View;
use OddBench\Knowledge\Knowledge;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class PartView extends View
{
    public function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $name,
        #[OA\Property] public string $class,
        #[OA\Property] public string $className,
        #[OA\Property] public string $bin,
        #[OA\Property] public int $onHand,
        #[OA\Property] public int $valueMinor,
        #[OA\Property(description: 'used in the last 90 days')] public int $usedLately,
    ) {
    }

    public static function of(Part $part, Knowledge $knowledge, int $usedLately = 0): self
    {
        return new self($part->number, $part->name, $part->class, $knowledge->partClasses[$part->class] ?? $part->class, $part->bin, $part->on_hand, $part->value_minor, $usedLately);
    }
}
