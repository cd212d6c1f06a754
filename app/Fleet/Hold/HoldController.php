<?php

declare(strict_types=1);

namespace App\Fleet\Hold;

final readonly class HoldController
{
    public function show(HoldQuery $hold): HoldView
    {
        return $hold->read();
    }
}
