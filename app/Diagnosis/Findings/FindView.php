<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Api\View;
use App\Diagnosis\Ranking\DiagnosisView;
use App\Safety\RedTagView;
use OpenApi\Attributes as OA;

/** What Find shows after something was found out: all of a job that has moved, and what it could be now. */
#[OA\Schema]
final readonly class FindView extends View
{
    /** @param  list<FindingView>  $findings */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $version,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FindingView::class))] public array $findings,
        #[OA\Property] public ?RedTagView $redTag,
        #[OA\Property] public ?string $handsOf,
        #[OA\Property(description: 'null while the findings are too many to be judged together')] public ?DiagnosisView $diagnosis,
    ) {
    }
}
