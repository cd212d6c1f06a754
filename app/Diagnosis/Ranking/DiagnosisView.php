<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

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
     * @param  list<string>  $likely  codes of findings likely to be there too
     * @param  list<string>  $noneAdvice  what to do when it is likeliest to be none of them
     * @param  list<MoveView>  $moves
     * @param  list<LineView>  $lines
     */
    public function __construct(
        #[OA\Property] public int $version,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SuspectView::class))] public array $suspects,
        #[OA\Property(description: 'possible faults that nothing points to')] public int $others,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $unexplained,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $danger,
        #[OA\Property(description: 'that it is none of the suspects, 0 to 1')] public float $none,
        #[OA\Property(description: 'how often the first diagnosis was overturned here, in words')] public string $overturned,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $noneAdvice,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StepView::class))] public array $next,
        #[OA\Property(description: 'why the first step stands first')] public string $why,
        #[OA\Property(description: 'what the other school would begin with')] public string $otherSchool,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $likely,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MoveView::class))] public array $moves,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LineView::class))] public array $lines,
    ) {
    }
}
