<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A next step: a look, several quick ones in a sweep, a swap or a mend. */
#[OA\Schema]
final readonly class StepView extends View
{
    /**
     * @param  list<string>  $steps
     * @param  list<string>  $cautions
     * @param  list<string>  $pictures
     * @param  list<AnswerView>  $answers
     * @param  list<StepView>  $looks
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(enum: StepKind::class)] public string $kind,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'the one finding a yes or no is about')] public ?string $finding,
        #[OA\Property(description: 'that finding in words')] public ?string $asks,
        #[OA\Property] public float $minutes,
        #[OA\Property] public string $state,
        #[OA\Property] public bool $supervised,
        #[OA\Property(description: 'a lead signs for it first: the machine wears a red tag')] public bool $wantsSignature,
        #[OA\Property] public bool $qualified,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what can hurt, said at the step')]
        public array $cautions,
        #[OA\Property(description: 'minutes until it is done where most need no hands')] public ?float $takes,
        #[OA\Property] public ?ReadingView $reading,
        #[OA\Property(description: 'the instrument that judges it')] public ?string $instrument,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'drawings to compare with')] public array $pictures,
        #[OA\Property(description: 'it saves more than it costs')] public bool $pays,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AnswerView::class))] public array $answers,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StepView::class), description: 'of a sweep')] public array $looks,
        #[OA\Property(description: 'why it stands where it stands, in a word or two')] public ?string $tag,
    ) {
    }
}
