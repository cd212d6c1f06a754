<?php

declare(strict_types=1);

namespace App\Machines\Console;

use App\Machines\AskPrinter;
use App\Machines\Machine;
use App\Machines\NoteHours;
use Illuminate\Console\Command;

/** Asks the printers that are reached for their hours, one after the other, each once an hour and only while it idles. */
final class AskPrintersCommand extends Command
{
    /** Printers that are off are not asked every hour all at once. */
    private const AT_MOST_S = 1800.0;

    private const EVERY_MINUTES = 55;

    protected $signature = 'odd-bench:counters';

    protected $description = 'Ask idle printers for their hours';

    public function handle(AskPrinter $ask, NoteHours $hours): int
    {
        $until = microtime(true) + self::AT_MOST_S;
        [$noted, $doubted] = [0, 0];
        $due = Machine::query()->where('place', 'service')->whereNotNull('printer_host')
            ->where(static fn ($q) => $q->whereNull('asked_at')->orWhere('asked_at', '<', now()->subMinutes(self::EVERY_MINUTES)))
            ->orderByRaw('asked_at NULLS FIRST, id')
            ->get();
        foreach ($due as $machine) {
            if (microtime(true) > $until) {
                break;
            }
            // noted first: one that hangs is not asked twice
            Machine::query()->toBase()->where('id', $machine->id)->update(['asked_at' => now()]);
            $said = $ask->ifIdle($machine);
            if ($said !== null) {
                $hours->told($machine, $said) ? $noted++ : $doubted++;
            }
        }
        $this->line("{$due->count()} asked, {$noted} noted, {$doubted} not believed.");

        return self::SUCCESS;
    }
}
