<?php

declare(strict_types=1);

namespace OddBench\Release;

/** May this machine leave the bench, and if not, why not: in words. */
final readonly class Gate
{
    /**
     * @param  bool  $redTag  the machine wears a red tag
     * @param  list<string>  $missingProofs  names of the proofs still owed
     * @param  list<string>  $openFaults  names of confirmed faults with no mend noted
     * @param  bool  $safetyAnswered  every safety question has an answer
     * @param  bool  $atSendOut  the job stands at Send out
     * @param  list<string>  $notBack  what came along and did not go out again, in words
     */
    public function __construct(
        public bool $redTag,
        public array $missingProofs,
        public array $openFaults,
        public bool $safetyAnswered,
        public bool $atSendOut,
        public array $notBack = [],
    ) {
    }

    /**
     * @param  bool  $dangerWritten  the danger is put in writing for the owner
     * @param  bool  $byLead  a lead signs
     * @return list<string> reasons against; empty when it may go
     */
    public function reasonsAgainst(Destination $to, bool $dangerWritten, bool $byLead): array
    {
        if (! $to->runsAgain()) {
            return $to === Destination::Unmended ? [...$this->notBack, ...($this->redTag ? array_values(array_filter([
                $dangerWritten ? null : 'It wears a red tag: write down the danger, so that its owner has it in writing.',
                $byLead ? null : 'It wears a red tag: a lead signs that it goes back unmended.',
            ])) : [])] : [];
        }
        $reasons = $this->notBack;
        if ($this->redTag) {
            $reasons[] = 'It wears a red tag. The tag comes off with the mended cause, a measurement and a lead’s signature.';
        }
        if (! $this->safetyAnswered) {
            $reasons[] = 'The safety questions are not all answered.';
        }
        foreach ($this->openFaults as $fault) {
            $reasons[] = "{$fault} is confirmed, but no mend is noted.";
        }
        foreach ($this->missingProofs as $proof) {
            $reasons[] = "Still owed: {$proof}.";
        }
        if ($reasons === [] && ! $this->atSendOut) {
            $reasons[] = 'The job does not stand at Send out yet.';
        }

        return $reasons;
    }
}
