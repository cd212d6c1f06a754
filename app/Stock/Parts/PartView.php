<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\View;
use App\Stock\Orders\Judged;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\SpareGrade;
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
        #[OA\Property(description: 'weeks what is free lasts; null where nothing is asked for, or nobody sells it')]
        public ?float $coverWeeks,
        #[OA\Property(description: 'weeks the reorder point is worth')] public ?float $orderAtWeeks,
        #[OA\Property] public bool $toOrder,
        #[OA\Property(enum: SpareGrade::class)] public string $grade,
        #[OA\Property(description: 'parts of a bad batch may lie among them')] public bool $suspect,
    ) {
    }

    public static function of(Part $part, Knowledge $knowledge, int $usedLately = 0, ?Judged $judged = null, bool $suspect = false): self
    {
        return new self($part->number, $part->name, $part->class, $knowledge->partClasses[$part->class] ?? $part->class, $part->bin, $part->on_hand, $part->value_minor, $usedLately,
            $judged?->says->coverWeeks, $judged === null || $judged->says->demandPerWeek <= 0 ? null : $judged->says->point / $judged->says->demandPerWeek, $judged !== null && $judged->says->packs > 0, $part->grade, $suspect);
    }
}
