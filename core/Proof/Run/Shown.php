<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** What a stage has shown, in words and, where something was measured, as the value a proof is judged by. */
final readonly class Shown
{
    /** @param  float|null  $riseS  how long it took from cold; later runs of this machine are held against it */
    public function __construct(public string $words, public ?float $value = null, public ?float $riseS = null)
    {
    }
}
