<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Diagnosis\Findings\FoundInJob;
use App\Diagnosis\Findings\JobFinding;
use App\Diagnosis\Ranking\DiagnosisQuery;
use App\Intake\JobState;
use App\Money\Charges\HandsOfJob;
use App\Money\Charges\PartsOfJob;
use App\Money\Terms\PriceList;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\Estimate;
use OddBench\Money\EstimateJudged;
use OddBench\Money\EstimateLine;
use OddBench\Money\JobLines;
use OddBench\Money\JobSoFar;

/** What a job is expected to come to as it stands; nothing as long as Find knows nothing. */
final readonly class EstimateQuery
{
    /** So many lines are told one by one. */
    private const SHOWN = 6;

    public function __construct(private Knowledge $knowledge, private DiagnosisQuery $diagnosis)
    {
    }

    /** What it is expected to come to, with tax. */
    public function expected(JobState $state): ?int
    {
        return $this->judged($state)?->expected;
    }

    public function of(JobState $state): ?EstimateView
    {
        $lines = $this->lines($state);
        $judged = $this->judged($state);

        return $judged === null || $lines === null ? null : $this->view($state, $judged, $lines);
    }

    private function judged(JobState $state): ?EstimateJudged
    {
        return $state->once('estimate', function () use ($state): ?EstimateJudged {
            $terms = PriceList::read();
            $lines = $this->lines($state);

            return $lines === null ? null : (new Estimate)->judge(
                $terms->minuteMinor,
                $lines->findMinutes,
                $lines->lines,
                taxPct: $terms->taxPct,
                minimum: $terms->minimumMinor,
            );
        });
    }

    /** Whether Find knows anything: what only happened to a machine says nothing of what is wrong. */
    private function isKnown(FoundInJob $found): bool
    {
        return $found->faults() !== [] || $found->findings()->contains(
            fn (JobFinding $f): bool => $f->present && ($this->knowledge->findings[$f->code] ?? null)?->circumstance === false,
        );
    }

    private function lines(JobState $state): ?JobLines
    {
        return $state->once('estimate-lines', function () use ($state): ?JobLines {
            $hands = HandsOfJob::of($state);
            $terms = PriceList::read();

            return $this->ways(
                $state,
                new JobSoFar($hands->finding(), $hands->fixing(), PartsOfJob::price($state, $terms), PartsOfJob::classes($state)),
                $terms->markupPct,
            );
        });
    }

    /**
     * The ways a job may still turn out; null as long as Find knows nothing.
     *
     * @param  float  $markupPct  on parts, per cent
     */
    public function ways(JobState $state, JobSoFar $soFar, float $markupPct): ?JobLines
    {
        $found = FoundInJob::of($state);
        if (! $this->isKnown($found)) {
            return null;
        }
        $known = array_values(array_filter($found->faults(), fn (string $code): bool => isset($this->knowledge->faults[$code])));
        try {
            return JobLines::of($this->diagnosis->of($state), $this->knowledge, $known, $soFar, $markupPct);
        } catch (InputError) {
            // more findings at once than can be weighed: Find says so
            return null;
        }
    }

    private function view(JobState $state, EstimateJudged $judged, JobLines $lines): EstimateView
    {
        $terms = PriceList::read();
        $shown = [];
        $left = 0.0;
        $others = 0;
        foreach ($lines->lines as $i => $line) {
            $isElse = $line->code === JobLines::SOMETHING_ELSE;
            if (count($shown) < self::SHOWN || $isElse) {
                $shown[] = new EstimateLineView(
                    $this->words($line),
                    round($line->probability, 4),
                    (int) ceil($lines->findMinutes + $line->minutes),
                    $line->parts,
                    $judged->sums[$i],
                );
            } else {
                $left += $line->probability;
                $others++;
            }
        }

        return new EstimateView(
            $judged->expected,
            $judged->ceiling,
            $judged->least,
            $judged->most,
            (int) floor(10 * $judged->within + 1e-9),
            $shown,
            $others,
            round($left, 4),
            (int) ceil($lines->findMinutes),
            $terms->minuteMinor,
            $terms->taxPct,
            $terms->minimumMinor,
            $this->names($lines->certain()),
            $this->names($lines->possible(self::SHOWN)),
            (int) FoundInJob::of($state)->everFound->max('id'),
            $judged->because,
        );
    }

    /**
     * @param  list<string>  $codes
     * @return list<string>
     */
    private function names(array $codes): array
    {
        return array_map(
            fn (string $code): string => $code === JobLines::SOMETHING_ELSE
                ? 'something else'
                : $this->knowledge->faultName($code),
            $codes,
        );
    }

    private function words(EstimateLine $line): string
    {
        return ucfirst(implode(' and ', $this->names(explode(JobLines::AND, $line->code))));
    }
}
