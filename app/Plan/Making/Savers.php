<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Stock\Donors\DonorsQuery;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Plan\Planned;
use OddBench\Plan\WayOut;

/** What would save a promise that does not hold, while something can still be done. */
final readonly class Savers
{
    /** Each is planned anew a few times. */
    private const MOST = 5;

    public function __construct(private Knowledge $knowledge, private DonorsQuery $donors)
    {
    }

    /**
     * The worst first, yet without a way out.
     *
     * @return list<array{job: int, tag: string, name: string, words: string, ways: list<string>}>
     */
    public function lost(Situation $situation, Planned $plan): array
    {
        $ends = $situation->ends($plan);
        $lost = [];
        foreach ($ends as $id => $end) {
            if ($end->lateDays() > 0 || ($end->ready === null && $end->due !== null)) {
                $lost[$id] = $end->ready === null ? 1_000 : $end->lateDays();
            }
        }
        arsort($lost);

        return array_map(fn (int $id): array => [
            'job' => $id,
            'tag' => $situation->jobs[$id]->machine->tag,
            'name' => $ends[$id]->name,
            'words' => match (true) {
                $ends[$id]->due < $situation->from => 'Its day has passed: tell its owner, and say a new one.',
                $ends[$id]->ready === null => 'In no plan: '.lcfirst($this->why($plan, (string) $id)),
                $lost[$id] === 1 => 'A day late by this plan.',
                default => "{$lost[$id]} days late by this plan.",
            },
            'ways' => [],
        ], array_slice(array_keys($lost), 0, self::MOST));
    }

    /**
     * @param  list<array{job: int, tag: string, name: string, words: string, ways: list<string>}>  $lost
     * @return list<array{job: int, tag: string, name: string, words: string, ways: list<string>}>
     */
    public function ways(array $lost, Situation $situation, Planned $plan): array
    {
        $out = new WayOut($situation->workers, $situation->planned, $situation->places, $situation->open);
        $ends = $situation->ends($plan);

        return array_map(function (array $one) use ($out, $ends, $situation): array {
            $end = $ends[$one['job']];
            $ways = $this->told($out->of((string) $one['job']), $situation, $one['job']);
            if ($ways === [] && $end->ready !== null && $end->due >= $situation->from) {
                $ways = ['Nothing in the shop would save it: say a new day now.'];
            }

            return ['ways' => $ways] + $one;
        }, $lost);
    }

    private function why(Planned $plan, string $id): string
    {
        foreach ($plan->unplaced as $one) {
            if ($one->job === $id) {
                return $one->because;
            }
        }

        return 'It has no steps.';
    }

    /**
     * @param  array{part: bool, hands: bool, first: list<string>|null}  $out
     * @return list<string>
     */
    private function told(array $out, Situation $situation, int $id): array
    {
        $ways = [];
        if ($out['part']) {
            $ways = $this->parts($situation, $id);
            if ($ways === []) {
                $ways[] = 'Its part at once: ask the supplier, or buy it elsewhere.';
            }
        }
        if ($out['first'] === []) {
            $ways[] = 'It goes first; nothing else is late by that.';
        } elseif ($out['first'] !== null) {
            $names = array_map(static fn (string $other): string => Situation::name($situation->jobs[(int) $other]), $out['first']);
            $ways[] = sprintf('It goes first; then %s would be late.', implode(' and ', array_slice($names, 0, 3)));
        }
        if ($out['hands']) {
            $ways[] = 'A second pair of hands.';
        }

        return $ways;
    }

    /** @return list<string> */
    private function parts(Situation $situation, int $id): array
    {
        $ways = [];
        foreach ($situation->chains[$id] as $step) {
            if ($step->part === null) {
                continue;
            }
            $substitute = DB::table('part_substitutes')->join('parts AS p', 'p.id', '=', 'part_substitutes.part_id')
                ->join('parts AS s', 's.id', '=', 'part_substitutes.substitute_id')
                ->where('p.class', $step->part)->where('s.on_hand', '>', 0)->orderBy('s.id')->value('s.name');
            if (is_string($substitute)) {
                $ways[] = "A substitute lies on the shelf: {$substitute}.";
            }
            $donor = $this->donor($situation->jobs[$id]->machine->family, $step->part);
            if ($donor !== null) {
                $ways[] = "{$donor} on the donor shelf has one.";
            }
        }

        return $ways;
    }

    private function donor(string $family, string $class): ?string
    {
        $name = $this->knowledge->partClasses[$class] ?? $class;
        $familyName = $this->knowledge->familyName($family);
        foreach ($this->donors->all()->donors as $donor) {
            foreach ($donor->redTag || $donor->familyName !== $familyName ? [] : $donor->positions as $position) {
                if ($position->left && $position->className === $name) {
                    return $donor->tag;
                }
            }
        }

        return null;
    }
}
