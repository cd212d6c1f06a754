<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Intake\Station;
use OddBench\Knowledge\Stage;
use OddBench\Knowledge\Traits;
use OddBench\Repair\LearningCurve;

/** How far a job is: what is known of what it still needs. */
final readonly class JobAhead
{
    /**
     * @param  array{string, float, bool}|null  $look  the next look at Find: its name, minutes, for qualified people only
     * @param  float  $search  minutes of looks after that one
     * @param  list<string>  $mend  faults that are to be mended, confirmed or likeliest
     * @param  list<string>  $guides  guides of service work that is still to be done
     * @param  int  $off  pieces that lie on the tray
     * @param  list<array{Stage, string, string}>|null  $owed  stage, name and code of proofs that are missing; nothing when they follow from the mend
     * @param  list<string>  $classes  classes of part that were fitted or lie ready already
     * @param  array<string, array<string, LearningCurve>>  $curves  guide => person => how quick they are
     * @param  array<string, array<string, int>>  $times  guide => person => how often they did it
     * @param  list<array{string, float, string|null}>  $tasks  other work: its name, minutes, the class of part it takes
     * @param  list<Running>  $running  what goes by itself now
     * @param  bool  $unknown  nobody has said yet what it does: it takes what such machines mostly take
     */
    public function __construct(
        public Station $station,
        public Traits $traits,
        public Earned $earned = new Earned,
        public bool $asked = false,
        public ?array $look = null,
        public float $search = 0.0,
        public array $mend = [],
        public array $guides = [],
        public int $off = 0,
        public ?array $owed = null,
        public array $classes = [],
        public array $curves = [],
        public array $times = [],
        public array $running = [],
        public array $tasks = [],
        public bool $unknown = false,
    ) {
    }
}
