<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Suspect;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/**
 * Goes through the checks in an order fixed beforehand and mends a fault as soon as it is likelier than not by so much.
 * It is judged by the same arithmetic as advised work, which is more than a paper checklist gets: only the order differs.
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

    public function next(BrokenMachine $machine, array $findings, array $done, array $ruledOut): Move
    {
        $suspects = $this->diagnose->suspectsOf(CaseFile::read(['traits' => $machine->traits, 'findings' => $findings, 'ruled_out' => $ruledOut], $this->knowledge));
        $likeliest = array_values(array_filter($suspects, static fn (Suspect $s): bool => $s->explains !== []))[0] ?? null;
        if ($likeliest !== null && $likeliest->probability >= $this->sure) {
            return Move::mend($likeliest->code);
        }
        $traits = Traits::of($machine->traits);
        foreach (array_diff($this->order, $done) as $code) {
            $check = $this->knowledge->check($code);
            if ($traits->allow($check->needs) && array_diff($check->yields, array_keys($findings)) !== []) {
                return Move::look($code);
            }
        }

        return Likeliest::mend($this->knowledge, $suspects, $ruledOut);
    }
}
