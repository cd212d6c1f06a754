<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Knowledge\Knowledge;

/** Does whatever stands first among the next steps of the diagnosis. */
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
            'ruled_out' => $ruledOut,
            'on_shelf' => array_keys($this->knowledge->partClasses),
        ], $this->knowledge));
        $step = $diagnosis->next[0] ?? null;
        if ($step === null) {
            return Likeliest::mend($this->knowledge, $diagnosis->suspects, $ruledOut);
        }

        return $step->kind === 'check' ? Move::look($step->code) : Move::mend($step->code);
    }
}
