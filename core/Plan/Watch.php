<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** Who must be there while something goes by itself. */
enum Watch: string
{
    case Nobody = 'nobody';
    case InTheShop = 'in-the-shop';
    case Beside = 'beside';

    /** The one of both that asks for more. */
    public function orMore(self $other): self
    {
        return array_search($other, self::cases(), true) > array_search($this, self::cases(), true) ? $other : $this;
    }

    public function words(): string
    {
        return match ($this) {
            self::Nobody => 'needs nobody',
            self::InTheShop => 'somebody in the shop',
            self::Beside => 'somebody beside it',
        };
    }
}
