<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class FamilyView extends View
{
    /**
     * @param  list<NamedView>  $positions
     * @param  array<string, string>  $takes  position => class of part
     * @param  array<string, string>  $traits
     * @param  array<string, string>  $starts  instrument input => what its sheet starts with
     * @param  list<string>  $places  codes of the places it has
     * @param  list<string>  $accessories  codes of what usually comes along
     * @param  list<string>  $sockets  names beside the sockets of its board
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public string $letters,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $positions,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public array $takes,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public array $traits,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $places,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public array $starts,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $sockets,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $accessories,
        #[OA\Property(description: 'somebody has seen one, and nothing is written of it yet')] public bool $unknown,
    ) {
    }
}
