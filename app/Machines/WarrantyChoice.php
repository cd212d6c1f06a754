<?php

declare(strict_types=1);

namespace App\Machines;

/** What was chosen for a machine under warranty: claimed and left closed, or mended here. */
enum WarrantyChoice: string
{
    case Claim = 'claim';
    case Mend = 'mend';
}
