<?php

declare(strict_types=1);

namespace App\Machines;

use App\Shop\ShopDay;
use OddBench\Input\InputError;

/** The warranty a maker or a seller gave on a machine. */
final readonly class Warranty
{
    public function __construct(private ShopDay $day)
    {
    }

    /** @param  'maker'|'seller'|null  $by  nothing when there is none */
    public function note(Machine $machine, ?string $by, ?string $until, ?string $note): void
    {
        if (($by === null) !== ($until === null)) {
            throw InputError::at($by === null ? 'by' : 'until', 'A warranty has a day it ends and somebody who gives it: maker or seller.');
        }
        $machine->update(['warranty_by' => $by, 'warranty_until' => $until, 'warranty_note' => $note]);
    }

    /** Its last day counts. */
    public function runs(Machine $machine): bool
    {
        return $machine->warranty_until !== null && $machine->warranty_until->toDateString() >= $this->day->today();
    }
}
