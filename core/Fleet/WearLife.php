<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Math\Gamma;
use OddBench\Units\Quantity;

/**
 * How long a part lasts, from those that failed and those that still run.
 *
 * Until five failures by Weibayes: the shape is the trade’s, and the trade’s usual life counts as so many failures (R. B. Abernethy,
 * The New Weibull Handbook, 5th ed., chapter 6; the gamma prior of scale^−shape that is conjugate to it). From five on by maximum
 * likelihood, with profile-likelihood intervals (W. Q. Meeker and L. A. Escobar, Statistical Methods for Reliability Data, 1998, 8.2).
 */
final readonly class WearLife implements Computation
{
    /** From so many failures on the shop believes itself. */
    public const BELIEVES_ITSELF = 5;

    /** Of a part that wears out, where nothing else is said (common practice). */
    public const USUAL_SHAPE = 2.5;

    public const PRIOR_FAILURES = 2.0;

    private const MOST_LIVES = 20_000;

    private const LEVEL = 0.95;

    public function name(): string
    {
        return 'wear-life';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $judged = $this->judge(
            $this->lives($fields),
            $fields->numberOrNull('usual_life_h', ...Quantity::LifeHours->bounds()),
            $fields->numberOrNull('shape', ...Quantity::LifeShape->bounds()) ?? self::USUAL_SHAPE,
            $fields->numberOrNull('prior_failures', ...Quantity::PriorFailures->bounds()) ?? self::PRIOR_FAILURES,
            $this->method($fields->choice('method', ['auto', 'ml', 'weibayes'], 'auto')),
        );
        $fields->done();

        return [...$judged->figures(), 'because' => $judged->because()];
    }

    /**
     * Failed ones first, then running ones; entered_h goes along both.
     *
     * @return list<Life>
     */
    private function lives(Fields $fields): array
    {
        $bounds = Quantity::LifeHours->bounds();
        $failed = $fields->numbersOrNone('failed_h', ...$bounds);
        $running = $fields->numbersOrNone('running_h', ...$bounds);
        $entered = $fields->numbersOrNone('entered_h', ...Quantity::MachineHours->bounds());
        if ($entered !== [] && count($entered) !== count($failed) + count($running)) {
            throw InputError::at('entered_h', sprintf(
                'entered_h has %d; give one for each of the %d in failed_h and then running_h, 0 for a new part.',
                count($entered),
                count($failed) + count($running),
            ));
        }
        if (count($failed) + count($running) > self::MOST_LIVES) {
            throw InputError::at('running_h', sprintf('Up to %d lives are taken at once.', self::MOST_LIVES));
        }
        $lives = [];
        foreach ([...$failed, ...$running] as $i => $hours) {
            $from = $entered[$i] ?? 0.0;
            if ($from >= $hours) {
                throw InputError::at(
                    "entered_h.{$i}",
                    "entered_h.{$i} must lie below the hours the part has: {$from} is not below {$hours}.",
                );
            }
            $lives[] = $i < count($failed) ? Life::failed($hours, $from) : Life::running($hours, $from);
        }

        return $lives;
    }

    /** @return 'auto'|'ml'|'weibayes' */
    private function method(string $said): string
    {
        return match ($said) {
            'ml', 'weibayes' => $said,
            default => 'auto',
        };
    }

    /**
     * @param  list<Life>  $lives
     * @param  float|null  $usual  hours such parts usually last, above 0
     * @param  float  $shape  of the trade
     * @param  float  $prior  failures the trade’s life counts for, above 0
     * @param  'auto'|'ml'|'weibayes'  $method
     *
     * @throws InputError when too little is known for the method
     */
    public function judge(array $lives, ?float $usual, float $shape, float $prior, string $method): LifeJudged
    {
        $failures = count(array_filter($lives, static fn (Life $l): bool => $l->failed));
        $likelihood = $lives === [] ? null : Likelihood::of($lives);
        if ($method === 'ml' || ($method === 'auto' && $failures >= self::BELIEVES_ITSELF)) {
            $best = $likelihood?->best();
            if ($likelihood !== null && $best !== null) {
                return $this->believed($likelihood, $best, $failures, count($lives) - $failures, $usual);
            }
            if ($method === 'ml' || $usual === null) {
                throw InputError::at('failed_h', $failures < 2
                    ? 'From fewer than two failures no shape can be told. Give usual_life_h and leave method to auto.'
                    : 'They all failed at the same hours: no shape can be told. Give usual_life_h and leave method to auto.');
            }
        }
        if ($usual === null) {
            throw InputError::at('usual_life_h', sprintf(
                'Give usual_life_h: until %d have failed (%d have) the trade’s usual life is what is gone by.',
                self::BELIEVES_ITSELF,
                $failures,
            ));
        }

        return $this->weibayes($likelihood, $failures, count($lives) - $failures, $usual, $shape, $prior);
    }

    private function believed(Likelihood $likelihood, Weibull $best, int $failures, int $running, ?float $usual): LifeJudged
    {
        $likelihood = $likelihood->around($best->shape);
        [$low, $high] = $likelihood->interval($best, $best->mean(), static fn (float $s, float $m): float => $m / Weibull::meanOfUnit($s));
        $edge = array_values(array_filter($likelihood->edge($best)));
        $shapes = array_map(static fn (Weibull $w): float => $w->shape, [...$edge, $best]);

        return new LifeJudged($best, 'ml', $low, $high, $failures, $running, [min($shapes), max($shapes)], $edge, $usual);
    }

    private function weibayes(?Likelihood $likelihood, int $failures, int $running, float $usual, float $shape, float $prior): LifeJudged
    {
        $from = Weibull::withMean($shape, $usual)->scale;
        $longest = $likelihood === null ? $from : $likelihood->longest;
        // in shares of the longest life, so that powers stay small
        $exposure = $prior * ($from / $longest) ** $shape + ($likelihood?->exposure($shape) ?? 0.0);
        $events = $prior + $failures;
        $life = static fn (float $rate): Weibull => Weibull::of($shape, $longest * $rate ** (-1 / $shape));
        $at = static fn (float $p): Weibull => $life(Gamma::quantile($events, $p) / $exposure);
        $rest = (1 - self::LEVEL) / 2;
        $edge = [$at(1 - $rest), $at($rest)];

        return new LifeJudged(
            $life($events / $exposure),
            'weibayes',
            $edge[0]->mean(),
            $edge[1]->mean(),
            $failures,
            $running,
            null,
            $edge,
            $usual,
        );
    }
}
