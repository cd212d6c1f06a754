<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Step;
use OddBench\Knowledge\Knowledge;

/** Does whatever stands first among the next steps of the diagnosis; hands the machine over when nothing
 * stands there, or only a mend where it is likelier to be none of the suspects. */
final readonly class Advised implements Way
{
    private Diagnose $diagnose;

    /** @param  'measure-first'|'swap-first'  $school  with swap-first every part is on the shelf */
    public function __construct(private Knowledge $knowledge, private string $school)
    {
        $this->diagnose = new Diagnose($knowledge);
    }

    /** What the ranking and its next step would do now. */
    public function next(BrokenMachine $machine, array $findings, array $done, array $ruledOut): Move
    {
        $diagnosis = $this->diagnose->judge(CaseFile::read([
            'traits' => $machine->traits,
            'findings' => $findings,
            'school' => $this->school,
            'untold' => 'weigh',
            'hidden' => $done,
            'ruled_out' => array_values(array_unique([...$ruledOut, ...($machine->unheardOf ? $machine->truth : [])])),
            'on_shelf' => array_keys($this->knowledge->partClasses),
        ], $this->knowledge));
        $step = $diagnosis->next[0] ?? null;
        if ($step === null
            || ($step->kind === 'mend' && $diagnosis->noneLeads() && $diagnosis->probability($step->code) < Likeliest::LONG_SHOT)) {
            return Move::handOver();
        }

        return match ($step->kind) {
            'check' => Move::look($step->code),
            'sweep' => Move::look(...array_map(static fn (Step $look): string => $look->code, $step->looks)),
            'swap', 'mend' => Move::mend($step->code),
        };
    }
}
