<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Knowledge\Knowledge;

/**
 * What the best possible way of working costs on a small trade, by trying every one, and what a given way costs there, by
 * the same arithmetic: bench minutes of looks and of mends in vain until every fault is mended, on average over the sets
 * of faults that may lie behind the complaint (backward induction: Bellman 1957, Dynamic Programming).
 *
 * A mend shows at once whether the trouble is over; handing the machine to somebody else ends it too, at the comeback’s
 * cost, and nothing else ends what none of the faults has caused.
 */
final class BestPolicy
{
    /** @var list<string> */
    private array $faults;

    /** @var list<string> */
    private array $looks;

    /** @var list<float> weight of each set of faults with the complaint, by its bits */
    private array $worlds = [];

    /** @var list<list<float>> by look, by set of faults: P(its finding present) */
    private array $shows = [];

    /** @var array<string, float> */
    private array $known = [];

    public function __construct(private readonly Knowledge $knowledge)
    {
        $this->faults = array_keys($knowledge->faults);
        $this->looks = array_keys($knowledge->checks);
        for ($set = 0; $set < 1 << count($this->faults); $set++) {
            $weight = $this->present(RandomTrade::COMPLAINT, $set);
            foreach ($this->faults as $i => $code) {
                $rate = $knowledge->faults[$code]->rate / 1000;
                $weight *= ($set >> $i & 1) === 1 ? $rate : 1 - $rate;
            }
            $this->worlds[] = $weight;
        }
        foreach ($this->looks as $j => $look) {
            for ($set = 0; $set < 1 << count($this->faults); $set++) {
                $this->shows[$j][] = $this->present($knowledge->checks[$look]->yields[0], $set);
            }
        }
    }

    /** Expected bench minutes of the best way there is. */
    public function best(): float
    {
        $this->known = [];

        return $this->value($this->worlds, str_repeat('?', count($this->looks)), 0) / array_sum($this->worlds);
    }

    /** Expected bench minutes of a way of working. */
    public function of(Way $way): float
    {
        return $this->played($way, $this->worlds, str_repeat('?', count($this->looks)), 0, []) / array_sum($this->worlds);
    }

    private function present(string $finding, int $set): float
    {
        $absent = 1 - $this->knowledge->findings[$finding]->leak;
        foreach ($this->faults as $i => $code) {
            if (($set >> $i & 1) === 1) {
                $absent *= 1 - ($this->knowledge->faults[$code]->shows[$finding] ?? 0.0);
            }
        }

        return 1 - $absent;
    }

    /**
     * @param  list<float>  $worlds  weights with what is known
     * @param  string  $answers  one sign a look: ?, 1 or 0
     * @param  int  $mended  bits
     */
    private function value(array $worlds, string $answers, int $mended): float
    {
        $alive = $this->alive($worlds, $mended);
        if ($alive <= 0.0) {
            return 0.0;
        }
        $key = "{$answers} {$mended}";
        if (isset($this->known[$key])) {
            return $this->known[$key];
        }
        $best = $alive * $this->knowledge->bench->comeback;
        foreach ($this->looks as $j => $look) {
            if ($answers[$j] === '?') {
                $cost = $alive * $this->minutes($look);
                if ($cost < $best) {
                    [$yes, $no] = $this->split($worlds, $j);
                    $best = min(
                        $best,
                        $cost + $this->value(
                            $yes,
                            substr_replace($answers, '1', $j, 1),
                            $mended,
                        ) + $this->value($no, substr_replace($answers, '0', $j, 1), $mended),
                    );
                }
            }
        }
        foreach ($this->faults as $i => $fault) {
            if (($mended >> $i & 1) === 0) {
                $cost = $this->inVain($worlds, $mended, $i) * $this->knowledge->faults[$fault]->mend()->minutes;
                if ($cost < $best) {
                    $best = min($best, $cost + $this->value($worlds, $answers, $mended | 1 << $i));
                }
            }
        }

        return $this->known[$key] = $best;
    }

    /**
     * @param  list<float>  $worlds
     * @param  list<string>  $done
     */
    private function played(Way $way, array $worlds, string $answers, int $mended, array $done): float
    {
        $alive = $this->alive($worlds, $mended);
        if ($alive <= 0.0) {
            return 0.0;
        }
        $findings = [RandomTrade::COMPLAINT => 'present'];
        foreach ($this->looks as $j => $look) {
            if ($answers[$j] !== '?') {
                $findings[$this->knowledge->checks[$look]->yields[0]] = $answers[$j] === '1' ? 'present' : 'absent';
            }
        }
        $ruledOut = array_values(array_filter(
            $this->faults,
            fn (string $code): bool => ($mended >> (int) array_search($code, $this->faults, true) & 1) === 1,
        ));
        $move = $way->next(new BrokenMachine('any', [], [], [RandomTrade::COMPLAINT], []), $findings, $done, $ruledOut);
        if ($move->fault !== null) {
            $i = (int) array_search($move->fault, $this->faults, true);

            return $this->inVain($worlds, $mended, $i) * $this->knowledge->faults[$move->fault]
                ->mend()->minutes + $this
                ->played($way, $worlds, $answers, $mended | 1 << $i, $done);
        }
        if ($move->checks === []) {
            return $alive * $this->knowledge->bench->comeback;
        }
        $cost = -$alive * (count($move->checks) - 1) * $this->knowledge->bench->minutesToReach($this->knowledge->checks[$move->checks[0]]->state);
        $branches = [[$worlds, $answers]];
        foreach ($move->checks as $look) {
            $cost += $alive * $this->minutes($look);
            $done[] = $look;
            $j = (int) array_search($look, $this->looks, true);
            $next = [];
            foreach ($branches as [$of, $told]) {
                [$yes, $no] = $this->split($of, $j);
                array_push($next, [$yes, substr_replace($told, '1', $j, 1)], [$no, substr_replace($told, '0', $j, 1)]);
            }
            $branches = $next;
        }
        foreach ($branches as [$of, $told]) {
            $cost += $this->played($way, $of, $told, $mended, $done);
        }

        return $cost;
    }

    private function minutes(string $look): float
    {
        $check = $this->knowledge->checks[$look];

        return $check->minutes + $this->knowledge->bench->minutesToReach($check->state);
    }

    /** Whether the trouble is there still: a fault is not mended, or it was none of them. */
    private function isOpen(int $set, int $mended): bool
    {
        return $set === 0 || ($set & ~$mended) !== 0;
    }

    /** @param  list<float>  $worlds */
    private function alive(array $worlds, int $mended): float
    {
        $alive = 0.0;
        foreach ($worlds as $set => $weight) {
            if ($this->isOpen($set, $mended)) {
                $alive += $weight;
            }
        }

        return $alive;
    }

    /** @param  list<float>  $worlds */
    private function inVain(array $worlds, int $mended, int $fault): float
    {
        $vain = 0.0;
        foreach ($worlds as $set => $weight) {
            if ($this->isOpen($set, $mended) && ($set >> $fault & 1) === 0) {
                $vain += $weight;
            }
        }

        return $vain;
    }

    /**
     * @param  list<float>  $worlds
     * @return array{list<float>, list<float>} with the look’s finding there, and not
     */
    private function split(array $worlds, int $look): array
    {
        $yes = $no = [];
        foreach ($worlds as $set => $weight) {
            $yes[] = $weight * $this->shows[$look][$set];
            $no[] = $weight * (1 - $this->shows[$look][$set]);
        }

        return [$yes, $no];
    }
}
