<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

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
                $shows[$finding] = Strength::cases()[$random->getInt(0, 3)];
            }
            $made["fault-{$i}"] = self::fault("fault-{$i}", $random->getInt(5, 200), $shows, $random->getInt(5, 50));
        }
        for ($i = 0; $i < $findings; $i++) {
            $yields = array_values(array_unique(["finding-{$i}", 'finding-'.(($i * 3 + 1) % $findings)]));
            $checks["check-{$i}"] = self::check("check-{$i}", $i % 2 === 0 ? ["finding-{$i}"] : $yields, State::cases()[$i % 5], $random->getInt(1, 9));
        }

        return new Knowledge($looks, $made, $checks, [], [], [], ['bed' => 'bed'], []);
    }

    /** @param  array<string, Strength>  $shows */
    public static function fault(string $code, float $rate, array $shows, float $minutes, bool $danger = false): Fault
    {
        return new Fault($code, $code, 'Made up', $rate, [], $shows, new Mend('mend it', $minutes, ['bed'], []), $danger, [], [], []);
    }

    /** @param  list<string>  $yields */
    public static function check(string $code, array $yields, State $state, float $minutes, bool $supervised = false): Check
    {
        return new Check($code, $code, $minutes, $state, $supervised, false, false, $yields, [], [], null);
    }
}
