<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OddBench\Instruments\Verdict;
use OpenApi\Attributes as OA;

/** What an instrument worked out, under the names `compute` gives them. */
#[OA\Schema(additionalProperties: true)]
final readonly class InstrumentResult extends View
{
    /** @param  array<string, mixed>  $result */
    public function __construct(
        private array $result,
        #[OA\Property(enum: Verdict::class)] public ?string $verdict,
        #[OA\Property(description: 'one plain sentence with the figures in it')] public ?string $because,
    ) {
    }

    /** @param  array<string, mixed>  $result */
    public static function of(array $result): self
    {
        $verdict = $result['verdict'] ?? null;
        $because = $result['because'] ?? null;

        return new self($result, is_string($verdict) ? $verdict : null, is_string($because) ? $because : null);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return $this->result + ['verdict' => null, 'because' => null];
    }
}
