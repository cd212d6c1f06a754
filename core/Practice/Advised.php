<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Step;
use OddBench\Knowledge\Knowledge;

/** Does whatever stands first among the next steps of the diagnosis; hands the machine over when nothing stands there. */
final readonly class Advised implements Way
{
    private Diagnose $diagnose;

    /** @param  'measure-first'|'swap-first'  $school  with swap-first every part is on the shelf */
    public function __construct(private Knowledge $knowledge, private string $school)
    {
        $this->diagnose = new Diagnose($knowledge);
    }

    public function next(BrokenMachine $machine, array $findings, array $done, array $ruledOut): Move
    {
        $diagnosis = $this->diagnose->judge(CaseFile::read([
            'traits' => $machine->traits,
            'findings' => $findings,
            'school' => $this->school,
            'hidden' => $done,
            'ruled_out' => array_values(array_unique([...$ruledOut, ...($machine->unheardOf ? $machine->truth : [])])),
            'on_shelf' => array_keys($this->knowledge->partClasses),
        ], $this->knowledge));
        foreach ($diagnosis->next as $step) {
            return match ($step->kind) {
                'check' => Move::look($step->code),
                'sweep' => Move::look(...array_map(static fn (Step $look): string => $look->code, $step->looks)),
                'swap', 'mend' => Move::mend($step->code),
            };
        }
        // what can hurt and could not be settled is for somebody else; anything else that explains something is tried
        foreach ($diagnosis->suspects as $suspect) {
            if ($suspect->explains !== []) {
                return $this->isGated($suspect->code) ? Move::handOver() : Likeliest::mend($this->knowledge, $diagnosis->suspects, $this->notOnAGuess($ruledOut));
            }
        }

        return Move::handOver();
    }

    private function isGated(string $code): bool
    {
        return $this->knowledge->faults[$code]->danger || $this->knowledge->faults[$code]->qualified !== null;
    }

    /**
     * @param  list<string>  $ruledOut
     * @return list<string>
     */
    private function notOnAGuess(array $ruledOut): array
    {
        return [...$ruledOut, ...array_values(array_filter(array_keys($this->knowledge->faults), $this->isGated(...)))];
    }
}
