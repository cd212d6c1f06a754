<?php

declare(strict_types=1);

namespace App\Machines;

/** What becomes of a row of a table of machines. */
enum MachineFate: string
{
    case Fresh = 'new';

    /** A machine of its family with its serial is known here. */
    case Known = 'known';

    /** Its serial stands in the table twice; the first one counts. */
    case Twice = 'twice';
    case Wrong = 'wrong';
}
