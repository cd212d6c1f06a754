<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Lives of every class of part. */
#[OA\Schema]
final readonly class LivesView extends View
{
    /** @param  list<LifeLineView>  $lives  those that are known best first */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: LifeLineView::class))] public array $lives,
        #[OA\Property(description: 'when they were worked out last')] public ?string $workedOutAt,
        #[OA\Property(description: 'failures from which on a group goes by itself')] public int $believesFrom,
    ) {
    }
}
