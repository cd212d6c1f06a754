<?php

declare(strict_types=1);

namespace App\Machines;

/** Whose a machine is, and what for. */
enum HeldAs: string
{
    case Owner = 'owner';
    case Farm = 'farm';
    case Resale = 'resale';
}
