<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use OddBench\Instruments\Filament;
use OddBench\Instruments\FilamentAmount;
use OddBench\Knowledge\Knowledge;

/** Spools with what is left on them. */
final readonly class SpoolsQuery
{
    private const DIAMETER_MM = 1.75;

    private const EVENTS = 12;

    public function __construct(private Knowledge $knowledge, private SpoolCondition $condition)
    {
    }

    public function all(): SpoolsView
    {
        $spools = Spool::query()->with(['events' => static fn ($q) => $q->with(['person', 'job.machine'])->orderByDesc('id')])
            ->orderByRaw('ended_at IS NOT NULL, id DESC')
            ->limit(100)
            ->get();

        return new SpoolsView(array_values($spools->map($this->view(...))->all()), array_keys($this->knowledge->materials));
    }

    private function view(Spool $spool): SpoolView
    {
        $state = $this->condition->of($spool);

        return new SpoolView(
            $spool->code,
            $spool->material,
            $spool->colour,
            $spool->lot,
            (float) $spool->net_g,
            (float) $spool->empty_g,
            (float) $spool->left_g,
            $this->metres($spool),
            $spool->price_per_kg_minor,
            $spool->made_on?->toDateString(),
            $spool->opened_at?->toIso8601String(),
            $spool->dried_at?->toIso8601String(),
            $spool->ended_at !== null,
            $state->old,
            $state->damp,
            $state->because,
            Filament::howToDry($spool->material),
            array_values($spool->events->take(self::EVENTS)->map(static fn (SpoolEvent $e): SpoolEventView => new SpoolEventView(
                $e->kind,
                $e->grams === null ? null : (float) $e->grams,
                $e->hours === null ? null : (float) $e->hours,
                $e->celsius === null ? null : (float) $e->celsius,
                $e->job?->id,
                $e->job?->machine->tag,
                $e->note,
                $e->person->name,
                $e->at->toIso8601String(),
            ))->all()),
        );
    }

    private function metres(Spool $spool): float
    {
        $density = $this->knowledge->material($spool->material)->densityGCm3;

        return round(FilamentAmount::ofMass(max(0.0, (float) $spool->left_g), $density, self::DIAMETER_MM)->lengthM, 1);
    }
}
