<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Knowledge\Family;

/** What wears the parts of a machine besides its hours: what it prints, and the heat it prints in. */
final class Circumstance
{
    public const PLAIN = 'plain';

    private const WORDS = ['abrasive' => 'abrasive filament', 'hot' => 'hot material', 'heated' => 'heated chamber'];

    /**
     * @param  Family|null  $family  nothing where nobody wrote it down
     * @param  bool  $abrasive  it prints filled filament (glass, carbon, glow, metal) as a rule
     * @param  bool  $hot  it prints above 250 °C as a rule (common practice)
     * @return string code, e.g. “abrasive+heated”
     */
    public static function of(?Family $family, bool $abrasive, bool $hot): string
    {
        $all = array_keys(array_filter([
            'abrasive' => $abrasive,
            'hot' => $hot,
            'heated' => ($family->traits['chamber'] ?? null) === 'heated',
        ]));

        return $all === [] ? self::PLAIN : implode('+', $all);
    }

    public static function words(string $code): string
    {
        $known = array_intersect_key(self::WORDS, array_flip(explode('+', $code)));

        return $known === [] ? 'plain filament, no heated chamber' : implode(', ', $known);
    }
}
