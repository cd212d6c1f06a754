<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use Illuminate\Support\Collection;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\HoursJudged;
use OpenApi\Attributes as OA;

/** A machine on the walk along the counters. */
#[OA\Schema]
final readonly class CounterLine extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public ?string $owner,
        #[OA\Property(enum: HeldAs::class)] public string $heldAs,
        #[OA\Property(description: 'run in all by now')] public ?float $hours,
        #[OA\Property(description: 'nine in ten are between low and high')] public ?float $low,
        #[OA\Property] public ?float $high,
        #[OA\Property] public ?float $perWeek,
        #[OA\Property] public ?CounterView $last,
        #[OA\Property(description: 'where its printer is reached is known')] public bool $hasPrinter,
    ) {
    }

    /** The relation owner must be loaded. */
    public static function of(Machine $machine, Knowledge $knowledge, ?HoursJudged $judged, ?Counter $last): self
    {
        $round = static fn (?float $hours): ?float => $hours === null ? null : round($hours, 1);

        return new self(
            $machine->tag,
            $knowledge->familyName($machine->family),
            $machine->owner?->name,
            $machine->held_as,
            $round($judged?->hours),
            $round($judged?->low),
            $round($judged?->high),
            $round($judged?->perWeek),
            $last === null ? null : CounterView::of($last),
            $machine->printer_host !== null,
        );
    }

    /**
     * The newest reading of each.
     *
     * @param  Collection<int, Machine>  $machines
     * @return array<int, Counter> machine id =>
     */
    public static function last(Collection $machines): array
    {
        return Counter::query()->with('person')->whereIn('machine_id', $machines->pluck('id'))->whereNull('withdrawn_at')
            ->distinct('machine_id')
            ->orderBy('machine_id')
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->get()
            ->keyBy('machine_id')
            ->all();
    }
}
