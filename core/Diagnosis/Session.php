<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/**
 * One case looked at once: the beliefs are worked out when the session opens, and the ranking by either school, what else
 * is likely to be there and how belief moved are all told from them.
 */
final class Session
{
    /** @var array<int, Diagnosis> by school: 1 for swap first */
    private array $judged = [];

    private function __construct(
        private readonly Knowledge $knowledge,
        public readonly CaseFile $case,
        private readonly Network $network,
        private readonly Beliefs $beliefs,
        private readonly Judgement $judgement,
    ) {
    }

    /** Opens a case: its network with the corrected rates, and the exact posterior of every fault. */
    public static function open(CaseFile $case, Knowledge $knowledge): self
    {
        $network = Network::forMachine($knowledge, $case->traits, $case->rates, $case->ruledOut);
        $beliefs = Beliefs::of($case->weighsUntold ? Untold::weigh($network, $knowledge, $case->findings) : $network, $case->findings);

        return new self($knowledge, $case, $network, $beliefs, new Judgement($knowledge, $case, $network, $beliefs));
    }

    /** The judgement by the school the case was opened with. */
    public function diagnosis(): Diagnosis
    {
        return $this->by($this->case->swapFirst);
    }

    /** The same by the other school. */
    public function byTheOtherSchool(): Diagnosis
    {
        return $this->by(! $this->case->swapFirst);
    }

    /**
     * The faults by their probability only, without what speaks for and against each: much quicker than a diagnosis.
     *
     * @return list<Suspect>
     */
    public function suspects(): array
    {
        return $this->judgement->suspects();
    }

    /** Probability that it is none of the faults in question, 0 to 1. */
    public function none(): float
    {
        return $this->judgement->none();
    }

    /** What may be wrong all together, and how likely each is. */
    public function sets(): FaultSets
    {
        return FaultSets::of($this->beliefs, $this->judgement->inQuestion());
    }

    /** Minutes of hands that finding out will still take on the average. */
    public function searchAhead(): float
    {
        return SearchAhead::minutes($this->knowledge, $this->case, $this->suspects());
    }

    /** What mending takes on this machine, and what parts cost this shop. */
    public function mending(): MendCost
    {
        return new MendCost($this->knowledge, $this->case);
    }

    /**
     * Findings likely to be there too, not known yet.
     *
     * @return list<string> codes, likeliest first
     */
    public function likely(int $most): array
    {
        return LikelyFindings::of($this->knowledge, $this->case->traits, $this->beliefs, $most);
    }

    /**
     * How belief moved to where it stands.
     *
     * @param  list<array{code: string, present: bool, withdrawn: bool}>  $events  in the order they happened
     */
    public function history(array $events): BeliefHistory
    {
        return BeliefHistory::of($this->network, $events, $this->case->weighsUntold ? $this->knowledge : null);
    }

    /** @return list<string> codes of the faults this machine can have, as the history numbers them */
    public function faults(): array
    {
        return $this->network->faults;
    }

    private function by(bool $swapFirst): Diagnosis
    {
        return $this->judged[(int) $swapFirst] ??= $this->judgement->by($swapFirst);
    }
}
