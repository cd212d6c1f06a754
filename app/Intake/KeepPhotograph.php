<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Refused;
use App\Shop\Person;
use Illuminate\Support\Facades\Storage;
use OddBench\Input\InputError;

/**
 * Keeps a photograph: drawn anew as JPEG, so that nothing else hides in the file and no place or name of its maker
 * comes along, and no larger than a screen shows.
 */
final readonly class KeepPhotograph
{
    private const LONGEST_PX = 1600;

    private const MOST_BYTES = 8 * 1024 * 1024;

    private const MOST_PIXELS = 50_000_000;

    private const KINDS = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /**
     * @throws InputError when it is no picture
     * @throws Refused when the job is finished
     */
    public function keep(Job $job, string $bytes, Person $by): Photograph
    {
        if (! $job->isOpen()) {
            throw Refused::because('job', 'This job is finished; nothing is added to it any more. Book the machine in again.');
        }
        $jpeg = $this->drawnAnew($bytes);
        $size = getimagesizefromstring($jpeg);
        $path = sprintf('photographs/%d/%s.jpg', $job->id, sha1($jpeg));
        if ($size === false || ! Storage::put($path, $jpeg)) {
            throw Refused::because('photograph', 'The photograph could not be kept: the disk for files does not take it. Try again, or tell whoever looks after the server.');
        }

        return Photograph::query()->create(['job_id' => $job->id, 'path' => $path, 'width' => $size[0], 'height' => $size[1], 'bytes' => strlen($jpeg), 'person_id' => $by->id, 'at' => now()]);
    }

    private function drawnAnew(string $bytes): string
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw InputError::at('photograph', 'The photograph is larger than 8 MB. Take it smaller.');
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], self::KINDS, true)) {
            throw InputError::at('photograph', 'This is no photograph. JPEG, PNG and WebP are taken.');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw InputError::at('photograph', 'The photograph has more than 50 million points. Take it smaller.');
        }
        $picture = @imagecreatefromstring($bytes);
        if ($picture === false) {
            throw InputError::at('photograph', 'The photograph is damaged. Take it again.');
        }
        $scale = min(1.0, self::LONGEST_PX / max($size[0], $size[1]));
        $small = $scale < 1.0 ? imagescale($picture, max(1, (int) round($size[0] * $scale)), max(1, (int) round($size[1] * $scale))) : $picture;
        ob_start();
        imagejpeg($small === false ? $picture : $small, null, 85);

        return (string) ob_get_clean();
    }
}
