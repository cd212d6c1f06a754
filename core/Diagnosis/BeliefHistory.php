<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/** How belief moved: what was thought of each fault after each finding was made or withdrawn. */
final readonly class BeliefHistory
{
    /**
     * @param  list<Moved>  $moves  the first is before anything was known
     */
    private function __construct(public array $moves)
    {
    }

    /**
     * @param  list<array{code: string, present: bool, withdrawn: bool}>  $events  in the order they happened
     * @param  Knowledge|null  $weighs  where what is not told yet is weighed, by what is usually told
     */
    public static function of(Network $network, array $events, ?Knowledge $weighs = null): self
    {
        $known = [];
        $moves = [new Moved(null, false, false, Beliefs::of($network, [])->now()->faults)];
        foreach ($events as $event) {
            if ($event['withdrawn']) {
                unset($known[$event['code']]);
            } else {
                $known[$event['code']] = $event['present'];
            }
            $moves[] = new Moved(
                $event['code'],
                $event['present'],
                $event['withdrawn'],
                Beliefs::of($weighs === null ? $network : Untold::weigh($network, $weighs, $known), $known)->now()->faults,
            );
        }

        return new self($moves);
    }

    /**
     * The faults worth a line: likeliest now, and any that stood first at some time.
     *
     * @param  list<int>  $inQuestion  faults by index that a line may be drawn for
     * @param  list<int>  $always  those that get one however they stand
     * @return list<int> by what is believed now
     */
    public function lines(array $inQuestion, int $most, array $always = []): array
    {
        $now = $this->moves[count($this->moves) - 1]->faults;
        usort($inQuestion, static fn (int $a, int $b): int => $now[$b] <=> $now[$a]);
        $lines = array_slice($inQuestion, 0, $most);
        foreach (array_slice($this->moves, 1) as $move) {
            $first = null;
            foreach ($inQuestion as $fault) {
                if ($first === null || $move->faults[$fault] > $move->faults[$first]) {
                    $first = $fault;
                }
            }
            if ($first !== null && $move->faults[$first] >= 0.25 && ! in_array($first, $lines, true) && count($lines) < $most + 2) {
                $lines[] = $first;
            }
        }

        return array_values(array_unique([...$lines, ...$always]));
    }
}
