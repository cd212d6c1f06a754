<?php

declare(strict_types=1);

namespace App\Api;

use OddBench\Input\InputError;

/**
 * Draws a picture anew as JPEG, so that nothing else hides in the file and no place or name of its maker comes along.
 */
final class DrawAnew
{
    private const MOST_PIXELS = 24_000_000;

    private const KINDS = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /**
     * @param  string  $field  named in messages
     * @param  int  $longest  points along the longer side
     *
     * @throws InputError when it is no picture
     */
    public function jpeg(string $bytes, string $field, int $longest): string
    {
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], self::KINDS, true)) {
            throw InputError::at(
                $field,
                $field === 'photograph'
                    ? 'This is no photograph. JPEG, PNG and WebP are taken.'
                    : 'This is neither a PDF nor a picture. PDF, JPEG, PNG and WebP are taken.',
            );
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw InputError::at($field, 'The picture has more than 24 million points. Take it smaller.');
        }
        $picture = @imagecreatefromstring($bytes);
        if ($picture === false) {
            throw InputError::at($field, 'The picture is damaged. Take it again.');
        }
        $picture = $this->upright($picture, $bytes, $size[2]);
        $scale = min(1.0, $longest / max(imagesx($picture), imagesy($picture)));
        $small = $scale < 1.0 ? imagescale(
            $picture,
            max(1, (int) round(imagesx($picture) * $scale)),
            max(1, (int) round(imagesy($picture) * $scale)),
        ) : $picture;
        ob_start();
        imagejpeg($small === false ? $picture : $small, null, 85);

        return (string) ob_get_clean();
    }

    /** A tablet notes which way it was held in the part of the file that is thrown away. */
    private function upright(\GdImage $picture, string $bytes, int $kind): \GdImage
    {
        $held = $kind === IMAGETYPE_JPEG ? self::orientation($bytes) : 1;
        $turned = match ($held) {
            3 => imagerotate($picture, 180, 0),
            6 => imagerotate($picture, -90, 0),
            8 => imagerotate($picture, 90, 0),
            default => $picture,
        };

        return $turned === false ? $picture : $turned;
    }

    /** The orientation of Exif: 1 upright, 3 upside down, 6 and 8 on its sides. */
    private static function orientation(string $bytes): int
    {
        $file = fopen('php://temp', 'w+b');
        if ($file === false) {
            return 1;
        }
        fwrite($file, $bytes);
        rewind($file);
        // a damaged block is warned of and is none
        $read = @exif_read_data($file);

        return is_array($read) && is_int($read['Orientation'] ?? null) ? $read['Orientation'] : 1;
    }
}
