<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Job;
use OddBench\Intake\Station;

/** Where a job stands, in the words its owner needs. */
final class OwnersWords
{
    public static function of(Job $job): string
    {
        if ($job->waits_for === 'part') {
            return 'A part is on its way.';
        }
        if ($job->waits_for === 'owner') {
            return 'We wait for your word.';
        }

        return match ($job->station) {
            Station::Intake, Station::Safety => 'It was booked in and is being made safe to work on.',
            Station::Diagnosis => 'We are finding out what is wrong.',
            Station::Repair => 'What is wrong is known and is being mended.',
            Station::Proof => 'It is mended and shows now that it works.',
            Station::Release => 'It is ready.',
        };
    }
}
