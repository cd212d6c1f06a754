<?php

declare(strict_types=1);

namespace OddBench\Repair;

use OddBench\Instruments\Screw;

/** What lies in a tray cell and is counted: a screw, nut, washer or another small thing, under one spelling. */
final readonly class FastenerSize
{
    /** Words for heads, as people type them => one name; those of ISO 4762, ISO 7380 and ISO 10642 are judged as substitutes. */
    private const HEADS = [
        'cyl' => 'cylinder', 'cylinder' => 'cylinder', 'cap' => 'cylinder', 'socket' => 'cylinder',
        'btn' => 'button', 'button' => 'button', 'round' => 'button',
        'csk' => 'countersunk', 'cs' => 'countersunk', 'sunk' => 'countersunk', 'flat' => 'countersunk', 'countersunk' => 'countersunk',
        'grub' => 'grub', 'set' => 'grub', 'hex' => 'hex', 'pan' => 'pan', 'wafer' => 'wafer',
    ];

    private const THINGS = [
        'nut' => 'nut',
        'nuts' => 'nut',
        'tnut' => 't-nut',
        't-nut' => 't-nut',
        't-nuts' => 't-nut',
        'locknut' => 'locking nut',
        'locking nut' => 'locking nut',
        'washer' => 'washer', 'washers' => 'washer', 'insert' => 'insert', 'standoff' => 'standoff',
    ];

    private const LOOSE = [
        'spring',
        'clip',
        'collar clip',
        'locking nut',
        'spacer',
        'eccentric nut',
        'pin',
        'magnet',
        'ball',
        'circlip',
        'cable tie',
        'sock',
        'shim',
        'bearing',
    ];

    private function __construct(public string $name, public ?Screw $screw = null, public ?string $head = null)
    {
    }

    /** @return self|null nothing when it cannot be read */
    public static function read(string $text): ?self
    {
        $text = mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $text)));
        if (preg_match('/^(m[\d.,]+\s*[×x*]\s*[\d.,]+)\s*(\p{L}*)$/u', $text, $found) === 1) {
            $screw = Screw::read($found[1]);
            $head = $found[2] === '' ? null : (self::HEADS[$found[2]] ?? null);

            return $screw === null || ($found[2] !== '' && $head === null) ? null : new self(
                $screw->designation().($head === null ? '' : " {$head}"),
                $screw,
                $head,
            );
        }
        if (preg_match('/^m([\d.]+) (.+)$/u', $text, $found) === 1 && isset(Screw::SIZES[$found[1]], self::THINGS[$found[2]])) {
            return new self("M{$found[1]} ".self::THINGS[$found[2]]);
        }
        if (preg_match('/^st(\d(?:\.\d)?)\s*[×x*]\s*(\d{1,3}(?:\.\d)?)$/u', $text, $found) === 1) {
            return new self("ST{$found[1]}×{$found[2]}");
        }
        $one = in_array($text, self::LOOSE, true) ? $text : preg_replace('/s$/u', '', $text);

        return in_array($one, self::LOOSE, true) ? new self($one) : null;
    }

    /** What can be read, for messages. */
    public static function readable(): string
    {
        return 'Write a count and a size: 4 M3x12, 2 M3x8 button, 1 M5 nut, 2 M3 washer, 3 ST2.9x9.5, 1 '.implode(
            ', 1 ',
            array_slice(self::LOOSE, 0, 3),
        ).'.';
    }

    /** The head as the instrument “fastener” knows it; nothing for the others. */
    public function judgedHead(): ?string
    {
        return in_array($this->head, ['cylinder', 'button', 'countersunk'], true) ? $this->head : null;
    }
}
