<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use Random\Randomizer;

/** What is really wrong with a demo machine, and what it shows: drawn from the knowledge with the seed. */
final readonly class DemoTruth
{
    /**
     * @param  list<string>  $faults
     * @param  array<string, bool>  $shows  finding => present
     */
    private function __construct(public array $faults, public array $shows)
    {
    }

    public static function draw(Knowledge $knowledge, string $family, Randomizer $random): self
    {
        $traits = Traits::of($knowledge->families[$family]->traits);
        $rates = [];
        foreach ($knowledge->faults as $fault) {
            if ($traits->allow($fault->needs) && ! $fault->danger) {
                $rates[$fault->code] = $fault->rate;
            }
        }
        $faults = [self::pick($rates, $random)];
        if ($random->getInt(1, 100) <= 8) {
            $faults[] = self::pick(array_diff_key($rates, array_flip($faults)), $random);
        }

        return self::of($knowledge, $family, $faults, $random);
    }

    /** @param  list<string>  $faults */
    public static function of(Knowledge $knowledge, string $family, array $faults, Randomizer $random): self
    {
        $possible = self::possible($knowledge, $family);
        $shows = [];
        foreach ($knowledge->findings as $finding) {
            // nothing stray that this machine could not show, and no stray danger
            $miss = $finding->redTag || ! isset($possible[$finding->code]) ? 1.0 : 1 - $finding->leak / 20;
            foreach ($faults as $code) {
                $miss *= 1 - ($knowledge->faults[$code]->shows[$finding->code] ?? 0.0);
            }
            $shows[$finding->code] = $random->getInt(0, 999_999) / 1_000_000 >= $miss;
        }

        return new self($faults, $shows);
    }

    /** @return array<string, mixed> findings some fault of this family can show */
    private static function possible(Knowledge $knowledge, string $family): array
    {
        $traits = Traits::of($knowledge->families[$family]->traits);
        $possible = [];
        foreach ($knowledge->faults as $fault) {
            $possible += $traits->allow($fault->needs) ? $fault->shows : [];
        }

        return $possible;
    }

    /** @param  array<string, float>  $rates */
    private static function pick(array $rates, Randomizer $random): string
    {
        $at = $random->getInt(0, 999_999) / 1_000_000 * array_sum($rates);
        foreach ($rates as $code => $rate) {
            $at -= $rate;
            if ($at < 0) {
                return $code;
            }
        }

        return (string) array_key_last($rates);
    }
}
