<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** The network of one case with its findings; works out what is believed now and what would be if more were known. */
final class Beliefs
{
    /** @var array<string, Posterior> */
    private array $known = [];

    /** @var array<string, Posterior> */
    private array $others = [];

    /** @var array<string, Elimination> */
    private array $eliminations = [];

    /**
     * @param  list<int>  $present
     * @param  array<int, true>  $absent
     */
    private function __construct(public readonly Network $network, public readonly array $present, public readonly array $absent)
    {
    }

    /** @param  array<string, bool>  $findings code => present */
    public static function of(Network $network, array $findings): self
    {
        $index = array_flip($network->findings);
        $present = $absent = [];
        foreach ($findings as $code => $there) {
            if ($there) {
                $present[] = $index[$code];
            } else {
                $absent[$index[$code]] = true;
            }
        }

        return new self($network, $present, $absent);
    }

    /** What is believed with the findings as they are. */
    public function now(): Posterior
    {
        return $this->ifAbsent([]);
    }

    /** @param  list<int>  $more findings that would be absent as well */
    public function ifAbsent(array $more): Posterior
    {
        sort($more);
        $key = implode(',', $more);

        return $this->known[$key] ??= $this->elimination($this->present)->posterior($this->absent + array_fill_keys($more, true));
    }

    /**
     * What would be believed had these findings never been made.
     *
     * @param  list<int>  $findings
     */
    public function without(array $findings): Posterior
    {
        $present = array_values(array_diff($this->present, $findings));
        $absent = array_diff_key($this->absent, array_flip($findings));
        $key = implode(',', $present).'|'.implode(',', array_keys($absent));

        return $this->others[$key] ??= $this->elimination($present)->posterior($absent);
    }

    /** What would be believed were a fault known to be there (true) or not (false): its prior becomes that. */
    public function ifFault(int $fault, bool $there): Posterior
    {
        return $this->withPriors([$fault => $there ? 1.0 : 0.0]);
    }

    /**
     * What would be believed were none of these faults there.
     *
     * @param  list<int>  $faults
     */
    public function withoutFaults(array $faults): Posterior
    {
        return $this->withPriors(array_fill_keys($faults, 0.0));
    }

    /** @param  array<int, float>  $priors  by fault, those that differ */
    private function withPriors(array $priors): Posterior
    {
        $all = array_values(array_replace($this->network->priors, $priors));
        $network = Network::of(
            $this->network->faults,
            $all,
            $this->network->findings,
            $this->network->leaks,
            $this->network->children,
            $this->network->starts,
        );

        return Elimination::for($network, $this->present)->posterior($this->absent);
    }

    /**
     * Faults with a link to a present finding.
     *
     * @return array<int, list<int>> fault => the present findings it can cause
     */
    public function linked(): array
    {
        $linked = [];
        foreach ($this->present as $finding) {
            foreach ($this->network->parents[$finding] as $fault) {
                $linked[$fault][] = $finding;
            }
        }

        return $linked;
    }

    /** @param  list<int>  $present */
    private function elimination(array $present): Elimination
    {
        return $this->eliminations[implode(',', $present)] ??= Elimination::for($this->network, $present);
    }
}
