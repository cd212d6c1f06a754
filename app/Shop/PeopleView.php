<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Everybody who works here, and who left. */
#[OA\Schema]
final readonly class PeopleView extends View
{
    /** @param  list<PersonLine>  $people */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: PersonLine::class))] public array $people,
        #[OA\Property(description: 'to be handed over to who was added or reset: it is shown this once')] public ?string $code = null,
        #[OA\Property(description: 'whose code that is')] public ?string $codeFor = null,
    ) {
    }

    public static function read(?Person $of = null, ?string $code = null): self
    {
        return new self(
            array_values(Person::query()->orderByRaw('left_at IS NOT NULL, name, id')->limit(500)->get()->map(PersonLine::of(...))->all()),
            $code,
            $of?->name,
        );
    }
}
