<?php

declare(strict_types=1);

namespace OddBench\Proof;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;
use OddBench\Knowledge\Proof;
use OddBench\Knowledge\Stage;
use OddBench\Knowledge\Traits;

/** What was touched and mended decides what must be proved, in stages (common practice). */
final readonly class ProofPlan implements Computation
{
    private const LOOM = 'wiring';

    /** Why a proof is owed though nothing that was done owes it. */
    private const DUE = 'due: not proved here for a year, or never';

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
        $fitted = $fields->texts('fitted');
        $unplugged = $fields->texts('unplugged');
        $due = $fields->texts('due');
        foreach ($due as $i => $code) {
            $this->knowledge->proof($code, "due.{$i}");
        }
        $fields->done();
        $plan = $this->for($traits, $touched, $mended, $fitted, $unplugged, $due);

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
     * @param  list<string>  $fitted  positions a part went into
     * @param  list<string>  $unplugged  names of sockets; one nobody knows counts as the loom
     * @param  list<string>  $due  proofs this machine has not passed for too long, or never
     *
     * @throws InputError for a code nobody knows
     */
    public function for(Traits $traits, array $touched, array $mended, array $fitted = [], array $unplugged = [], array $due = []): Plan
    {
        $reasons = $this->reasons($touched, $mended, $fitted, $unplugged);
        if ($reasons === []) {
            return new Plan([]);
        }
        $owed = [];
        foreach ($this->knowledge->proofs as $proof) {
            $because = $traits->allow($proof->needs)
                ? $this->because($proof, $reasons) ?? (in_array($proof->code, $due, true) ? self::DUE : null)
                : null;
            if ($because !== null) {
                $owed[] = new Owed($proof, $because);
            }
        }

        return new Plan($owed);
    }

    /**
     * The reasons there are, those that say most first.
     *
     * @param  list<string>  $touched
     * @param  list<string>  $mended
     * @param  list<string>  $fitted
     * @param  list<string>  $unplugged
     * @return list<Reason>
     */
    private function reasons(array $touched, array $mended, array $fitted, array $unplugged): array
    {
        $reasons = [];
        $positions = $this->positions();
        $follows = [];
        foreach ($mended as $i => $code) {
            $fault = $this->knowledge->fault($code, "mended.{$i}");
            $reasons[] = new Reason('mended', $fault->name, fault: $code);
            foreach ($fault->mend()->touches as $subsystem) {
                $follows[] = new Reason('touched', $this->knowledge->subsystems[$subsystem], subsystem: $subsystem);
            }
        }
        foreach ($fitted as $i => $code) {
            $position = $positions[$code] ?? throw InputError::unknown("fitted.{$i}", 'position', $code, array_keys($positions));
            $reasons[] = new Reason('new', $position->name, $position->subsystem, $position->partClass);
        }
        $sockets = $this->sockets();
        foreach ($unplugged as $name) {
            $reasons[] = new Reason('unplugged', $name, $sockets[$name] ?? self::LOOM);
        }
        foreach ($touched as $i => $code) {
            $position = $positions[$code] ?? null;
            $subsystem = isset($this->knowledge->subsystems[$code]) ? $code : $position?->subsystem;
            if ($subsystem === null) {
                throw InputError::unknown(
                    "touched.{$i}",
                    'subsystem or position',
                    $code,
                    [...array_keys($this->knowledge->subsystems), ...array_keys($positions)],
                );
            }
            $reasons[] = new Reason('touched', $position->name ?? $this->knowledge->subsystems[$code], $subsystem);
        }

        return [...$reasons, ...$follows];
    }

    /** @param  list<Reason>  $reasons */
    private function because(Proof $proof, array $reasons): ?string
    {
        $of = [];
        foreach ($reasons as $reason) {
            if ($reason->owes($proof)) {
                $of[$reason->kind][] = $reason->name;
            }
        }
        foreach ($of as $kind => $names) {
            return "{$kind}: ".implode(', ', array_unique($names));
        }

        return $proof->always ? $proof->because : null;
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

    /** @return array<string, string> name of a socket => subsystem behind it */
    private function sockets(): array
    {
        return array_merge(...array_values(array_map(static fn (Family $f): array => $f->sockets, $this->knowledge->families)));
    }
}
