<?php

declare(strict_types=1);

namespace App\Intake;

/**
 * While many writes follow each other and nobody looks in between, no job is told what is to be done next: they stay without one, and
 * `odd-bench:next-steps` says it once, when all of them are done.
 */
final class LaterSteps
{
    private bool $later = false;

    /**
     * @template T
     *
     * @param  callable(): T  $writes
     * @return T
     */
    public function during(callable $writes): mixed
    {
        $this->later = true;
        try {
            return $writes();
        } finally {
            $this->later = false;
        }
    }

    public function areLater(): bool
    {
        return $this->later;
    }
}
