<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What it could be, why, and what to do next. */
#[OA\Schema]
final readonly class DiagnosisView extends View
{
    /**
     * @param  list<SuspectView>  $suspects  those that explain something, then those worth a thought
     * @param  list<string>  $unexplained  names of findings
     * @param  list<string>  $danger  why a red tag is asked for
     * @param  list<StepView>  $next
     */
    public function __construct(
        #[OA\Property] public int $version,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SuspectView::class))] public array $suspects,
        #[OA\Property(description: 'possible faults that nothing points to')] public int $others,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $unexplained,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $danger,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StepView::class))] public array $next,
    ) {
    }
}
