<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Which way round the power is at a step of a guide. */
enum Power: string
{
    case Unplugged = 'unplugged';
    case Off = 'off';
    case On = 'on';

    /** As a person says how the power must be. */
    public function words(): string
    {
        return match ($this) {
            self::Unplugged => 'unplugged',
            self::Off => 'switched off',
            self::On => 'power on',
        };
    }
}
