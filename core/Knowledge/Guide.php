<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** How a piece of work is done, step by step. */
final readonly class Guide
{
    /**
     * @param  string  $area  where it belongs, e.g. “Hot end”
     * @param  list<string>  $mends  fault codes
     * @param  array<string, list<string>>  $needs  trait => values it is for
     * @param  string  $state  the state it begins in, in words, and how that is reached
     * @param  list<string>  $tools
     * @param  list<KitPart>  $kit
     * @param  float  $first  minutes of hands the first time
     * @param  float  $practised  minutes of hands when practised
     * @param  list<string>  $touches  subsystems that must be proved again
     * @param  non-empty-list<GuideStep>  $steps
     */
    public function __construct(
        public string $code,
        public string $name,
        public string $area,
        public array $mends,
        public array $needs,
        public string $state,
        public array $tools,
        public array $kit,
        public float $first,
        public float $practised,
        public array $touches,
        public array $steps,
    ) {
    }

    /** @return list<string> the ways it can be done; none when there is one only */
    public function schools(): array
    {
        $schools = array_merge(
            array_map(static fn (GuideStep $s): ?string => $s->school, $this->steps),
            array_map(static fn (KitPart $p): ?string => $p->school, $this->kit),
        );

        return array_values(array_unique(array_filter($schools)));
    }

    /** @return array<int, GuideStep> number of the step from 1 on => step, those of one way */
    public function stepsOf(?string $school): array
    {
        $steps = [];
        foreach ($this->steps as $i => $step) {
            if ($step->school === null || $step->school === $school) {
                $steps[$i + 1] = $step;
            }
        }

        return $steps;
    }

    /** @return list<KitPart> */
    public function kitOf(?string $school): array
    {
        return array_values(array_filter($this->kit, static fn (KitPart $p): bool => $p->school === null || $p->school === $school));
    }
}
