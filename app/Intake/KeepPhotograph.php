<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\DrawAnew;
use App\Api\KeptFile;
use App\Api\Refused;
use App\Shop\Person;
use OddBench\Input\InputError;

/** Keeps a photograph: drawn anew, no larger than a screen shows. */
final readonly class KeepPhotograph
{
    private const LONGEST_PX = 1600;

    private const MOST_BYTES = 8 * 1024 * 1024;

    public function __construct(private DrawAnew $draw)
    {
    }

    /**
     * @throws InputError when it is no picture
     * @throws Refused when the job is finished
     */
    public function keep(Job $job, string $bytes, Person $by): Photograph
    {
        if (! $job->isOpen()) {
            throw Refused::because('job', 'This job is finished; nothing is added to it any more. Book the machine in again.');
        }
        if (strlen($bytes) > self::MOST_BYTES) {
            throw InputError::at('photograph', 'The photograph is larger than 8 MB. Take it smaller.');
        }
        $jpeg = $this->draw->jpeg($bytes, 'photograph', self::LONGEST_PX);
        $size = getimagesizefromstring($jpeg);
        $path = sprintf('photographs/%d/%s.jpg', $job->id, sha1($jpeg));
        if ($size === false) {
            throw InputError::at('photograph', 'This cannot be read as a picture.');
        }
        KeptFile::put($path, $jpeg, 'photograph', 'photograph');

        return Photograph::query()->create([
            'job_id' => $job->id,
            'path' => $path,
            'width' => $size[0],
            'height' => $size[1],
            'bytes' => strlen($jpeg),
            'person_id' => $by->id,
            'at' => now(),
        ]);
    }
}
