<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Something a machine does, that is seen on it, or that is measured. */
final readonly class Finding
{
    /**
     * @param  string  $group  where it stands in the catalogue, e.g. “Walls”
     * @param  float  $leak  probability (0 to 1) that it is there with none of the known faults behind it
     * @param  bool  $circumstance  told about the machine’s past; never counted as unexplained
     * @param  bool  $redTag  a sign of danger: seeing it puts a red tag on
     * @param  list<string>  $neverWith  findings that cannot be there together with it
     * @param  string|null  $absent  wording when it was looked for and is not there
     * @param  list<string>  $said  how customers say it
     * @param  float  $told  probability, 0 to 1, that an owner tells it at the counter when it is there; 0 where owners do not see it
     */
    public function __construct(
        public string $code,
        public string $name,
        public string $group,
        public float $leak,
        public bool $circumstance,
        public bool $askedAtBookIn,
        public bool $redTag,
        public ?string $absent,
        public array $neverWith = [],
        public array $said = [],
        public float $told = 0.0,
    ) {
    }
}
