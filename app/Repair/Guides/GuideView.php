<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A guide. */
#[OA\Schema]
final readonly class GuideView extends View
{
    /**
     * @param  list<string>  $mends
     * @param  list<string>  $tools
     * @param  list<KitNeedView>  $kit
     * @param  list<GuideKitView>  $kits  by family and way
     * @param  list<string>  $touches
     * @param  list<string>  $proofs  names of what it owes
     * @param  list<GuideStepView>  $steps
     */
    public function __construct(
        #[OA\Property] public GuideLineView $guide,
        #[OA\Property(description: 'the state it begins in and how that is reached')] public string $state,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $mends,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $tools,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KitNeedView::class))] public array $kit,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GuideKitView::class))] public array $kits,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $touches,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $proofs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GuideStepView::class))] public array $steps,
    ) {
    }
}
