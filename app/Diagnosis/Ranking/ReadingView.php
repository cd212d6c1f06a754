<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Api\View;
use OddBench\Knowledge\Reading;
use OpenApi\Attributes as OA;

/** A value a check measures. */
#[OA\Schema]
final readonly class ReadingView extends View
{
    public function __construct(
        #[OA\Property] public string $ask,
        #[OA\Property] public string $unit,
        #[OA\Property] public float $least,
        #[OA\Property] public float $most,
    ) {
    }

    public static function of(?Reading $reading): ?self
    {
        return $reading === null ? null : new self($reading->ask, $reading->unit, $reading->least, $reading->most);
    }
}
