<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use App\Api\View;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mend;
use OpenApi\Attributes as OA;

/** A fault that was confirmed, and what overturned it when it was wrong. */
#[OA\Schema]
final readonly class ConfirmedView extends View
{
    /**
     * @param  list<string>  $cautions
     * @param  list<string>  $partClasses
     * @param  list<WayView>  $ways  of mending it
     * @param  list<string>  $behind  names of faults that usually lie behind it
     */
    public function __construct(
        #[OA\Property] public string $fault,
        #[OA\Property] public string $name,
        #[OA\Property] public float $probability,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public bool $superseded,
        #[OA\Property] public ?string $overturnedBy,
        #[OA\Property] public string $do,
        #[OA\Property] public float $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WayView::class))] public array $ways,
        #[OA\Property] public bool $danger,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $partClasses,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $behind,
        #[OA\Property] public bool $mended,
        #[OA\Property(description: 'other machines worth the same look; null when that is no question')] public ?int $sisters,
        #[OA\Property] public ?string $sistersBecause,
        #[OA\Property(description: 'the job whose warranty it came back within')] public ?int $comebackOf,
        #[OA\Property] public ?string $comebackSince,
    ) {
    }

    public static function of(Confirmed $confirmed, Knowledge $knowledge, bool $mended, ?int $sisters = null): self
    {
        $fault = $knowledge->faults[$confirmed->fault] ?? null;
        $names = static fn (array $codes): array => array_values(array_map(
            static fn (string $code): string => $knowledge->faults[$code]->name,
            $codes,
        ));

        return new self(
            $confirmed->fault,
            $fault->name ?? $confirmed->fault,
            $confirmed->probability,
            $confirmed->person->name,
            $confirmed->at->toIso8601String(),
            $confirmed->superseded_at !== null,
            $confirmed->overturned_by === null
                ? null
                : ($knowledge->findings[$confirmed->overturned_by]->name ?? $confirmed->overturned_by),
            $fault?->mend()->do ?? '',
            $fault?->mend()->minutes ?? 0.0,
            array_map(static fn (Mend $m): WayView => WayView::of($m, $knowledge), $fault->mends ?? []),
            $fault->danger ?? false,
            $fault->cautions ?? [],
            $fault?->mend()->parts ?? [],
            $names($fault->behind ?? []),
            $mended,
            $sisters, $sisters === null ? null : $fault?->sisters?->because,
            $confirmed->comeback_of, $confirmed->comeback_of === null ? null : $confirmed->earlier?->finished_at?->toIso8601String(),
        );
    }
}
