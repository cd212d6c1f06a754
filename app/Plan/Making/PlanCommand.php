<?php

declare(strict_types=1);

namespace App\Plan\Making;

use Illuminate\Console\Command;

final class PlanCommand extends Command
{
    protected $signature = 'odd-bench:plan';

    protected $description = 'Plans the bench anew, here and at once';

    public function handle(MakePlan $make): int
    {
        $row = $make->make();
        $this->line(sprintf('Planned %d steps in %d ms.', count((array) $row->body['steps']), $row->took_ms));

        return self::SUCCESS;
    }
}
