<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OddBench\Machines\HoursJudged;
use OpenApi\Attributes as OA;

/** The hours of a machine now, and the readings they come from. */
#[OA\Schema]
final readonly class HoursView extends View
{
    private const READINGS = 12;

    /** @param  list<CounterView>  $counters  newest first */
    public function __construct(
        #[OA\Property] public ?float $hours,
        #[OA\Property(description: 'nine in ten are between low and high')] public ?float $low,
        #[OA\Property] public ?float $high,
        #[OA\Property] public ?float $perWeek,
        #[OA\Property(description: 'estimated, for its counter was not read since')] public bool $about,
        #[OA\Property] public string $because,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CounterView::class))] public array $counters,
    ) {
    }

    public static function of(Machine $machine, ?HoursJudged $judged): self
    {
        $round = static fn (?float $hours): ?float => $hours === null ? null : round($hours, 1);

        return new self(
            $round($judged?->hours),
            $round($judged?->low),
            $round($judged?->high),
            $round($judged?->perWeek),
            $judged?->read === false,
            $judged->because ?? 'Its counter was never read.',
            array_values(Counter::query()->with('person')->where('machine_id', $machine->id)
                ->whereNull('withdrawn_at')
                ->orderByDesc('at')
                ->orderByDesc('id')
                ->limit(self::READINGS)
                ->get()
                ->map(CounterView::of(...))
                ->all()),
        );
    }
}
