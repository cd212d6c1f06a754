<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Shop\Person;
use OddBench\Knowledge\Guide;
use OddBench\Knowledge\Knowledge;
use OddBench\Repair\LearningCurve;

/** Guides on a line each, with what they will take the person who asks. */
final readonly class GuidesQuery
{
    public function __construct(private Knowledge $knowledge, private GuideWords $words)
    {
    }

    /**
     * @param  list<Guide>  $guides
     * @param  array<string, string>  $for  guide code => what it is for in this job
     * @return list<GuideLineView>
     */
    public function lines(array $guides, Person $person, array $for = []): array
    {
        $taken = GuideRun::query()->where(['person_id' => $person->id, 'given_up' => false])->whereNotNull('minutes')
            ->whereIn('guide', array_map(static fn (Guide $g): string => $g->code, $guides))
            ->orderBy('id')
            ->toBase()
            ->get(['guide', 'minutes'])
            ->groupBy('guide');

        return array_map(function (Guide $guide) use ($taken, $for): GuideLineView {
            $minutes = array_values(
                ($taken->get($guide->code) ?? collect())->map(static fn (object $r): float => (float) $r->minutes)
                    ->filter(static fn (float $m): bool => $m > 0)
                    ->all(),
            );
            $estimate = LearningCurve::of($guide->first, $guide->practised, $minutes)->minutes(count($minutes) + 1);

            return new GuideLineView(
                $guide->code,
                $guide->name,
                $guide->area,
                $guide->first,
                $guide->practised,
                round($estimate),
                count($minutes),
                $for[$guide->code] ?? null,
                $guide->schools(),
                $this->words->families($guide),
            );
        }, $guides);
    }

    /** @return list<Guide> */
    public function all(): array
    {
        return array_values($this->knowledge->guides);
    }
}
