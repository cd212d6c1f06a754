<?php

declare(strict_types=1);

namespace App\Stock\Batches;

/** How sure it is that a use took of a batch. */
enum Traced: string
{
    case Certain = 'certain';
    case Likely = 'likely';
    case Possible = 'possible';
}
