<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** The judgement of one case. */
final readonly class Diagnosis
{
    /**
     * @param  list<Suspect>  $suspects  by probability
     * @param  list<string>  $explained  the set of faults that explains the findings best
     * @param  list<string>  $unexplained  present findings nothing possible explains
     * @param  list<Step>  $next  best first
     * @param  list<string>  $faults  codes, by the index the steps’ beliefs use
     * @param  bool  $redTag  the machine wears a red tag
     * @param  float  $none  probability, 0 to 1, that it is none of the faults in question
     */
    public function __construct(
        public array $suspects,
        public array $explained,
        public array $unexplained,
        public DangerScreen $danger,
        public array $next,
        public array $faults,
        public bool $redTag,
        public float $none,
    ) {
    }

    /** What is believed of a fault, 0 to 1. */
    public function probability(string $fault): float
    {
        foreach ($this->suspects as $suspect) {
            if ($suspect->code === $fault) {
                return $suspect->probability;
            }
        }

        return 0.0;
    }

    /** Whether no suspect stands out: the first is under three in ten, and three more have at least half of its probability. */
    public function isEven(): bool
    {
        $asked = array_values(array_map(
            static fn (Suspect $s): float => $s->probability,
            array_filter($this->suspects, static fn (Suspect $s): bool => $s->explains !== []),
        ));

        return isset($asked[3]) && $asked[0] < 0.3 && $asked[3] >= $asked[0] / 2;
    }

    /** Whether it is likelier that it is none of the faults in question than any one of them. */
    public function noneLeads(): bool
    {
        foreach ($this->suspects as $suspect) {
            if ($suspect->explains !== []) {
                return $this->none > $suspect->probability;
            }
        }

        return $this->none > 0.0;
    }

    /**
     * The next steps for somebody at the bench. Under a red tag the one test a lead signed for comes first, any other
     * test under power last.
     *
     * @param  string|null  $signedTest  the check a lead signed for
     * @return list<Step>
     */
    public function nextAtTheBench(?string $signedTest): array
    {
        if (! $this->danger->redTag && ! $this->redTag) {
            return $this->next;
        }
        $turn = static fn (Step $step): int => match (true) {
            $step->code === $signedTest => 0,
            ! $step->needsPower => 1,
            default => 2,
        };
        $steps = $this->next;
        usort($steps, static fn (Step $a, Step $b): int => $turn($a) <=> $turn($b));

        return $steps;
    }

    /**
     * The likeliest faults under a belief, for “yes: liner 81 %”.
     *
     * @param  array<int, float>  $beliefs  by fault
     * @return array<string, float> fault => probability
     */
    public function leadsTo(array $beliefs, int $most = 2): array
    {
        arsort($beliefs);
        $leads = [];
        foreach (array_slice($beliefs, 0, $most, true) as $fault => $probability) {
            $leads[$this->faults[$fault]] = $probability;
        }

        return $leads;
    }

    /**
     * The fault an answer speaks for most: the one whose probability it raises furthest.
     *
     * @param  array<int, float>  $beliefs  by fault
     * @return array<string, float> fault => probability
     */
    public function raises(array $beliefs): array
    {
        $now = [];
        foreach ($this->suspects as $suspect) {
            $now[$suspect->code] = $suspect->probability;
        }
        $risen = [];
        foreach ($beliefs as $fault => $probability) {
            $risen[$fault] = $probability - ($now[$this->faults[$fault]] ?? 0.0);
        }
        arsort($risen);
        $most = array_key_first($risen);

        return $most === null ? [] : [$this->faults[$most] => $beliefs[$most]];
    }
}
