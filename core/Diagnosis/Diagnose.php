<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Computation\Computation;
use OddBench\Knowledge\Knowledge;

/** What can be wrong with a machine, how sure that is and why, and what to look at next. */
final readonly class Diagnose implements Computation
{
    /** A finding that moves a fault’s odds by less than this share speaks neither for nor against it. */
    private const SPEAKS = 0.03;

    public function __construct(private Knowledge $knowledge)
    {
    }

    public function name(): string
    {
        return 'diagnose';
    }

    public function compute(array $input): array
    {
        $diagnosis = $this->judge(CaseFile::read($input, $this->knowledge));

        return [
            'faults' => array_map(static fn (Suspect $s): array => [
                'code' => $s->code,
                'probability' => $s->probability,
                'start' => $s->start,
                'explains' => $s->explains,
                'for' => self::pairs($s->for, 'finding', 'factor'),
                'against' => self::pairs($s->against, 'finding', 'factor'),
                'behind' => self::pairs($s->behind, 'code', 'probability'),
                'brings' => self::pairs($s->brings, 'code', 'probability'),
            ], $diagnosis->suspects),
            'explained' => $diagnosis->explained,
            'unexplained' => $diagnosis->unexplained,
            'none' => $diagnosis->none,
            'safety' => ['red_tag' => $diagnosis->danger->redTag, 'because' => $diagnosis->danger->because],
            'next' => array_map(static fn (Step $s): array => [
                'code' => $s->code,
                'kind' => $s->kind,
                'minutes' => $s->minutes,
                'state' => $s->state,
                'supervised' => $s->supervised,
                'saves_per_minute' => $s->savesPerMinute,
                'pays' => $s->pays,
                'because' => $s->because->value,
                'fault' => $s->fault,
                'looks' => array_map(static fn (Step $look): string => $look->code, $s->looks),
                'answers' => array_map(static fn (Outcome $o): array => [
                    'answer' => $o->answer,
                    'probability' => $o->probability,
                    'leads_to' => self::pairs($diagnosis->leadsTo($o->beliefs), 'code', 'probability'),
                ], $s->answers),
            ], $diagnosis->next),
        ];
    }

    /**
     * The faults by their probability only, without what speaks for and against each: much quicker than judge().
     *
     * @return list<Suspect>
     */
    public function suspectsOf(CaseFile $case): array
    {
        return $this->suspects($this->beliefs($case), []);
    }

    /** Probability that it is none of the faults in question. */
    public function noneOf(CaseFile $case): float
    {
        $beliefs = $this->beliefs($case);

        return $beliefs->present === [] ? 0.0 : InQuestion::none($beliefs, InQuestion::of($this->knowledge, $beliefs));
    }

    public function judge(CaseFile $case): Diagnosis
    {
        $beliefs = $this->beliefs($case);
        $network = $beliefs->network;
        $without = [];
        foreach ([...$beliefs->present, ...array_keys($beliefs->absent)] as $finding) {
            $without[$finding] = $beliefs->without([$finding]);
        }
        $danger = $this->danger($case, $beliefs);
        $explained = Explanation::of($beliefs, $this->circumstances($network));
        $inQuestion = InQuestion::of($this->knowledge, $beliefs);
        $redTag = $case->redTag || $danger->redTag;

        return new Diagnosis(
            suspects: $this->suspects($beliefs, $without),
            explained: array_map(static fn (int $fault): string => $network->faults[$fault], $explained),
            unexplained: $this->unexplained($beliefs, $explained),
            danger: $danger,
            // whether a swap was right shows under power only
            next: (new NextSteps($this->knowledge, $case, $beliefs, $inQuestion, $redTag, $case->swapFirst && ! $redTag))->ranked(),
            faults: $network->faults,
            redTag: $case->redTag,
            none: $beliefs->present === [] ? 0.0 : InQuestion::none($beliefs, $inQuestion),
        );
    }

    /**
     * Findings likely to be there too, not known yet.
     *
     * @return list<string> codes, likeliest first
     */
    public function likelyFindings(CaseFile $case, int $most): array
    {
        return LikelyFindings::of($this->knowledge, $case->traits, $this->beliefs($case), $most);
    }

    private function beliefs(CaseFile $case): Beliefs
    {
        $network = Network::forMachine($this->knowledge, $case->traits, $case->rates, $case->ruledOut);

        return Beliefs::of($case->weighsUntold ? Untold::weigh($network, $this->knowledge, $case->findings) : $network, $case->findings);
    }

    /** Whether it is dangerous: silence is no all-clear, so what is not told speaks for nothing here. */
    private function danger(CaseFile $case, Beliefs $beliefs): DangerScreen
    {
        return DangerScreen::of($this->knowledge, $case->weighsUntold ? Beliefs::of(Network::forMachine($this->knowledge, $case->traits, $case->rates, $case->ruledOut), $case->findings) : $beliefs);
    }

    /**
     * @param  array<int, Posterior>  $without
     * @return list<Suspect>
     */
    private function suspects(Beliefs $beliefs, array $without): array
    {
        $network = $beliefs->network;
        $now = $beliefs->now()->faults;
        $linked = $beliefs->linked();
        $byCode = array_combine($network->faults, $now);
        $suspects = [];
        foreach ($network->faults as $i => $code) {
            $for = $against = [];
            foreach ($without as $finding => $belief) {
                $factor = self::odds($now[$i]) / self::odds($belief->faults[$i]);
                if ($factor > 1 + self::SPEAKS) {
                    $for[$network->findings[$finding]] = $factor;
                } elseif ($factor < 1 - self::SPEAKS) {
                    $against[$network->findings[$finding]] = $factor;
                }
            }
            arsort($for);
            asort($against);
            $fault = $this->knowledge->faults[$code];
            $suspects[] = new Suspect(
                code: $code,
                probability: $now[$i],
                start: $network->starts[$i],
                explains: array_map(static fn (int $f): string => $network->findings[$f], $linked[$i] ?? []),
                for: $for,
                against: $against,
                behind: array_intersect_key($byCode, array_flip($fault->behind)),
                brings: array_intersect_key($byCode, array_flip($fault->brings)),
            );
        }
        usort($suspects, static fn (Suspect $a, Suspect $b): int => [$b->probability, $a->code] <=> [$a->probability, $b->code]);

        return $suspects;
    }

    private static function odds(float $p): float
    {
        $p = min(1 - 1e-12, max(1e-12, $p));

        return $p / (1 - $p);
    }

    /** @return array<int, true> */
    private function circumstances(Network $network): array
    {
        $circumstances = [];
        foreach ($network->findings as $i => $code) {
            if ($this->knowledge->findings[$code]->circumstance) {
                $circumstances[$i] = true;
            }
        }

        return $circumstances;
    }

    /**
     * Present findings that no possible fault links to, or whose leak is likelier than the explaining set.
     *
     * @param  list<int>  $explained
     * @return list<string>
     */
    private function unexplained(Beliefs $beliefs, array $explained): array
    {
        $unexplained = [];
        $circumstances = $this->circumstances($beliefs->network);
        foreach (array_diff($beliefs->present, array_keys($circumstances)) as $finding) {
            $miss = 1.0;
            foreach ($explained as $fault) {
                $miss *= 1 - ($beliefs->network->children[$fault][$finding] ?? 0.0);
            }
            if ($beliefs->network->parents[$finding] === [] || $beliefs->network->leaks[$finding] > 1 - $miss) {
                $unexplained[] = $beliefs->network->findings[$finding];
            }
        }

        return $unexplained;
    }

    /**
     * @param  array<string, float>  $values
     * @return list<array<string, string|float>>
     */
    private static function pairs(array $values, string $key, string $value): array
    {
        $pairs = [];
        foreach ($values as $code => $number) {
            $pairs[] = [$key => $code, $value => $number];
        }

        return $pairs;
    }
}
