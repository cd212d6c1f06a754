<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Rates;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Gamma–Poisson by hand: the catalogue counts as 50 jobs at its rate. */
final class RatesTest extends TestCase
{
    public function test_no_history_leaves_the_catalogue_rate(): void
    {
        self::assertEqualsWithDelta(0.045, Rates::catalogue()->prior(SmallKnowledge::fault('a', 45, [], 10)), 1e-15);
    }

    public function test_a_family_alone_is_shrunk_to_the_catalogue(): void
    {
        self::assertEqualsWithDelta(
            (50 * 0.02 + 5) / 70,
            Rates::corrected(50, 20, ['a' => 5])->prior(SmallKnowledge::fault('a', 20, [], 10)),
            1e-15,
        );
    }

    /** @return iterable<string, array{float, int, int, int, int}> rate in 1000 jobs; jobs and faults of the family; of the whole shop */
    public static function histories(): iterable
    {
        yield 'a family like its shop' => [20, 20, 1, 100, 4];
        yield 'a family worse than its shop' => [20, 20, 5, 100, 8];
        yield 'a family that has none' => [45, 60, 0, 200, 12];
        yield 'a family nobody had yet' => [10, 0, 0, 150, 9];
        yield 'the only family' => [10, 80, 7, 80, 7];
        yield 'much of everything' => [5, 400, 90, 1500, 160];
        yield 'more than is mixed' => [5, 900, 260, 1500, 320];
    }

    #[DataProvider('histories')]
    public function test_shop_and_family_are_one_model_and_each_job_counts_once(
        float $perMille,
        int $jobs,
        int $faults,
        int $shopJobs,
        int $shopFaults,
    ): void {
        // by numerical integration over θ: Gamma(w c, w) · Poisson of the others · the family's own marginal, a Gamma mixed with a
        // Poisson and that integrated over the family's rate as well
        $w = 50.0;
        $c = $perMille / 1000;
        $sum = $mean = 0.0;
        $most = -INF;
        $logs = [];
        for ($i = 1; $i <= 3000; $i++) {
            $theta = exp(log(1e-7) + $i / 3000 * log(1 / 1e-7));
            // over the family's rate λ by Simpson's rule in ln λ: Gamma(λ; wθ, w) Poisson(k; nλ), both without constants in λ
            $log = ($w * $c - 1 + $shopFaults - $faults) * log($theta) - ($w + $shopJobs - $jobs) * $theta + self::family($w, $theta, $jobs, $faults) + log($theta);
            $logs[] = [$log, ($w * $theta + $faults) / ($w + $jobs)];
            $most = max($most, $log);
        }
        foreach ($logs as [$log, $lambda]) {
            $sum += exp($log - $most);
            $mean += $lambda * exp($log - $most);
        }
        $prior = Rates::corrected(
            $w,
            $jobs,
            ['a' => $faults],
            $shopJobs,
            ['a' => $shopFaults],
        )->prior(SmallKnowledge::fault('a', $perMille, [], 10));

        self::assertEqualsWithDelta(1.0, $prior / ($mean / $sum), $faults > 200 ? 2e-3 : 1e-6);
    }

    /** ln of ∫ Gamma(λ; wθ, w)·Poisson(k; nλ) dλ, by numbers. */
    private static function family(float $w, float $theta, int $n, int $k): float
    {
        $shape = $w * $theta;
        $logs = [];
        for ($i = 0; $i <= 1200; $i++) {
            $lambda = exp(-60 + 62 * $i / 1200);
            $logs[] = $shape * log($lambda * $w) - ($w + $n) * $lambda + $k * log(max(1e-300, $n * $lambda));
        }
        $most = max($logs);
        $sum = 0.0;
        foreach ($logs as $i => $log) {
            $sum += ($i === 0 || $i === 1200 ? 1 : ($i % 2 === 1 ? 4 : 2)) * exp($log - $most);
        }

        // what lies below e^−60 has its closed form: ∫ x^(a − 1) dx = x^a/a
        $below = exp($shape * (-60 + log($w)) + ($k === 0 ? 0.0 : -1e3) - $most) / $shape;

        return $most + log($sum * 62 / 1200 / 3 + $below) - self::lnGamma($shape);
    }

    /** Stirling’s series, after moving up to where it holds. */
    private static function lnGamma(float $x): float
    {
        $moved = 0.0;
        for (; $x < 20; $x++) {
            $moved -= log($x);
        }

        return $moved + ($x - 0.5) * log($x) - $x + 0.5 * log(2 * M_PI) + 1 / (12 * $x) - 1 / (360 * $x ** 3) + 1 / (1260 * $x ** 5);
    }

    public function test_of_a_fault_some_families_cannot_have_only_the_others_jobs_count(): void
    {
        // 200 jobs in the shop, 20 of them on machines with a feeder, all of this family: the others say nothing
        $fault = SmallKnowledge::fault('jam', 90, [], 10);

        self::assertEqualsWithDelta(
            Rates::corrected(50, 20, ['jam' => 4], 20, ['jam' => 4])->prior($fault),
            Rates::corrected(50, 20, ['jam' => 4], 200, ['jam' => 4], ['jam' => 20])->prior($fault),
            1e-15,
        );
        self::assertGreaterThan(
            Rates::corrected(50, 20, ['jam' => 4], 200, ['jam' => 4])->prior($fault),
            Rates::corrected(50, 20, ['jam' => 4], 200, ['jam' => 4], ['jam' => 20])->prior($fault),
        );
    }

    public function test_much_history_outweighs_the_catalogue(): void
    {
        $rates = Rates::corrected(50, 10_000, ['a' => 1200], 10_000, ['a' => 1200]);

        self::assertEqualsWithDelta(0.12, $rates->prior(SmallKnowledge::fault('a', 1, [], 10)), 0.002);
    }

    public function test_a_fault_is_neither_certain_nor_impossible_before_anything_was_seen(): void
    {
        self::assertSame(0.5, Rates::corrected(50, 1000, ['a' => 1000])->prior(SmallKnowledge::fault('a', 50, [], 10)));
        self::assertGreaterThan(0.0, Rates::corrected(50, 1_000_000, [])->prior(SmallKnowledge::fault('a', 0.1, [], 10)));
    }
}
