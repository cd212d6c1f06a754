<?php

declare(strict_types=1);

namespace OddBench\Proof\Prints;

/** Writes G-code line by line: absolute places, filament counted from the cross-section of each line. */
final class Toolpath
{
    public const LAYER_MM = 0.2;

    public const LINE_MM = 0.45;

    /** Of filament 1.75 mm thick. */
    private const FILAMENT_MM2 = 2.405;

    private const DRAWN_BACK_MM = 2.0;

    private const CLEAR_MM = 2.0;

    /** @var list<string> */
    private array $lines;

    private float $e = 0.0;

    private float $x = 0.0;

    private float $y = 0.0;

    private float $z = 0.0;

    private bool $drawnBack = false;

    /** @param  bool  $waits  it waits for its heat by itself, for a printer that is not connected */
    public function __construct(float $hotendC, float $bedC, bool $waits)
    {
        $this->lines = [
            'G90',
            'M82',
            "M140 S{$bedC}",
            "M104 S{$hotendC}",
            'G28',
            ...($waits ? ["M190 S{$bedC}", "M109 S{$hotendC}"] : []),
            'G92 E0',
        ];
    }

    /** Goes somewhere without laying anything; over what lies there when it is far. */
    public function to(float $x, float $y, float $z): self
    {
        $far = hypot($x - $this->x, $y - $this->y) > 5.0;
        if ($far && $this->e > 0 && ! $this->drawnBack) {
            $this->feed(-self::DRAWN_BACK_MM);
            $this->drawnBack = true;
        }
        if ($far) {
            $this->lines[] = sprintf('G1 Z%.2f F600', max($z, $this->z) + self::CLEAR_MM);
        }
        $this->lines[] = sprintf('G1 X%.2f Y%.2f F6000', $x, $y);
        $this->lines[] = sprintf('G1 Z%.2f F600', $z);
        [$this->x, $this->y, $this->z] = [$x, $y, $z];
        if ($this->drawnBack) {
            $this->feed(self::DRAWN_BACK_MM);
            $this->drawnBack = false;
        }

        return $this;
    }

    /** Lays a line from where it stands. */
    public function lay(float $x, float $y, float $feedMmMin = 1500.0): self
    {
        $this->e += hypot($x - $this->x, $y - $this->y) * self::LAYER_MM * self::LINE_MM / self::FILAMENT_MM2;
        $this->lines[] = sprintf('G1 X%.2f Y%.2f E%.4f F%.0f', $x, $y, $this->e, $feedMmMin);
        [$this->x, $this->y] = [$x, $y];

        return $this;
    }

    /** One turn around a middle, from its right. */
    public function circle(float $cx, float $cy, float $acrossMm, float $z, int $corners, float $feedMmMin = 1500.0): self
    {
        $this->to($cx + $acrossMm / 2, $cy, $z);
        for ($i = 1; $i <= $corners; $i++) {
            $angle = 2 * M_PI * $i / $corners;
            $this->lay($cx + $acrossMm / 2 * cos($angle), $cy + $acrossMm / 2 * sin($angle), $feedMmMin);
        }

        return $this;
    }

    /** The feeder brings another filament; its own firmware draws the old one back and loads the new one. */
    public function slot(int $slot): self
    {
        $this->lines[] = sprintf('G1 Z%.2f F600', $this->z + self::CLEAR_MM);
        $this->lines[] = "T{$slot}";
        $this->lines[] = 'G92 E0';
        $this->e = 0.0;
        $this->drawnBack = false;

        return $this;
    }

    /** @return list<string> the whole file; both heaters go off at its end */
    public function lines(): array
    {
        return [...$this->lines, sprintf('G1 Z%.2f F600', $this->z + 15.0), 'M104 S0', 'M140 S0'];
    }

    private function feed(float $mm): void
    {
        $this->e += $mm;
        $this->lines[] = sprintf('G1 E%.4f F1800', $this->e);
    }
}
