<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use Illuminate\Support\Carbon;

/** What Find says of a job as it stands: the next look, what searching still takes, what it most likely is. */
final readonly class Looked
{
    /** So long it holds while the job stays as it is; counts and prices move slower. */
    private const HOLDS_MINUTES = 30;

    /**
     * @param  array{string, float, bool}|null  $look  name, minutes, for qualified people only
     * @param  list<string>  $likeliest
     */
    public function __construct(public ?array $look, public float $search, public array $likeliest, private string $at)
    {
    }

    /** @param  array{look: array{string, float, bool}|null, search: float, likeliest: list<string>, at: string}  $kept */
    public static function from(array $kept): self
    {
        return new self($kept['look'], (float) $kept['search'], $kept['likeliest'], $kept['at']);
    }

    public function holds(): bool
    {
        return Carbon::parse($this->at)->gt(now()->subMinutes(self::HOLDS_MINUTES));
    }

    /** @return array<string, mixed> */
    public function kept(): array
    {
        return ['look' => $this->look, 'search' => $this->search, 'likeliest' => $this->likeliest, 'at' => $this->at];
    }
}
