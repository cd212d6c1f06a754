<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Plan\PlanNews;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Looks whether the plan still holds; where it does not, a new one goes on the queue. */
final class PlanCommand extends Command
{
    /** So many minutes late is as planned. */
    private const LATE = 5;

    protected $signature = 'odd-bench:plan {--now : make it here, not on the queue}';

    protected $description = 'Plans the bench anew when something has changed since the last plan';

    public function handle(MakePlan $make): int
    {
        if ($this->option('now')) {
            $row = $make->make();
            $this->line(sprintf('Planned %d steps in %d ms.', count((array) $row->body['steps']), $row->took_ms));

            return self::SUCCESS;
        }
        if (DB::table('plan_news')->exists() || $this->broken()) {
            PlanAnew::dispatch();
        }

        return self::SUCCESS;
    }

    /** Whether time has gone on without what was planned for it; noted as news. */
    private function broken(): bool
    {
        $last = PlanRow::query()->orderByDesc('id')->first();
        if ($last === null) {
            return true;
        }
        if ($last->made_at->gt(now()->subMinutes(self::LATE))) {
            return false;
        }
        /** @var list<array{start: string, end: string, tag: string, what: string, person: int|null, begun: bool}> $steps */
        $steps = $last->body['steps'] ?? [];
        foreach ($steps as $step) {
            $at = CarbonImmutable::parse($step['begun'] ? $step['end'] : $step['start']);
            if ($step['person'] !== null && $at->addMinutes(self::LATE)->isPast()) {
                PlanNews::note(sprintf(
                    '%s: %s %s',
                    $step['tag'],
                    lcfirst($step['what']),
                    $step['begun'] ? 'takes longer than reckoned' : 'was not begun as planned',
                ));

                return true;
            }
        }

        return false;
    }
}
