<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** Why a part’s hours say nothing of how long such parts last. */
enum NotCounted: string
{
    case CameUsed = 'came-used';
    case FittedUsed = 'fitted-used';
    case HoursUnknown = 'hours-unknown';
    case Backwards = 'backwards';
    case NoHours = 'no-hours';
    case Unwatched = 'unwatched';

    public function words(): string
    {
        return match ($this) {
            self::CameUsed => 'came with a used machine: nobody knows whether it is the first',
            self::FittedUsed => 'fitted used, and nobody knows its hours',
            self::HoursUnknown => 'the machine’s hours were not read',
            self::Backwards => 'the hours run backwards: was the counter set back and nobody said so?',
            self::NoHours => 'has not run an hour yet',
            self::Unwatched => 'with an owner, who may have changed it',
        };
    }

    /** What can be done about it; nothing where there is nothing to do. */
    public function wayOut(): ?string
    {
        return match ($this) {
            self::FittedUsed => 'Say in the passport how many hours it had.',
            self::HoursUnknown => 'Read the counter.',
            self::Backwards => 'Look at the counters of the machine and say where it began anew.',
            default => null,
        };
    }
}
