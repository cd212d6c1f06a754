<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\FaultSet;
use OddBench\Diagnosis\FaultSets;
use PHPUnit\Framework\TestCase;

final class FaultSetsTest extends TestCase
{
    public function test_against_every_set_of_faults_worked_out_one_by_one(): void
    {
        foreach (range(1, 25) as $seed) {
            $of = new RandomNetwork($seed);
            $network = $of->make(9, 7);
            $findings = $of->findings($network, 1 + $seed % 3, 2);
            $beliefs = Beliefs::of($network, $findings);
            $linked = $beliefs->linked();
            // some of what is linked counts as a circumstance only: those faults are summed over
            $inQuestion = $seed % 2 === 0 ? $linked : array_slice($linked, 0, max(1, count($linked) - 2), true);
            $exact = [];
            $total = 0.0;
            for ($set = 0; $set < 1 << 9; $set++) {
                $p = BruteForce::joint($network, $findings, $set);
                $total += $p;
                $names = [];
                foreach (array_keys($inQuestion) as $fault) {
                    if ($set >> $fault & 1) {
                        $names[] = $network->faults[$fault];
                    }
                }
                sort($names);
                $exact[implode('+', $names)] = ($exact[implode('+', $names)] ?? 0.0) + $p;
            }
            $sets = FaultSets::of($beliefs, $inQuestion);
            $rest = 1.0;
            foreach ($sets->sets as $told) {
                $names = $told->faults;
                sort($names);
                self::assertEqualsWithDelta(
                    $exact[implode('+', $names)] / $total,
                    $told->probability,
                    1e-9,
                    "seed {$seed}: ".implode('+', $names),
                );
                $rest -= $told->probability;
            }
            self::assertEqualsWithDelta($rest, $sets->rest, 1e-9);
            // nothing of weight with up to three is left out
            $told = array_sum(array_map(static fn (FaultSet $s): float => $s->probability, $sets->sets));
            $upToThree = 0.0;
            foreach ($exact as $names => $p) {
                $upToThree += $names !== '' && substr_count($names, '+') <= 2 ? $p / $total : 0.0;
            }
            self::assertEqualsWithDelta($upToThree, $told, 0.01);
        }
    }

    public function test_the_likeliest_stands_first_and_what_is_confirmed_is_in_every_set(): void
    {
        $of = new RandomNetwork(4);
        $network = $of->make(8, 6);
        $beliefs = Beliefs::of($network, $of->findings($network, 2, 1));
        $sets = FaultSets::of($beliefs, $beliefs->linked());
        $probabilities = array_map(static fn (FaultSet $s): float => $s->probability, $sets->sets);
        $sorted = $probabilities;
        rsort($sorted);
        self::assertSame($sorted, $probabilities);
        $confirmed = $sets->sets[1]->faults;
        $with = $sets->with($confirmed);
        self::assertEqualsWithDelta(1.0, array_sum(array_map(static fn (FaultSet $s): float => $s->probability, $with)), 1e-12);
        foreach ($with as $set) {
            self::assertSame([], array_diff($confirmed, $set->faults));
        }
        self::assertEquals([new FaultSet(['nobody thought of it'], 1.0)], $sets->with(['nobody thought of it']));
    }
}
