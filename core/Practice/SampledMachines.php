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
 * those that come from nothing. Its owner tells some of what can be told; a machine nobody would complain of is drawn
 * again. What has to be found are the faults that show something the owner told.
 */
final readonly class SampledMachines
{
    /** Kinds of finding an owner tells without opening or measuring anything. */
    private const TELLABLE = ['Told or shown', 'First layer', 'Walls', 'Extrusion'];

    /** An owner tells a thing that is there with this probability, and never more than so many. */
    private const TELLS = 0.6;

    private const TELLS_AT_MOST = 4;

    public function __construct(private Knowledge $knowledge, private Randomizer $random)
    {
    }

    /** @return list<BrokenMachine> */
    public function draw(int $count): array
    {
        $machines = [];
        while (count($machines) < $count) {
            $machine = $this->one(sprintf('sampled %d', count($machines) + 1));
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
        return array_map(static fn (BrokenMachine $machine, int $i): BrokenMachine => $i % 10 === 9 ? $machine->asUnheardOf() : $machine, $machines, array_keys($machines));
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

        return $truth === [] ? null : new BrokenMachine($name, $traits, $truth, $told, $shows, $has);
    }

    /**
     * @param  array<string, true>  $shows
     * @return list<string>
     */
    private function told(array $shows): array
    {
        $told = [];
        foreach ($this->random->shuffleArray(array_keys($shows)) as $code) {
            $finding = $this->knowledge->findings[$code];
            $tellable = $finding->circumstance || $finding->askedAtBookIn || in_array($finding->group, self::TELLABLE, true);
            if ($tellable && count($told) < self::TELLS_AT_MOST && $this->chance(self::TELLS)) {
                $told[] = $code;
            }
        }

        return $told;
    }

    private function chance(float $probability): bool
    {
        return $this->random->getInt(0, 999_999) < 1e6 * $probability;
    }
}
