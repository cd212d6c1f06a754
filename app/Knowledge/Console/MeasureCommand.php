<?php

declare(strict_types=1);

namespace App\Knowledge\Console;

use App\Knowledge\KnowledgeFiles;
use Illuminate\Console\Command;
use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Network;
use OddBench\Diagnosis\Rates;
use OddBench\Knowledge\Traits;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class MeasureCommand extends Command
{
    protected $signature = 'odd-bench:measure {--runs=15}';

    protected $description = 'How fast the computations are on this machine: medians over several runs';

    public function handle(KnowledgeFiles $files): int
    {
        $knowledge = $files->read();
        $random = new Randomizer(new Mt19937(7));
        $catalogue = Network::forMachine($knowledge, Traits::of([]), Rates::catalogue());
        $made = $this->randomNetwork($random, 100, 150);
        $this->line(sprintf('PHP %s, opcache JIT %s', PHP_VERSION, ini_get('opcache.enable_cli') && ini_get('opcache.jit_buffer_size') ? 'on' : 'off'));
        $this->table(['posterior', 'present', 'absent', 'median ms', 'slowest ms', 'against 12 present'], [
            ...$this->rows('catalogue', $catalogue, $random),
            ...$this->rows('100 faults, 150 findings, made up', $made, $random),
        ]);
        $findings = $this->draw($catalogue->findings, 12, 20, $random);
        $diagnose = new Diagnose($knowledge);
        $times = $this->times(fn () => $diagnose->compute(['findings' => array_map(fn (bool $p): string => $p ? 'present' : 'absent', $findings)]));
        $this->line(sprintf('whole diagnose, catalogue, 12 present and 20 absent: median %.1f ms, slowest %.1f ms; most memory %.1f MB', $this->median($times), max($times), memory_get_peak_usage() / 1e6));

        return self::SUCCESS;
    }

    /** @return list<list<string>> */
    private function rows(string $name, Network $network, Randomizer $random): array
    {
        $medians = [];
        foreach ([2, 4, 8, 12, 16] as $present) {
            $times = [];
            foreach (range(1, max(3, (int) $this->option('runs'))) as $run) {
                $beliefs = Beliefs::of($network, $this->draw($network->findings, $present, 20, $random));
                $times[] = $this->times(fn () => $beliefs->now(), 1)[0];
            }
            $medians[$present] = [$this->median($times), max($times)];
        }

        return array_map(fn (int $present): array => [$name, (string) $present, '20', sprintf('%.2f', $medians[$present][0]), sprintf('%.2f', $medians[$present][1]), sprintf('× %.2f', $medians[$present][0] / $medians[12][0])], array_keys($medians));
    }

    /**
     * @param  list<string>  $codes
     * @return array<string, bool>
     */
    private function draw(array $codes, int $present, int $absent, Randomizer $random): array
    {
        $findings = [];
        foreach (array_slice($random->shuffleArray($codes), 0, $present + $absent) as $i => $code) {
            $findings[$code] = $i < $present;
        }

        return $findings;
    }

    private function randomNetwork(Randomizer $random, int $faults, int $findings): Network
    {
        $priors = $children = [];
        for ($i = 0; $i < $faults; $i++) {
            $priors[] = $random->getInt(4, 90) / 1000;
            $shows = [];
            foreach ($random->pickArrayKeys(range(0, $findings - 1), $random->getInt(3, 9)) as $finding) {
                $shows[(int) $finding] = [0.9, 0.65, 0.3, 0.1][$random->getInt(0, 3)];
            }
            $children[] = $shows;
        }
        $codes = static fn (string $letter, int $n): array => array_map(static fn (int $i): string => "{$letter}{$i}", range(0, $n - 1));

        return Network::of($codes('fault-', $faults), $priors, $codes('finding-', $findings), array_fill(0, $findings, 0.02), $children);
    }

    /** @return list<float> milliseconds */
    private function times(callable $work, ?int $runs = null): array
    {
        $times = [];
        for ($i = 0, $n = $runs ?? max(3, (int) $this->option('runs')); $i < $n; $i++) {
            $began = hrtime(true);
            $work();
            $times[] = (hrtime(true) - $began) / 1e6;
        }

        return $times;
    }

    /** @param  list<float>  $values */
    private function median(array $values): float
    {
        sort($values);

        return $values[intdiv(count($values), 2)];
    }
}
