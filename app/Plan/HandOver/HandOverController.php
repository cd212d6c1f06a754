<?php

declare(strict_types=1);

namespace App\Plan\HandOver;

final readonly class HandOverController
{
    public function show(HandOverQuery $handOver): HandOverView
    {
        return $handOver->read();
    }
}
