<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** What the shop reckons with at the bench: minutes, and when a machine is unplugged. Every figure stands in bench.yaml. */
final readonly class BenchFigures
{
    /**
     * @param  array<string, float>  $reach  state => minutes of hands and waiting until a cold, closed machine is in it
     * @param  array<string, float>  $prove  stage => minutes of hands one proof of it takes
     * @param  array<string, float>  $proveAlone  stage => minutes it then goes by itself
     * @param  float  $comeback  minutes a machine costs that comes back unmended, besides the mend itself
     * @param  float  $redTagFrom  probability of a dangerous fault, 0 to 1, from which the machine is unplugged
     * @param  float  $waitingDay  minutes a day costs that a machine stands waiting for a part
     * @param  float  $waitingDays  days a part is on its way that nobody bought yet
     * @param  array{float, list<string>}  $usuallyTold  probability that an owner tells a finding that is asked for at the counter
     *   or is of one of these groups
     * @param  float  $dig  minutes until something is found and mended that is none of the suspects
     * @param  float  $catalogueJobs  how many jobs of its own a shop must have seen to be believed as much as the catalogue
     */
    public function __construct(
        private array $reach,
        private array $prove,
        public float $comeback,
        public float $redTagFrom,
        public float $catalogueJobs,
        public float $waitingDay = 0.0,
        public float $waitingDays = 0.0,
        public array $usuallyTold = [0.0, []],
        public float $dig = 60.0,
        private array $proveAlone = [],
    ) {
    }

    /** Minutes until a machine is in this state. */
    public function minutesToReach(State $state): float
    {
        return $this->reach[$state->value];
    }

    /** Minutes a stage of proof takes. */
    public function minutesToProve(Stage $stage): float
    {
        return $this->prove[$stage->value];
    }

    /** Minutes a stage of proof goes by itself after its hands. */
    public function aloneToProve(Stage $stage): float
    {
        return $this->proveAlone[$stage->value] ?? 0.0;
    }
}
