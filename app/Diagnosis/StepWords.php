<?php

declare(strict_types=1);

namespace App\Diagnosis;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Step;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Knowledge;

/** A next step in words: its name, how it is done, what can hurt, and why it stands where it stands. */
final readonly class StepWords
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function name(Step $step): string
    {
        return match ($step->kind) {
            'check' => $this->knowledge->checks[$step->code]->name,
            'swap' => "Swap to see: {$this->knowledge->faults[$step->code]->name}",
            'mend' => "Mend now: {$this->knowledge->faults[$step->code]->name}",
        };
    }

    /** @return list<string> */
    public function steps(Step $step): array
    {
        return match ($step->kind) {
            'check' => $this->knowledge->checks[$step->code]->steps,
            'swap' => $this->swapping()->steps ?? [$this->knowledge->faults[$step->code]->mend()->do],
            'mend' => [$this->knowledge->faults[$step->code]->mend()->do],
        };
    }

    /** @return list<string> */
    public function cautions(Step $step): array
    {
        $check = $step->kind === 'check' ? $this->knowledge->checks[$step->code] : ($step->kind === 'swap' ? $this->swapping() : null);
        $own = $step->kind === 'check' ? array_filter([$check?->caution]) : $this->knowledge->faults[$step->code]->cautions;

        return array_values([...$own, ...array_map(fn (string $hazard): string => $this->knowledge->hazards[$hazard] ?? $hazard, $check->hazards ?? [])]);
    }

    /** @param  list<Step>  $next */
    public function why(array $next, CaseFile $case): string
    {
        $first = $next[0] ?? null;
        if ($first === null) {
            return '';
        }
        if ($first->kind === 'mend') {
            return 'No look left is worth its own minutes: mend in order of how likely it is for its cost.';
        }
        $saves = $this->minutesSaved($first, $case);
        $second = $next[1] ?? null;
        $than = $second !== null && $second->kind !== 'mend' && $second->pays ? sprintf(', “%s” %s', $this->name($second), $this->plain($this->minutesSaved($second, $case))) : '';
        $what = $first->kind === 'swap' ? sprintf('The part is on the shelf, and only %s of the work would be for nothing. ', $this->minutes($first->costMinutes)) : '';

        return $what.sprintf('Each minute of it saves about %s minutes of mending in vain and machines that come back%s.', $this->plain($saves), $than);
    }

    /**
     * @param  list<Step>  $next
     * @param  list<Step>  $other
     */
    public function otherSchool(array $next, array $other, CaseFile $case): string
    {
        $school = $case->swapFirst ? 'Measure first' : 'Swap first';
        [$one, $two] = [$next[0] ?? null, $other[0] ?? null];
        if ($two === null || ($one !== null && $one->code === $two->code && $one->kind === $two->kind)) {
            return "{$school} would begin the same way: ".($case->swapFirst ? 'no look tells more for its minutes.' : 'no part on the shelf tells more for its minutes.');
        }
        $because = $two->kind === 'swap'
            ? sprintf('the part is on the shelf, and only %s would be for nothing', $this->minutes($two->costMinutes))
            : 'a look costs its minutes whatever it shows, but no part';

        return "{$school} would begin with “{$this->name($two)}”: {$because}.";
    }

    private function minutesSaved(Step $step, CaseFile $case): float
    {
        return $step->savesPerMinute / $case->benchMinute;
    }

    private function minutes(float $minutes): string
    {
        $whole = max(1, (int) round($minutes));

        return $whole === 1 ? '1 minute' : "{$whole} minutes";
    }

    private function plain(float $number): string
    {
        return $number >= 9.95 ? (string) round($number) : number_format($number, 1);
    }

    private function swapping(): ?Check
    {
        foreach ($this->knowledge->checks as $check) {
            if ($check->byPart) {
                return $check;
            }
        }

        return null;
    }
}
