<?php

declare(strict_types=1);

namespace App\Plan;

final readonly class BenchController
{
    public function show(BenchQuery $bench): BenchView
    {
        return $bench->read();
    }
}
