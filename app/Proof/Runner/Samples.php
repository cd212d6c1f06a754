<?php

declare(strict_types=1);

namespace App\Proof\Runner;

use OddBench\Proof\Run\Log;

/** What was measured, a line each, at the end of its file. */
final class Samples
{
    /** @param  float  $written  s; what was measured up to here stands in the file */
    public function __construct(private readonly string $path, private float $written)
    {
    }

    /** What came since the last time; where the disk takes it not whole, it is tried again the next time. */
    public function append(Log $log): void
    {
        $lines = '';
        $to = $this->written;
        foreach ($log->since($this->written) as $s) {
            if ($s->t > $this->written) {
                $lines .= implode(
                    ',',
                    [$s->t, $s->hotend, $s->hotendTarget, $s->bed, $s->bedTarget, $s->hotendPower ?? '', $s->bedPower ?? ''],
                )."\n";
                $to = $s->t;
            }
        }
        if ($lines !== '' && @file_put_contents($this->path, $lines, FILE_APPEND) === strlen($lines)) {
            $this->written = $to;
        }
    }
}
