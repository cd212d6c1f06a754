<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What can be done with a broken machine. */
enum WhatToDo: string
{
    case Mend = 'mend';
    case Split = 'split';
    case AsIs = 'as_is';

    /** As it stands on screen. */
    public function words(): string
    {
        return match ($this) {
            self::Mend => 'Mend it',
            self::Split => 'Split it for parts',
            self::AsIs => 'Sell it as it is',
        };
    }
}
