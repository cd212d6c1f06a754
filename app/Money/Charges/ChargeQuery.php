<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Diagnosis\Findings\FoundInJob;
use App\Intake\JobState;
use App\Money\Terms\PriceList;
use App\Repair\Guides\GuideRun;
use App\Repair\WorkOnJob;
use App\Shop\Setting;
use App\Stock\Parts\Part;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\Charge;
use OddBench\Money\Charged;
use OddBench\Money\PartSold;

/** What a job comes to as it stands. */
final readonly class ChargeQuery
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /** What it comes to with so many more of a part, with tax, minor units. */
    public function with(JobState $state, Part $part, int $quantity): int
    {
        $terms = PriceList::read();
        $sold = array_map(static fn ($m) => PartsOfJob::sold($m, $terms), PartsOfJob::used($state));
        $sold[] = new PartSold(1, $part->holding()->share(min($quantity, $part->on_hand)), $terms->markupPct);

        return (new Charge)->judge(
            HandsOfJob::of($state)->all(),
            $terms->minuteMinor,
            $sold,
            0,
            $terms->taxPct,
            $terms->minimumMinor,
        )->gross;
    }

    /**
     * @param  float  $minutesOut  of hands that are not charged: learning, practice
     * @param  int|null  $freight  minor units; null for the share of what the orders cost to send
     */
    public function charged(JobState $state, float $minutesOut, ?int $freight, bool $free): Charged
    {
        $terms = PriceList::read();
        $all = HandsOfJob::of($state)->all();

        return (new Charge)->judge(
            max(0.0, $all - $minutesOut),
            $terms->minuteMinor,
            array_map(static fn ($m) => PartsOfJob::sold($m, $terms), PartsOfJob::used($state)),
            $freight ?? PartsOfJob::freight($state),
            $terms->taxPct,
            $terms->minimumMinor,
            $free,
            (float) Setting::benchMinuteMinor(),
            $all,
        );
    }

    /** A draft, before it is written. */
    public function draft(JobState $state): ChargeView
    {
        $terms = PriceList::read();
        $learning = round(array_sum(array_map(static fn (LearningView $l): float => $l->minutes, $this->learning($state))), 1);
        $comeback = FoundInJob::of($state)->confirmed()->whereNotNull('comeback_of')->first();
        $charged = $this->charged($state, $learning, null, $comeback !== null);
        $parts = [];
        foreach (PartsOfJob::used($state) as $movement) {
            $parts[] = new ChargePartView(
                -$movement->quantity.' × '.$movement->part->name,
                PartsOfJob::sold($movement, $terms)->price(),
            );
        }

        return new ChargeView(
            array_map(static fn (HandsMinutes $m): ChargeHandsView => new ChargeHandsView(
                $m->station->words(),
                $m->name,
                $m->minutes,
            ), HandsOfJob::of($state)->minutes),
            $this->learning($state),
            $learning,
            $terms->minuteMinor,
            $charged->hands,
            $parts,
            $charged->parts,
            $charged->freight,
            $charged->net,
            $terms->taxPct,
            $charged->tax,
            $charged->gross,
            $charged->minimumHeld,
            $comeback === null ? null : "A comeback of job {$comeback->comeback_of}, for which the shop stands.",
            $charged->ownCost,
        );
    }

    /** @return list<LearningView> what a first time took over a practised one */
    private function learning(JobState $state): array
    {
        $learning = [];
        foreach (WorkOnJob::of($state)->guideRuns->loadMissing('person') as $run) {
            $practised = ($this->knowledge->guides[$run->guide] ?? null)?->practised;
            if ($practised === null || $run->minutes === null || $run->given_up || $run->minutes <= $practised) {
                continue;
            }
            $before = GuideRun::query()->where(['guide' => $run->guide, 'person_id' => $run->person_id, 'given_up' => false])
                ->where('id', '<', $run->id)
                ->exists();
            if (! $before) {
                $learning[] = new LearningView(
                    $run->person->name,
                    $this->knowledge->guides[$run->guide]->name,
                    round($run->minutes - $practised, 1),
                );
            }
        }

        return $learning;
    }
}
