<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A manual, map or drawing of a family. */
#[OA\Schema]
final readonly class PaperView extends View
{
    /**
     * @param  list<PaperMarkView>  $marks
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $family,
        #[OA\Property] public string $title,
        #[OA\Property] public string $url,
        #[OA\Property] public bool $picture,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PaperMarkView::class))] public array $marks,
    ) {
    }
}
