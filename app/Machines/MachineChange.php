<?php

declare(strict_types=1);

namespace App\Machines;

use App\Machines\Owners\OwnerChoice;

/** How a machine should stand after it was edited by hand. */
final readonly class MachineChange
{
    /** @param  'owner'|'farm'|'resale'  $heldAs */
    public function __construct(
        public string $family,
        public ?string $serial,
        public string $heldAs,
        public ?OwnerChoice $owner,
        public Place $place,
        public ?string $printerHost,
        public ?int $printerPort,
        public ?string $notes,
    ) {
    }
}
