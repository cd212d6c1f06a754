<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What owners of affected machines are told. */
#[OA\Schema]
final readonly class OwnerLettersView extends View
{
    /** @param  list<OwnerLetterView>  $letters  those not written yet first */
    public function __construct(#[OA\Property(type: 'array', items: new OA\Items(ref: OwnerLetterView::class))] public array $letters)
    {
    }
}
