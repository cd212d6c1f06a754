<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** What no machine of this kind can do, or should not: outside the bed, cold, too fast, too hot, not homed. */
final readonly class GcodeRules
{
    private const COLD_BELOW_C = 170.0;

    private const HOTTEST_C = 500.0;

    private const SLACK_MM = 0.01;

    /** mm/s no machine of this kind moves at. */
    private const FASTEST = 2000.0;

    private const LONGEST_REST_S = 86_400.0;

    private const LONGEST_PUSH_MM = 200.0;

    /**
     * @param  array{X: float|null, Y: float|null, Z: float|null}  $bed
     * @param  bool  $middle  X and Y count from the middle of the bed, as on a delta
     */
    public function __construct(private GcodeProblems $problems, private array $bed, private bool $middle)
    {
    }

    /** Whether a feed rate, mm/s, is one. */
    public function feed(int $number, float $speed): bool
    {
        if ($speed > 0 && $speed <= self::FASTEST) {
            return true;
        }
        $this->problems->add($number, 'feed', $speed > 0
            ? sprintf('F asks for %s mm/s; no machine moves like that.', Said::figure($speed))
            : ($speed < 0
                ? 'F is negative: no machine moves backwards in time.'
                : 'F0 asks it to move without moving; the feed before it is kept.'));

        return false;
    }

    /**
     * @param  array{X: float, Y: float, Z: float}  $by  how far it goes, mm
     * @param  array<string, true>  $homed  axes that know where they are
     */
    public function homed(int $number, array $by, array $homed): void
    {
        $lost = array_keys(array_filter(
            $by,
            static fn (float $d, string $axis): bool => $d !== 0.0 && ! isset($homed[$axis]),
            ARRAY_FILTER_USE_BOTH,
        ));
        if ($lost !== []) {
            $this->problems->add(
                $number,
                'no-home',
                sprintf('It moves %s before %s homed.', implode(' and ', $lost), count($lost) === 1 ? 'it was' : 'they were'),
            );
        }
    }

    /** @param  float|null  $nozzle  °C it was told to have; null before any was set */
    public function extrusion(int $number, float $de, ?float $nozzle): void
    {
        if ($de > 0 && ($nozzle ?? 0.0) < self::COLD_BELOW_C) {
            $this->problems->add(
                $number,
                'cold-extrusion',
                $nozzle === null ? 'It extrudes before a temperature was set.' : "It extrudes at {$nozzle} °C.",
            );
        }
        if ($de > self::LONGEST_PUSH_MM) {
            $this->problems->add(
                $number,
                'mixed-modes',
                sprintf('One move extrudes %s mm: absolute and relative extrusion seem to be mixed up.', Said::figure($de)),
            );
        }
    }

    /** @param  array{X: float, Y: float, Z: float, E: float}  $to */
    public function inside(int $number, array $to): void
    {
        foreach ($this->bed as $axis => $size) {
            if ($size === null) {
                continue;
            }
            $least = $this->middle && $axis !== 'Z' ? -$size / 2 : 0.0;
            if ($to[$axis] < $least - self::SLACK_MM || $to[$axis] > $least + $size + self::SLACK_MM) {
                $this->problems->add(
                    $number,
                    'outside',
                    sprintf(
                        '%s goes to %s mm; the machine has %s to %s.',
                        $axis,
                        Said::figure($to[$axis]),
                        Said::figure($least),
                        Said::figure($least + $size),
                    ),
                );
            }
        }
    }

    /** Seconds of a rest; none where they are absurd. */
    public function rest(int $number, float $seconds): float
    {
        if ($seconds < 0 || $seconds > self::LONGEST_REST_S) {
            $this->problems->add($number, 'absurd', sprintf('G4 would wait for %s s; it is left out.', Said::figure($seconds)));

            return 0.0;
        }

        return $seconds;
    }

    /**
     * Whether a temperature is one.
     *
     * @param  'hotend'|'bed'  $what
     */
    public function temperature(int $number, string $what, float $celsius): bool
    {
        if ($celsius < 0 || $celsius > self::HOTTEST_C) {
            $this->problems->add(
                $number,
                'absurd',
                sprintf('%s °C is no temperature of a %s.', Said::figure($celsius), $what === 'bed' ? 'bed' : 'hot end'),
            );

            return false;
        }

        return true;
    }
}
