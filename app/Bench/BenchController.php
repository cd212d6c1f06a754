<?php

declare(strict_types=1);

namespace App\Bench;

final readonly class BenchController
{
    public function show(BenchQuery $bench): BenchView
    {
        return $bench->read();
    }
}
