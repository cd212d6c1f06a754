<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\DrawAnew;
use App\Api\KeptFile;
use OddBench\Input\InputError;

/** A part has a picture. */
final readonly class PhotographPart
{
    private const PHOTO_PX = 900;

    public function __construct(private DrawAnew $draw)
    {
    }

    /** @throws InputError when it is no picture */
    public function keep(Part $part, string $bytes): void
    {
        $jpeg = $this->draw->jpeg($bytes, 'photograph', self::PHOTO_PX);
        $path = 'parts/'.sha1($jpeg).'.jpg';
        KeptFile::put($path, $jpeg, 'photograph', 'photograph');
        $part->update(['photo' => $path]);
    }
}
