<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** What a set of trial prints says. */
enum TrialVerdict: string
{
    /** One setting matters, beyond what chance makes of it. */
    case Ok = 'ok';

    /** They do not tell: too few, or more than one thing changed at once. */
    case Watch = 'watch';

    /** They tell that none of the settings matters. */
    case Out = 'out';
}
