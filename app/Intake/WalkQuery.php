<?php

declare(strict_types=1);

namespace App\Intake;

use LogicException;
use OddBench\Intake\Walk;

/** Puts together what the rooms say of a job’s walk. */
final readonly class WalkQuery
{
    /** @param  iterable<SaysOfWalk>  $rooms */
    public function __construct(private iterable $rooms)
    {
    }

    /** @throws LogicException when no room says one of the facts: a walk with a fact left out would let a danger pass */
    public function of(JobState $state): Walk
    {
        $facts = [];
        foreach ($this->rooms as $room) {
            foreach ($room->ofWalk($state) as $fact => $value) {
                if (array_key_exists($fact, $facts)) {
                    throw new LogicException("Two rooms say “{$fact}” of the walk.");
                }
                $facts[$fact] = $value;
            }
        }

        return new Walk(
            safetyAnswered: $facts['safetyAnswered'] ?? self::unsaid('safetyAnswered'),
            redTag: $facts['redTag'] ?? self::unsaid('redTag'),
            confirmed: $facts['confirmed'] ?? self::unsaid('confirmed'),
            passedFind: $state->job->find_passed_because !== null,
            workNoted: $facts['workNoted'] ?? self::unsaid('workNoted'),
            missingProofs: $facts['missingProofs'] ?? self::unsaid('missingProofs'),
            notAccounted: $facts['notAccounted'] ?? self::unsaid('notAccounted'),
            notAgreed: $facts['notAgreed'] ?? self::unsaid('notAgreed'),
        );
    }

    private static function unsaid(string $fact): never
    {
        throw new LogicException("No room says “{$fact}” of the walk.");
    }
}
