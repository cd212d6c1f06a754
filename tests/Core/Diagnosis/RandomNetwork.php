<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Network;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Small made-up networks for trying the fast way against the slow one. */
final class RandomNetwork
{
    public Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function make(int $faults, int $findings, float $leak = 0.02, int $mostLinks = 5): Network
    {
        $priors = $children = [];
        for ($i = 0; $i < $faults; $i++) {
            $priors[] = $this->random->getInt(5, 400) / 1000;
            $shows = [];
            foreach ($this->random->pickArrayKeys(
                range(0, $findings - 1),
                $this->random->getInt(1, min($mostLinks, $findings)),
            ) as $finding) {
                $shows[(int) $finding] = [0.9, 0.65, 0.3, 0.1][$this->random->getInt(0, 3)];
            }
            $children[] = $shows;
        }
        $codes = static fn (string $letter, int $n): array => array_map(
            static fn (int $i): string => sprintf('%s%02d', $letter, $i),
            range(0, $n - 1),
        );

        return Network::of($codes('fault-', $faults), $priors, $codes('finding-', $findings), array_fill(0, $findings, $leak), $children);
    }

    /** @return array<string, bool> */
    public function findings(Network $network, int $present, int $absent): array
    {
        $findings = [];
        foreach (array_slice($this->random->shuffleArray($network->findings), 0, $present + $absent) as $i => $code) {
            $findings[$code] = $i < $present;
        }

        return $findings;
    }
}
