<?php

declare(strict_types=1);

namespace App\Scan;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ScanView extends View
{
    /**
     * @param  list<ScanHit>  $hits
     * @param  string|null  $problem  why a code that looks like a tag is none
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ScanHit::class))] public array $hits,
        #[OA\Property] public ?string $problem,
    ) {
    }
}
