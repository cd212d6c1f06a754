<?php

declare(strict_types=1);

namespace OddBench\Plan;

use DateTimeImmutable;
use DateTimeZone;

/**
 * Hours of a week as spans of real minutes from a moment on: days off are left out, a day may have hours of its own, and on the two days
 * on which the clock is changed a span is as long as it really is.
 */
final readonly class OpenHours
{
    /**
     * @param  array<int, list<array{int, int}>>  $week  day of the week, 1 for Monday to 7 => spans in minutes of the clock
     * @param  array<string, list<array{int, int}>>  $days  date => spans of that day; none when it is off
     */
    public function __construct(private array $week, private array $days, private DateTimeZone $zone)
    {
    }

    /**
     * @param  int  $days  so many days from that of the moment on
     * @return list<array{int, int}> minutes from the moment on, in order; what is over is left out
     */
    public function spans(DateTimeImmutable $from, int $days): array
    {
        $spans = [];
        $first = $from->setTimezone($this->zone)->setTime(0, 0);
        for ($day = 0; $day < $days; $day++) {
            $date = $first->modify("+{$day} days");
            foreach ($this->on($date) as [$open, $close]) {
                $start = $this->minute($from, $date, $open);
                $end = $this->minute($from, $date, $close);
                if ($end > max(0, $start)) {
                    $spans[] = [max(0, $start), $end];
                }
            }
        }

        return $spans;
    }

    /**
     * The days on which it is open at all.
     *
     * @return list<string> dates
     */
    public function days(DateTimeImmutable $from, int $days): array
    {
        $open = [];
        $first = $from->setTimezone($this->zone)->setTime(0, 0);
        for ($day = 0; $day < $days; $day++) {
            $date = $first->modify("+{$day} days");
            if ($this->on($date) !== []) {
                $open[] = $date->format('Y-m-d');
            }
        }

        return $open;
    }

    /** @return list<array{int, int}> minutes of the clock */
    public function on(DateTimeImmutable $date): array
    {
        return $this->days[$date->format('Y-m-d')] ?? $this->week[(int) $date->format('N')] ?? [];
    }

    /**
     * What two lists of spans have in common.
     *
     * @param  list<array{int, int}>  $a
     * @param  list<array{int, int}>  $b
     * @return list<array{int, int}>
     */
    public static function both(array $a, array $b): array
    {
        $both = [];
        foreach ($a as [$from, $to]) {
            foreach ($b as [$start, $end]) {
                if (min($to, $end) > max($from, $start)) {
                    $both[] = [max($from, $start), min($to, $end)];
                }
            }
        }

        return $both;
    }

    /**
     * What is left of some spans without others.
     *
     * @param  list<array{int, int}>  $spans
     * @param  list<array{int, int}>  $without
     * @return list<array{int, int}>
     */
    public static function without(array $spans, array $without): array
    {
        foreach ($without as [$from, $to]) {
            $left = [];
            foreach ($spans as [$start, $end]) {
                foreach ([[$start, min($end, $from)], [max($start, $to), $end]] as $piece) {
                    if ($piece[1] > $piece[0]) {
                        $left[] = $piece;
                    }
                }
            }
            $spans = $left;
        }

        return $spans;
    }

    /**
     * What any of some spans covers, those that touch as one.
     *
     * @param  list<array{int, int}>  $spans
     * @return list<array{int, int}>
     */
    public static function any(array $spans): array
    {
        sort($spans);
        $any = [];
        foreach ($spans as [$from, $to]) {
            $last = count($any) - 1;
            if ($last >= 0 && $from <= $any[$last][1]) {
                $any[$last][1] = max($any[$last][1], $to);
            } else {
                $any[] = [$from, $to];
            }
        }

        return $any;
    }

    private function minute(DateTimeImmutable $from, DateTimeImmutable $date, int $clock): int
    {
        // by the clock on the wall: an hour that does not exist begins when it would have
        $at = $date->setTime(intdiv($clock, 60), $clock % 60);

        return (int) floor(($at->getTimestamp() - $from->getTimestamp()) / 60);
    }
}
