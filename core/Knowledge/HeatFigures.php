<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** What the heaters of a machine family stand, and how long well ones take to warm up. */
final readonly class HeatFigures
{
    /**
     * @param  float  $hotendMostC  °C, 150 to 500: where the hot end or its liner is harmed
     * @param  float  $bedMostC  °C, 40 to 200
     * @param  float  $hotendRiseS  s from 22 to 200 °C
     * @param  float  $bedRiseS  s from 22 to 60 °C
     */
    public function __construct(public float $hotendMostC, public float $bedMostC, public float $hotendRiseS, public float $bedRiseS)
    {
    }

    /** What heat may do at the bench; what is wrong with it is noted at the entry. */
    public static function read(Entry $entry): self
    {
        $of = $entry->part('heat', $entry->map('heat'));

        return new self(
            $of->number('hotend_most_c', 150, 500),
            $of->number('bed_most_c', 40, 200),
            $of->number('hotend_rise_s', 10, 600),
            $of->number('bed_rise_s', 10, 1800),
        );
    }
}
