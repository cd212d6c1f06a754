<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\View;
use App\Stock\Kits\KitLineView;
use OpenApi\Attributes as OA;

/** A guide at work in a job. */
#[OA\Schema]
final readonly class GuideRunView extends View
{
    /**
     * @param  list<int>  $done
     * @param  list<GuideStepView>  $steps
     * @param  list<KitLineView>  $kit
     * @param  list<string>  $kitShortest
     * @param  list<string>  $tools
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public ?string $school,
        #[OA\Property] public string $by,
        #[OA\Property] public string $beganAt,
        #[OA\Property(description: 'of hands so far')] public float $minutes,
        #[OA\Property] public float $estimate,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $done,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GuideStepView::class))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KitLineView::class))] public array $kit,
        #[OA\Property(description: 'how often it can be done with what is free; null when it needs nothing')] public ?int $kitTimes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what runs short first')] public array $kitShortest,
        #[OA\Property(description: 'the day the last of what is short is expected')] public ?string $kitCouldStart,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $tools,
        #[OA\Property] public string $state,
    ) {
    }
}
