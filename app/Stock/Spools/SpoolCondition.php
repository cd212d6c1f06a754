<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use Illuminate\Support\Carbon;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\SpoolState;

/** How a spool is today, by what it is of and how long it has stood open. */
final readonly class SpoolCondition
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function of(Spool $spool): SpoolState
    {
        $days = static fn (?Carbon $at): ?float => $at === null ? null : max(0.0, $at->diffInDays(now()));

        return SpoolState::of(
            $this->knowledge->material($spool->material),
            $days($spool->made_on ?? $spool->created_at),
            $days($spool->opened_at),
            $days($spool->dried_at),
        );
    }
}
