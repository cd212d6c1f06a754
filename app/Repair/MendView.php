<?php

declare(strict_types=1);

namespace App\Repair;

use App\Api\View;
use OddBench\Knowledge\Knowledge;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class MendView extends View
{
    /** @param  list<string>  $touched names of subsystems */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public ?string $fault,
        #[OA\Property] public string $done,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $touched,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {
    }

    public static function of(Mend $mend, Knowledge $knowledge): self
    {
        return new self(
            $mend->id,
            $mend->fault === null ? null : $knowledge->faultName($mend->fault),
            $mend->done,
            array_map(fn (string $s): string => $knowledge->subsystems[$s] ?? $s, $mend->touched),
            $mend->person->name,
            $mend->at->toIso8601String(),
        );
    }
}
