<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Intake\Job;
use App\Intake\JobState;
use App\Machines\KnowsIfItHolds;
use App\Money\Buying\Offer;
use App\Money\Charges\HandsOfJob;
use App\Money\Charges\PartsOfJob;
use App\Money\Estimates\EstimateQuery;
use App\Money\Terms\PriceList;
use App\Shop\Setting;
use Illuminate\Support\Facades\DB;
use OddBench\Money\Estimate;
use OddBench\Money\EstimateLine;
use OddBench\Money\JobSoFar;
use OddBench\Money\PieceWorth;
use OddBench\Money\RepairValue;

/** Whether a machine on the bench is worth mending. What was spent on it before counts for nothing. */
final readonly class WorthQuery
{
    private const PIECES = 12;

    /** Of so many of the latest repairs it is counted how many came back: how a shop works today, not how it once did. */
    private const LATEST = 2000;

    public function __construct(
        private DonorParts $donor,
        private Sales $sales,
        private EstimateQuery $estimate,
        private KnowsIfItHolds $holds,
    ) {
    }

    /**
     * @param  int|null  $sellsAt  somebody’s own figure for what it brings mended, minor units
     * @param  int|null  $asIs  what somebody would give for it as it stands
     */
    public function of(JobState $state, ?int $sellsAt = null, ?int $asIs = null): WorthView
    {
        $job = $state->job;
        $donor = $this->donor->of($job->machine);
        $offer = Offer::ofJob($state);
        $sales = $this->sales->of($job->machine->family);
        $brings = $sellsAt ?? $offer->sells_minor ?? $this->sales->middle($job->machine->family);
        // of a job that is over it is asked whether the machine is worth another
        $further = $job->isOpen() ? $this->further($state) : NextVisit::costs($job->machine);
        $holds = $this->holds->of($job->machine, (float) Setting::whole('warranty_hours'));
        $chance = min($this->chance(), $holds['chance'] ?? 1.0);
        $pieces = array_map(static fn (PieceWorth $p): PieceWorthView => new PieceWorthView(
            $p->part->position,
            $p->part->name,
            $p->part->price,
            $p->part->runH,
            round($p->left, 3),
            $p->part->askedLastYear,
            $p->part->askedTwoYears,
            $p->part->onShelf,
            round($p->asked, 3),
            $p->worth,
        ), $donor->pieces);
        usort(
            $pieces,
            static fn (PieceWorthView $a, PieceWorthView $b): int => [$b->worthMinor, $a->position] <=> [$a->worthMinor, $b->position],
        );
        $selling = self::isOwners($job) ? 0 : PriceList::read()->sellingMinor;
        $worth = $brings === null || $further === null ? null : (new RepairValue)->judge(
            sellsAt: max(0, $brings - $selling),
            further: $further,
            donor: $donor->worth,
            asIs: max(0, ($asIs ?? 0) - ($asIs === null ? 0 : $selling)),
            chance: $chance,
            weeks: $job->machine->held_as === 'resale' ? RepairValue::WEEKS_TO_SELL : 0.0,
            weekCosts: 7 * PriceList::read()->idleDayMinor,
        );

        return new WorthView(
            $brings,
            match (true) {
                $sellsAt !== null => 'as you say',
                $offer !== null => 'as the bid said',
                $sales !== [] => 'the middle of '.(count($sales) === 1 ? 'one sale' : count($sales).' sales').' of this family',
                default => null,
            },
            $asIs,
            $further,
            $job->isOpen() && self::isOwners($job),
            ! $job->isOpen(),
            $donor->worth,
            $donor->howSure(),
            count($donor->pieces),
            array_slice($pieces, 0, self::PIECES),
            round($chance, 3),
            $holds['because'] ?? null,
            $worth?->mend,
            $worth?->best->value,
            $worth?->best->words(),
            $worth?->flipsAt,
            $worth->because ?? ($brings === null
                ? 'No machine of this family was sold here yet: say what it brings mended.'
                : ($job->isOpen()
                    ? 'Find knows nothing of it yet: what mending takes cannot be said.'
                    : 'It never was here for a repair: what another takes cannot be said.')),
        );
    }

    /**
     * What is still to come, finding, mending, proving, parts; nothing of what was spent. It counts at what it costs whom the machine
     * belongs to: an owner pays what the shop charges, the shop what hands and parts cost it.
     */
    public function further(JobState $state): ?int
    {
        return $state->once('further', function () use ($state): ?int {
            $terms = PriceList::read();
            $charged = self::isOwners($state->job);
            $lines = $this->estimate->ways(
                $state,
                new JobSoFar(classes: PartsOfJob::classes($state)),
                $charged ? $terms->markupPct : 0.0,
            );
            if ($lines === null) {
                return null;
            }
            $done = HandsOfJob::of($state)->fixing();

            return (new Estimate)->judge(
                (float) ($charged ? $terms->minuteMinor : Setting::benchMinuteMinor()),
                $lines->findMinutes,
                array_map(static fn (EstimateLine $line): EstimateLine => $line->after($done), $lines->lines),
                taxPct: $charged ? $terms->taxPct : 0.0,
            )->expected;
        });
    }

    private static function isOwners(Job $job): bool
    {
        return $job->machine->held_as === 'owner';
    }

    /** That a mend holds, by how often machines came back to this shop of late. */
    private function chance(): float
    {
        $count = DB::selectOne(
            'SELECT count(*) AS jobs, count(*) FILTER (WHERE back) AS back FROM (SELECT job_id, bool_or(comeback_of IS NOT NULL) AS back
                FROM diagnoses WHERE superseded_at IS NULL GROUP BY job_id ORDER BY job_id DESC LIMIT ?) AS latest',
            [self::LATEST],
        );

        return RepairValue::holds((int) ($count->jobs ?? 0), (int) ($count->back ?? 0));
    }
}
