<?php

declare(strict_types=1);

namespace App\Diagnosis\Console;

use App\Diagnosis\Faults\FaultCounts;
use Illuminate\Console\Command;
use OddBench\Diagnosis\Rates;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

final class RatesCommand extends Command
{
    protected $signature = 'odd-bench:rates {family? : of one family, shrunk to the shop} {--csv}';

    protected $description = 'The rate each fault starts from: the catalogue’s, what this shop counted, and both together';

    public function handle(Knowledge $knowledge, FaultCounts $counts): int
    {
        $family = $this->argument('family');
        $counted = $counts->now();
        $shop = $counted->ofShop();
        try {
            $of = is_string($family) ? $knowledge->family($family) : null;
        } catch (InputError $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $own = $of === null ? ['jobs' => 0, 'faults' => []] : $counted->ofFamily($of->code);
        $rates = Rates::corrected(
            $knowledge->bench->catalogueJobs,
            $own['jobs'],
            $own['faults'],
            $shop['jobs'],
            $shop['faults'],
            $shop['exposed'],
        );
        $head = [
            'fault',
            'catalogue per 1,000',
            'shop, of the jobs that could',
            ...($of === null ? [] : ["{$of->name}: of {$own['jobs']} jobs"]),
            'came back',
            'corrected per 1,000',
        ];
        $back = $counted->cameBack($of?->code);
        $rows = [];
        foreach ($knowledge->faults as $fault) {
            if ($of === null || Traits::of($of->traits)->allow($fault->needs)) {
                $rows[] = [
                    $fault->code,
                    sprintf('%.1f', $fault->rate),
                    sprintf('%d of %d', $shop['faults'][$fault->code] ?? 0, $shop['exposed'][$fault->code] ?? $shop['jobs']),
                    ...($of === null ? [] : [(string) ($own['faults'][$fault->code] ?? 0)]),
                    (string) ($back[$fault->code] ?? 0),
                    sprintf('%.1f', 1000 * $rates->prior($fault)),
                ];
            }
        }
        usort($rows, static fn (array $a, array $b): int => [(float) end($b), $a[0]] <=> [(float) end($a), $b[0]]);
        if ($this->option('csv')) {
            foreach ([$head, ...$rows] as $row) {
                $this->line(implode(',', $row));
            }
        } else {
            $this->table($head, $rows);
        }

        return self::SUCCESS;
    }
}
