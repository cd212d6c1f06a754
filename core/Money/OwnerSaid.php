<?php

declare(strict_types=1);

namespace OddBench\Money;

/** How an owner answers an estimate. */
enum OwnerSaid: string
{
    case GoAhead = 'go-ahead';
    case AskAbove = 'ask-above';
    case DoNotMend = 'do-not-mend';

    /**
     * The most an owner can agree to in writing, minor units: what the estimate said it may come to. More is agreed to by a new estimate.
     *
     * @param  int  $expected  what is expected of it on average
     * @param  int  $ceiling  what most of such cases stay under; below the average where a few are much dearer
     * @param  int  $dearest  what the dearest of them comes to, which is said then
     */
    public static function most(int $expected, int $ceiling, int $dearest): int
    {
        return $ceiling < $expected ? max($expected, $dearest) : $ceiling;
    }

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
