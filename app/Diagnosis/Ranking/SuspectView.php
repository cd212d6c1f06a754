<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class SuspectView extends View
{
    /**
     * @param  list<string>  $explains  names of present findings
     * @param  list<EvidenceView>  $for
     * @param  list<EvidenceView>  $against
     * @param  list<BeliefView>  $behind
     * @param  list<BeliefView>  $brings
     */
    public function __construct(
        #[OA\Property] public string $fault,
        #[OA\Property] public string $name,
        #[OA\Property] public string $area,
        #[OA\Property] public string $means,
        #[OA\Property(description: 'the look it wants before anybody mends it')] public ?string $first,
        #[OA\Property(description: 'its mend is for qualified people only')] public bool $qualified,
        #[OA\Property] public ?string $tells,
        #[OA\Property] public bool $danger,
        #[OA\Property] public float $probability,
        #[OA\Property] public float $start,
        #[OA\Property(description: 'where the lean bar begins and ends: log-odds put on a scale from 0 to 1')] public float $barFrom,
        #[OA\Property] public float $barTo,
        #[OA\Property] public bool $explainsBest,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $explains,
        #[OA\Property(type: 'array', items: new OA\Items(ref: EvidenceView::class))] public array $for,
        #[OA\Property(type: 'array', items: new OA\Items(ref: EvidenceView::class))] public array $against,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BeliefView::class))] public array $behind,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BeliefView::class))] public array $brings,
        #[OA\Property(description: 'finished jobs of this family with this fault')] public int $seenHere,
        #[OA\Property] public int $jobsHere,
    ) {
    }
}
