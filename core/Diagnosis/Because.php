<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** Why a step stands where it stands. */
enum Because: string
{
    /** danger is settled before anything else */
    case Danger = 'danger';
    /** the likeliest cause is confirmed before its mend */
    case Leader = 'leader';
    /** several quick looks in one go */
    case Sweep = 'sweep';
    /** it saves most for its minutes */
    case Saves = 'saves';
    /** likeliest for what it costs */
    case Likely = 'likely';
}
