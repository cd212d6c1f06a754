<?php

declare(strict_types=1);

namespace OddBench\Intake;

/** When it began, as people say it; some of the answers are findings. */
enum Began: string
{
    case CreptIn = 'crept-in';
    case Suddenly = 'came-suddenly';
    case WorkedOn = 'worked-on-before';
    case Moved = 'shipped-loose';
    case NotKnown = 'not-known';

    /** As a person says how it began. */
    public function words(): string
    {
        return match ($this) {
            self::CreptIn => 'Crept in',
            self::Suddenly => 'Suddenly',
            self::WorkedOn => 'Since somebody worked on it',
            self::Moved => 'Since it was moved',
            self::NotKnown => 'Nobody knows',
        };
    }

    /** The finding it is, by its code. */
    public function finding(): ?string
    {
        return $this === self::NotKnown ? null : $this->value;
    }
}
