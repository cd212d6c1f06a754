<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** A machine’s visits against its own past and against its sisters. */
final readonly class HoldsNot
{
    /** From this on it is said that it comes in more often than its sisters. */
    public const SURE = 0.95;

    private function __construct(public ?Pace $pace, public ?AgainstSisters $sisters, public int $visits, public float $hours)
    {
    }

    /**
     * @param  list<float>  $at  hours of its visits since it is known, in order
     * @param  float  $hours  since it is known
     * @param  float  $sisterHours  of the others of its family together
     */
    public static function of(array $at, float $hours, int $sisterVisits, float $sisterHours): self
    {
        $inside = array_values(array_filter($at, static fn (float $h): bool => $h > 0.0 && $h < $hours));

        return new self(
            count($inside) < Pace::LEAST ? null : Pace::of($inside, $hours),
            $hours > 0.0 && $sisterHours > 0.0 ? AgainstSisters::of(count($at), $hours, $sisterVisits, $sisterHours) : null,
            count($at),
            $hours,
        );
    }

    /** Whether it is worth a word: it gets worse, or comes in more often than its sisters. */
    public function worthAWord(): bool
    {
        $worse = ($this->pace?->worse() ?? 0.0) >= Pace::SURE;

        return $this->visits >= Pace::LEAST && ($worse || ($this->sisters->sure ?? 0.0) >= self::SURE);
    }

    /**
     * That it runs so many hours without coming in again. As it goes now: by the pace it has got to where it gets worse, else by all
     * its visits; a visit is as likely at any hour (exponential). Of one that holds as others do nothing is said.
     *
     * @param  float  $hours  0 and up
     * @return float|null 0 to 1
     */
    public function staysOut(float $hours): ?float
    {
        if (! $this->worthAWord()) {
            return null;
        }
        $worse = $this->pace !== null && $this->pace->worse() >= Pace::SURE;

        return exp(-$hours / ($worse ? $this->pace->between : $this->hours / $this->visits));
    }

    /** How sure it is that something is wrong with it, 0 to 1. */
    public function sure(): float
    {
        return max($this->pace?->worse() ?? 0.0, $this->sisters->sure ?? 0.0);
    }

    /** One plain sentence, as in “4 visits in 400 h, its sisters one in 700 h: getting worse, 97 % sure”. */
    public function because(): string
    {
        $own = sprintf('%d visits in %s', $this->visits, Hours::words($this->hours));
        $sisters = $this->sisters?->sistersBetween === null ? '' : ', its sisters one in '.Hours::words($this->sisters->sistersBetween);
        $said = [];
        if ($this->pace !== null && $this->pace->worse() >= Pace::SURE) {
            $said[] = sprintf('getting worse (%d %% sure)', (int) floor(100 * $this->pace->worse()));
        }
        if ($this->sisters !== null && $this->sisters->sure >= self::SURE) {
            $said[] = sprintf('more often than its sisters (%d %% sure)', (int) floor(100 * min(0.9999, $this->sisters->sure)));
        }

        return $own.$sisters.': '.($said === [] ? 'as others.' : implode(', ', $said).'.');
    }
}
