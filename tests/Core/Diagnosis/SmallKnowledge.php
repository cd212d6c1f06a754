<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Knowledge\BenchFigures;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mend;
use OddBench\Knowledge\State;
use OddBench\Knowledge\Strength;
use Random\Randomizer;

/** A made-up trade, small enough to be worked out set by set. */
final class SmallKnowledge
{
    public static function make(Randomizer $random, int $faults, int $findings): Knowledge
    {
        $made = $looks = $checks = [];
        for ($i = 0; $i < $findings; $i++) {
            $looks["finding-{$i}"] = new Finding("finding-{$i}", "finding {$i}", 'Made up', 0.02, false, true, false, null);
        }
        for ($i = 0; $i < $faults; $i++) {
            $shows = [];
            foreach ($random->pickArrayKeys($looks, $random->getInt(1, 4)) as $finding) {
                $shows[$finding] = Strength::cases()[$random->getInt(0, 3)]->probability();
            }
            $made["fault-{$i}"] = self::fault("fault-{$i}", $random->getInt(5, 200), $shows, $random->getInt(5, 50));
        }
        for ($i = 0; $i < $findings; $i++) {
            $yields = array_values(array_unique(["finding-{$i}", 'finding-'.(($i * 3 + 1) % $findings)]));
            $checks["check-{$i}"] = self::check(
                "check-{$i}",
                $i % 2 === 0 ? ["finding-{$i}"] : $yields,
                State::cases()[$i % 5],
                $random->getInt(1, 9),
            );
        }

        return self::of($looks, $made, $checks);
    }

    /**
     * @param  array<string, Finding>  $findings
     * @param  array<string, Fault>  $faults
     * @param  array<string, Check>  $checks
     */
    public static function of(array $findings, array $faults, array $checks = []): Knowledge
    {
        $reach = ['cold' => 0.0, 'unplugged' => 0.5, 'powered' => 1.0, 'hot' => 4.0, 'open' => 4.0];

        return new Knowledge($findings, $faults, $checks, [], [], [], ['bed' => 'bed'], [], [], new BenchFigures($reach, [], 60, 0.2, 50));
    }

    /**
     * @param  array<string, float>  $shows
     * @param  list<string>  $behind
     * @param  list<string>  $brings
     */
    public static function fault(
        string $code,
        float $rate,
        array $shows,
        float $minutes,
        bool $danger = false,
        array $behind = [],
        array $brings = [],
    ): Fault {
        return new Fault(
            $code,
            $code,
            'Made up',
            $rate,
            [],
            $shows,
            'made up',
            null,
            [new Mend(null, 'mend it', $minutes, ['bed'], [])],
            $danger,
            $behind,
            $brings,
            [],
        );
    }

    /** @param  list<string>  $yields */
    public static function check(string $code, array $yields, State $state, float $minutes, bool $supervised = false): Check
    {
        return new Check($code, $code, $minutes, $state, $supervised, false, false, false, $yields, [], [], [], null, null, null, [], null);
    }
}
