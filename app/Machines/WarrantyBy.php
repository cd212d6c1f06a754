<?php

declare(strict_types=1);

namespace App\Machines;

/** Who gives the warranty of a machine. */
enum WarrantyBy: string
{
    case Maker = 'maker';
    case Seller = 'seller';
}
