<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

/** The papers of a family. */
#[OA\Schema]
final readonly class PapersView extends View
{
    /**
     * @param  list<PaperView>  $papers
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: PaperView::class))] public array $papers,
    ) {
    }
}
