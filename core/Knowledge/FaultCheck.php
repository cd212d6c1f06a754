<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Faults against the rest: what they show and bring is there, danger has its look, and a check tells each. */
final readonly class FaultCheck
{
    public function __construct(private Knowledge $knowledge, private Missing $missing)
    {
    }

    public function faults(): void
    {
        foreach ($this->knowledge->faults as $fault) {
            $this->missing->exist('faults', $fault->code, 'shows', array_keys($fault->shows), $this->knowledge->findings);
            $this->missing->exist('faults', $fault->code, 'behind', $fault->behind, $this->knowledge->faults);
            $this->missing->exist('faults', $fault->code, 'brings', $fault->brings, $this->knowledge->faults);
            foreach ($fault->mends as $mend) {
                $this->missing->exist('faults', $fault->code, 'mends.touches', $mend->touches, $this->knowledge->subsystems);
                $this->missing->exist('faults', $fault->code, 'mends.parts', $mend->parts, $this->knowledge->partClasses);
                if ($mend->touches === []) {
                    $this->missing->wrong('faults', $fault->code, 'mends.touches', 'must name what has to be proved again');
                }
            }
            if ($fault->sisters !== null) {
                $this->missing->exist('faults', $fault->code, 'sisters.look', [$fault->sisters->look], $this->knowledge->checks);
                $this->missing->exist(
                    'faults',
                    $fault->code,
                    'sisters.part',
                    array_filter([$fault->sisters->part]),
                    $this->knowledge->partClasses,
                );
            }
            $this->settling($fault);
            if ($fault->shows === []) {
                $this->missing->wrong('faults', $fault->code, 'shows', 'must name at least one finding');
            }
        }
    }

    /** A settling look exists, shows something of the fault, and can be made where the fault can be. */
    private function settling(Fault $fault): void
    {
        $this->missing->exist('faults', $fault->code, 'settle', $fault->settle, $this->knowledge->checks);
        foreach (array_intersect($fault->settle, array_keys($this->knowledge->checks)) as $look) {
            if (array_intersect_key(array_flip($this->knowledge->checks[$look]->yields), $fault->shows) === []) {
                $this->missing->wrong('faults', $fault->code, 'settle', "“{$look}” shows nothing of it");
            }
        }
        if ($fault->settle === [] && ($fault->danger || $fault->qualified !== null)) {
            $this->missing->wrong(
                'faults',
                $fault->code,
                'settle',
                'must name a look: it is dangerous or for qualified people only, and is never mended on a guess',
            );
        }
    }

    /** Every fault has a check that tells it, and none leads back to itself. */
    public function told(): void
    {
        $circle = (new Causes($this->knowledge->faults))->circle();
        if ($circle !== []) {
            $this->missing->wrong('faults', $circle[0], 'brings', 'goes in a circle with what lies behind: '.implode(' → ', $circle));
        }
        $telling = new Telling($this->knowledge);
        foreach ($this->knowledge->faults as $fault) {
            [$check, $factor] = $telling->best($fault);
            if ($factor < Telling::FIVEFOLD) {
                $this->missing->wrong(
                    'faults',
                    $fault->code,
                    'shows',
                    sprintf(
                        'no check moves its odds fivefold; %s',
                        $check === null ? 'none bears on it' : sprintf('the most telling one, %s, moves them %.1f-fold', $check, $factor),
                    ),
                );
            }
        }
    }
}
