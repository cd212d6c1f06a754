<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What the page must know of the trade to ask and to name things. */
#[OA\Schema]
final readonly class KnowledgeView extends View
{
    /**
     * @param  list<FindingNameView>  $findings
     * @param  list<NamedView>  $faults
     * @param  list<NamedView>  $poweredChecks  those a supervised test can be signed for
     * @param  list<SafetyQuestionView>  $safetyQuestions
     * @param  list<FamilyView>  $families
     * @param  list<NamedView>  $subsystems
     * @param  list<NamedView>  $partClasses
     * @param  list<NamedView>  $began
     * @param  list<PlaceView>  $places
     * @param  list<NamedView>  $settings  what trial prints vary
     * @param  list<NamedView>  $accessories  what comes along with machines
     * @param  list<NamedView>  $service  what comes round
     * @param  array<string, list<string>>  $traits  every trait and its values
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: FindingNameView::class))] public array $findings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $faults,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $poweredChecks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SafetyQuestionView::class))] public array $safetyQuestions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FamilyView::class))] public array $families,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $subsystems,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $partClasses,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $began,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlaceView::class))] public array $places,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $settings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $accessories,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $service,
        #[OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')),
        )]
        public array $traits,
    ) {
    }
}
