<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use App\Api\View;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mend;
use OpenApi\Attributes as OA;

/** One way to put a fault right; where people differ there are several, each a school. */
#[OA\Schema]
final readonly class WayView extends View
{
    /** @param  list<string>  $parts  names of part classes */
    public function __construct(
        #[OA\Property] public ?string $school,
        #[OA\Property] public string $do,
        #[OA\Property] public float $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $parts,
    ) {
    }

    public static function of(Mend $mend, Knowledge $knowledge): self
    {
        return new self(
            $mend->school,
            $mend->do,
            $mend->minutes,
            array_map(static fn (string $class): string => $knowledge->partClasses[$class] ?? $class, $mend->parts),
        );
    }
}
