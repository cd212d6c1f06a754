<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Plan\PlanNews;
use App\Shop\Setting;
use Carbon\CarbonImmutable;

/** Looks whether the plan still holds; where it does not, a new one goes on the queue. */
final class PlanWatch
{
    /** So many minutes late is as planned. */
    private const LATE = 5;

    public function look(): void
    {
        if (Setting::yes('demo_playing')) {
            return;
        }
        if ((PlanNews::waits() || $this->broken()) && ! PlanAnew::rests()) {
            PlanAnew::dispatch();
        }
    }

    /** Whether time has gone on without what was planned for it, or the shop plans otherwise now; noted as news. */
    private function broken(): bool
    {
        $last = PlanRow::query()->orderByDesc('id')->first();
        if ($last === null) {
            return true;
        }
        if (($last->body['shop'] ?? null) !== [Setting::whole('ovens'), Setting::yes('nights')]) {
            PlanNews::note('The shop is set otherwise');

            return true;
        }

        return $last->made_at->lte(now()->subMinutes(self::LATE)) && $this->slipped($last);
    }

    private function slipped(PlanRow $last): bool
    {
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
