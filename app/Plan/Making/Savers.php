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

    /** @return list<array{job: int, tag: string, name: string, words: string, ways: list<string>}> the worst first */
    public function of(Situation $situation, Planned $plan): array
    {
        $ends = $situation->ends($plan);
        $lost = [];
        foreach ($ends as $id => $end) {
            $unplanned = $end->ready === null && $end->due !== null;
            if ($end->lateDays() > 0 || $unplanned) {
                $lost[$id] = $unplanned ? 1_000 : $end->lateDays();
            }
        }
        arsort($lost);
        $out = new WayOut($situation->workers, $situation->planned, $situation->places, $situation->open);
        $warnings = [];
        foreach (array_slice(array_keys($lost), 0, self::MOST) as $id) {
            $end = $ends[(string) $id];
            $days = $end->lateDays();
            $warnings[] = [
                'job' => (int) $id,
                'tag' => $situation->jobs[(int) $id]->machine->tag,
                'name' => $end->name,
                'words' => match (true) {
                    $end->due < $situation->from => 'Its day has passed: tell its owner, and say a new one.',
                    $end->ready === null => 'In no plan: '.lcfirst($this->why($plan, (string) $id)),
                    $days === 1 => 'A day late by this plan.',
                    default => "{$days} days late by this plan.",
                },
                'ways' => $this->ways($out->of((string) $id), $situation, (int) $id),
            ];
        }

        return $warnings;
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
    private function ways(array $out, Situation $situation, int $id): array
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
        if ($ways === []) {
            $ways[] = 'Nothing in the shop would save it: say a new day now.';
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
