<?php

declare(strict_types=1);

namespace App\Money\Terms;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What the shop asks for its work, and how it reckons. */
#[OA\Schema]
final readonly class PriceListView extends View
{
    public function __construct(
        #[OA\Property(description: 'what an owner is charged for a minute of hands')] public int $minuteMinor,
        #[OA\Property(description: 'on parts')] public float $markupPct,
        #[OA\Property(description: 'on the whole')] public float $taxPct,
        #[OA\Property(description: 'least net of a job that is charged')] public int $minimumMinor,
        #[OA\Property(description: 'that a machine which is ready stands for nothing')] public int $freeDays,
        #[OA\Property(description: 'a day after them')] public int $storageDayMinor,
        #[OA\Property(description: 'to be earned on a machine that is bought')] public int $marginMinor,
        #[OA\Property(description: 'what selling one costs')] public int $sellingMinor,
        #[OA\Property(description: 'what a day costs that a machine stands')] public int $idleDayMinor,
        #[OA\Property(description: 'of a lot, what is sold pays first')] public bool $residual,
        #[OA\Property(description: 'the shop fits parts that were claimed itself')] public bool $partsClaims,
    ) {
    }

    public static function of(PriceList $list): self
    {
        return new self(...get_object_vars($list));
    }
}
