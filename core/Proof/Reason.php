<?php

declare(strict_types=1);

namespace OddBench\Proof;

use OddBench\Knowledge\Proof;

/** Something that was done to a machine and makes proofs owed. */
final readonly class Reason
{
    /**
     * @param  'mended'|'new'|'unplugged'|'touched'  $kind
     * @param  string  $name  of the fault, position, socket or subsystem
     * @param  string|null  $subsystem  what was touched by it
     * @param  string|null  $partClass  what was fitted
     * @param  string|null  $fault  what was mended
     */
    public function __construct(
        public string $kind,
        public string $name,
        public ?string $subsystem = null,
        public ?string $partClass = null,
        public ?string $fault = null,
    ) {
    }

    /** Whether this reason asks for that proof. */
    public function owes(Proof $proof): bool
    {
        return ($this->fault !== null && ($proof->anyMend || in_array($this->fault, $proof->mended, true)))
            || ($this->partClass !== null && in_array($this->partClass, $proof->fitted, true))
            || ($this->subsystem !== null && in_array($this->subsystem, $proof->touched, true));
    }
}
