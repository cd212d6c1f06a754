<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use OddBench\Diagnosis\Because;
use OddBench\Diagnosis\Diagnosis;
use OddBench\Diagnosis\Step;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\State;

/** A next step in words: its name, how it is done, what can hurt, and why it stands where it stands. */
final readonly class StepWords
{
    private const NUMBERS = [2 => 'two', 3 => 'three', 4 => 'four', 5 => 'five'];

    public function __construct(private Knowledge $knowledge)
    {
    }

    public function name(Step $step): string
    {
        return match ($step->kind) {
            'check' => $this->knowledge->checks[$step->code]->name,
            'sweep' => sprintf('%s quick looks in one go', ucfirst(self::NUMBERS[count($step->looks)] ?? 'several')),
            'swap' => "Swap to see: {$this->knowledge->faults[$step->code]->name}",
            'mend' => "Mend now: {$this->knowledge->faults[$step->code]->name}",
        };
    }

    /** @return list<string> */
    public function steps(Step $step): array
    {
        return match ($step->kind) {
            'check' => $this->knowledge->checks[$step->code]->steps,
            'sweep' => [],
            'swap' => $this->swapping()->steps ?? [$this->knowledge->faults[$step->code]->mend()->do],
            'mend' => [$this->knowledge->faults[$step->code]->mend()->do],
        };
    }

    /** @return list<string> */
    public function cautions(Step $step): array
    {
        if ($step->kind === 'sweep') {
            return [];
        }
        $check = $step->kind === 'check' ? $this->knowledge->checks[$step->code] : ($step->kind === 'swap' ? $this->swapping() : null);
        $own = $step->kind === 'check' ? array_filter([$check?->caution]) : $this->knowledge->faults[$step->code]->cautions;

        return array_values([
            ...$own,
            ...array_map(fn (string $hazard): string => $this->knowledge->hazards[$hazard] ?? $hazard, $check->hazards ?? []),
        ]);
    }

    /**
     * Why the first step stands first, as a technician would say it.
     *
     * @param  list<Step>  $next
     */
    public function why(array $next, Diagnosis $diagnosis): string
    {
        $first = $next[0] ?? null;
        if ($first === null) {
            return '';
        }
        $name = $first->fault === null ? '' : $this->knowledge->faults[$first->fault]->name;
        $takes = "{$this->minutes($first->minutes)}, {$this->state($first)}";
        $why = match (true) {
            $first->because === Because::Danger => sprintf(
                '%s could hurt somebody and stands at %s: settled before anything else, in %s.',
                $name,
                $this->percent($diagnosis->probability((string) $first->fault)),
                $takes,
            ),
            $first->because === Because::Leader && $first->kind === 'check' => "Settles the likeliest cause ({$name}) in {$takes}.",
            $first->because === Because::Leader => "The likeliest cause, put right in {$this->minutes($first->minutes)} without a part: quicker tried than looked for.",
            $first->because === Because::Sweep => sprintf(
                '%d quick looks in one go, %s: together they tell more for their minutes than anything else.',
                count($first->looks),
                $takes,
            ),
            $first->kind === 'swap' => "The part is on the shelf, and only {$this->minutes($first->costMinutes)} of the work would be for nothing.",
            $first->kind === 'mend' && $diagnosis->probability($first->code) >= 0.9 => sprintf(
                'As good as sure (%s): nothing more needs to be looked at for it.',
                $this->percent($diagnosis->probability($first->code)),
            ),
            $first->kind === 'mend' => 'No look left is worth its own minutes: mend in order of how likely it is for what it costs.',
            default => "Tells most for its minutes: {$takes}.",
        };

        return $diagnosis->isEven() ? "{$why} Many causes are about as likely, so expect more than one look." : $why;
    }

    /** Why a step stands where it stands, in a word or two for its head. */
    public function tag(Step $step, Diagnosis $diagnosis): ?string
    {
        $name = $step->fault === null ? '' : $this->knowledge->faults[$step->fault]->name;

        return match ($step->because) {
            Because::Danger => "Safety first: {$name}",
            Because::Leader => $step->kind === 'check' ? "Settles: {$name}" : 'Quicker tried than looked for',
            default => null,
        };
    }

    /** That a suspect wants a look before anybody mends it: “look first: 3 minutes, unplugged”. */
    public function first(string $fault, Diagnosis $diagnosis): ?string
    {
        foreach ($diagnosis->next as $step) {
            if ($step->kind === 'check' && $step->fault === $fault) {
                return "look first: {$this->minutes($step->minutes)}, {$this->state($step)}";
            }
        }

        return null;
    }

    /** @param  array{jobs: int, overturned: int}  $counts */
    public function overturned(array $counts): string
    {
        return $counts['jobs'] < 10 ? '' : "Of {$counts['jobs']} first diagnoses {$counts['overturned']} were overturned here.";
    }

    /** @return list<string> */
    public function noneAdvice(): array
    {
        return [
            'Compare it with a sister machine, side by side.',
            'Swap in a part known to be good, one at a time.',
            'Ask a second person to look, without telling what you think.',
        ];
    }

    private function state(Step $step): string
    {
        return match ($step->state) {
            State::Cold->value => 'off and cold',
            State::Open->value => 'unplugged, cover off',
            State::Powered->value => 'switched on',
            State::Hot->value => 'heated',
            default => 'unplugged',
        };
    }

    private function percent(float $p): string
    {
        return $p > 0.99 ? 'over 99 %' : sprintf('%d %%', (int) round(100 * $p));
    }

    /**
     * @param  list<Step>  $next
     * @param  list<Step>  $other
     */
    public function otherSchool(array $next, array $other, bool $swapFirst): string
    {
        $school = $swapFirst ? 'Measure first' : 'Swap first';
        [$one, $two] = [$next[0] ?? null, $other[0] ?? null];
        if ($two === null || ($one !== null && $one->code === $two->code && $one->kind === $two->kind)) {
            return "{$school} would begin the same way: "
                .($swapFirst ? 'no look tells more for its minutes.' : 'no part on the shelf tells more for its minutes.');
        }
        $because = $two->kind === 'swap'
            ? sprintf('the part is on the shelf, and only %s would be for nothing', $this->minutes($two->costMinutes))
            : 'a look costs its minutes whatever it shows, but no part';

        return "{$school} would begin with “{$this->name($two)}”: {$because}.";
    }

    private function minutes(float $minutes): string
    {
        $whole = max(1, (int) round($minutes));

        return $whole === 1 ? '1 minute' : "{$whole} minutes";
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
