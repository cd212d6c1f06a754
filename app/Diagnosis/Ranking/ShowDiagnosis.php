<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Diagnosis\Findings\FoundInJob;
use App\Diagnosis\Findings\JobFinding;
use App\Intake\JobState;
use App\Safety\SafetyOfJob;
use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnosis;
use OddBench\Diagnosis\Outcome;
use OddBench\Diagnosis\Step;
use OddBench\Diagnosis\Suspect;
use OddBench\Knowledge\Knowledge;

/** Puts a judgement into words and bars for the page. */
final readonly class ShowDiagnosis
{
    /** Odds from one in a thousand to a thousand to one fill the bar. */
    private const BAR_LOG_ODDS = 6.91;

    private const STEPS = 4;

    private const LIKELY = 9;

    public function __construct(
        private Knowledge $knowledge,
        private DiagnosisQuery $query,
        private BeliefHistoryQuery $history,
        private StepWords $words,
    ) {
    }

    public function of(JobState $state, bool $swapFirst): DiagnosisView
    {
        $job = $state->job;
        $session = $this->query->of($state);
        $case = $session->case;
        [$diagnosis, $other] = $swapFirst ? [
            $session->byTheOtherSchool(),
            $session->diagnosis(),
        ] : [$session->diagnosis(), $session->byTheOtherSchool()];
        $signed = SafetyOfJob::of($state)->signedTest();
        $found = FoundInJob::of($state);
        $history = $this->query->counted($state)->ofFamily($job->machine->family);
        $shown = array_filter($diagnosis->suspects, static fn (Suspect $s): bool => $s->explains !== []);
        $present = array_fill_keys($found->findings()->filter(fn (JobFinding $f): bool => $f->present)->pluck('code')->all(), true);
        $next = $diagnosis->nextAtTheBench($signed);
        $superseded = array_values(array_filter($found->overturned(), fn (string $code): bool => isset($this->knowledge->faults[$code])));
        [$moves, $lines] = $this->history->of(
            $state,
            $session,
            array_map(static fn (Suspect $s): string => $s->code, array_values($shown)),
            $superseded,
        );

        return new DiagnosisView(
            version: $job->version,
            suspects: array_map(
                fn (Suspect $s): SuspectView => $this->suspect($s, $diagnosis, $case, $history, $present),
                array_values($shown),
            ),
            others: count($diagnosis->suspects) - count($shown),
            unexplained: array_map(fn (string $code): string => $this->knowledge->findings[$code]->name, $diagnosis->unexplained),
            danger: $diagnosis->danger->because,
            none: $diagnosis->none,
            overturned: $this->words->overturned($this->query->counted($state)->first()),
            // while looks are left that tell, they are made first
            noneAdvice: $diagnosis->noneLeads() && ! in_array(
                ($next[0] ?? null)?->kind,
                ['check', 'sweep'],
                true,
            ) ? $this->words->noneAdvice() : [],
            next: array_map(
                fn (Step $s): StepView => $this->step(
                    $s,
                    $diagnosis,
                    $case,
                    SafetyOfJob::of($state)->redTag !== null && $s->needsPower && $s->code !== $signed,
                ),
                array_slice($next, 0, self::STEPS),
            ),
            why: $this->words->why($next, $diagnosis),
            otherSchool: $this->words->otherSchool($next, $other->nextAtTheBench($signed), $swapFirst),
            likely: $session->likely(self::LIKELY),
            moves: $moves,
            lines: $lines,
        );
    }

    /**
     * @param  array{jobs: int, faults: array<string, int>}  $history
     * @param  array<array-key, true>  $present
     */
    private function suspect(Suspect $s, Diagnosis $diagnosis, CaseFile $case, array $history, array $present): SuspectView
    {
        $fault = $this->knowledge->faults[$s->code];

        return new SuspectView(
            fault: $s->code,
            name: $fault->name,
            area: $fault->area,
            means: $fault->means,
            first: $this->words->first($s->code, $diagnosis),
            qualified: $fault->forQualified($case->traits),
            tells: $fault->tells,
            danger: $fault->danger,
            probability: $s->probability,
            start: $s->start,
            barFrom: $this->onBar($s->start),
            barTo: $this->onBar($s->probability),
            explainsBest: in_array($s->code, $diagnosis->explained, true),
            explains: array_map(fn (string $code): string => $this->knowledge->findings[$code]->name, $s->explains),
            for: $this->evidence($s->for, $present),
            against: $this->evidence($s->against, $present),
            behind: $this->beliefs($s->behind),
            brings: $this->beliefs($s->brings),
            seenHere: $history['faults'][$s->code] ?? 0,
            jobsHere: $history['jobs'],
        );
    }

    private function onBar(float $p): float
    {
        $p = min(1 - 1e-6, max(1e-6, $p));

        return min(1.0, max(0.0, 0.5 + log($p / (1 - $p)) / (2 * self::BAR_LOG_ODDS)));
    }

    /**
     * @param  array<string, float>  $factors
     * @param  array<array-key, true>  $present
     * @return list<EvidenceView>
     */
    private function evidence(array $factors, array $present): array
    {
        $views = [];
        foreach (array_slice($factors, 0, 6, true) as $code => $factor) {
            $views[] = new EvidenceView($code, $this->knowledge->findings[$code]->name, isset($present[$code]), $factor);
        }

        return $views;
    }

    /**
     * @param  array<string, float>  $probabilities
     * @return list<BeliefView>
     */
    private function beliefs(array $probabilities): array
    {
        $views = [];
        foreach ($probabilities as $code => $probability) {
            $views[] = new BeliefView($code, $this->knowledge->faults[$code]->name, $probability);
        }

        return $views;
    }

    private function step(Step $s, Diagnosis $diagnosis, CaseFile $case, bool $wantsSignature): StepView
    {
        $check = $s->kind === 'check' ? $this->knowledge->checks[$s->code] : null;
        $finding = $check !== null && ($s->answers[0]->answer ?? '') === 'present' ? array_key_first($s->answers[0]->findings) : null;

        return new StepView(
            code: $s->code,
            kind: $s->kind,
            name: $this->words->name($s),
            finding: $finding,
            asks: $finding === null ? null : ucfirst($this->knowledge->findings[$finding]->name),
            minutes: $s->minutes,
            state: $s->state,
            supervised: $s->supervised,
            wantsSignature: $wantsSignature,
            qualified: $check !== null
                ? $check->qualified
                : ($s->kind !== 'sweep' && $this->knowledge->faults[$s->code]->forQualified($case->traits)),
            steps: $this->words->steps($s),
            cautions: $this->words->cautions($s),
            takes: $check?->takes,
            reading: ReadingView::of($check?->reading),
            instrument: isset($this->knowledge->instruments[$check->instrument ?? '']) ? $check?->instrument : null,
            pictures: $check->pictures ?? [],
            pays: $s->pays,
            answers: array_map(
                fn (Outcome $o): AnswerView => new AnswerView(
                    $o->answer,
                    $this->answerName($o->answer),
                    $o->probability,
                    $this->beliefs(in_array(
                        $o->answer,
                        ['present', 'absent'],
                        true,
                    ) ? $diagnosis->leadsTo($o->beliefs) : $diagnosis->raises($o->beliefs)),
                ),
                $s->answers,
            ),
            looks: array_map(fn (Step $look): StepView => $this->step($look, $diagnosis, $case, $wantsSignature), $s->looks),
            tag: $this->words->tag($s, $diagnosis),
        );
    }

    private function answerName(string $answer): string
    {
        return match ($answer) {
            'present' => 'Yes',
            'absent' => 'No',
            'none' => 'None of these',
            'several' => 'Several',
            default => $this->knowledge->findings[$answer]->name,
        };
    }
}
