<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use OddBench\Knowledge\Family;

/** A plain drawing of a control board with its sockets along both edges; invented, as the machines are. */
final readonly class DemoBoardMap
{
    private const WIDE = 900;

    private const HIGH = 540;

    public function __construct(private Family $family)
    {
    }

    /** @return array<string, array{float, float}> socket => x and y from 0 to 1 */
    public function points(): array
    {
        $names = array_map(strval(...), array_keys($this->family->sockets));
        $half = (int) ceil(count($names) / 2);
        $points = [];
        foreach ($names as $i => $name) {
            $column = $i % $half;
            $points[$name] = [0.1 + 0.8 * ($column + 0.5) / $half, $i < $half ? 0.17 : 0.83];
        }

        return $points;
    }

    public function png(): string
    {
        $picture = imagecreatetruecolor(self::WIDE, self::HIGH);
        $paper = (int) imagecolorallocate($picture, 251, 250, 246);
        $board = (int) imagecolorallocate($picture, 222, 218, 208);
        $line = (int) imagecolorallocate($picture, 90, 100, 104);
        $white = (int) imagecolorallocate($picture, 255, 255, 255);
        imagefill($picture, 0, 0, $paper);
        imagefilledrectangle($picture, 40, 40, self::WIDE - 40, self::HIGH - 40, $board);
        imagerectangle($picture, 40, 40, self::WIDE - 40, self::HIGH - 40, $line);
        foreach ([[62, 62], [self::WIDE - 62, 62], [62, self::HIGH - 62], [self::WIDE - 62, self::HIGH - 62]] as [$x, $y]) {
            imagefilledellipse($picture, $x, $y, 20, 20, $paper);
            imageellipse($picture, $x, $y, 20, 20, $line);
        }
        imagerectangle($picture, 370, 210, 530, 330, $line);
        for ($i = 0; $i < 4; $i++) {
            imagerectangle($picture, 130 + 55 * $i, 230, 165 + 55 * $i, 300, $line);
            imagerectangle($picture, 585 + 55 * $i, 230, 620 + 55 * $i, 300, $line);
        }
        foreach ($this->points() as [$x, $y]) {
            $cx = (int) ($x * self::WIDE);
            $cy = (int) ($y * self::HIGH);
            imagefilledrectangle($picture, $cx - 30, $cy - 18, $cx + 30, $cy + 18, $white);
            imagerectangle($picture, $cx - 30, $cy - 18, $cx + 30, $cy + 18, $line);
        }
        ob_start();
        imagepng($picture);

        return (string) ob_get_clean();
    }
}
