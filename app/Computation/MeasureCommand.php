<?php

declare(strict_types=1);

namespace App\Computation;

use App\Computation\Accuracy\References;
use App\Knowledge\KnowledgeFiles;
use Illuminate\Console\Command;
use OddBench\Computation\Catalogue;
use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Network;
use OddBench\Diagnosis\Rates;
use OddBench\Diagnosis\Session;
use OddBench\Input\Contents;
use OddBench\Instruments\Gcode;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use OddBench\Money\Estimate;
use OddBench\Money\JobLines;
use OddBench\Money\JobSoFar;
use OddBench\Plan\Planner;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class MeasureCommand extends Command
{
    protected $signature = 'odd-bench:measure {--runs=15} {--gcode-mb=20 : size of the G-code file made up for it}';

    protected $description = 'How fast the computations are on this machine: medians over several runs';

    public function handle(KnowledgeFiles $files): int
    {
        $knowledge = $files->read();
        $random = new Randomizer(new Mt19937(7));
        $catalogue = Network::forMachine($knowledge, Traits::of([]), Rates::catalogue());
        $made = $this->randomNetwork($random, 100, 150);
        $this->line(sprintf(
            'PHP %s, opcache JIT %s',
            PHP_VERSION,
            ini_get('opcache.enable_cli') && ini_get('opcache.jit_buffer_size') ? 'on' : 'off',
        ));
        $this->table(['posterior', 'present', 'absent', 'median ms', 'slowest ms', 'against 12 present'], [
            ...$this->rows('catalogue', $catalogue, fn (int $n): array => $this->draw($catalogue->findings, $n, 20, $random)),
            ...$this->rows(
                'catalogue, findings that hang together',
                $catalogue,
                fn (int $n): array => $this->entangled($catalogue, $n, 20, $random),
            ),
            ...$this->rows('100 faults, 150 findings, made up', $made, fn (int $n): array => $this->draw($made->findings, $n, 20, $random)),
        ]);
        $diagnose = new Diagnose($knowledge);
        $rows = [];
        foreach ([2, 4, 8, 12] as $present) {
            foreach ([
                'at random' => $this->draw($catalogue->findings, $present, 20, $random),
                'that hang together' => $this->entangled($catalogue, $present, 20, $random),
            ] as $how => $findings) {
                $case = ['findings' => array_map(
                    static fn (bool $p): string => $p ? 'present' : 'absent',
                    array_filter($findings, static fn (string $code): bool => $code !== 'thermistor-short', ARRAY_FILTER_USE_KEY),
                )];
                $times = $this->times(fn () => $diagnose->compute($case));
                $rows[] = [$how, (string) $present, '20', sprintf('%.1f', $this->median($times)), sprintf('%.1f', max($times))];
            }
        }
        $this->table(['whole diagnose with ranked next steps: findings', 'present', 'absent', 'median ms', 'slowest ms'], $rows);
        $this->estimates($knowledge, $catalogue, $random);
        $this->plans();
        $this->line(sprintf('most memory: %.1f MB', memory_get_peak_usage() / 1e6));
        $this->gcode((float) $this->option('gcode-mb'));
        $references = new References(Catalogue::of($knowledge), 1);
        $this->table([
            'pluck-frequency: signal to noise',
            'plucks',
            'worst error',
        ], array_map(static function (int $noise) use ($references): array {
            $row = $references->plucks($noise);

            return ["{$noise} dB", (string) $row->cases, $row->worst];
        }, [20, 10, 5, 0, -5]));

        return self::SUCCESS;
    }

    /** From findings to every way the job may turn out, in money. */
    private function estimates(Knowledge $knowledge, Network $catalogue, Randomizer $random): void
    {
        $rows = [];
        foreach ([1, 2, 4, 8] as $present) {
            $findings = $this->entangled($catalogue, $present, 8, $random);
            unset($findings['thermistor-short']);
            $case = CaseFile::read([
                'findings' => array_map(static fn (bool $p): string => $p ? 'present' : 'absent', $findings),
                'rates' => ['bench_minute' => 90],
            ], $knowledge);
            $ways = 0;
            $times = $this->times(static function () use ($case, $knowledge, &$ways): void {
                $lines = JobLines::of(Session::open($case, $knowledge), $knowledge, [], new JobSoFar, 35.0);
                (new Estimate)->judge(90, $lines->findMinutes, $lines->lines);
                $ways = count($lines->lines);
            });
            $rows[] = [(string) $present, '8', (string) $ways, sprintf('%.1f', $this->median($times)), sprintf('%.1f', max($times))];
        }
        $this->table(['estimate: findings present', 'absent', 'ways it may turn out', 'median ms', 'slowest ms'], $rows);
    }

    /** A new plan of shops that are made up, each another one. */
    private function plans(): void
    {
        $rows = [];
        foreach ([[5, 2], [10, 2], [20, 3], [40, 4], [80, 6]] as [$jobs, $people]) {
            [$times, $gaps, $proved, $steps] = [[], [], 0, 0];
            for ($run = 1; $run <= max(3, (int) $this->option('runs')); $run++) {
                $shop = new MadeUpShop(new Randomizer(new Mt19937($run)));
                [$workers, $open] = [$shop->workers($people), $shop->jobs($jobs)];
                $before = hrtime(true);
                $plan = (new Planner)->plan($workers, $open, ['oven' => 1]);
                $times[] = (hrtime(true) - $before) / 1e6;
                $gaps[] = 100 * $plan->gap();
                $proved += $plan->proved ? 1 : 0;
                $steps += $plan->problem->size();
            }
            $rows[] = [
                (string) $jobs,
                (string) $people,
                sprintf('%.0f', $steps / count($times)),
                sprintf('%.0f', $this->median($times)),
                sprintf('%.0f', max($times)),
                sprintf('%.1f', $this->median($gaps)),
                sprintf('%d of %d', $proved, count($times)),
            ];
        }
        $this->table(['a new plan: jobs', 'people', 'steps', 'median ms', 'slowest ms', 'median gap %', 'proved best'], $rows);
    }

    private function gcode(float $megabytes): void
    {
        $size = 0;
        $pieces = static function () use ($megabytes, &$size): iterable {
            yield "G21\nG90\nM83\nM104 S210\nG28\n";
            for ($size = $i = 0; $size < $megabytes * 1e6; $i++) {
                $piece = '';
                for ($k = 0; $k < 500; $k++) {
                    $piece .= sprintf(
                        "G1 X%.3f Y%.3f E%.5f\n",
                        110 + 90 * sin(($i * 500 + $k) / 7),
                        110 + 90 * cos(($i * 500 + $k) / 11),
                        0.03,
                    );
                }
                $size += strlen($piece);
                yield $piece;
            }
        };
        $before = hrtime(true);
        foreach ($pieces() as $piece) {
            // making it up takes time of its own
        }
        $making = (hrtime(true) - $before) / 1e9;
        $before = hrtime(true);
        $result = (new Gcode)->compute(['file' => Contents::of($pieces)]);
        $taken = (hrtime(true) - $before) / 1e9 - $making;
        $this->line(sprintf(
            'G-code: %.0f MB, %d lines in %.1f s: %.1f MB/s; most memory %.1f MB',
            $size / 1e6,
            $result['lines'],
            $taken,
            $size / 1e6 / $taken,
            memory_get_peak_usage() / 1e6,
        ));
    }

    /**
     * @param  callable(int): array<string, bool>  $draw
     * @return list<list<string>>
     */
    private function rows(string $name, Network $network, callable $draw): array
    {
        $medians = [];
        foreach ([2, 4, 8, 12, 16] as $present) {
            $times = [];
            foreach (range(1, max(3, (int) $this->option('runs'))) as $run) {
                $beliefs = Beliefs::of($network, $draw($present));
                $times[] = $this->times(fn () => $beliefs->now(), 1)[0];
            }
            $medians[$present] = [$this->median($times), max($times)];
        }

        return array_map(
            fn (int $present): array => [
                $name,
                (string) $present,
                '20',
                sprintf('%.2f', $medians[$present][0]),
                sprintf('%.2f', $medians[$present][1]),
                sprintf('× %.2f', $medians[$present][0] / $medians[12][0]),
            ],
            array_keys($medians),
        );
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

    /**
     * The hard case: present findings that share as many faults as can be, each the one that shares most with those before.
     *
     * @return array<string, bool>
     */
    private function entangled(Network $network, int $present, int $absent, Randomizer $random): array
    {
        $shared = static fn (int $finding, array $faults): int => count(array_intersect($network->parents[$finding], $faults));
        $most = array_map(count(...), $network->parents);
        arsort($most);
        $taken = [array_slice(array_keys($most), 0, 12)[$random->getInt(0, 11)]];
        while (count($taken) < $present) {
            $faults = array_merge([], ...array_map(static fn (int $f): array => $network->parents[$f], $taken));
            $left = array_values(array_diff(array_keys($network->findings), $taken));
            usort($left, static fn (int $a, int $b): int => $shared($b, $faults) <=> $shared($a, $faults));
            $taken[] = $left[0];
        }
        $findings = [];
        foreach ($taken as $finding) {
            $findings[$network->findings[$finding]] = true;
        }

        return $findings + $this->draw(array_values(array_diff($network->findings, array_keys($findings))), 0, $absent, $random);
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
