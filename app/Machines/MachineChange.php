<?php

declare(strict_types=1);

namespace App\Machines;

use App\Machines\Owners\OwnerChoice;

/** How a machine should stand after it was edited by hand. */
final readonly class MachineChange
{
    /**
     * @param  'owner'|'farm'|'resale'  $heldAs
     * @param  bool|null  $printsAbrasive  filled filament as a rule; nothing when nobody said
     * @param  bool|null  $printsHot  above 250 °C as a rule
     */
    public function __construct(
        public string $family,
        public ?string $serial,
        public string $heldAs,
        public ?OwnerChoice $owner,
        public Place $place,
        public ?string $printerHost,
        public ?int $printerPort,
        public ?string $notes,
        public ?bool $printsAbrasive = null,
        public ?bool $printsHot = null,
    ) {
    }
}
