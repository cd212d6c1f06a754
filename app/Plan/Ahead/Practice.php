<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Repair\Guides\GuideRun;
use OddBench\Knowledge\Knowledge;
use OddBench\Repair\LearningCurve;

/** How quick everybody is at each guide, from the times they took. One of these lives as long as a request. */
final class Practice
{
    /** @var array<string, array<string, list<float>>>|null guide => person => minutes */
    private ?array $taken = null;

    public function __construct(private readonly Knowledge $knowledge, private readonly Names $names)
    {
    }

    /** @return array<string, array<string, LearningCurve>> guide => person => curve */
    public function curves(): array
    {
        $curves = [];
        foreach ($this->taken() as $code => $people) {
            $guide = $this->knowledge->guides[$code];
            $curves[$code] = array_map(
                static fn (array $taken): LearningCurve => LearningCurve::of($guide->first, $guide->practised, $taken),
                $people,
            );
        }

        return $curves;
    }

    /** @return array<string, array<string, int>> guide => person => how often */
    public function times(): array
    {
        return array_map(static fn (array $people): array => array_map(count(...), $people), $this->taken());
    }

    /** @return array<string, array<string, list<float>>> */
    private function taken(): array
    {
        if ($this->taken === null) {
            $this->taken = [];
            $people = $this->names->all();
            $runs = GuideRun::query()->where('given_up', false)->where('minutes', '>', 0)->whereIn('person_id', array_keys($people))
                ->orderBy('id')->toBase()->get(['guide', 'person_id', 'minutes']);
            foreach ($runs as $run) {
                if (isset($this->knowledge->guides[$run->guide])) {
                    $this->taken[(string) $run->guide][$people[$run->person_id]][] = (float) $run->minutes;
                }
            }
        }

        return $this->taken;
    }
}
