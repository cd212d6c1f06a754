<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Input\InputError;

/**
 * The order in which an elimination opens findings, folds in faults and closes findings again: always the finding that
 * can be closed with the fewest open (greedy least width).
 */
final class FoldingOrder
{
    public const OPEN = 0;

    public const FOLD = 1;

    public const CLOSE = 2;

    /** The widest open frontier: 2^16 numbers. */
    private const WIDEST = 16;

    /** @var list<array{int, int, array<int, float>}> kind; finding, fault or bit; bit => strength */
    public array $steps = [];

    /** @var array<int, true> faults that touch a present finding */
    public array $linked = [];

    /** Logarithm of the leaks of present findings that no fault can cause. */
    public float $logOrphans = 0.0;

    private function __construct(private readonly Network $network)
    {
    }

    /**
     * @param  list<int>  $present  indices of findings, without doubles
     *
     * @throws InputError when the findings hang together too widely
     */
    public static function of(Network $network, array $present): self
    {
        $order = new self($network);
        $order->arrange($present);

        return $order;
    }

    /** @param  list<int>  $present */
    private function arrange(array $present): void
    {
        $waiting = [];
        foreach ($present as $finding) {
            $faults = $this->network->parents[$finding];
            if ($faults === []) {
                $this->logOrphans += log($this->network->leaks[$finding]);
            } else {
                $waiting[$finding] = array_fill_keys($faults, true);
            }
        }
        $shown = [];
        foreach ($waiting as $finding => $faults) {
            foreach (array_keys($faults) as $fault) {
                $shown[$fault][$finding] = $this->network->children[$fault][$finding];
                $this->linked[$fault] = true;
            }
        }
        /** @var list<int> $open findings in the order of their bits */
        $open = [];
        while ($waiting !== []) {
            $next = $this->narrowest($waiting, $shown, $open);
            foreach ($this->fewestNewFirst(array_keys($waiting[$next]), $shown, $open) as $fault) {
                foreach (array_keys($shown[$fault]) as $finding) {
                    if (! in_array($finding, $open, true)) {
                        $this->steps[] = [self::OPEN, $finding, []];
                        $open[] = $finding;
                    }
                    unset($waiting[$finding][$fault]);
                }
                if (count($open) > self::WIDEST) {
                    throw InputError::at(
                        'findings',
                        'These findings hang together too widely to be worked out exactly: '.count($present)
                            .' are present. Withdraw the vaguest ones.',
                    );
                }
                $bits = [];
                foreach ($shown[$fault] as $finding => $strength) {
                    $bits[1 << (int) array_search($finding, $open, true)] = $strength;
                }
                $this->steps[] = [self::FOLD, $fault, $bits];
            }
            foreach ($open as $finding) {
                if ($waiting[$finding] === []) {
                    $place = (int) array_search($finding, $open, true);
                    $this->steps[] = [self::CLOSE, 1 << $place, []];
                    array_splice($open, $place, 1);
                    unset($waiting[$finding]);
                }
            }
        }
    }

    /**
     * The waiting finding that can be closed with the fewest open.
     *
     * @param  non-empty-array<int, array<int, true>>  $waiting
     * @param  array<int, array<int, float>>  $shown
     * @param  list<int>  $open
     */
    private function narrowest(array $waiting, array $shown, array $open): int
    {
        $best = array_key_first($waiting);
        $least = PHP_INT_MAX;
        foreach ($waiting as $finding => $faults) {
            $width = array_fill_keys($open, true);
            foreach (array_keys($faults) as $fault) {
                $width += $shown[$fault];
            }
            if (count($width) < $least) {
                [$best, $least] = [$finding, count($width)];
            }
        }

        return $best;
    }

    /**
     * @param  list<int>  $faults
     * @param  array<int, array<int, float>>  $shown
     * @param  list<int>  $open
     * @return list<int>
     */
    private function fewestNewFirst(array $faults, array $shown, array $open): array
    {
        $known = array_flip($open);
        $new = [];
        foreach ($faults as $fault) {
            $new[$fault] = count(array_diff_key($shown[$fault], $known));
        }
        asort($new);

        return array_keys($new);
    }
}
