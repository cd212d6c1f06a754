<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use OddBench\Fleet\Weibull;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Position;
use Random\Randomizer;

/**
 * The lives of the demo farm’s parts, drawn from Weibull laws that are known, so that a test can ask whether the shop finds them again.
 *
 * @phpstan-type Change array{at: float, position: string, class: string, make: int, failed: bool, with: bool}
 */
final class FarmLives
{
    /** class of part => its makes: name, cost, bin, shape, mean print hours; the first is what machines come with */
    public const LAWS = [
        'heat-break-fan' => [
            ['Fan 40 × 10, sleeve bearing', 330, 'F1', 2.4, 2300.0],
            ['Fan 40 × 10, ball bearing', 690, 'F1', 3.0, 4300.0],
        ],
        'part-fan' => [['Blower 5015, farm stock', 410, 'F1', 2.5, 2900.0]],
        'drive-gear' => [['Drive gear, farm stock', 310, 'F2', 3.2, 2500.0]],
        'belt' => [['Belt set, farm stock', 540, 'F2', 3.0, 3600.0]],
        'wheel-set' => [['Wheels, soft', 640, 'F3', 3.0, 1700.0], ['Wheels, hard', 980, 'F3', 3.0, 2900.0]],
        'nozzle' => [['Nozzle 0.4, farm stock', 170, 'F4', 3.0, 680.0]],
        'thermistor' => [['Thermistor, farm stock', 180, 'F4', 1.0, 5200.0]],
    ];

    /** What prints filled filament wears its nozzles so much quicker. */
    public const ABRASIVE = 0.45;

    /** A part within so much of the end of its mean life may be changed while the machine is open anyway. */
    private const NEARLY = 0.75;

    private const WHILE_OPEN_PCT = 25;

    /** What is fitted instead is of the better make so often, where there are two. */
    private const BETTER_PCT = 45;

    public function __construct(private readonly Randomizer $random)
    {
    }

    /** @param  int  $make  0 for what machines come with */
    public static function law(string $class, int $make, bool $abrasive): Weibull
    {
        [, , , $shape, $mean] = self::LAWS[$class][$make];

        return Weibull::withMean($shape, $class === 'nozzle' && $abrasive ? self::ABRASIVE * $mean : $mean);
    }

    /**
     * Everything that is changed on one machine while it runs.
     *
     * @param  float  $until  print hours
     * @return list<Change> in order; with: in the visit
     *   of the one before
     */
    public function of(Family $family, bool $abrasive, float $until): array
    {
        $sits = [];
        foreach ($family->positions as $position) {
            if (isset(self::LAWS[$position->partClass])) {
                $sits[$position->code] = $this->fitted($position, 0, 0.0, $abrasive);
            }
        }
        $changes = [];
        while ($sits !== []) {
            uasort($sits, static fn (array $a, array $b): int => $a['fails'] <=> $b['fails']);
            $code = (string) array_key_first($sits);
            $at = $sits[$code]['fails'];
            if ($at >= $until) {
                break;
            }
            $changes[] = $this->change($family->positions[$code], $sits, $at, true, false, $abrasive);
            foreach (array_keys($sits) as $other) {
                $position = $family->positions[$other];
                $mean = self::law($position->partClass, $sits[$other]['make'], $abrasive)->mean();
                if ($other !== $code && $at - $sits[$other]['from'] > self::NEARLY * $mean
                    && $this->random->getInt(1, 100) <= self::WHILE_OPEN_PCT) {
                    $changes[] = $this->change($position, $sits, $at, false, true, $abrasive);
                }
            }
        }

        return $changes;
    }

    /**
     * @param  array<string, array{from: float, fails: float, make: int}>  $sits
     * @return Change
     */
    private function change(Position $position, array &$sits, float $at, bool $failed, bool $with, bool $abrasive): array
    {
        $makes = count(self::LAWS[$position->partClass]);
        $make = $makes > 1 && $this->random->getInt(1, 100) <= self::BETTER_PCT ? 1 : 0;
        $sits[$position->code] = $this->fitted($position, $make, $at, $abrasive);

        return [
            'at' => $at,
            'position' => $position->code,
            'class' => $position->partClass,
            'make' => $make,
            'failed' => $failed,
            'with' => $with,
        ];
    }

    /** @return array{from: float, fails: float, make: int} */
    private function fitted(Position $position, int $make, float $at, bool $abrasive): array
    {
        $share = $this->random->getInt(1, 999_999) / 1_000_000;

        return ['from' => $at, 'fails' => $at + max(2.0, self::law($position->partClass, $make, $abrasive)->by($share)), 'make' => $make];
    }
}
