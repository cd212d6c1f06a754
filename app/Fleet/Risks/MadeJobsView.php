<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Api\View;
use OpenApi\Attributes as OA;

/** The jobs that were made or added to, machine by machine. */
#[OA\Schema]
final readonly class MadeJobsView extends View
{
    /** @param  list<MadeJobView>  $jobs */
    public function __construct(#[OA\Property(type: 'array', items: new OA\Items(ref: MadeJobView::class))] public array $jobs)
    {
    }
}
