<?php

declare(strict_types=1);

namespace OddBench\Proof;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;
use OddBench\Knowledge\Proof;
use OddBench\Knowledge\Stage;
use OddBench\Knowledge\Traits;

/** What was touched and mended decides what must be proved, in stages (common practice). */
final readonly class ProofPlan implements Computation
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function name(): string
    {
        return 'proof-plan';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $traits = Traits::of($fields->map('traits'));
        $touched = $fields->texts('touched');
        $mended = $fields->texts('mended');
        $fields->done();
        $plan = $this->for($traits, $touched, $mended);

        return [
            'stages' => array_map(static fn (Stage $stage): array => [
                'stage' => $stage->value,
                'proofs' => array_map(static fn (Owed $o): array => [
                    'code' => $o->proof->code,
                    'because' => $o->because,
                    'least' => $o->proof->least,
                    'most' => $o->proof->most,
                    'unit' => $o->proof->unit,
                ], $plan->inStage($stage)),
            ], $plan->stages()),
        ];
    }

    /**
     * @param  list<string>  $touched  subsystems or positions
     * @param  list<string>  $mended  fault codes
     *
     * @throws InputError for a code nobody knows
     */
    public function for(Traits $traits, array $touched, array $mended): Plan
    {
        $subsystems = $this->subsystems($touched);
        $faults = [];
        foreach ($mended as $i => $code) {
            $fault = $this->knowledge->fault($code, "mended.{$i}");
            $faults[$code] = $fault->name;
            foreach ($fault->mend()->touches as $subsystem) {
                $subsystems[$subsystem] ??= $this->knowledge->subsystems[$subsystem];
            }
        }
        if ($subsystems === []) {
            return new Plan([]);
        }
        $owed = [];
        foreach ($this->knowledge->proofs as $proof) {
            $because = $traits->allow($proof->needs) ? $this->because($proof, $subsystems, $faults) : null;
            if ($because !== null) {
                $owed[] = new Owed($proof, $because);
            }
        }

        return new Plan($owed);
    }

    /**
     * @param  array<string, string>  $subsystems  code => name
     * @param  array<string, string>  $faults  code => name
     */
    private function because(Proof $proof, array $subsystems, array $faults): ?string
    {
        $mended = array_intersect_key($faults, array_flip($proof->mended));
        if ($mended !== []) {
            return 'mended: '.implode(', ', $mended);
        }
        $touched = array_intersect_key($subsystems, array_flip($proof->touched));
        if ($touched !== []) {
            return 'touched: '.implode(', ', $touched);
        }

        return $proof->always ? $proof->because : null;
    }

    /**
     * @param  list<string>  $touched
     * @return array<string, string> code => name
     */
    private function subsystems(array $touched): array
    {
        $positions = $this->positions();
        $subsystems = [];
        foreach ($touched as $i => $code) {
            $subsystem = isset($this->knowledge->subsystems[$code]) ? $code : ($positions[$code]->subsystem ?? null);
            if ($subsystem === null) {
                throw InputError::unknown("touched.{$i}", 'subsystem or position', $code, [...array_keys($this->knowledge->subsystems), ...array_keys($positions)]);
            }
            $subsystems[$subsystem] = $this->knowledge->subsystems[$subsystem];
        }

        return $subsystems;
    }

    /** @return array<string, Position> */
    private function positions(): array
    {
        $positions = [];
        foreach ($this->knowledge->families as $family) {
            $positions += $family->positions;
        }

        return $positions;
    }
}
