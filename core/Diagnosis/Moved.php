<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** What was believed after one finding was made or withdrawn. */
final readonly class Moved
{
    /**
     * @param  string|null  $finding  null before the first
     * @param  list<float>  $faults  probability by fault
     */
    public function __construct(public ?string $finding, public bool $present, public bool $withdrawn, public array $faults)
    {
    }
}
