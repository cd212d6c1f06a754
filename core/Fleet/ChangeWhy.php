<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** Why a part is changed by the clock, or is not. */
enum ChangeWhy
{
    case Pays;
    case NoWear;
    case AsDear;
    case NeverPays;

    public function words(): string
    {
        return match ($this) {
            self::Pays => 'Changed before it fails it costs less.',
            self::NoWear => 'Not by the clock: a new one fails as easily as an old one. Keep a spare.',
            self::AsDear => 'Not by the clock: when it fails it costs no more than when it is changed.',
            self::NeverPays => 'Not by the clock: it hardly costs more when it fails, so its hours are worth more than the change.',
        };
    }
}
