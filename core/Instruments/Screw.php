<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** A metric screw by its designation, such as “M3×12”: coarse sizes of ISO 261, lengths in mm without a head that stands proud. */
final readonly class Screw
{
    /** Nominal diameter => coarse pitch in mm (ISO 261), key of a cylinder head in mm (ISO 4762). */
    public const SIZES = [
        '1.6' => [0.35, 1.5], '2' => [0.4, 1.5], '2.5' => [0.45, 2.0], '3' => [0.5, 2.5], '4' => [0.7, 3.0],
        '5' => [0.8, 4.0], '6' => [1.0, 5.0], '8' => [1.25, 6.0], '10' => [1.5, 8.0], '12' => [1.75, 10.0],
    ];

    private function __construct(public float $diameterMm, public float $lengthMm)
    {
    }

    /** @return self|null nothing when it is no designation of a metric screw of 2 to 120 mm */
    public static function read(string $text): ?self
    {
        if (preg_match('/^M(\d+(?:[.,]\d+)?)\s*[×xX*]\s*(\d+(?:[.,]\d+)?)$/iu', trim($text), $found) !== 1) {
            return null;
        }
        $diameter = (float) str_replace(',', '.', $found[1]);
        $length = (float) str_replace(',', '.', $found[2]);

        return isset(self::SIZES[self::plain($diameter)]) && $length >= 2 && $length <= 120 ? new self($diameter, $length) : null;
    }

    public static function sized(float $diameterMm, float $lengthMm): self
    {
        return new self($diameterMm, $lengthMm);
    }

    public function designation(): string
    {
        return sprintf('M%s×%s', self::plain($this->diameterMm), self::plain($this->lengthMm));
    }

    public static function plain(float $number): string
    {
        return (string) round($number, 2);
    }
}
