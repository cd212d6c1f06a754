<?php

declare(strict_types=1);

namespace App\Practice;

use App\Diagnosis\Faults\FirstDiagnoses;
use App\Knowledge\KnowledgeFiles;
use Illuminate\Console\Command;
use Illuminate\Database\QueryException;
use OddBench\Practice\BrokenMachine;
use OddBench\Practice\Calibration;
use OddBench\Practice\JobTest;
use OddBench\Practice\SampledMachines;
use OddBench\Practice\Score;
use OddBench\Practice\Story;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class JobTestCommand extends Command
{
    private const LIST = 'checklist';

    protected $signature = 'odd-bench:job-test {--machines=100 : machines of each draw from the network} {--seed=1 : of the first draw} {--seeds=10 : draws}
        {--prove=0 : minutes of proving charged for each mend in vain} {--calibrate=2000 : machines for the reliability table, 0 for none}
        {--second : a machine that is handed over goes on by the checklist, besides the hour that costs}
        {--best=300 : small trades on which the best possible way is worked out, 0 for none}';

    protected $description = 'Play broken machines as advised, by a checklist and at random, and compare the bench minutes';

    public function handle(KnowledgeFiles $files, FirstDiagnoses $first): int
    {
        $knowledge = $files->read();
        $practice = $files->practice();
        $seed = (int) $this->option('seed');
        $prove = (float) $this->option('prove');
        $seeds = range($seed, $seed + max(1, (int) $this->option('seeds')) - 1);
        $draw = static fn (int $seed): SampledMachines => new SampledMachines($knowledge, new Randomizer(new Mt19937($seed)));
        $sampled = array_map(fn (int $seed): array => $draw($seed)->draw(max(1, (int) $this->option('machines'))), $seeds);
        $written = array_map(static fn (Story $s) => $s->machine($knowledge->family($s->family)->traits), array_values($practice->stories));
        $test = new JobTest($knowledge, $practice->checklist, $prove, (bool) $this->option('second'));
        foreach ([
            'sampled from the network' => $sampled,
            'sampled, with one fault in ten on nobody’s list' => array_map(SampledMachines::withUnheardOf(...), $sampled),
            'written' => [$written],
        ] as $name => $draws) {
            $this->played(
                $name,
                $prove,
                $draws,
                array_map(
                    static fn ($how) => Score::ofDraws(array_map(
                        static fn (array $machines): array => $test->played($machines, $how),
                        $draws,
                    )),
                    $test->ways(new Randomizer(new Mt19937($seed))),
                ),
            );
        }
        if ((int) $this->option('best') > 0) {
            $trades = (int) $this->option('best');
            $means = JobTest::againstTheBest(new Randomizer(new Mt19937($seed)), $trades);
            $this->line(sprintf(
                '%d small random trades: %.2f bench minutes on average as advised, %.2f by the best possible way: %+.1f %%',
                $trades,
                $means['ours'],
                $means['best'],
                100 * ($means['ours'] / max(0.01, $means['best']) - 1),
            ));
        }
        if ((int) $this->option('calibrate') > 0) {
            $this->reliability(
                'Faults in question by what is told at the counter, sampled machines',
                $test->calibration($draw($seed)->drawTold((int) $this->option('calibrate'))),
            );
            $this->reliability(
                'The same with what was not told taken as unknown',
                $test->calibration($draw($seed)->drawTold((int) $this->option('calibrate')), 'unknown'),
            );
        }
        try {
            $own = $first->calibration();
            $this->reliability('This shop’s own finished jobs: what was confirmed first, against what it turned out to be', $own);
        } catch (QueryException) {
            $this->line('This shop’s own jobs are not counted: the database does not answer.');
        }

        return self::SUCCESS;
    }

    /**
     * @param  list<list<BrokenMachine>>  $draws
     * @param  array<string, Score>  $rows  by way of working
     */
    private function played(string $name, float $prove, array $draws, array $rows): void
    {
        $charged = $prove > 0 ? sprintf(', %g minutes of proving charged for each mend in vain', $prove) : '';
        $this->line(sprintf(
            '%d machines%s, %s: bench minutes until what was wrong is settled%s',
            array_sum(array_map(count(...), $draws)),
            count($draws) > 1 ? sprintf(' in %d draws', count($draws)) : '',
            $name,
            $charged,
        ));
        $this->table(
            [
                'way of working',
                'mean',
                'spread of the draws’ means',
                'median',
                '90th percentile',
                'looks',
                'mends in vain',
                'of danger, in all',
                'handed over',
                'settled',
                'mean against the checklist',
            ],
            array_map(static fn (string $way): array => [
                $way,
                sprintf('%.1f', $rows[$way]->mean),
                $rows[$way]->spread === null ? '' : sprintf('± %.1f', $rows[$way]->spread),
                sprintf('%.1f', $rows[$way]->median),
                sprintf('%.1f', $rows[$way]->ninetieth),
                sprintf('%.1f', $rows[$way]->looks),
                sprintf('%.2f', $rows[$way]->inVain),
                "{$rows[$way]->gravelyInVain}",
                "{$rows[$way]->handed}",
                "{$rows[$way]->settled}",
                sprintf('%+.0f %%', 100 * ($rows[$way]->mean / max(0.1, $rows[self::LIST]->mean) - 1)),
            ], array_keys($rows)),
        );
    }

    private function reliability(string $name, Calibration $of): void
    {
        $this->line(sprintf('%s: %d, Brier score %.4f', $name, $of->count, $of->brier));
        $this->table(['told', 'how many', 'told on average', 'was so'], array_map(static fn (array $row): array => [
            sprintf('%.1f to %.1f', $row['from'], $row['to']),
            "{$row['count']}",
            sprintf('%.1f %%', 100 * $row['told']),
            sprintf('%.1f %%', 100 * $row['was']),
        ], $of->rows));
    }
}
