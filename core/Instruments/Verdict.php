<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** What an instrument, a log or a set of trials says of what was measured. */
enum Verdict: string
{
    case Ok = 'ok';

    /** Within limits, and not far from them: measure again before long. */
    case Watch = 'watch';

    case Out = 'out';

    case Danger = 'danger';

    /** What was given does not tell. */
    case Inconclusive = 'inconclusive';
}
