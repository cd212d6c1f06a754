<?php

declare(strict_types=1);

namespace App\Computation\Accuracy;

use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\Network;
use OddBench\Diagnosis\StudentT;
use OddBench\Rig\Pluck;
use OddBench\Stock\DemandLaw;

/** What is believed and what is chance: sets of faults counted, demand as a mixture, tables of Student’s t, ratings that are noise. */
final readonly class BeliefReferences extends Asking
{
    /** @return iterable<array{float, float}> */
    public function posteriors(): iterable
    {
        for ($i = 0; $i < 60; $i++) {
            $faults = $this->random->getInt(3, 10);
            $findings = $this->random->getInt(2, 8);
            $names = static fn (string $of, int $n): array => array_map(static fn (int $k): string => "{$of}{$k}", range(1, $n));
            $priors = array_map(fn (): float => $this->between(0.01, 0.3), range(1, $faults));
            $leaks = array_map(fn (): float => $this->between(0.002, 0.05), range(1, $findings));
            $children = array_map(
                fn (): array => array_filter(array_map(
                    fn (): float => $this->random->getInt(0, 1) * $this->between(0.1, 0.95),
                    range(0, $findings - 1),
                )),
                range(1, $faults),
            );
            $network = Network::of($names('a', $faults), $priors, $names('f', $findings), $leaks, $children);
            $known = array_map(fn (): bool => $this->random->getInt(0, 1) === 1, array_flip($names('f', $findings)));
            $computed = Beliefs::of($network, $known)->now()->faults;
            $all = 0.0;
            $with = array_fill(0, $faults, 0.0);
            for ($set = 0; $set < 1 << $faults; $set++) {
                $p = 1.0;
                for ($k = 0; $k < $faults; $k++) {
                    $p *= ($set >> $k & 1) === 1 ? $priors[$k] : 1 - $priors[$k];
                }
                foreach (array_values($known) as $f => $there) {
                    $absent = 1 - $leaks[$f];
                    for ($k = 0; $k < $faults; $k++) {
                        $absent *= ($set >> $k & 1) === 1 ? 1 - ($children[$k][$f] ?? 0.0) : 1.0;
                    }
                    $p *= $there ? 1 - $absent : $absent;
                }
                $all += $p;
                for ($k = 0; $k < $faults; $k++) {
                    $with[$k] += ($set >> $k & 1) === 1 ? $p : 0.0;
                }
            }
            foreach ($with as $k => $sum) {
                yield [$computed[$k], $sum / $all];
            }
        }
    }

    /** @return iterable<array{float, float}> */
    public function demands(): iterable
    {
        for ($i = 0; $i < 30; $i++) {
            [$mean, $size, $n] = [$this->between(1, 30), $this->between(1.5, 12), $this->random->getInt(0, 40)];
            $law = DemandLaw::of($mean, $mean + $mean ** 2 / $size);
            $sum = 0.0;
            $gamma = 0.0;
            for ($k = 0, $m = 4000, $most = 8 * $mean + 20, $h = $most / $m; $k <= $m; $k++) {
                $rate = max(1e-12, $k * $h);
                $density = exp(($size - 1) * log($rate) - $size * $rate / $mean);
                $below = $term = exp(-$rate);
                for ($j = 1; $j <= $n; $j++) {
                    $below += $term *= $rate / $j;
                }
                $weight = $k === 0 || $k === $m ? 1 : ($k % 2 === 1 ? 4 : 2);
                $gamma += $weight * $density;
                $sum += $weight * $density * $below;
            }
            if ($law->size !== null) {
                yield [$law->atMost($n), $sum / $gamma];
            }
        }
    }

    /** @return iterable<array{float, float}> */
    public function quantiles(): iterable
    {
        foreach ([
            [0.975, 1, 12.706],
            [0.975, 2, 4.303],
            [0.95, 5, 2.015],
            [0.99, 10, 2.764],
            [0.995, 30, 2.750],
        ] as [$p, $degrees, $quantile]) {
            yield [StudentT::quantile($p, $degrees), $quantile];
        }
    }

    public function noise(): Compared
    {
        $plan = [[1, 1, 1], [2, 1, 1], [1, 2, 1], [2, 2, 1], [1, 1, 2], [2, 1, 2], [1, 2, 2], [2, 2, 2]];
        $told = 0;
        for ($table = 0; $table < 1000; $table++) {
            $trials = array_map(
                fn (array $row): array => [
                    'settings' => ['a' => $row[0], 'b' => $row[1], 'c' => $row[2]],
                    'rating' => 3 + Pluck::normal($this->random),
                ],
                $plan,
            );
            $told += ($this->compute('trials', ['trials' => $trials])['matters'] ?? null) === null ? 0 : 1;
        }

        return new Compared(
            'trials',
            'ratings that are noise, eight prints without repeats',
            1000,
            sprintf('%.1f %% told to matter', $told / 10),
        );
    }
}
