<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Api\View;
use OddBench\Knowledge\Knowledge;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class FindingView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $present,
        #[OA\Property] public bool $redTag,
        #[OA\Property] public string $source,
        #[OA\Property] public ?string $value,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {
    }

    public static function of(JobFinding $finding, Knowledge $knowledge): self
    {
        $known = $knowledge->findings[$finding->code] ?? null;
        [$how, $code] = [...explode(':', $finding->source, 2), ''];
        $source = match ($how) {
            'check' => $knowledge->checks[$code]->name ?? $code,
            'instrument' => $knowledge->instruments[$code]->name ?? $code,
            'proof' => $knowledge->proofs[$code]->name ?? $code,
            default => $how,
        };

        return new self(
            $finding->id,
            $finding->code,
            $known->name ?? $finding->code,
            $finding->present,
            $known->redTag ?? false,
            $source,
            $finding->value,
            $finding->person->name,
            $finding->at->toIso8601String(),
        );
    }
}
