<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Intake\Job;
use App\Intake\WorkSpell;
use App\Stock\Shelf\Movement;
use Illuminate\Support\Collection;
use OddBench\Money\Resale;

/** What bought machines took and made. */
final readonly class SoldQuery
{
    /**
     * @param  Collection<int, Offer>  $offers
     * @return array<int, SoldView> offer id => what its machine made
     */
    public function of(Collection $offers): array
    {
        $jobs = Job::query()->whereIn('machine_id', $offers->pluck('machine_id')->filter())->pluck('machine_id', 'id');
        [$sum, $bound] = WorkSpell::minutes();
        $minutes = WorkSpell::query()->whereIn('job_id', $jobs->keys())->toBase()
            ->selectRaw("job_id, {$sum} AS minutes", $bound)
            ->groupBy('job_id')
            ->pluck('minutes', 'job_id');
        $parts = Movement::query()->whereIn('job_id', $jobs->keys())->whereIn('kind', ['used', 'returned'])->toBase()
            ->selectRaw('job_id, -sum(value_minor) AS value')
            ->groupBy('job_id')
            ->pluck('value', 'job_id');
        $sales = Sale::query()->whereIn('machine_id', $offers->pluck('machine_id')->filter())->orderBy('id')->get();
        $views = [];
        foreach ($offers as $offer) {
            $own = $offer->machine_id === null
                ? []
                : $jobs->filter(static fn (mixed $m): bool => $m === $offer->machine_id)->keys()->all();
            $of = static fn (Collection $figures): float => (float) $figures->only($own)->sum();
            $sale = $sales->first(static fn (Sale $one): bool => $one->machine_id === $offer->machine_id);
            $spent = (int) $of($parts);
            $resale = $sale === null ? null : new Resale(
                $sale->price_minor,
                (int) $offer->bought_minor,
                $offer->freight_minor + $offer->missing_minor + $offer->selling_minor + $spent,
                $of($minutes),
            );
            $views[$offer->id] = new SoldView(
                $sale?->price_minor,
                $spent,
                round($of($minutes), 1),
                $resale?->made(),
                $resale?->perHour(),
                $sale?->at->toIso8601String(),
            );
        }

        return $views;
    }
}
