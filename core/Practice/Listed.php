<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Suspect;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/**
 * Goes through the checks in an order fixed beforehand and mends a fault as soon as it is likelier than so much. Looks
 * that have nothing to do with the complaint are passed over, and what was found is judged by the same arithmetic as in
 * advised work: more than a paper checklist gets, so that only the order is compared.
 */
final readonly class Listed implements Way
{
    private Diagnose $diagnose;

    /**
     * @param  list<string>  $order  check codes
     * @param  float  $sure  probability, 0 to 1, from which a fault is mended
     */
    public function __construct(private Knowledge $knowledge, private array $order, private float $sure)
    {
        $this->diagnose = new Diagnose($knowledge);
    }

    /** The next of the list that is not done yet. */
    public function next(BrokenMachine $machine, array $findings, array $done, array $ruledOut): Move
    {
        $ruledOut = [...$ruledOut, ...($machine->unheardOf ? $machine->truth : [])];
        $case = CaseFile::read(
            ['traits' => $machine->traits, 'findings' => $findings, 'untold' => 'weigh', 'ruled_out' => $ruledOut],
            $this->knowledge,
        );
        $suspects = $this->diagnose->suspectsOf($case);
        $inQuestion = array_values(array_filter($suspects, static fn (Suspect $s): bool => $s->explains !== []));
        if ($inQuestion !== [] && $inQuestion[0]->probability >= $this->sure) {
            return Move::mend($inQuestion[0]->code);
        }
        $traits = Traits::of($machine->traits);
        foreach (array_diff($this->order, $done) as $code) {
            $check = $this->knowledge->check($code);
            if ($traits->allow($check->needs) && $this->bears($check, $inQuestion, $findings)) {
                return Move::look($code);
            }
        }

        return Likeliest::mend($this->knowledge, $suspects, $ruledOut, $this->diagnose->noneOf($case));
    }

    /**
     * @param  list<Suspect>  $suspects
     * @param  array<string, string>  $findings
     */
    private function bears(Check $check, array $suspects, array $findings): bool
    {
        $open = array_diff_key(array_flip($check->yields), $findings);
        foreach ($suspects as $suspect) {
            if (array_intersect_key($open, $this->knowledge->faults[$suspect->code]->shows) !== []) {
                return true;
            }
        }

        return false;
    }
}
