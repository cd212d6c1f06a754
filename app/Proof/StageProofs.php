<?php

declare(strict_types=1);

namespace App\Proof;

use OddBench\Input\InputError;
use OddBench\Knowledge\Family;
use OddBench\Proof\Owed;
use OddBench\Proof\Plan as ProofPlan;
use OddBench\Proof\Prints\Bed;
use OddBench\Proof\Run\Limits;
use OddBench\Proof\Run\Plan;
use OddBench\Proof\Run\RunStage;

/** Which proof each stage of a run shows, and what a run of a job is to do. */
final class StageProofs
{
    /** The print that shows a proof, for a printer that is not connected; nothing where none does. */
    public static function print(string $proof): ?string
    {
        // heat that fails while it moves is shown by a slab as well, which bends the loom
        return $proof === 'heat-moving' ? 'loom-slab' : RunStage::showing($proof)?->print()?->value;
    }

    /**
     * @param  list<string>  $owed  proofs
     * @return list<string> stages
     */
    public static function stages(array $owed): array
    {
        $stages = array_values(array_filter(array_map(RunStage::showing(...), $owed)));
        if (array_intersect_key(
            [RunStage::Print->value => 0, RunStage::FirstLayer->value => 0],
            array_flip(array_column($stages, 'value')),
        ) !== []) {
            $stages[] = RunStage::FreeAir;
        }

        return Plan::stages(array_column($stages, 'value'));
    }

    /**
     * @param  array<string, bool>  $passed
     * @return list<string> stages a run of this job would do now
     */
    public static function owed(ProofPlan $plan, array $passed): array
    {
        return self::stages(array_map(static fn (Owed $o): string => $o->proof->code, $plan->missing($passed)));
    }

    /**
     * @param  list<string>  $stages
     *
     * @throws InputError for a family of which that is not known
     */
    public static function plan(array $stages, Family $family, ?float $bedRiseS): Plan
    {
        if ($family->build === null || $family->heat === null) {
            throw InputError::at(
                'family',
                "How far a {$family->name} can be driven is not known: nothing is moved, heated or printed by guess. "
                    .'Give the machine its family.',
            );
        }

        return new Plan(
            $stages,
            Bed::of($family->build),
            bedRiseS: $bedRiseS,
            slots: ($family->traits['feeder'] ?? 'none') === 'multi' ? 4 : 1,
            probed: in_array($family->traits['levelling'] ?? '', ['probe', 'nozzle-probe'], true),
            limits: new Limits($family->heat->hotendMostC, $family->heat->bedMostC),
            familyHotendRiseS: $family->heat->hotendRiseS,
            familyBedRiseS: $family->heat->bedRiseS,
        );
    }
}
