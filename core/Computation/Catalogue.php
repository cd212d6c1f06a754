<?php

declare(strict_types=1);

namespace OddBench\Computation;

use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Trials;
use OddBench\Input\InputError;
use OddBench\Instruments\Steps;
use OddBench\Knowledge\Knowledge;
use OddBench\Proof\ProofPlan;

/** Every computation by its name. */
final readonly class Catalogue
{
    /** @param  array<string, Computation>  $computations */
    private function __construct(private array $computations)
    {
    }

    public static function of(Knowledge $knowledge): self
    {
        $computations = [];
        foreach ([new Diagnose($knowledge), new ProofPlan($knowledge), new Steps, new Trials] as $computation) {
            $computations[$computation->name()] = $computation;
        }
        ksort($computations);

        return new self($computations);
    }

    /** @throws InputError when there is none of that name */
    public function named(string $name): Computation
    {
        return $this->computations[$name] ?? throw InputError::unknown('name', 'computation', $name, $this->names());
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->computations);
    }
}
