<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/**
 * Looks at each temperature and says when everything has to be switched off, whatever a stage is about: too hot for this family
 * and what was asked, hotter without being asked, a target nobody here asked for, a sensor gone while it heats. It knows nothing
 * of stages, so none can keep it from saying so. Two readings in a row decide, so that one garbled number does not (common
 * practice); at one a second that is within two seconds.
 */
final class Cut
{
    /** °C a heater that is off may rise: what is left in it, and what the other one gives it. */
    private const UNASKED_C = ['hotend' => 15.0, 'bed' => 8.0];

    private const BESIDE_C = ['hotend' => 25.0, 'bed' => 10.0];

    private const COLDEST_C = 5.0;

    /** Above this no sensor of such a printer reads anything. */
    private const HOTTEST_C = 450.0;

    /** °C from one reading to the next: no heater is that quick. */
    private const LEAP_C = 40.0;

    private const LEAP_WITHIN_S = 2.5;

    /** So many leaps among so many readings are a loose sensor; one or two are a garbled line. */
    private const LEAPS = [3, 10];

    private const TARGET_C = 1.5;

    /** °C one may rise that reports a target of 0 though it was told to heat: it heats, and says that it does not. */
    private const UNTOLD_C = 15.0;

    /** @var array{hotend: float|null, bed: float|null} the hottest it may have been: falls as it cools, rises with what is asked */
    private array $high = ['hotend' => null, 'bed' => null];

    /** @var array{hotend: float|null, bed: float|null} where it stood when it was first seen to report no target though it was told one */
    private array $untold = ['hotend' => null, 'bed' => null];

    /** @var array<string, int> what is wrong in how many readings in a row */
    private array $inARow = [];

    /** @var array{hotend: list<bool>, bed: list<bool>} whether each of the last readings leapt */
    private array $leaps = ['hotend' => [], 'bed' => []];

    private ?Sample $before = null;

    public function __construct(private readonly Limits $limits, private readonly Asked $asked)
    {
    }

    /** @return Danger|null nothing while all is well */
    public function read(Sample $sample): ?Danger
    {
        $danger = null;
        $wrong = [];
        foreach (['hotend' => 'hot end', 'bed' => 'bed'] as $heater => $name) {
            [$c, $target] = $heater === 'hotend' ? [$sample->hotend, $sample->hotendTarget] : [$sample->bed, $sample->bedTarget];
            $allowed = $this->asked->allowed($heater, $sample->t);
            foreach ($this->wrong($heater, $name, $c, $target, $allowed, $sample->t) as $what => $found) {
                $wrong["{$heater} {$what}"] = ($this->inARow["{$heater} {$what}"] ?? 0) + 1;
                $danger ??= $wrong["{$heater} {$what}"] >= 2 ? $found : null;
            }
            $danger ??= $allowed > 0 ? $this->leap($heater, $name, $c, $sample->t) : null;
            if ($c >= self::COLDEST_C && $c <= self::HOTTEST_C) {
                $this->high[$heater] = max($allowed, min($this->high[$heater] ?? $c, $c));
            }
        }
        $this->inARow = $wrong;
        $this->before = $sample;

        return $danger;
    }

    /**
     * @param  'hotend'|'bed'  $heater
     * @return iterable<string, Danger>
     */
    private function wrong(string $heater, string $name, float $c, float $target, float $allowed, float $t): iterable
    {
        if ($allowed > 0 && ($c < self::COLDEST_C || $c > self::HOTTEST_C)) {
            yield 'gone' => new Danger(
                sprintf('The sensor of the %s is gone: it says %.0f °C while it heats.', $name, $c),
                $heater === 'hotend' ? 'reads-impossible' : 'bed-reads-wrong',
            );

            return;
        }
        if ($target > $allowed + self::TARGET_C) {
            yield 'target' => new Danger(
                sprintf(
                    'The %s is told to heat to %.0f °C, and nobody here asked for that. Does somebody turn it up at its own screen?',
                    $name,
                    $target,
                ),
                null,
            );
        }
        if ($c < self::COLDEST_C || $c > self::HOTTEST_C) {
            return;
        }
        $this->untold[$heater] = $target <= 0 && $this->asked->heard($heater, $t) ? $this->untold[$heater] ?? $c : null;
        if ($this->untold[$heater] !== null && $c > $this->untold[$heater] + self::UNTOLD_C) {
            yield 'untold' => new Danger(
                sprintf('The %s heats, and its printer says that nothing is asked of it: what it says of its heaters is not so.', $name),
                null,
                $heater,
            );
        }
        $high = $this->high[$heater] ?? $c;
        if ($allowed > 0 && $c > $this->limits->ceiling($heater, $allowed, $high)) {
            yield 'over' => new Danger(
                sprintf('The %s stands at %.0f °C; %.0f were asked.', $name, $c, $allowed),
                $heater === 'hotend' ? 'hotend-overshoots' : 'bed-reads-wrong',
                $heater,
            );
        }
        $other = $this->asked->heats() ? self::BESIDE_C[$heater] : self::UNASKED_C[$heater];
        if ($allowed <= 0 && $c > $high + $other) {
            yield 'unasked' => new Danger(
                sprintf(
                    'The %s has risen by %.0f °C with nothing asked: its switch on the board is stuck. Only the plug ends that.',
                    $name,
                    $c - $high,
                ),
                'heats-unasked',
                $heater,
                true,
            );
        }
    }

    /**
     * From one reading to the next further than any heater goes.
     *
     * @param  'hotend'|'bed'  $heater
     */
    private function leap(string $heater, string $name, float $c, float $t): ?Danger
    {
        if ($this->before === null || $t - $this->before->t > self::LEAP_WITHIN_S) {
            return null;
        }
        $by = abs($c - ($heater === 'hotend' ? $this->before->hotend : $this->before->bed));
        $this->leaps[$heater] = array_slice([...$this->leaps[$heater], $by >= self::LEAP_C], -self::LEAPS[1]);

        return $by < self::LEAP_C || count(array_filter($this->leaps[$heater])) < self::LEAPS[0] ? null : new Danger(
            sprintf('The %s jumped by %.0f °C within a second, again and again, while it heats: its sensor is loose.', $name, $by),
            $heater === 'hotend' ? 'reads-jumpy' : 'bed-reads-wrong',
        );
    }
}
