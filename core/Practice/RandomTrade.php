<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Knowledge\BenchFigures;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mend;
use OddBench\Knowledge\State;
use OddBench\Knowledge\Strength;
use Random\Randomizer;

/**
 * A made-up trade of up to five faults and six looks, small enough for every way of working to be tried. Everybody
 * complains of its finding “complaint”, which every fault shows in some measure; each look shows one finding.
 */
final class RandomTrade
{
    public const COMPLAINT = 'complaint';

    /** A trade of findings, faults and checks that is drawn and small enough to be solved exactly. */
    public static function make(Randomizer $random): Knowledge
    {
        $looks = $random->getInt(2, 6);
        $findings = [self::COMPLAINT => self::finding(self::COMPLAINT)];
        $checks = [];
        for ($i = 1; $i <= $looks; $i++) {
            $findings["finding-{$i}"] = self::finding("finding-{$i}");
            $state = State::cases()[$random->getInt(0, 4)];
            $checks["look-{$i}"] = new Check(
                "look-{$i}",
                "look {$i}",
                $random->getInt(1, 10),
                $state,
                false,
                false,
                false,
                false,
                ["finding-{$i}"],
                [],
                [],
                [],
                null,
                null,
                null,
                [],
                null,
            );
        }
        $faults = [];
        $many = $random->getInt(2, 5);
        for ($i = 1; $i <= $many; $i++) {
            $shows = [self::COMPLAINT => Strength::cases()[$random->getInt(0, 2)]->probability()];
            foreach ((array) $random->pickArrayKeys($checks, $random->getInt(1, min(3, $looks))) as $look) {
                $shows['finding-'.substr((string) $look, 5)] = Strength::cases()[$random->getInt(0, 3)]->probability();
            }
            $mend = new Mend(null, 'mend it', $random->getInt(5, 50), ['bed'], []);
            $faults["fault-{$i}"] = new Fault(
                "fault-{$i}",
                "fault {$i}",
                'Made up',
                $random->getInt(5, 90),
                [],
                $shows,
                'made up',
                null,
                [$mend],
                false,
                [],
                [],
                [],
                null,
                self::settling($shows),
            );
        }
        $reach = ['cold' => 0.0, 'unplugged' => 0.5, 'powered' => 1.0, 'hot' => 4.0, 'open' => 4.0];

        return new Knowledge($findings, $faults, $checks, [], [], [], ['bed' => 'bed'], [], [], new BenchFigures($reach, [], 60, 0.2, 50));
    }

    /**
     * @param  array<string, float>  $shows
     * @return list<string> the look that shows it best, where one nearly always does
     */
    private static function settling(array $shows): array
    {
        unset($shows[self::COMPLAINT]);
        arsort($shows);
        $best = (string) array_key_first($shows);

        return $shows[$best] >= Strength::Always->probability() ? ['look-'.substr($best, 8)] : [];
    }

    private static function finding(string $code): Finding
    {
        return new Finding($code, $code, 'Made up', 0.02, false, true, false, null);
    }
}
