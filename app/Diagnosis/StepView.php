<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A next step: a look, a swap or a mend. */
#[OA\Schema]
final readonly class StepView extends View
{
    /**
     * @param  list<string>  $steps
     * @param  list<AnswerView>  $answers
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(enum: ['check', 'swap', 'mend'])] public string $kind,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'the one finding a yes or no is about')] public ?string $finding,
        #[OA\Property(description: 'that finding in words')] public ?string $asks,
        #[OA\Property] public float $minutes,
        #[OA\Property] public string $state,
        #[OA\Property] public bool $supervised,
        #[OA\Property(description: 'a lead signs for it first: the machine wears a red tag')] public bool $wantsSignature,
        #[OA\Property] public bool $qualified,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $steps,
        #[OA\Property] public ?string $caution,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AnswerView::class))] public array $answers,
    ) {
    }
}
