<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Refused;
use App\Shop\Person;
use OddBench\Intake\Station;

/** Moves a job along the stations, or back. */
final readonly class MoveJob
{
    public function __construct(private JobRecord $record, private WalkQuery $walk)
    {
    }

    /**
     * @param  string|null  $why  asked for when it goes back
     *
     * @throws Refused with everything that stands in the way
     */
    public function move(Job $job, Station $to, ?string $why, int $version, Person $by): Job
    {
        return $this->record->write($job, $by, $version, function (Job $job) use ($to, $why): Said {
            $obstacles = $this->walk->of(JobState::of($job))->obstacles($job->station, $to);
            if ($obstacles !== []) {
                throw Refused::because('to', ...$obstacles);
            }
            if ($job->station === $to) {
                throw Refused::because('to', "The job stands at {$to->words()} already.");
            }
            if ($to === Station::Intake) {
                throw Refused::because('to', 'Book in is done; correct what was written there instead.');
            }
            $back = $job->station->comesAfter($to);
            if ($back && ($why === null || trim($why) === '')) {
                throw Refused::because('why', "Say why it goes back to {$to->words()}.");
            }

            return self::put($job, $to, $why);
        });
    }

    /** Puts a job at a station inside a running write. */
    public static function put(Job $job, Station $to, ?string $why): Said
    {
        $back = $job->station->comesAfter($to);
        $job->station = $to;
        $job->station_since = now();
        $job->waitFor(null);

        return new Said(
            'moved',
            ($back ? "Back to {$to->words()}" : "On to {$to->words()}").($why === null || trim($why) === '' ? '' : ": {$why}"),
        );
    }
}
