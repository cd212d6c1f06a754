<?php

declare(strict_types=1);

namespace OddBench\Stock;

/**
 * Where the parts of one receipt went, when nobody noted which piece was taken. What was taken while none but they lay in the
 * bin is one of them for certain; what was taken while one of them can have lain there may be; and of those, first in
 * first out says which is likely. Exact bounds on how many of the batch are in the bin, carried from movement to movement.
 */
final readonly class BatchTrace
{
    /**
     * @param  array<int, array{sure: int, likely: int, most: int}>  $taken  movement => how many of what it took are of the batch:
     *   at least, by first in first out, at most
     * @param  array{sure: int, likely: int, most: int}  $left  in the bin
     */
    private function __construct(public array $taken, public array $left)
    {
    }

    /**
     * @param  list<array{int, int}>  $movements  of this part in the order of time: number and quantity, below zero when it left
     * @param  int  $batch  the number of the receipt
     */
    public static function of(array $movements, int $batch): self
    {
        $all = $least = $most = 0;
        $before = $own = 0; // by first in first out: what lay there before it, and what is left of it
        $arrived = false;
        $taken = [];
        foreach ($movements as [$number, $quantity]) {
            if ($number === $batch) {
                $arrived = true;
                $before = $all;
                $least = $most = $own = $quantity;
                $all += $quantity;

                continue;
            }
            if ($quantity >= 0 || ! $arrived) {
                $all += $quantity;

                continue;
            }
            $out = -$quantity;
            $fromBefore = min($before, $out);
            $likely = min($own, $out - $fromBefore);
            $sure = max(0, $out - ($all - $least));
            if ($most > 0) {
                $taken[$number] = ['sure' => $sure, 'likely' => $likely, 'most' => min($out, $most)];
            }
            $before -= $fromBefore;
            $own -= $likely;
            $all -= $out;
            $least = max(0, $least - $out);
            $most = max(0, min($most, $all));
        }

        return new self($taken, ['sure' => $least, 'likely' => $own, 'most' => $most]);
    }
}
