<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Machines\Machine;
use OddBench\Fleet\SeenPart;
use OddBench\Knowledge\Position;

/** A part where it was seen. */
final readonly class SeenAt
{
    /**
     * @param  int|null  $part  id of the part it is, the new one where it was fitted used
     * @param  bool  $sits  it sits there now
     * @param  int|null  $fitting  nothing for what came with the machine and was never noted
     */
    public function __construct(
        public Machine $machine,
        public Position $position,
        public SeenPart $seen,
        public ?int $part,
        public bool $sits,
        public ?int $fitting,
    ) {
    }
}
