<?php

declare(strict_types=1);

namespace OddBench\Money;

/** How an owner answers an estimate. */
enum OwnerSaid: string
{
    case GoAhead = 'go-ahead';
    case AskAbove = 'ask-above';
    case DoNotMend = 'do-not-mend';

    /** As it stands on screen, a sum after the first two. */
    public function words(): string
    {
        return match ($this) {
            self::GoAhead => 'Go ahead up to',
            self::AskAbove => 'Ask me again above',
            self::DoNotMend => 'Do not mend it',
        };
    }
}
