<?php

declare(strict_types=1);

namespace App\Knowledge\Console;

use App\Knowledge\KnowledgeFiles;
use Illuminate\Console\Command;
use OddBench\Practice\JobTest;
use OddBench\Practice\SampledMachines;
use OddBench\Practice\Story;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class JobTestCommand extends Command
{
    protected $signature = 'odd-bench:job-test {--machines=300} {--seed=300}';

    protected $description = 'Play broken machines as advised, by a checklist and at random, and compare the bench minutes';

    public function handle(KnowledgeFiles $files): int
    {
        $knowledge = $files->read();
        $practice = $files->practice();
        $seed = (int) $this->option('seed');
        $sampled = (new SampledMachines($knowledge, new Randomizer(new Mt19937($seed))))->draw(max(1, (int) $this->option('machines')));
        $written = array_map(static fn (Story $s) => $s->machine($knowledge->family($s->family)->traits), array_values($practice->stories));
        $test = new JobTest($knowledge, $practice->checklist);
        foreach (['sampled from the network' => $sampled, 'written' => $written, 'all' => [...$sampled, ...$written]] as $name => $machines) {
            $rows = [];
            foreach ($test->ways(new Randomizer(new Mt19937($seed))) as $way => $how) {
                $rows[$way] = $test->play($machines, $how);
            }
            $list = $rows['checklist'];
            $this->line(sprintf('%d machines, %s: bench minutes until what was wrong is settled', count($machines), $name));
            $this->table(
                ['way of working', 'median', '90th percentile', 'mean', 'looks', 'mends in vain', 'settled', 'median against the checklist'],
                array_map(static fn (string $way): array => [
                    $way, sprintf('%.1f', $rows[$way]->median), sprintf('%.1f', $rows[$way]->ninetieth), sprintf('%.1f', $rows[$way]->mean), sprintf('%.1f', $rows[$way]->looks),
                    sprintf('%.2f', $rows[$way]->inVain), "{$rows[$way]->settled}", sprintf('%+.0f %%', 100 * ($rows[$way]->median / max(0.1, $list->median) - 1)),
                ], array_keys($rows)),
            );
        }

        return self::SUCCESS;
    }
}
