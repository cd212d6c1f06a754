<?php

declare(strict_types=1);

namespace OddBench\Rig;

/** Ways in which a printer, its bridge or the wire between can go wrong while it is hot, for whoever has to stay safe all the same. */
enum Hostile: string
{
    /** Says nothing any more, and does what it is told. */
    case Silent = 'silent';
    /** The bridge lets everybody go, again and again. */
    case Closes = 'closes';
    /** Thousands of lines that mean nothing. */
    case Storm = 'storm';
    /** Temperatures with hundreds of digits. */
    case Huge = 'huge';
    /** Is busy without end, and hears only an emergency stop. */
    case Busy = 'busy';
    /** Does what it is told, but for switching its heaters off. */
    case Deaf = 'deaf';

    /** What goes over the wire instead of what the printer said. */
    public function said(string $said): string
    {
        return match ($this) {
            self::Silent => '',
            self::Storm => str_repeat("echo://xyzzy 4711 \x01\x02\n", 2000).$said,
            self::Huge => (string) preg_replace('/T:[\d.]+/', 'T:'.str_repeat('9', 400), $said),
            self::Busy => "echo:busy: processing\n",
            default => $said,
        };
    }

    /** What the printer hears of what was sent. */
    public function heard(string $bytes): string
    {
        return match ($this) {
            self::Busy => str_contains($bytes, 'M112') ? "M112\n" : '',
            self::Deaf => (string) preg_replace('/^(?:N\d+ )?M1[04][40] S0\b.*$/m', '', $bytes),
            default => $bytes,
        };
    }
}
