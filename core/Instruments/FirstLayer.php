<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * What a first layer takes and whether the gap is right. A laid line is a rectangle with half-round ends:
 * area = (w − h)·h + π(h/2)² (common practice).
 */
final readonly class FirstLayer implements Computation
{
    /** A measured first layer this share off the asked one is well. */
    private const OK_WITHIN = 0.15;

    private const WATCH_WITHIN = 0.30;

    /** Highest layer, as a share of the nozzle’s bore (common practice). */
    private const MOST_OF_BORE = 0.8;

    public function name(): string
    {
        return 'first-layer';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $nozzle = $fields->number('nozzle_mm', ...Quantity::NozzleBore->bounds());
        $layer = $fields->number('layer_mm', ...Quantity::LayerHeight->bounds());
        $width = $fields->number('line_width_mm', ...Quantity::LineWidth->bounds());
        $filament = $fields->number('filament_mm', ...Quantity::FilamentDiameter->bounds());
        $measured = $fields->numberOrNull('measured_mm', ...Quantity::MeasuredLayer->bounds());
        $fields->done();
        if ($layer >= $width) {
            throw InputError::at('layer_mm', 'layer_mm must be below line_width_mm: a line that is higher than wide does not lie.');
        }
        if ($layer > self::MOST_OF_BORE * $nozzle + 1e-9) {
            throw InputError::at(
                'layer_mm',
                sprintf(
                    'layer_mm is %s of the bore: from %s of it on a nozzle does not press any more and the layer does not hold. Take %s mm or less.',
                    Said::percent($layer / $nozzle),
                    Said::percent(self::MOST_OF_BORE),
                    Said::figure(self::MOST_OF_BORE * $nozzle),
                ),
            );
        }
        $area = ($width - $layer) * $layer + M_PI * ($layer / 2) ** 2;
        $result = [
            'volume_mm3_per_mm' => $area,
            'filament_mm_per_mm' => $area / (M_PI * $filament ** 2 / 4),
            'squish' => $layer / $nozzle,
        ];

        return $result + ($measured === null ? $this->plan($layer, $nozzle, $width) : $this->judge($layer, $measured));
    }

    /** @return array{advice: string, verdict: string, because: string} */
    private function plan(float $layer, float $nozzle, float $width): array
    {
        $high = $layer > 0.75 * $nozzle;
        $wide = $width < $nozzle || $width > 1.5 * $nozzle;
        $advice = match (true) {
            $high => sprintf(
                'Lay it at %s mm or lower: a nozzle presses well up to three quarters of its bore.',
                Said::figure(0.75 * $nozzle),
            ),
            $wide => sprintf(
                'Keep the line from %s to %s mm wide, one to one and a half bores.',
                Said::figure($nozzle),
                Said::figure(1.5 * $nozzle),
            ),
            default => 'Set the gap to the layer height: a sheet of paper is about 0.1 mm, so it must drag at a layer of 0.1 mm and pass freely at 0.2 mm.',
        };

        return [
            'advice' => $advice,
            'verdict' => $high || $wide ? 'watch' : 'ok',
            'because' => sprintf(
                'A layer of %s mm is %s of the bore, the line %s of it.',
                Said::figure($layer),
                Said::percent($layer / $nozzle),
                Said::percent($width / $nozzle),
            ),
        ];
    }

    /** @return array{gap_off_mm: float, advice: string, verdict: string, because: string} */
    private function judge(float $layer, float $measured): array
    {
        $off = $measured - $layer;
        $share = abs($off) / $layer;
        $verdict = $share <= self::OK_WITHIN ? 'ok' : ($share <= self::WATCH_WITHIN ? 'watch' : 'out');

        return [
            'gap_off_mm' => $off,
            'advice' => $verdict === 'ok' ? 'Leave the gap as it is.' : sprintf(
                '%s the nozzle by %s mm.',
                $off > 0 ? 'Lower' : 'Raise',
                Said::figure(abs($off)),
            ),
            'verdict' => $verdict,
            'because' => sprintf(
                '%s mm measured for %s mm asked, %s off; within 15 %% is well.',
                Said::figure($measured),
                Said::figure($layer),
                Said::percent($share),
            ),
        ];
    }
}
