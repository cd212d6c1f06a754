<?php

declare(strict_types=1);

namespace App\Proof;

/** How a proof of a job stands. */
enum ProofStanding: string
{
    case Open = 'open';
    case Later = 'later';
    case Passed = 'passed';
    case Failed = 'failed';
}
