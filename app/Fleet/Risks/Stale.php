<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * What was foretold of a machine holds until something changes on it. It is noted with the change and worked out anew once the change
 * stands; where many change at once, as by a table of counters, the clock does it within a minute. One of these lives as long as a
 * request.
 */
final class Stale
{
    private const AT_ONCE = 5;

    /** @var array<int, int> */
    private array $waiting = [];

    public function __construct(private readonly KeepRisks $keep)
    {
    }

    public function mark(int $machine): void
    {
        // what was never worked out is new, and waits for the clock
        if (DB::table('machine_risks')->where('machine_id', $machine)->update(['stale' => true]) === 0) {
            return;
        }
        $this->waiting[$machine] = $machine;
        DB::afterCommit($this->workOut(...));
    }

    private function workOut(): void
    {
        [$machines, $this->waiting] = [array_values($this->waiting), []];
        if ($machines === [] || count($machines) > self::AT_ONCE) {
            return;
        }
        try {
            $this->keep->these($machines);
        } catch (Throwable $e) {
            // the change stands whatever becomes of what is foretold of it
            report($e);
        }
    }
}
