<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/** What the beliefs of one case amount to: the suspects with what speaks for and against each, danger, and what to do next. */
final class Judgement
{
    /** A finding that moves a fault’s odds by less than this share speaks neither for nor against it. */
    private const SPEAKS = 0.03;

    /** @var array<int, Posterior>|null */
    private ?array $without = null;

    /** @var array<int, list<int>>|null */
    private ?array $inQuestion = null;

    private ?DangerScreen $danger = null;

    public function __construct(
        private readonly Knowledge $knowledge,
        private readonly CaseFile $case,
        private readonly Network $plain,
        private readonly Beliefs $beliefs,
    ) {
    }

    /** @param  bool  $swapFirst  a likely part is swapped before it is measured, where that is allowed */
    public function by(bool $swapFirst): Diagnosis
    {
        $beliefs = $this->beliefs;
        $network = $beliefs->network;
        $danger = $this->danger ??= $this->screen();
        $explained = Explanation::of($beliefs, $this->circumstances($network));
        $redTag = $this->case->redTag || $danger->redTag;

        return new Diagnosis(
            suspects: $this->suspects($this->without ??= $this->withoutEach()),
            explained: array_map(static fn (int $fault): string => $network->faults[$fault], $explained),
            unexplained: $this->unexplained($beliefs, $explained),
            danger: $danger,
            // whether a swap was right shows under power only
            next: (new NextSteps($this->knowledge, $this->case, $beliefs, $this->inQuestion(), $redTag, $swapFirst && ! $redTag))->ranked(),
            faults: $network->faults,
            redTag: $this->case->redTag,
            none: $this->none(),
        );
    }

    /** Probability that it is none of the faults in question, 0 to 1. */
    public function none(): float
    {
        return $this->beliefs->present === [] ? 0.0 : InQuestion::none($this->beliefs, $this->inQuestion());
    }

    /** @return array<int, list<int>> fault => the present findings it can cause */
    public function inQuestion(): array
    {
        return $this->inQuestion ??= InQuestion::of($this->knowledge, $this->beliefs);
    }

    /** @return array<int, Posterior> what would be believed with each finding left out */
    private function withoutEach(): array
    {
        $without = [];
        foreach ([...$this->beliefs->present, ...array_keys($this->beliefs->absent)] as $finding) {
            $without[$finding] = $this->beliefs->without([$finding]);
        }

        return $without;
    }

    /** Whether it is dangerous: silence is no all-clear, so what is not told speaks for nothing here. */
    private function screen(): DangerScreen
    {
        return DangerScreen::of(
            $this->knowledge,
            $this->case->weighsUntold ? Beliefs::of($this->plain, $this->case->findings) : $this->beliefs,
        );
    }

    /**
     * The faults by their probability.
     *
     * @param  array<int, Posterior>  $without  what would be believed without each finding; with none, nothing speaks for or against
     * @return list<Suspect>
     */
    public function suspects(array $without = []): array
    {
        $beliefs = $this->beliefs;
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
}
