<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * A cable test as G-code: a narrow slab laid so that one axis travels nearly its whole way, filled diagonally, so that
 * every lead to the moving part bends over its whole path while it prints (common practice: two layers making 0.5 mm).
 */
final readonly class FlexSlab implements Computation
{
    private const THICKNESS_MM = 0.5;

    private const LINE_MM = 0.5;

    private const FILAMENT_MM = 1.75;

    private const TRAVEL_MM_S = 120;

    /** So much of the axis it takes, where nothing else is said. */
    private const SHARE = 0.9;

    private const WIDTH_MM = 20.0;

    private const FEED_MM_S = 60.0;

    public function name(): string
    {
        return 'flex-slab';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $bed = [
            'x' => $fields->number('bed_x_mm', ...Quantity::SlabBed->bounds()),
            'y' => $fields->number('bed_y_mm', ...Quantity::SlabBed->bounds()),
        ];
        $axis = $fields->choice('axis', ['x', 'y']) === 'x' ? 'x' : 'y';
        $share = $fields->numberOrNull('share', ...Quantity::SlabShare->bounds()) ?? self::SHARE;
        $length = $fields->numberOrNull('length_mm', ...Quantity::SlabLength->bounds()) ?? $share * $bed[$axis];
        $width = $fields->numberOrNull('width_mm', ...Quantity::SlabWidth->bounds()) ?? self::WIDTH_MM;
        $layers = $fields->has('layers_mm') ? $fields->numbers('layers_mm', ...Quantity::SlabLayer->bounds()) : null;
        $nozzle = $fields->numberOrNull('nozzle_c', ...Quantity::SlabNozzleCelsius->bounds()) ?? 210.0;
        $heat = $fields->numberOrNull('bed_c', ...Quantity::SlabBedCelsius->bounds()) ?? 60.0;
        $feed = $fields->numberOrNull('feed_mm_s', ...Quantity::SlabFeed->bounds()) ?? self::FEED_MM_S;
        $middle = $fields->choice('origin', ['corner', 'middle'], 'corner') === 'middle';
        $fields->done();
        $other = $axis === 'x' ? 'y' : 'x';
        if ($length > $bed[$axis]) {
            throw InputError::at('length_mm', "length_mm is longer than the bed along {$axis}.");
        }
        if ($width > $bed[$other]) {
            throw InputError::at('width_mm', "width_mm is wider than the bed along {$other}.");
        }

        return [
            'gcode' => $this->gcode($bed, $middle, $axis, $nozzle, $heat, $length, $width, $layers, $feed),
            'axis_share' => $length / $bed[$axis],
            'length_mm' => $length,
            'because' => sprintf(
                '%s moves over %s of its way, layer after layer; watch the temperatures while it does.',
                strtoupper($axis),
                Said::percent($length / $bed[$axis]),
            ),
        ];
    }

    /**
     * The slab as a program for the printer.
     *
     * @param  array{x: float, y: float}  $bedMm
     * @param  bool  $middle  X and Y count from the middle of the bed
     * @param  'x'|'y'  $axis  along which it lies
     * @param  float|null  $lengthMm  up to the bed along that axis; most of it when null
     * @param  float  $widthMm  up to the bed across
     * @param  non-empty-list<float>|null  $layersMm  the height of each
     */
    public function gcode(
        array $bedMm,
        bool $middle,
        string $axis,
        float $nozzleC,
        float $bedC,
        ?float $lengthMm = null,
        float $widthMm = self::WIDTH_MM,
        ?array $layersMm = null,
        float $feedMmS = self::FEED_MM_S,
    ): string {
        $lengthMm ??= self::SHARE * $bedMm[$axis];
        // a delta counts from the middle of its bed
        $from = ($middle ? 0.0 : $bedMm[$axis] / 2) - $lengthMm / 2;
        $beside = ($middle ? 0.0 : $bedMm[$axis === 'x' ? 'y' : 'x'] / 2) - $widthMm / 2;
        $layersMm ??= [self::THICKNESS_MM / 2, self::THICKNESS_MM / 2];

        return implode("\n", [
            ...$this->head($nozzleC, $bedC),
            ...$this->layers($layersMm, $axis, $from, $lengthMm, $beside, $widthMm, $feedMmS),
            ...$this->foot(),
        ])."\n";
    }

    /** @return list<string> */
    private function head(float $nozzle, float $bed): array
    {
        return [
            '; cable test slab',
            'G21',
            'G90',
            'M83',
            sprintf('M140 S%d', $bed),
            sprintf('M104 S%d', $nozzle),
            'G28',
            sprintf('M190 S%d', $bed),
            sprintf('M109 S%d', $nozzle),
            'G92 E0',
        ];
    }

    /**
     * @param  non-empty-list<float>  $layers  heights of each
     * @return list<string>
     */
    private function layers(array $layers, string $axis, float $from, float $length, float $beside, float $width, float $feed): array
    {
        $lines = [];
        $z = 0.0;
        foreach ($layers as $i => $height) {
            $z += $height;
            $lines[] = sprintf('; layer %d', $i + 1);
            $lines[] = sprintf('G0 Z%.3f F600', $z);
            $path = $this->path($length, $width, $i % 2 === 1);
            [$along, $across] = $path[0];
            $lines[] = sprintf('G0 %s F%d', $this->at($axis, $from + $along, $beside + $across), 60 * self::TRAVEL_MM_S);
            foreach (array_slice($path, 1) as [$nextAlong, $nextAcross]) {
                $e = hypot($nextAlong - $along, $nextAcross - $across) * self::LINE_MM * $height / (M_PI * self::FILAMENT_MM ** 2 / 4);
                $lines[] = sprintf('G1 %s E%.5f F%d', $this->at($axis, $from + $nextAlong, $beside + $nextAcross), $e, 60 * $feed);
                [$along, $across] = [$nextAlong, $nextAcross];
            }
        }

        return $lines;
    }

    /**
     * The edge once round, then a diagonal zigzag from one end to the other; every second layer the other way.
     *
     * @return non-empty-list<array{float, float}> along, across
     */
    private function path(float $length, float $width, bool $mirrored): array
    {
        $path = [[0.0, 0.0], [$length, 0.0], [$length, $width], [0.0, $width], [0.0, 0.0]];
        $step = self::LINE_MM * M_SQRT2;
        for ($n = 0, $along = $step; $along < $length + $width; $along += $step, $n++) {
            // the diagonal along + across = const, cut to the slab
            $low = [min($along, $length), $along - min($along, $length)];
            $high = [max(0.0, $along - $width), min($along, $width)];
            array_push($path, ...($n % 2 === 0 ? [$low, $high] : [$high, $low]));
        }

        return $mirrored ? array_map(static fn (array $p): array => [$length - $p[0], $p[1]], $path) : $path;
    }

    private function at(string $axis, float $along, float $across): string
    {
        return $axis === 'x' ? sprintf('X%.3f Y%.3f', $along, $across) : sprintf('X%.3f Y%.3f', $across, $along);
    }

    /** @return list<string> */
    private function foot(): array
    {
        return ['M104 S0', 'M140 S0', 'G91', 'G0 Z10 F600', 'G90', 'M84'];
    }
}
