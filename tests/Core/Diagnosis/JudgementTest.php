<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Network;
use OddBench\Diagnosis\Rates;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What the whole judgement says of small made-up trades, against every set of faults one by one. */
final class JudgementTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_probability_start_for_and_against_agree_with_brute_force(int $seed): void
    {
        [$knowledge, $network, $findings, $result] = $this->made($seed);
        [, $now] = BruteForce::posterior($network, $findings);
        foreach ($result['faults'] as $fault) {
            $i = (int) array_search($fault['code'], $network->faults, true);
            self::assertEqualsWithDelta($now[$i], $fault['probability'], 1e-9);
            self::assertEqualsWithDelta($knowledge->faults[$fault['code']]->rate / 1000, $fault['start'], 1e-12);
            $told = array_column([...$fault['for'], ...$fault['against']], 'factor', 'finding');
            foreach (array_keys($findings) as $left) {
                [, $without] = BruteForce::posterior($network, array_diff_key($findings, [$left => true]));
                $factor = self::odds($now[$i]) / self::odds($without[$i]);
                if (isset($told[$left])) {
                    self::assertEqualsWithDelta(1.0, $told[$left] / $factor, 1e-8);
                    self::assertSame($factor > 1, in_array($left, array_column($fault['for'], 'finding'), true));
                } else {
                    self::assertEqualsWithDelta(1.0, $factor, 0.031, 'only what moves the odds by less than 3 % is left out');
                }
            }
        }
    }

    #[DataProvider('seeds')]
    public function test_the_red_tag_hangs_on_the_worst_belief_with_any_one_look_left_out(int $seed): void
    {
        [$knowledge, $network, $findings, $result] = $this->made($seed, danger: true);
        $sets = [[]];
        foreach ($findings as $code => $present) {
            $sets[] = $present ? [] : [$code];
        }
        foreach ($knowledge->checks as $check) {
            $sets[] = array_values(array_filter($check->yields, static fn (string $code): bool => ($findings[$code] ?? true) === false));
        }
        $worst = 0.0;
        foreach ($sets as $set) {
            [, $beliefs] = BruteForce::posterior($network, array_diff_key($findings, array_flip($set)));
            foreach ($network->faults as $i => $code) {
                $worst = $knowledge->faults[$code]->danger ? max($worst, $beliefs[$i]) : $worst;
            }
        }

        self::assertSame($worst >= $knowledge->bench->redTagFrom, $result['safety']['red_tag'], sprintf('the worst is %.4f', $worst));
    }

    #[DataProvider('seeds')]
    public function test_behind_and_brings_carry_the_probability_of_the_fault_they_name(int $seed): void
    {
        [$knowledge, , , $result] = $this->made($seed);
        $probability = array_column($result['faults'], 'probability', 'code');
        foreach ($result['faults'] as $fault) {
            foreach (['behind', 'brings'] as $way) {
                self::assertEqualsCanonicalizing($knowledge->faults[$fault['code']]->{$way}, array_column($fault[$way], 'code'));
                foreach ($fault[$way] as $other) {
                    self::assertSame($probability[$other['code']], $other['probability']);
                }
            }
        }
    }

    #[DataProvider('seeds')]
    public function test_unexplained_is_what_comes_rather_from_nothing_than_from_the_explaining_set(int $seed): void
    {
        [, $network, $findings, $result] = $this->made($seed);
        $unexplained = [];
        foreach (array_keys($findings, true, true) as $code) {
            $f = (int) array_search($code, $network->findings, true);
            $miss = 1.0;
            foreach ($network->faults as $i => $fault) {
                $miss *= in_array($fault, $result['explained'], true) ? 1 - ($network->children[$i][$f] ?? 0.0) : 1.0;
            }
            if ($network->parents[$f] === [] || $network->leaks[$f] > 1 - $miss) {
                $unexplained[] = $code;
            }
        }

        self::assertEqualsCanonicalizing($unexplained, $result['unexplained']);
    }

    /** @return array{Knowledge, Network, array<string, bool>, array<string, mixed>} */
    private function made(int $seed, bool $danger = false): array
    {
        $random = new Randomizer(new Mt19937(1000 + $seed));
        $small = SmallKnowledge::make($random, 9, 9);
        $faults = [];
        foreach (array_values($small->faults) as $i => $f) {
            $next = 'fault-'.($i + 1);
            $links = $i < 8 ? [$next] : [];
            $faults[$f->code] = new Fault(
                $f->code,
                $f->name,
                $f->area,
                $f->rate,
                [],
                $f->shows,
                $f->means,
                null,
                $f->mends,
                $danger && $i % 4 === 0,
                $i % 2 === 0 ? $links : [],
                $i % 2 === 1 ? $links : [],
                [],
            );
        }
        $knowledge = SmallKnowledge::of($small->findings, $faults, $small->checks);
        $findings = [];
        foreach (array_slice($random->shuffleArray(array_keys($knowledge->findings)), 0, 5) as $i => $code) {
            $findings[$code] = $i < 2;
        }

        return [
            $knowledge,
            Network::forMachine($knowledge, Traits::of([]), Rates::catalogue()),
            $findings,
            (new Diagnose($knowledge))->compute(['findings' => array_map(
                static fn (bool $p): string => $p ? 'present' : 'absent',
                $findings,
            )]),
        ];
    }

    private static function odds(float $p): float
    {
        return $p / (1 - $p);
    }
}
