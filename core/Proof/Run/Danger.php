<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** Why a run was cut off: in words, as a finding where it is one, and whether switching off by command can be enough. */
final readonly class Danger
{
    /**
     * @param  string|null  $finding  code
     * @param  'hotend'|'bed'|null  $stuck  heater that may heat whatever it is told: every screen says so until it is seen to cool
     * @param  bool  $unasked  it heated with nothing asked: only the plug ends that
     */
    public function __construct(public string $because, public ?string $finding, public ?string $stuck = null, public bool $unasked = false)
    {
    }
}
