<?php

declare(strict_types=1);

namespace OddBench\Money;

use OddBench\Diagnosis\FaultSet;
use OddBench\Diagnosis\MendCost;
use OddBench\Diagnosis\Session;
use OddBench\Knowledge\Knowledge;

/**
 * The ways a job may turn out: each set of faults that explains what was found, with what mending it takes, and something else,
 * for which one digs. What is confirmed is in every set.
 */
final readonly class JobLines
{
    public const SOMETHING_ELSE = 'something-else';

    /** Faults of a set in its code. */
    public const AND = '+';

    /** An owner is told a fault is certain when it is wrong less than once in a hundred; a likely one is not certain. */
    private const CERTAIN = 0.99;

    /** Less likely is not worth a word to an owner. */
    private const POSSIBLE = 0.03;

    /**
     * @param  list<EstimateLine>  $lines  likeliest first, adding up to one
     * @param  float  $findMinutes  gone and still to come
     */
    private function __construct(public array $lines, public float $findMinutes)
    {
    }

    /**
     * @param  list<string>  $confirmed  fault codes
     * @param  float  $markupPct  on parts, per cent
     */
    public static function of(Session $session, Knowledge $knowledge, array $confirmed, JobSoFar $soFar, float $markupPct): self
    {
        $sets = $session->sets();
        $told = $confirmed === [] ? $sets->sets : $sets->with($confirmed);
        $rest = $confirmed === [] ? $sets->rest : 0.0;
        $cost = $session->mending();
        $lines = [];
        $parts = 0.0;
        foreach ($told as $set) {
            $lines[] = $line = self::line($set, $knowledge, $cost, $soFar, $markupPct);
            $parts += $set->probability * $line->parts;
        }
        if ($rest > 0.0) {
            $lines[] = new EstimateLine(
                self::SOMETHING_ELSE,
                $rest,
                max($knowledge->bench->dig, $soFar->fixMinutes),
                $rest < 1.0 ? max($soFar->partsPrice, (int) round($parts / (1 - $rest))) : $soFar->partsPrice,
            );
        }

        return new self($lines, $soFar->findMinutes + ($confirmed === [] ? $session->searchAhead() : 0.0));
    }

    /** @return list<string> what is certain to be mended, likeliest first */
    public function certain(): array
    {
        return array_keys(array_filter($this->each(), static fn (float $p): bool => $p >= self::CERTAIN));
    }

    /**
     * @param  int  $most  so many faults at most
     * @return list<string> what may be there besides, likeliest first, and last something else
     */
    public function possible(int $most): array
    {
        $open = array_keys(array_filter($this->each(), static fn (float $p): bool => $p < self::CERTAIN && $p >= self::POSSIBLE));

        return [
            ...array_slice(array_values(array_diff($open, [self::SOMETHING_ELSE])), 0, $most),
            ...array_values(array_intersect($open, [self::SOMETHING_ELSE])),
        ];
    }

    /** @return array<string, float> fault => that it is there, over every way the job may turn out; likeliest first */
    private function each(): array
    {
        $each = [];
        foreach ($this->lines as $line) {
            foreach (explode(self::AND, $line->code) as $fault) {
                $each[$fault] = ($each[$fault] ?? 0.0) + $line->probability;
            }
        }
        arsort($each);

        return $each;
    }

    private static function line(FaultSet $set, Knowledge $knowledge, MendCost $cost, JobSoFar $soFar, float $markupPct): EstimateLine
    {
        $work = $cost->together(array_map(static fn (string $code) => $knowledge->faults[$code], $set->faults));
        $parts = $soFar->partsPrice;
        foreach (array_diff($work->classes, $soFar->classes) as $class) {
            $parts += Exact::raised((int) round($cost->part($class)), $markupPct);
        }

        return new EstimateLine(implode(self::AND, $set->faults), $set->probability, max($work->minutes, $soFar->fixMinutes), $parts);
    }
}
