<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** Where a G-code file went, what it pushed out, in mm, and how hot, in °C; memory does not grow with the file. */
final class GcodeTrace
{
    private const MOST_LAYERS = 20_000;

    private const MOST_TEMPERATURES = 200;

    /** @var array<string, array{min: float, max: float}> of printing moves */
    public array $printed = [];

    /** @var array<string, array{min: float, max: float}> of all moves */
    public array $moved = [];

    /** Length of filament used: what was extruded beyond what was pulled back before. */
    public float $filament = 0.0;

    /** @var array{hotend: list<float>, bed: list<float>} each set temperature once */
    public array $temperatures = ['hotend' => [], 'bed' => []];

    private float $furthest = 0.0;

    /** The one that was printed at last. */
    private ?float $layer = null;

    private float $pushed = 0.0;

    /** @var array<int|string, float> height as text => height */
    private array $layers = [];

    /**
     * @param  array{X: float, Y: float, Z: float, E: float}  $from
     * @param  array{X: float, Y: float, Z: float, E: float}  $to
     */
    public function move(array $from, array $to, bool $prints): void
    {
        self::stretch($this->moved, $to);
        if ($prints) {
            self::stretch($this->printed, $from);
            self::stretch($this->printed, $to);
            $this->layer($to['Z']);
        }
    }

    /** So much filament is pushed, drawn back where negative; mm. */
    public function extrude(float $mm): void
    {
        $this->pushed += $mm;
        if ($this->pushed > $this->furthest) {
            $this->filament += $this->pushed - $this->furthest;
            $this->furthest = $this->pushed;
        }
    }

    /** @param  'hotend'|'bed'  $what */
    public function heat(string $what, float $celsius): void
    {
        if (! in_array($celsius, $this->temperatures[$what], true) && count($this->temperatures[$what]) < self::MOST_TEMPERATURES) {
            $this->temperatures[$what][] = $celsius;
        }
    }

    /** @return list<float> heights that were printed at, in the order met */
    public function layers(): array
    {
        return array_values($this->layers);
    }

    private function layer(float $z): void
    {
        if ($z === $this->layer) {
            return;
        }
        $this->layer = $z;
        $key = (string) round($z, 3);
        if (! isset($this->layers[$key]) && count($this->layers) < self::MOST_LAYERS) {
            $this->layers[$key] = round($z, 3);
        }
    }

    /**
     * @param  array<string, array{min: float, max: float}>  $extents
     * @param  array{X: float, Y: float, Z: float, E: float}  $point
     */
    private static function stretch(array &$extents, array $point): void
    {
        if ($extents !== []
            && $point['X'] >= $extents['X']['min'] && $point['X'] <= $extents['X']['max']
            && $point['Y'] >= $extents['Y']['min'] && $point['Y'] <= $extents['Y']['max']
            && $point['Z'] >= $extents['Z']['min'] && $point['Z'] <= $extents['Z']['max']) {
            return;
        }
        foreach (['X', 'Y', 'Z'] as $axis) {
            $extents[$axis] ??= ['min' => $point[$axis], 'max' => $point[$axis]];
            $extents[$axis]['min'] = min($extents[$axis]['min'], $point[$axis]);
            $extents[$axis]['max'] = max($extents[$axis]['max'], $point[$axis]);
        }
    }
}
