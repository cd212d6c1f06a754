<?php

declare(strict_types=1);

namespace App\Money\Ledger;

use OddBench\Money\Exact;

/** What some jobs took and brought. */
final readonly class Sums
{
    /**
     * @param  int  $parts  at cost, minor units
     * @param  int  $charged  net
     * @param  int  $borne  by the shop
     * @param  float  $ownersMinutes  of the minutes, those on owners’ machines
     * @param  int  $ownersParts  of the parts, those in owners’ machines
     */
    public function __construct(
        public int $jobs = 0,
        public float $minutes = 0.0,
        public int $parts = 0,
        public int $charged = 0,
        public int $borne = 0,
        public float $ownersMinutes = 0.0,
        public int $ownersParts = 0,
    ) {
    }

    public function plus(self $more): self
    {
        return new self(
            $this->jobs + $more->jobs,
            $this->minutes + $more->minutes,
            $this->parts + $more->parts,
            $this->charged + $more->charged,
            $this->borne + $more->borne,
            $this->ownersMinutes + $more->ownersMinutes,
            $this->ownersParts + $more->ownersParts,
        );
    }

    /** The i-th of so many equal shares; together they are the whole, to the last unit. */
    public function share(int $i, int $of): self
    {
        $share = static fn (int $sum): int => Exact::apportion(abs($sum), array_fill(0, $of, 1))[$i] * ($sum < 0 ? -1 : 1);

        return new self(
            $this->jobs,
            $this->minutes / $of,
            $share($this->parts),
            $share($this->charged),
            $share($this->borne),
            $this->ownersMinutes / $of,
            $share($this->ownersParts),
        );
    }
}
