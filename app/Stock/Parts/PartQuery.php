<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Machines\Fitting;
use App\Shop\Setting;
use App\Stock\Batches\BatchesQuery;
use App\Stock\Kits\PromisedView;
use App\Stock\Kits\Reservation;
use App\Stock\Made\Recipe;
use App\Stock\Made\RecipeView;
use App\Stock\Orders\LeadTimes;
use App\Stock\Orders\OfferView;
use App\Stock\Orders\ReorderQuery;
use App\Stock\Orders\Supply;
use App\Stock\Orders\SupplyView;
use App\Stock\Shelf\Bins;
use App\Stock\Shelf\BinStockView;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\MovementView;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\Fit;
use OddBench\Stock\MadeCost;

/** Gathers a part’s own page. */
final readonly class PartQuery
{
    private const MOVEMENTS = 60;

    private const FITTED = 40;

    public function __construct(
        private Knowledge $knowledge,
        private ReorderQuery $reorder,
        private LeadTimes $leadTimes,
        private Bins $bins,
        private BatchesQuery $batches,
    ) {
    }

    public function page(string $number): PartPageView
    {
        $part = Part::numbered($number)->load(['substitutes', 'successor', 'usedOf', 'recipe']);
        $judged = $this->reorder->of([$part->id], Setting::benchMinuteMinor())->get($part->id);
        $movements = Movement::query()->with(['part', 'person', 'undoneBy', 'bad', 'machine', 'job.machine'])
            ->where('part_id', $part->id)
            ->orderByDesc('id')
            ->limit(self::MOVEMENTS)
            ->get();
        $batches = $this->batches->of($part);
        $bins = $this->bins->of($part);

        return new PartPageView(
            part: PartView::of($part, $this->knowledge, 0, $judged, $batches !== []),
            bins: array_map(
                static fn (int|string $bin, int $there): BinStockView => new BinStockView((string) $bin, $there),
                array_keys($bins),
                $bins,
            ),
            fits: self::fits(Fit::kept($part->fits)),
            words: $part->words,
            notes: $part->notes,
            shelfLifeWeeks: $part->shelf_life_weeks,
            photo: $part->photo === null ? null : "/files/parts/{$part->number}.jpg?".substr(sha1($part->photo), 0, 8),
            version: $part->version,
            supply: $judged === null ? null : SupplyView::of($judged),
            offers: $this->offers($part),
            promised: array_values(Reservation::query()->with(['job.machine', 'person'])->where('part_id', $part->id)->orderBy('id')->get()->map(static fn (Reservation $r): PromisedView => new PromisedView(
                $r->job_id,
                $r->job->machine->tag,
                $r->quantity,
                $r->person->name,
                $r->at->toIso8601String(),
            ))->all()),
            fitted: $this->fitted($part),
            substitutes: self::others($part->substitutes),
            standsInFor: self::others(Part::query()->whereIn(
                'id',
                DB::table('part_substitutes')->where('substitute_id', $part->id)->select('part_id'),
            )->orderBy('number')->get()),
            used: self::others(Part::query()->where('used_of_id', $part->id)->orderBy('number')->get()),
            usedOf: $part->usedOf === null ? null : self::other($part->usedOf),
            successor: $part->successor === null ? null : self::other($part->successor),
            predecessors: self::others(Part::query()->where('successor_id', $part->id)->orderBy('number')->get()),
            batches: $batches,
            recipe: $part->recipe === null ? null : $this->recipe($part->recipe),
            movements: array_values($movements->map(MovementView::of(...))->all()),
        );
    }

    public function recipe(Recipe $recipe): RecipeView
    {
        $density = $this->knowledge->materials[strtoupper($recipe->material)]->densityGCm3 ?? 1.24;
        $cost = MadeCost::of(
            (float) $recipe->grams,
            $recipe->price_per_kg_minor / 100,
            (float) $recipe->hand_minutes,
            Setting::benchMinuteMinor() / 100,
            $density,
        );

        return new RecipeView(
            $recipe->material,
            (float) $recipe->grams,
            round($cost->lengthM, 2),
            $recipe->price_per_kg_minor,
            (float) $recipe->print_minutes,
            (float) $recipe->hand_minutes,
            (int) round(100 * $cost->material), (int) round(100 * $cost->hands), $recipe->file_name, $recipe->how,
        );
    }

    private static function fits(Fit $fit): FitsView
    {
        return new FitsView($fit->families, $fit->positions, (object) $fit->traits);
    }

    /** @return list<OfferView> */
    private function offers(Part $part): array
    {
        $leads = $this->leadTimes->all();

        return array_values(Supply::query()->with('supplier')->where('part_id', $part->id)->orderByRaw('NOT preferred, id')->get()
            ->map(static fn (Supply $s): OfferView => new OfferView($s->supplier->name, $s->supplier->contact, $s->supplier->lead_days, $s->number, $s->pack, $s->pack_cost_minor, $s->was_minor, $s->changed_at?->toIso8601String(), $s->preferred, round($leads[$s->supplier_id]->meanDays, 1)))->all());
    }

    /** @return list<FittedView> */
    private function fitted(Part $part): array
    {
        return array_values(Fitting::query()->with('machine')->where('part_id', $part->id)->whereNull('removed_at')->orderByDesc('fitted_at')->limit(self::FITTED)->get()->map(function (Fitting $f): FittedView {
            $run = $f->machine->hoursRun();

            return new FittedView(
                $f->machine->tag, $this->knowledge->positionName($f->machine->family, $f->position), $f->fitted_at->toIso8601String(),
                $run === null || $f->fitted_hours === null ? null : round(max(0.0, $run - (float) $f->fitted_hours), 1),
            );
        })->all());
    }

    /**
     * @param  Collection<int, Part>  $parts
     * @return list<OtherPartView>
     */
    private static function others(Collection $parts): array
    {
        return array_values($parts->map(self::other(...))->all());
    }

    private static function other(Part $part): OtherPartView
    {
        $note = $part->getRelationValue('pivot')?->getAttribute('note');

        return new OtherPartView($part->number, $part->name, $part->bin, $part->on_hand, $part->grade, is_string($note) ? $note : null);
    }
}
