<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A proof run as it stands. */
#[OA\Schema]
final readonly class RunView extends View
{
    /**
     * @param  list<StageView>  $stages
     * @param  list<string>  $choices
     * @param  list<StageOfferView>  $offers  what a run would do now
     * @param  list<list<float>>  $samples  time in s, hot end, its target, bed, its target
     */
    public function __construct(
        #[OA\Property] public ?int $id,
        #[OA\Property(enum: RunState::class)] public string $state,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StageView::class))] public array $stages,
        #[OA\Property] public ?string $question,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $choices,
        #[OA\Property] public ?string $said,
        #[OA\Property] public ?string $host,
        #[OA\Property] public ?int $port,
        #[OA\Property(description: 'whether the runner was heard of lately')] public bool $alive,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))] public array $samples,
        #[OA\Property(description: 's since it began, or how long it took')] public ?float $elapsedS,
        #[OA\Property(description: 'about how many s are left, people’s answers apart')] public ?float $remainingS,
        #[OA\Property(enum: HeatState::class, description: 'cooling: switched off, and watched; off: it was seen to cool')]
        public string $heat,
        #[OA\Property] public ?float $hotendC,
        #[OA\Property] public ?float $bedC,
        #[OA\Property(description: 's since the printer said so')] public ?float $temperatureAgeS,
        #[OA\Property(description: '°C a heater may stray while it holds')] public float $mayStrayC,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StageOfferView::class))] public array $offers,
    ) {
    }
}
