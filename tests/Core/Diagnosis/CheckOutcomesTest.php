<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\CheckOutcomes;
use OddBench\Diagnosis\Network;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\State;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a check would answer, and what would be believed then, against brute force. */
final class CheckOutcomesTest extends TestCase
{
    /** @return iterable<string, array{int, int}> */
    public static function cases(): iterable
    {
        for ($seed = 1; $seed <= 24; $seed++) {
            yield "seed {$seed}" => [$seed, 1 + $seed % 4];
        }
    }

    #[DataProvider('cases')]
    public function test_answers_and_beliefs_agree_with_brute_force(int $seed, int $yields): void
    {
        $made = new RandomNetwork($seed);
        $network = $made->make(8, 11);
        $findings = $made->findings($network, 3, 2);
        $asked = array_slice(array_values(array_diff($network->findings, array_keys($findings))), 0, $yields);

        $outcomes = (new CheckOutcomes(Beliefs::of($network, $findings), array_flip($network->findings)))->of($this->check($asked));

        [$before] = BruteForce::posterior($network, $findings);
        $sum = 0.0;
        $mean = array_fill(0, 8, 0.0);
        foreach ($outcomes as $outcome) {
            $sum += $outcome->probability;
            foreach ($outcome->beliefs as $fault => $belief) {
                $mean[$fault] += $outcome->probability * $belief;
            }
            if ($outcome->findings !== []) {
                [$after, $beliefs] = BruteForce::posterior($network, $findings + $outcome->findings);
                self::assertEqualsWithDelta($after / $before, $outcome->probability, 1e-9);
                foreach ($beliefs as $fault => $belief) {
                    self::assertEqualsWithDelta($belief, $outcome->beliefs[$fault], 1e-7);
                }
            }
        }
        self::assertEqualsWithDelta(1.0, $sum, 1e-9, 'the answers are all there are');
        [, $now] = BruteForce::posterior($network, $findings);
        foreach ($now as $fault => $belief) {
            self::assertEqualsWithDelta($belief, $mean[$fault], 1e-9, 'the mean over the answers is what is believed now');
        }
    }

    public function test_a_check_whose_findings_are_known_has_no_answers(): void
    {
        $network = Network::of(['a'], [0.1], ['f'], [0.02], [[0 => 0.9]]);

        self::assertSame([], (new CheckOutcomes(Beliefs::of($network, ['f' => false]), ['f' => 0]))->of($this->check(['f'])));
    }

    /** @param  list<string>  $yields */
    private function check(array $yields): Check
    {
        return SmallKnowledge::check('look', $yields, State::Cold, 1);
    }
}
