<?php

declare(strict_types=1);

namespace App\Computation;

use App\Computation\Accuracy\References;
use App\Computation\Accuracy\SimulatedMachines;
use App\Knowledge\KnowledgeFiles;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use OddBench\Computation\Catalogue;

/** Writes docs/accuracy.md: what each computation was held against and how far it was off, worked out as it is written. */
final class AccuracyCommand extends Command
{
    protected $signature = 'odd-bench:accuracy {--seed=1} {--seeds=20 : simulated machines of each kind} {--print : on the screen only}';

    protected $description = 'Work out how accurate the computations are and how often an instrument is wrong, into docs/accuracy.md';

    public function handle(KnowledgeFiles $files): int
    {
        $catalogue = Catalogue::of($files->read());
        $seed = (int) $this->option('seed');
        $machines = new SimulatedMachines($catalogue, max(1, (int) $this->option('seeds')));
        $text = implode("\n", [
            '# How accurate it is', '',
            'Written by `bin/odd-bench accuracy`; nothing in it is typed. The tests hold each computation against these and more.', '',
            '## Against references', '', ...$this->references($catalogue, $seed), '',
            '## False “ok”: simulated machines with a hidden fault, judged by the instruments alone', '', ...$this->bad($machines), '',
            sprintf('No instrument looks at %s: eyes, checks and proofs find those.', implode(', ', $machines->unseen())), '',
            '## False alarm: simulated machines that are well', '', ...$this->well($machines), '',
        ]);
        if ((bool) $this->option('print')) {
            $this->output->writeln($text);
        } else {
            File::put(base_path('docs/accuracy.md'), $text);
            $this->line('docs/accuracy.md is written.');
        }

        return self::SUCCESS;
    }

    /** @return list<string> */
    private function references(Catalogue $catalogue, int $seed): array
    {
        $rows = ['| computation | reference | cases | worst difference |', '| --- | --- | --- | --- |'];
        foreach ((new References($catalogue, $seed))->all() as $row) {
            $rows[] = "| {$row->computation} | {$row->reference} | {$row->cases} | {$row->worst} |";
        }

        return $rows;
    }

    /** @return list<string> */
    private function bad(SimulatedMachines $machines): array
    {
        $rows = ['| hidden fault | instrument | machines | called well | said it cannot tell |', '| --- | --- | --- | --- | --- |'];
        [$all, $ok] = [0, 0];
        foreach ($machines->bad() as $row) {
            $rows[] = "| {$row['fault']} | {$row['instrument']} | {$row['machines']} | {$row['ok']} | {$row['unsettled']} |";
            $all += $row['machines'];
            $ok += $row['ok'];
        }

        return [...$rows, '', sprintf('False “ok”: %d of %d, %.1f %%.', $ok, $all, 100 * $ok / max(1, $all))];
    }

    /** @return list<string> */
    private function well(SimulatedMachines $machines): array
    {
        $rows = ['| instrument | machines | alarms | said it cannot tell |', '| --- | --- | --- | --- |'];
        [$all, $alarms] = [0, 0];
        foreach ($machines->well() as $row) {
            $rows[] = "| {$row['instrument']} | {$row['machines']} | {$row['alarms']} | {$row['unsettled']} |";
            $all += $row['machines'];
            $alarms += $row['alarms'];
        }

        return [...$rows, '', sprintf('False alarms: %d of %d, %.1f %%.', $alarms, $all, 100 * $alarms / max(1, $all))];
    }
}
