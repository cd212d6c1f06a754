<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Proof\Prints\Bed;

/** What a run is to do: its stages, and the figures of this machine it is held against. */
final readonly class Plan
{
    /**
     * @param  list<string>  $stages  of RunStage, in their order
     * @param  float|null  $bedRiseS  seconds this bed took from a cold room to its target when it was well
     * @param  int  $slots  of its feeder; 1 without one
     * @param  bool  $probed  Z is found by a probe, so that no switch of it is pressed after homing
     * @param  Limits  $limits  how hot its heaters may get at all
     * @param  float|null  $familyHotendRiseS  seconds a well hot end of its family takes from a cold room to its target
     * @param  float|null  $familyBedRiseS  the same for its bed, where nobody measured this one
     */
    public function __construct(
        public array $stages,
        public Bed $bed = new Bed,
        public float $hotendC = 200.0,
        public float $bedC = 60.0,
        public ?float $bedRiseS = null,
        public int $slots = 1,
        public float $holdS = 120.0,
        public bool $probed = false,
        public Limits $limits = new Limits,
        public ?float $familyHotendRiseS = null,
        public ?float $familyBedRiseS = null,
    ) {
    }

    /**
     * @param  list<string>  $owed  stages
     * @return list<string> those and the ones every machine owes, in their order
     */
    public static function stages(array $owed): array
    {
        return array_values(array_map(
            static fn (RunStage $stage): string => $stage->value,
            array_filter(
                RunStage::cases(),
                static fn (RunStage $stage): bool => $stage->isAlwaysOwed() || in_array($stage->value, $owed, true),
            ),
        ));
    }

    /** @return array<string, mixed> to be kept in a file; *of* reads it */
    public function toArray(): array
    {
        return [
            'stages' => $this->stages,
            'bed' => [$this->bed->xMm, $this->bed->yMm, $this->bed->zMm, $this->bed->round, $this->bed->middle],
            'hotend_c' => $this->hotendC,
            'bed_c' => $this->bedC,
            'bed_rise_s' => $this->bedRiseS,
            'slots' => $this->slots,
            'hold_s' => $this->holdS,
            'probed' => $this->probed,
            'most_c' => [$this->limits->hotendMostC, $this->limits->bedMostC],
            'family_rise_s' => [$this->familyHotendRiseS, $this->familyBedRiseS],
        ];
    }

    /**
     * @param  array<string, mixed>  $kept  as *toArray* wrote it
     *
     * @throws InputError when it is no such thing
     */
    public static function of(array $kept): self
    {
        $of = Fields::of($kept);
        $numbers = static fn (mixed $list, int $i): ?float => is_array($list) && is_numeric($list[$i] ?? null) ? (float) $list[$i] : null;
        $bed = $kept['bed'] ?? null;
        $stages = is_array($kept['stages'] ?? null) ? array_values(array_intersect(
            array_column(RunStage::cases(), 'value'),
            array_filter($kept['stages'], is_string(...)),
        )) : [];

        return new self(
            $stages,
            new Bed(
                $numbers($bed, 0) ?? 60.0,
                $numbers($bed, 1) ?? 60.0,
                $numbers($bed, 2) ?? 60.0,
                is_array($bed) && ($bed[3] ?? false) === true,
                is_array($bed) && is_bool($bed[4] ?? null) ? $bed[4] : null,
            ),
            $of->number('hotend_c', 0, 500),
            $of->number('bed_c', 0, 200),
            is_numeric($kept['bed_rise_s'] ?? null) ? (float) $kept['bed_rise_s'] : null,
            (int) $of->number('slots', 1, 64),
            $of->number('hold_s', 0, 3600),
            ($kept['probed'] ?? false) === true,
            new Limits($numbers($kept['most_c'] ?? null, 0) ?? 260.0, $numbers($kept['most_c'] ?? null, 1) ?? 120.0),
            $numbers($kept['family_rise_s'] ?? null, 0),
            $numbers($kept['family_rise_s'] ?? null, 1),
        );
    }
}
