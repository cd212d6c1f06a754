<?php

declare(strict_types=1);

namespace App\Plan\HandOver;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What the next shift must know, from the record. */
#[OA\Schema]
final readonly class HandOverView extends View
{
    /**
     * @param  list<HandOverLineView>  $hot
     * @param  list<HandOverLineView>  $open
     * @param  list<HandOverLineView>  $countedOn
     * @param  list<HandOverLineView>  $promised
     * @param  list<HandOverLineView>  $call
     * @param  list<HandOverLineView>  $done
     */
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HandOverLineView::class), description: 'hot, running, or dangerous')]
        public array $hot,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HandOverLineView::class), description: 'taken apart or in hands')]
        public array $open,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HandOverLineView::class), description: 'what is to come or to be started')]
        public array $countedOn,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HandOverLineView::class))] public array $promised,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HandOverLineView::class))] public array $call,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HandOverLineView::class), description: 'sent out today')]
        public array $done,
    ) {
    }
}
