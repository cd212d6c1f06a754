<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Brick\Math\RoundingMode;
use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\Network;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Sample;

/** The exact posterior against every set of faults one by one, in floats and in exact rationals. */
final class EliminationTest extends TestCase
{
    /** @return iterable<string, array{int, int, int, int}> seed, faults, present, absent */
    public static function cases(): iterable
    {
        foreach (Sample::of(range(1, 60)) as $seed) {
            $faults = 1 + $seed % 10;
            yield "seed {$seed}" => [$seed, $faults, $seed % 7, $seed % 5];
        }
    }

    #[DataProvider('cases')]
    public function test_it_agrees_with_brute_force(int $seed, int $faults, int $present, int $absent): void
    {
        $made = new RandomNetwork($seed);
        $network = $made->make($faults, 12);
        $findings = $made->findings($network, $present, $absent);

        [$evidence, $beliefs] = BruteForce::posterior($network, $findings);
        $posterior = Beliefs::of($network, $findings)->now();

        self::assertEqualsWithDelta(log($evidence), $posterior->logEvidence, 1e-12 * max(1, abs(log($evidence))));
        foreach ($beliefs as $fault => $belief) {
            self::assertEqualsWithDelta($belief, $posterior->faults[$fault], 1e-12);
        }
    }

    public function test_twelve_unrelated_present_findings_keep_every_digit(): void
    {
        // each finding has a fault of its own and the leak is tiny: where inclusion and exclusion cancel to nothing
        $children = [];
        for ($i = 0; $i < 8; $i++) {
            $children[] = [$i => 0.9, 8 + $i % 4 => 0.1];
        }
        $codes = static fn (string $c, int $n): array => array_map(static fn (int $i): string => "{$c}{$i}", range(0, $n - 1));
        $network = Network::of($codes('fault-', 8), array_fill(0, 8, 0.02), $codes('finding-', 12), array_fill(0, 12, 0.002), $children);
        $findings = array_fill_keys($network->findings, true);

        [$evidence, $beliefs] = BruteForce::exact($network, $findings);
        $posterior = Beliefs::of($network, $findings)->now();

        $exact = (float) (string) $evidence->toScale(40, RoundingMode::HALF_UP);
        self::assertEqualsWithDelta(1.0, exp($posterior->logEvidence) / $exact, 1e-12);
        foreach ($beliefs as $fault => $belief) {
            self::assertEqualsWithDelta((float) (string) $belief->toScale(30, RoundingMode::HALF_UP), $posterior->faults[$fault], 1e-12);
        }
    }

    public function test_nothing_found_leaves_every_fault_at_its_rate(): void
    {
        $network = (new RandomNetwork(5))->make(7, 9);

        foreach (Beliefs::of($network, [])->now()->faults as $fault => $belief) {
            self::assertEqualsWithDelta($network->priors[$fault], $belief, 1e-15);
        }
    }

    public function test_a_finding_that_either_fault_explains_is_taken_away_from_one_when_the_other_is_seen(): void
    {
        // explaining away (Pearl 1988, 2.2.4), worked by hand: P(a | f) = 0.1·1 / (1 − 0.9²) without leak and strength 1
        $network = Network::of(['a', 'b'], [0.1, 0.1], ['f', 'g'], [1e-9, 1e-9], [[0 => 1 - 1e-12], [0 => 1 - 1e-12, 1 => 0.9]]);

        self::assertEqualsWithDelta(0.1 / 0.19, Beliefs::of($network, ['f' => true])->now()->faults[0], 1e-6);
        self::assertEqualsWithDelta(0.1, Beliefs::of($network, ['f' => true, 'g' => true])->now()->faults[0], 1e-6);
    }

    public function test_findings_that_hang_together_too_widely_are_refused_by_name(): void
    {
        // twenty findings in which every two share a fault: no order keeps the frontier narrow
        $children = $priors = $faults = [];
        for ($i = 0; $i < 20; $i++) {
            for ($j = $i + 1; $j < 20; $j++) {
                $children[] = [$i => 0.5, $j => 0.5];
                $priors[] = 0.01;
                $faults[] = "fault-{$i}-{$j}";
            }
        }
        $findings = array_map(static fn (int $i): string => "finding-{$i}", range(0, 19));
        $network = Network::of($faults, $priors, $findings, array_fill(0, 20, 0.02), $children);

        $this->expectException(InputError::class);
        $this->expectExceptionMessage('20 are present');
        Beliefs::of($network, array_fill_keys($findings, true))->now();
    }

    public function test_many_findings_with_little_in_common_are_no_trouble(): void
    {
        $codes = static fn (string $c): array => array_map(static fn (int $i): string => "{$c}{$i}", range(0, 59));
        $network = Network::of(
            $codes('fault-'),
            array_fill(0, 60, 0.03),
            $codes('finding-'),
            array_fill(0, 60, 0.02),
            array_map(static fn (int $i): array => [$i => 0.9], range(0, 59)),
        );

        $posterior = Beliefs::of($network, array_fill_keys($network->findings, true))->now();

        // each by Bayes’ rule alone
        $alone = 0.03 * (1 - 0.98 * 0.1) / (1 - 0.98 * (1 - 0.03 * 0.9));
        self::assertEqualsWithDelta($alone, $posterior->faults[17], 1e-12);
    }
}
