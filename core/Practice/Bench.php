<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/** Plays a broken machine in one way of working until every true fault has been mended. */
final readonly class Bench
{
    private const MOST_MOVES = 200;

    /** @param  float  $proving  minutes each mend in vain costs besides its own: it is proved before anybody knows */
    public function __construct(private Knowledge $knowledge, private float $proving = 0.0, private ?Way $second = null)
    {
    }

    /** Plays one broken machine to its end. */
    public function play(BrokenMachine $machine, Way $way): Played
    {
        $findings = $machine->answer($machine->told);
        $minutes = $right = 0.0;
        $done = $ruledOut = $wrong = [];
        $left = array_flip($machine->truth);
        $handed = false;
        for ($move = 0; $left !== [] && $move < self::MOST_MOVES; $move++) {
            $next = $way->next($machine, $findings, $done, $ruledOut);
            if ($next->checks !== []) {
                foreach ($next->checks as $i => $code) {
                    $check = $this->knowledge->check($code);
                    $minutes += $check->minutes + ($i === 0 ? $this->knowledge->bench->minutesToReach($check->state) : 0.0);
                    $findings = $machine->answer($check->yields) + $findings;
                    $done[] = $code;
                }
            } elseif ($next->fault !== null) {
                $mend = $this->knowledge->fault($next->fault)->mend()->minutes;
                $ruledOut[] = $next->fault;
                if (isset($left[$next->fault])) {
                    unset($left[$next->fault]);
                    $right += $mend;
                } else {
                    $minutes += $mend + $this->proving;
                    $wrong[] = $next->fault;
                }
            } else {
                $minutes += $this->knowledge->bench->comeback;
                if ($handed || $this->second === null) {
                    $handed = true;
                    break;
                }
                // a second person goes on, with what is known
                $handed = true;
                $way = $this->second;
            }
        }

        return new Played($machine, $minutes, $right, $done, $wrong, $left === [], $this->grave($machine, $wrong), $handed);
    }

    /**
     * @param  list<string>  $wrong
     * @return list<string>
     */
    private function grave(BrokenMachine $machine, array $wrong): array
    {
        $traits = Traits::of($machine->traits);

        return array_values(array_filter($wrong, function (string $code) use ($machine, $traits): bool {
            $fault = $this->knowledge->fault($code);

            return ! in_array($code, $machine->has, true) && ($fault->danger || $fault->forQualified($traits));
        }));
    }
}
