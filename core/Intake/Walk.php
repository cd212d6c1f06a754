<?php

declare(strict_types=1);

namespace OddBench\Intake;

/** What a job must have before it leaves a station, and which way it may go. */
final readonly class Walk
{
    /**
     * @param  bool  $safetyAnswered  every safety question has an answer
     * @param  bool  $redTag  the machine wears a red tag
     * @param  int  $confirmed  faults confirmed and not superseded
     * @param  bool  $passedFind  Find was passed with a reason, as nothing is broken
     * @param  bool  $workNoted  at least one mend is noted
     * @param  list<string>  $missingProofs  names of the proofs still owed
     * @param  list<string>  $notAccounted  what came off and is neither back nor explained
     * @param  list<string>  $notAgreed  why its owner has not agreed to the mend, in words
     */
    public function __construct(
        public bool $safetyAnswered,
        public bool $redTag,
        public int $confirmed,
        public bool $passedFind,
        public bool $workNoted,
        public array $missingProofs,
        public array $notAccounted = [],
        public array $notAgreed = [],
    ) {
    }

    /**
     * Why a job cannot go to a station yet; empty when it can.
     *
     * @return list<string>
     */
    public function obstacles(Station $from, Station $to): array
    {
        if (! $to->comesAfter($from)) {
            return [];
        }
        $obstacles = [];
        foreach (Station::cases() as $station) {
            if (! $station->comesAfter($to) && $station->comesAfter(Station::Intake)) {
                array_push($obstacles, ...$this->before($station));
            }
        }

        return $obstacles;
    }

    /** @return list<string> what must hold before a job stands at this station */
    private function before(Station $station): array
    {
        return array_keys(array_filter(match ($station) {
            Station::Diagnosis => ['The safety questions are not all answered.' => ! $this->safetyAnswered],
            Station::Repair => [
                'No fault is confirmed. Confirm one, or pass Find with its reason.' => $this->confirmed === 0 && ! $this->passedFind,
                ...array_fill_keys($this->notAgreed, true),
            ],
            Station::Proof => [
                'The machine wears a red tag: nothing is proved under power until it is off.' => $this->redTag,
                'A confirmed fault has no mend noted.' => $this->confirmed > 0 && ! $this->workNoted,
                'Not accounted for on the tray: '.implode('; ', $this->notAccounted)
                    .'. Put it back, or say in words why not.' => $this->notAccounted !== [],
            ],
            Station::Release => $this->proofObstacles(),
            default => [],
        }));
    }

    /** @return array<string, bool> */
    private function proofObstacles(): array
    {
        $owed = count($this->missingProofs);

        return [
            ($owed === 1 ? 'A proof is still owed: ' : "{$owed} proofs are still owed: ").implode(', ', $this->missingProofs)
                .'.' => $owed > 0,
        ];
    }
}
