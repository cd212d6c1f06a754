<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\Person;
use OddBench\Input\InputError;

/** Corrects what was written at Book in, and says what a job waits for. */
final readonly class EditJob
{
    private const WORDS = [
        'complaint' => 'complaint',
        'screen_said' => 'what the screen said',
        'came_along' => 'what came along',
        'promised_for' => 'the promised day',
    ];

    private const WAITS = [
        'itself' => 'runs by itself',
        'part' => 'waits on a part',
        'person' => 'waits on a person',
        'claim' => 'waits on a claim',
        'owner' => 'waits on the owner',
    ];

    public function __construct(private JobRecord $record, private Hands $hands, private HearsPromise $promises)
    {
    }

    /** @param  array<string, string|null>  $changes column => new value */
    public function correct(Job $job, array $changes, int $version, Person $by): Job
    {
        return $this->record->write($job, $by, $version, function (Job $job) use ($changes, $by): Said {
            $said = [];
            foreach (array_intersect_key(self::WORDS, $changes) as $column => $words) {
                $said[] = "{$words} is now “{$changes[$column]}”";
                $job->setAttribute($column, $changes[$column]);
            }
            if ($said === []) {
                throw InputError::at('complaint', 'Nothing was given to change.');
            }

            if (isset($changes['promised_for'])) {
                $this->promises->promised($job, 'changed', $by);
            }

            return new Said('corrected', ucfirst(implode('; ', $said)));
        }, byHand: false);
    }

    /**
     * @param  'itself'|'part'|'person'|'claim'|'owner'|null  $for nothing: it is ready for hands again
     * @param  bool|null  $hot  something is while it runs by itself; nothing where nobody has said
     */
    public function wait(Job $job, ?string $for, ?string $note, ?int $minutes, int $version, Person $by, ?bool $hot = null): Job
    {
        return $this->record->write($job, $by, $version, function (Job $job) use ($for, $note, $minutes, $hot): Said {
            if ($for === 'itself' && $minutes === null) {
                throw InputError::at('waitsMinutes', 'How many minutes will it run by itself?');
            }
            if ($for !== null && $for !== 'itself' && ($note === null || trim($note) === '')) {
                throw InputError::at('waitsNote', 'Say what it waits for: which part, which person, which claim.');
            }
            $job->waitFor($for, $note, $minutes === null ? null : now()->addMinutes($minutes), $hot);
            $this->hands->off($job);

            return new Said(
                'waits',
                $for === null
                    ? 'Ready for hands again'
                    : ucfirst(self::WAITS[$for]).($note === null ? '' : ": {$note}").($minutes === null ? '' : ", {$minutes} min")
                        .($job->waits_hot === null ? '' : ($job->waits_hot ? ', hot' : ', nothing is hot')),
            );
        }, byHand: false);
    }
}
