<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Diagnosis\Network;
use OddBench\Diagnosis\Rates;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use Random\Randomizer;

/**
 * Broken machines drawn from the network itself: a family, its faults at their rates, the findings each fault shows and
 * those that come from nothing. Its owner tells each thing with the probability the knowledge says; a machine nobody would complain of is
 * drawn again. What has to be found are the faults that show something the owner told.
 */
final readonly class SampledMachines
{
    public function __construct(private Knowledge $knowledge, private Randomizer $random)
    {
    }

    /** @return list<BrokenMachine> */
    public function draw(int $count): array
    {
        $machines = [];
        while (count($machines) < $count) {
            $machine = $this->one(sprintf('sampled %d', count($machines) + 1));
            if ($machine !== null && $machine->truth !== []) {
                $machines[] = $machine;
            }
        }

        return $machines;
    }

    /**
     * As they come to a counter: also those whose complaint no known fault is behind.
     *
     * @return list<BrokenMachine>
     */
    public function drawTold(int $count): array
    {
        $machines = [];
        while (count($machines) < $count) {
            $machine = $this->one(sprintf('told %d', count($machines) + 1));
            if ($machine !== null) {
                $machines[] = $machine;
            }
        }

        return $machines;
    }

    /**
     * The same, but what is wrong with one in ten stands on nobody’s list.
     *
     * @param  list<BrokenMachine>  $machines
     * @return list<BrokenMachine>
     */
    public static function withUnheardOf(array $machines): array
    {
        return array_map(
            static fn (BrokenMachine $machine, int $i): BrokenMachine => $i % 10 === 9 ? $machine->asUnheardOf() : $machine,
            $machines,
            array_keys($machines),
        );
    }

    private function one(string $name): ?BrokenMachine
    {
        $families = array_values($this->knowledge->families);
        $traits = $families[$this->random->getInt(0, count($families) - 1)]->traits;
        $network = Network::forMachine($this->knowledge, Traits::of($traits), Rates::catalogue());
        $shows = $causes = $has = [];
        foreach ($network->findings as $finding => $code) {
            if ($this->chance($network->leaks[$finding])) {
                $shows[$code] = true;
            }
        }
        foreach ($network->faults as $i => $fault) {
            if (! $this->chance($network->priors[$i])) {
                continue;
            }
            $has[] = $fault;
            foreach ($network->children[$i] as $finding => $strength) {
                if ($this->chance($strength)) {
                    $shows[$network->findings[$finding]] = true;
                    $causes[$network->findings[$finding]][] = $fault;
                }
            }
        }
        foreach (array_keys($shows) as $code) {
            if (array_intersect_key($shows, array_flip($this->knowledge->findings[$code]->neverWith)) !== []) {
                return null;
            }
        }
        $told = $this->told($shows);
        $complaints = array_filter($told, fn (string $code): bool => ! $this->knowledge->findings[$code]->circumstance);
        $truth = array_values(array_unique(array_merge(...array_values(array_intersect_key($causes, array_flip($complaints))))));

        return $complaints === [] ? null : new BrokenMachine($name, $traits, $truth, $told, $shows, $has);
    }

    /**
     * @param  array<string, true>  $shows
     * @return list<string>
     */
    private function told(array $shows): array
    {
        return array_values(array_filter(
            $this->random->shuffleArray(array_keys($shows)),
            fn (string $code): bool => $this->chance($this->knowledge->findings[$code]->told),
        ));
    }

    private function chance(float $probability): bool
    {
        return $this->random->getInt(0, 999_999) < 1e6 * $probability;
    }
}
