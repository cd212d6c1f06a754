<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\Explanation;
use OddBench\Diagnosis\Network;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The best explaining set against every set one by one. */
final class ExplanationTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_set_scores_higher(int $seed): void
    {
        $made = new RandomNetwork($seed);
        $network = $made->make(9, 10);
        $findings = $made->findings($network, 1 + $seed % 6, $seed % 4);
        $beliefs = Beliefs::of($network, $findings);
        $circumstances = $seed % 3 === 0 ? [$beliefs->present[0] => true] : [];

        $found = Explanation::of($beliefs, $circumstances);

        $best = -INF;
        for ($set = 0; $set < 1 << 9; $set++) {
            $faults = array_values(array_filter(range(0, 8), static fn (int $i): bool => (bool) ($set >> $i & 1)));
            if ($this->covers($beliefs, $faults, $circumstances)) {
                $best = max($best, $this->score($network, $beliefs, $faults));
            }
        }
        self::assertTrue($this->covers($beliefs, $found, $circumstances));
        self::assertEqualsWithDelta($best, $this->score($network, $beliefs, $found), 1e-9);
    }

    public function test_of_equal_sets_the_smaller_and_then_the_first_by_code_wins(): void
    {
        $network = Network::of(['zinc', 'alum'], [0.1, 0.1], ['f'], [0.02], [[0 => 0.65], [0 => 0.65]]);

        self::assertSame([1], Explanation::of(Beliefs::of($network, ['f' => true]), []));
    }

    /**
     * @param  list<int>  $faults
     * @param  array<int, true>  $circumstances
     */
    private function covers(Beliefs $beliefs, array $faults, array $circumstances): bool
    {
        foreach ($beliefs->present as $finding) {
            $parents = $beliefs->network->parents[$finding];
            if ($parents !== [] && ! isset($circumstances[$finding]) && array_intersect($parents, $faults) === []) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<int>  $faults */
    private function score(Network $network, Beliefs $beliefs, array $faults): float
    {
        $score = 0.0;
        foreach ($faults as $fault) {
            $score += log($network->priors[$fault] / (1 - $network->priors[$fault]));
        }
        $miss = static function (int $finding) use ($network, $faults): float {
            $miss = 1 - $network->leaks[$finding];
            foreach ($faults as $fault) {
                $miss *= 1 - ($network->children[$fault][$finding] ?? 0.0);
            }

            return $miss;
        };
        foreach ($beliefs->present as $finding) {
            if ($network->parents[$finding] !== []) {
                $score += log(1 - $miss($finding));
            }
        }
        foreach (array_keys($beliefs->absent) as $finding) {
            $score += log($miss($finding)) - log(1 - $network->leaks[$finding]);
        }

        return $score;
    }
}
