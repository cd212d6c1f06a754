<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * A metric screw by its designation, such as “M3×12”: coarse sizes of ISO 261, lengths in mm without a head that stands proud.
 * Its head may stand behind it, as a word or as its standard.
 */
final readonly class Screw
{
    /** Nominal diameter => coarse pitch in mm (ISO 261), key of a cylinder head in mm (ISO 4762). */
    public const SIZES = [
        '1.6' => [0.35, 1.5], '2' => [0.4, 1.5], '2.5' => [0.45, 2.0], '3' => [0.5, 2.5], '4' => [0.7, 3.0],
        '5' => [0.8, 4.0], '6' => [1.0, 5.0], '8' => [1.25, 6.0], '10' => [1.5, 8.0], '12' => [1.75, 10.0],
    ];

    public const HEADS = ['cylinder' => 'ISO 4762', 'button' => 'ISO 7380', 'countersunk' => 'ISO 10642'];

    private function __construct(public float $diameterMm, public float $lengthMm, public ?string $head = null)
    {
    }

    /** @return self|null nothing when it is no designation of a metric screw of 2 to 120 mm */
    public static function read(string $text): ?self
    {
        if (preg_match('/^M(\d+(?:[.,]\d+)?)\s*[×xX*]\s*(\d+(?:[.,]\d+)?)(?:[\s,]+(.{1,40}))?$/iu', trim($text), $found) !== 1) {
            return null;
        }
        $head = isset($found[3]) ? self::headIn($found[3]) : null;
        if (isset($found[3]) && $head === null) {
            return null;
        }
        $diameter = (float) str_replace(',', '.', $found[1]);
        $length = (float) str_replace(',', '.', $found[2]);

        return isset(self::SIZES[self::plain($diameter)]) && $length >= 2 && $length <= 120 ? new self($diameter, $length, $head) : null;
    }

    private static function headIn(string $words): ?string
    {
        foreach (self::HEADS as $head => $standard) {
            if (stripos($words, $head) !== false
                || str_contains(str_replace(' ', '', strtoupper($words)), str_replace(' ', '', $standard))) {
                return $head;
            }
        }

        return null;
    }

    /** A screw of these measures in millimetres. */
    public static function sized(float $diameterMm, float $lengthMm): self
    {
        return new self($diameterMm, $lengthMm);
    }

    /** As it is said and sold, such as M3×10. */
    public function designation(): string
    {
        return sprintf('M%s×%s', self::plain($this->diameterMm), self::plain($this->lengthMm));
    }

    /** A measure without zeros behind it. */
    public static function plain(float $number): string
    {
        return (string) round($number, 2);
    }
}
