<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Diagnose;
use OddBench\Knowledge\Knowledge;
use Random\Randomizer;

/**
 * Plays the same broken machines in several ways of working and compares the bench minutes until the true faults are
 * settled: as advised (measure first, swap first), by a checklist on paper, in random order.
 */
final readonly class JobTest
{
    /** Somebody with a checklist mends when a fault is this likely, “as good as shown”. */
    public const SURE = 0.8;

    /** Nothing is so likely: without looks it goes by probability over minutes. */
    private const NEVER = 2.0;

    /**
     * @param  list<string>  $checklist  check codes in a fixed order
     * @param  float  $proving  minutes each mend in vain costs besides its own
     * @param  bool  $second  a machine that is handed over goes on by the checklist, besides the hour that costs
     */
    public function __construct(
        private Knowledge $knowledge,
        private array $checklist,
        private float $proving = 0.0,
        private bool $second = false,
    ) {
    }

    /**
     * @return array<string, Way> by what they are called
     */
    public function ways(Randomizer $random): array
    {
        return [
            'measure first' => new Advised($this->knowledge, 'measure-first'),
            'swap first' => new Advised($this->knowledge, 'swap-first'),
            'checklist' => new Listed($this->knowledge, $this->checklist, self::SURE),
            'checklist, mends at better than even' => new Listed($this->knowledge, $this->checklist, 0.5),
            'mend the likeliest, no looks' => new Listed($this->knowledge, [], self::NEVER),
            'random order' => new Listed($this->knowledge, $random->shuffleArray(array_keys($this->knowledge->checks)), self::SURE),
        ];
    }

    /** @param  list<BrokenMachine>  $machines */
    public function play(array $machines, Way $way): Score
    {
        return Score::of($this->played($machines, $way));
    }

    /**
     * @param  list<BrokenMachine>  $machines
     * @return list<Played>
     */
    public function played(array $machines, Way $way): array
    {
        $bench = new Bench(
            $this->knowledge,
            $this->proving,
            $this->second ? new Listed($this->knowledge, $this->checklist, self::SURE) : null,
        );

        return array_map(static fn (BrokenMachine $machine): Played => $bench->play($machine, $way), $machines);
    }

    /**
     * Whether the probabilities of the faults in question mean what they say, by what is told at the counter.
     *
     * @param  list<BrokenMachine>  $machines  with every fault they have
     * @param  'weigh'|'unknown'  $untold
     */
    public function calibration(array $machines, string $untold = 'weigh'): Calibration
    {
        $diagnose = new Diagnose($this->knowledge);
        $told = [];
        foreach ($machines as $machine) {
            $case = CaseFile::read(
                ['traits' => $machine->traits, 'findings' => $machine->answer($machine->told), 'untold' => $untold],
                $this->knowledge,
            );
            foreach ($diagnose->suspectsOf($case) as $suspect) {
                if ($suspect->explains !== []) {
                    $told[] = [$suspect->probability, in_array($suspect->code, $machine->has, true)];
                }
            }
        }

        return Calibration::of($told);
    }

    /**
     * Expected minutes of the best way there is and of ours, each over so many small random trades.
     *
     * @return array{best: float, ours: float}
     */
    public static function againstTheBest(Randomizer $random, int $trades): array
    {
        $best = $ours = 0.0;
        for ($i = 0; $i < $trades; $i++) {
            $trade = RandomTrade::make($random);
            $policy = new BestPolicy($trade);
            $best += $policy->best();
            $ours += $policy->of(new Advised($trade, 'measure-first'));
        }

        return ['best' => $best / max(1, $trades), 'ours' => $ours / max(1, $trades)];
    }
}
