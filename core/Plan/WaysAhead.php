<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Diagnosis\FaultSet;
use OddBench\Diagnosis\FaultSets;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/** The ways a job may go on, as a mixture: each set of faults that may be there with the chain it then has, and something else. */
final readonly class WaysAhead
{
    /** Sets less likely than that are told by those that are told. */
    private const LEAST = 0.01;

    /**
     * @param  list<array{float, int, int}>  $ways  probability, minutes of hands, minutes alone; adding up to one
     * @param  list<string>  $likeliest  faults of the likeliest set
     */
    private function __construct(public array $ways, public array $likeliest)
    {
    }

    /**
     * @param  list<string>  $confirmed  faults somebody has confirmed
     * @param  callable(list<string>): JobAhead  $ahead  the job when these faults are to be mended
     */
    public static function of(Knowledge $knowledge, FaultSets $sets, array $confirmed, callable $ahead): self
    {
        $told = $confirmed === [] ? $sets->sets : $sets->with($confirmed);
        $likely = array_values(array_filter($told, static fn (FaultSet $set): bool => $set->probability >= self::LEAST));
        $rest = $confirmed === [] ? $sets->rest : 0.0;
        $chain = new Chain($knowledge);
        $ways = array_map(
            static fn (FaultSet $set): array => [$set->probability, ...self::sums($chain->of($ahead($set->faults)))],
            $likely,
        );
        if ($ways === [] || $rest > 0.0) {
            // something else: a dig, and the way out as without a mend
            [$hands, $alone] = self::sums($chain->of($ahead([])));
            $ways[] = [$ways === [] ? 1.0 : $rest, $hands + (int) ceil($knowledge->bench->dig), $alone];
        }
        $all = array_sum(array_column($ways, 0));

        return new self(
            array_map(static fn (array $way): array => [$way[0] / $all, $way[1], $way[2]], $ways),
            $likely === [] ? $confirmed : $likely[0]->faults,
        );
    }

    /** @return list<string> faults of the likeliest set; none when none is likely */
    public static function likeliest(FaultSets $sets): array
    {
        $first = $sets->sets[0] ?? null;

        return $first !== null && $first->probability >= self::LEAST ? $first->faults : [];
    }

    /** One way only. */
    public static function certain(Knowledge $knowledge, JobAhead $job): self
    {
        return new self([[1.0, ...self::sums((new Chain($knowledge))->of($job))]], $job->mend);
    }

    /**
     * Nothing is known of it yet: what such machines mostly have, each by its frequency.
     *
     * @param  callable(list<string>): JobAhead  $ahead  the job when these faults are to be mended
     */
    public static function unknown(Knowledge $knowledge, Traits $traits, callable $ahead): self
    {
        $chain = new Chain($knowledge);
        $ways = [];
        foreach (UsualMend::of($knowledge, $traits)->shares as $fault => $share) {
            $ways[] = [$share, ...self::sums($chain->of($ahead([$fault])))];
        }

        return $ways === [] ? self::certain($knowledge, $ahead([])) : new self($ways, []);
    }

    /**
     * @param  list<ChainStep>  $steps
     * @return array{int, int}
     */
    public static function sums(array $steps): array
    {
        return [
            array_sum(
                array_map(static fn (ChainStep $step): int => $step->hands + ($step->watch === Watch::Beside ? $step->alone : 0), $steps),
            ),
            array_sum(array_map(static fn (ChainStep $step): int => $step->watch === Watch::Beside ? 0 : $step->alone, $steps)),
        ];
    }
}
