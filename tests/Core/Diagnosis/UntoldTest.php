<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Network;
use OddBench\Diagnosis\Suspect;
use OddBench\Diagnosis\Untold;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\TradeKnowledge;

/** Silence as evidence, by hand and against every set of faults counted with P(untold | present) = 1 − told. */
final class UntoldTest extends TestCase
{
    public function test_one_fault_by_hand(): void
    {
        // prior 0.1, shows f with 0.8 (leak 0.02, told with 0.4) and g with 0.9 (leak 0.02); g is told, f is not:
        // (1 − 0.4 · (1 − 0.2 · 0.98)) = 0.6784 with the fault, (1 − 0.4 · 0.02) = 0.992 without
        $knowledge = self::knowledge(['f' => 0.4, 'g' => 0.4]);
        $network = Network::of(['a'], [0.1], ['f', 'g'], [0.02, 0.02], [[0 => 0.8, 1 => 0.9]]);
        $with = 0.1 * 0.902 * 0.6784;
        $without = 0.9 * 0.02 * 0.992;

        self::assertEqualsWithDelta($with / ($with + $without), $this->weighed($network, $knowledge, ['g' => true])[0], 1e-12);
    }

    public function test_against_every_set_of_faults_counted(): void
    {
        $random = new Randomizer(new Mt19937(8));
        $between = static fn (float $least, float $most): float => $least + ($most - $least) * $random->getInt(0, 1_000_000) / 1_000_000;
        for ($round = 0; $round < 40; $round++) {
            $told = ['f0' => $between(0.1, 0.9), 'f1' => $between(0.1, 0.9), 'f2' => 0.0, 'f3' => $between(0.1, 0.9)];
            $priors = array_map(static fn (): float => $between(0.005, 0.05), range(0, 5));
            $children = array_map(
                static fn (): array => array_filter(array_map(
                    static fn (): float => $random->getInt(0, 1) * $between(0.2, 0.9),
                    range(0, 3),
                )),
                range(0, 5),
            );
            $network = Network::of(['a', 'b', 'c', 'd', 'e', 'g'], $priors, array_keys($told), array_fill(0, 4, 0.02), $children);
            $known = ['f0' => true, 'f2' => $round % 2 === 0];
            $sum = 0.0;
            $with = array_fill(0, 6, 0.0);
            for ($set = 0; $set < 64; $set++) {
                $p = 1.0;
                for ($k = 0; $k < 6; $k++) {
                    $p *= ($set >> $k & 1) === 1 ? $priors[$k] : 1 - $priors[$k];
                }
                foreach (array_values($told) as $f => $share) {
                    $absent = 0.98;
                    for ($k = 0; $k < 6; $k++) {
                        $absent *= ($set >> $k & 1) === 1 ? 1 - ($children[$k][$f] ?? 0.0) : 1.0;
                    }
                    $p *= match ($known["f{$f}"] ?? null) {
                        true => 1 - $absent,
                        false => $absent,
                        null => 1 - $share * (1 - $absent),
                    };
                }
                $sum += $p;
                for ($k = 0; $k < 6; $k++) {
                    $with[$k] += ($set >> $k & 1) === 1 ? $p : 0.0;
                }
            }
            foreach ($this->weighed($network, self::knowledge($told), $known) as $k => $belief) {
                self::assertEqualsWithDelta($with[$k] / $sum, $belief, 0.015, 'exact for one cause, close for several');
            }
        }
    }

    public function test_once_somebody_looked_the_look_counts_and_not_the_silence(): void
    {
        $network = Network::of(['a', 'b'], [0.1, 0.05], ['f', 'g'], [0.02, 0.02], [[0 => 0.8, 1 => 0.9], [1 => 0.5]]);
        foreach ([true, false] as $seen) {
            $known = ['f' => $seen, 'g' => true];
            self::assertEqualsWithDelta(
                Beliefs::of($network, $known)->now()->faults,
                $this->weighed($network, self::knowledge(['f' => 0.4, 'g' => 0.4]), $known),
                1e-15,
            );
        }
        self::assertSame($network, Untold::weigh($network, self::knowledge(['f' => 0.4, 'g' => 0.4]), []), 'nobody has told anything yet');
    }

    public function test_it_is_unknown_unless_asked_for_and_the_start_stays(): void
    {
        $case = ['traits' => [], 'findings' => ['nothing-comes-out' => 'present']];
        $of = static function (array $case): array {
            $suspects = (new Diagnose(TradeKnowledge::read()))->suspectsOf(CaseFile::read($case, TradeKnowledge::read()));

            return array_combine(array_map(static fn (Suspect $s): string => $s->code, $suspects), $suspects);
        };
        [$plain, $unknown, $weighed] = [$of($case), $of($case + ['untold' => 'unknown']), $of($case + ['untold' => 'weigh'])];

        self::assertEquals($plain, $unknown);
        self::assertNotEqualsWithDelta($plain['supply-dead']->probability ?? 0.0, $weighed['supply-dead']->probability ?? 1.0, 1e-6);
        foreach ($plain as $code => $suspect) {
            self::assertSame($suspect->start, $weighed[$code]->start);
        }
    }

    public function test_silence_is_no_all_clear(): void
    {
        $knowledge = TradeKnowledge::read();
        $judged = static fn (string $untold): bool => (new Diagnose($knowledge))->judge(CaseFile::read(
            ['traits' => [], 'findings' => ['bed-slow' => 'present', 'connector-brown' => 'present'], 'untold' => $untold],
            $knowledge,
        ))->danger->redTag;

        self::assertSame([true, true], [$judged('unknown'), $judged('weigh')]);
    }

    /**
     * @param  array<string, bool>  $known
     * @return list<float>
     */
    private function weighed(Network $network, Knowledge $knowledge, array $known): array
    {
        return Beliefs::of(Untold::weigh($network, $knowledge, $known), $known)->now()->faults;
    }

    /** @param  array<string, float>  $told */
    private static function knowledge(array $told): Knowledge
    {
        $findings = [];
        foreach ($told as $code => $share) {
            $findings[$code] = new Finding($code, $code, 'Made up', 0.02, false, true, false, null, told: $share);
        }

        return SmallKnowledge::of($findings, [], []);
    }
}
