<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** How an instrument is asked on screen: what it wants, what it shows, how it is worked out. */
final readonly class InstrumentSheet
{
    /**
     * @param  list<string>  $hazards
     * @param  array<string, mixed>  $fixed  inputs that are not asked
     * @param  list<SheetInput>  $inputs
     * @param  list<array{key: string, label: string, unit: string}>  $shows
     * @param  Gauge|null  $gauge  the one result drawn on its scale
     * @param  Keeps|null  $keeps  the result that is kept in a job
     * @param  array<string, Meaning>  $says  finding code => when it is there
     * @param  BaselineOf|null  $baseline  what of a well reading is kept at release
     * @param  string|null  $of  the sheet this is another way to ask
     * @param  string  $worked  the formula, with {key} where a number is put in
     */
    public function __construct(
        public string $code,
        public string $name,
        public string $about,
        public array $hazards,
        public array $fixed,
        public array $inputs,
        public array $shows,
        public ?Gauge $gauge,
        public string $worked,
        public string $source,
        public ?Keeps $keeps = null,
        public array $says = [],
        public ?BaselineOf $baseline = null,
        public ?string $of = null,
    ) {
    }

    /** The instrument that is asked: this sheet’s own, or the one it is another way to ask. */
    public function instrument(): string
    {
        return $this->of ?? $this->code;
    }

    /**
     * What a result stands for.
     *
     * @param  array<string, mixed>  $result
     * @return array<string, bool> finding code => present; those it does not settle left out
     */
    public function findings(array $result): array
    {
        return array_filter(array_map(static fn (Meaning $meaning): ?bool => $meaning->present($result), $this->says), is_bool(...));
    }
}
