<?php

declare(strict_types=1);

namespace App\Safety;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class RedTagView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $putOnBy,
        #[OA\Property] public string $putOnAt,
        #[OA\Property] public ?string $cause,
        #[OA\Property] public ?string $measurement,
        #[OA\Property] public ?string $offAskedBy,
        #[OA\Property] public ?int $offAskedById,
        #[OA\Property] public ?string $supervisedTest,
        #[OA\Property] public ?string $besideTheSwitch,
        #[OA\Property] public ?string $testSignedBy,
        #[OA\Property] public ?string $testResult,
    ) {
    }

    public static function of(RedTag $tag): self
    {
        $tag->loadMissing(['putOnBy', 'offAskedBy', 'supervisedTest.signedBy']);
        $test = $tag->supervisedTest;

        return new self(
            $tag->id, $tag->reason, $tag->putOnBy->name, $tag->put_on_at->toIso8601String(),
            $tag->cause, $tag->measurement, $tag->offAskedBy?->name, $tag->off_asked_by,
            $test?->test, $test?->beside_the_switch, $test?->signedBy->name, $test?->result,
        );
    }
}
