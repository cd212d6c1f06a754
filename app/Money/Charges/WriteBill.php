<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobState;
use App\Intake\JobStates;
use App\Intake\TableWatch;
use App\Money\Estimates\EstimatesOfJob;
use App\Money\Terms\PriceList;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Money\Price;

/** Writes the bill of a job once: what was worked and used, at what it is charged, and what it cost the shop. */
final readonly class WriteBill
{
    public function __construct(private ChargeQuery $charge, private JobStates $states, private TableWatch $watch)
    {
    }

    /**
     * @param  float  $minutesOut  of hands that are not charged
     * @param  string|null  $freeBecause  the shop bears it: a comeback, its own mistake
     * @param  bool  $overAgreed  it comes to more than its owner allowed, and that was talked about
     *
     * @throws InputError when more minutes would be left out than there were
     * @throws Refused when it is written already, the job is not ready, or it comes to more than allowed
     */
    public function write(Job $job, float $minutesOut, ?int $freight, ?string $freeBecause, bool $overAgreed, Person $by): Bill
    {
        return DB::transaction(function () use ($job, $minutesOut, $freight, $freeBecause, $overAgreed, $by): Bill {
            $job = Job::query()->with('machine')->lockForUpdate()->findOrFail($job->id);

            return JobState::within(
                $job,
                $this->watch,
                fn (): Bill => $this->keep($job, $minutesOut, $freight, $freeBecause, $overAgreed, $by),
            );
        });
    }

    private function keep(Job $job, float $minutesOut, ?int $freight, ?string $freeBecause, bool $overAgreed, Person $by): Bill
    {
        $state = JobState::of($job);
        $written = Bill::of($state);
        if ($written !== null) {
            throw Refused::because('job', "The bill of this job is written: number {$written->number}. It is not changed any more.");
        }
        if ($job->machine->held_as !== 'owner') {
            throw Refused::because('job', 'This machine is the shop’s own: there is nobody to bill. The ledger counts what it cost.');
        }
        if ($job->isOpen() && $job->station !== Station::Release) {
            throw Refused::because('job', 'A bill is written when the job stands at Send out, or has left: until then work goes on.');
        }
        if ($minutesOut > HandsOfJob::of($state)->all() + 0.05) {
            throw InputError::at('minutesOut', sprintf(
                'There were %s minutes of hands in all; not more can be left out.',
                round(HandsOfJob::of($state)->all(), 1),
            ));
        }
        $charged = $this->charge->charged($state, $minutesOut, $freight, $freeBecause !== null);
        $over = EstimatesOfJob::of($state)->approval()->left($charged->gross);
        if ($over !== null && $over < 0 && ! $overAgreed) {
            throw Refused::because('overAgreed', sprintf(
                'The bill comes to %s, %s more than its owner allowed. Charge less, or say that it was talked about.',
                Price::words($charged->gross),
                Price::words(-$over),
            ));
        }
        // one after the other, without a gap
        DB::statement('LOCK TABLE bills IN SHARE ROW EXCLUSIVE MODE');

        $bill = Bill::query()->create([
            'job_id' => $job->id,
            'number' => 1 + (int) Bill::query()->max('number'),
            'lines' => $this->lines($state, $minutesOut, $charged->hands, $charged->partPrices, $charged->freight),
            'minutes' => max(0.0, HandsOfJob::of($state)->all() - $minutesOut),
            'hands_minor' => $charged->hands,
            'parts_minor' => $charged->parts,
            'freight_minor' => $charged->freight,
            'net_minor' => $charged->net,
            'tax_pct' => PriceList::read()->taxPct,
            'tax_minor' => $charged->tax,
            'gross_minor' => $charged->gross,
            'own_cost_minor' => $charged->ownCost,
            'free_because' => $freeBecause,
            'person_id' => $by->id,
            'at' => now(),
        ])->refresh();
        $this->states->leave($state);

        return $bill;
    }

    /**
     * @param  list<int>  $prices  by movement
     * @return list<array{what: string, minor: int}>
     */
    private function lines(JobState $state, float $minutesOut, int $hands, array $prices, int $freight): array
    {
        $minutes = max(0.0, HandsOfJob::of($state)->all() - $minutesOut);
        $lines = [['what' => sprintf('Hands, %s minutes', rtrim(rtrim(number_format($minutes, 1, '.', ''), '0'), '.')), 'minor' => $hands]];
        foreach (PartsOfJob::used($state) as $i => $movement) {
            $lines[] = ['what' => -$movement->quantity.' × '.$movement->part->name, 'minor' => $prices[$i]];
        }

        return $freight === 0 ? $lines : [...$lines, ['what' => 'Freight', 'minor' => $freight]];
    }
}
