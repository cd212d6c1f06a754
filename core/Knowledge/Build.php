<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Where a family’s machines can print: what a proof drives to and a print is laid into. Nothing is moved by a guess. */
final readonly class Build
{
    private const SHAPES = ['box', 'round'];

    private const ORIGINS = ['corner', 'middle'];

    /**
     * @param  float  $x  mm, 60 to 1000
     * @param  float  $y  mm
     * @param  float  $z  mm
     * @param  bool  $round  its bed is round
     * @param  bool  $middle  X and Y count from the middle of the bed
     */
    private function __construct(public float $x, public float $y, public float $z, public bool $round, public bool $middle)
    {
    }

    /** How large a family builds and where it counts from; what is wrong with it is noted at the entry. */
    public static function read(Entry $entry): self
    {
        $of = $entry->part('build', $entry->map('build'));
        $shape = $of->text('shape');
        $origin = $of->text('origin');
        if (! in_array($shape, self::SHAPES, true)) {
            $of->wrong('shape', 'must be one of '.implode(', ', self::SHAPES));
        }
        if (! in_array($origin, self::ORIGINS, true)) {
            $of->wrong('origin', 'must be one of '.implode(', ', self::ORIGINS));
        }

        return new self(
            $of->number('x', 60, 1000),
            $of->number('y', 60, 1000),
            $of->number('z', 60, 1000),
            $shape === 'round',
            $origin === 'middle',
        );
    }

    /** @return array<string, string> what instruments that ask for a bed start with */
    public function starts(): array
    {
        return [
            'bed_x_mm' => (string) $this->x,
            'bed_y_mm' => (string) $this->y,
            'bed_z_mm' => (string) $this->z,
            'origin' => $this->middle ? 'middle' : 'corner',
        ];
    }
}
