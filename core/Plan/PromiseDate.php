<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * The day that holds in half of all cases, in eight and in nine of ten: what is still to be done as a mixture, hands ahead of it, the
 * part's delivery as a gamma distribution, by convolution over the shop's days.
 */
final readonly class PromiseDate implements Computation
{
    /** Earlier promises of its kind are learned from when there are so many. */
    public const LEARNS_FROM = 5;

    private const MOST_DAYS = 400;

    public function name(): string
    {
        return 'promise-date';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $ways = [];
        foreach ($fields->objects('lines', 1000) as $of) {
            $ways[] = [
                $of->number('probability', 0, 1),
                $of->whole('hands', ...Quantity::StepMinutes->bounds()),
                $of->wholeOrNull('alone', ...Quantity::StepAlone->bounds()) ?? 0,
            ];
            $of->done();
        }
        $ahead = $fields->wholeOrNull('ahead_minutes', ...Quantity::AheadMinutes->bounds()) ?? 0;
        $perDay = $fields->whole('minutes_per_day', ...Quantity::DayMinutes->bounds());
        $part = $fields->has('part') ? $fields->object('part') : null;
        [$mean, $spread] = [0.0, 0.0];
        if ($part !== null) {
            $mean = $part->number('mean_days', ...Quantity::PartDays->bounds());
            $spread = $part->number('sd_days', ...Quantity::PartDays->bounds());
            $part->done();
        }
        $late = array_map(intval(...), $fields->numbersOrNone('past_late', ...Quantity::LateDays->bounds()));
        $days = $this->days($fields);
        $fields->done();

        return $this->told($this->finish($ways, $ahead, $perDay, $mean, $spread, $days, $late), array_keys($days));
    }

    /**
     * @param  list<array{float, int, int}>  $ways  probability, minutes of hands, minutes alone
     * @param  non-empty-array<string, int>  $days  date => days from the first
     * @param  list<int>  $late  days, of earlier promises
     *
     * @throws InputError when the ways are none, or do not add up to one
     */
    public function finish(array $ways, int $ahead, int $perDay, float $mean, float $spread, array $days, array $late = []): FinishDays
    {
        if (abs(array_sum(array_column($ways, 0)) - 1.0) > 1e-6) {
            throw InputError::at('lines', sprintf(
                'lines: the probabilities of all ways it may go add up to 1, not %s.',
                round(array_sum(array_column($ways, 0)), 6),
            ));
        }
        $finish = FinishDays::of($ways, $ahead, $perDay, FinishDays::arrives($mean, $spread, array_values($days)));

        return count($late) < self::LEARNS_FROM ? $finish : $finish->laterAs($late);
    }

    /**
     * @param  list<string>  $days
     * @return array<string, mixed>
     */
    private function told(FinishDays $finish, array $days): array
    {
        $told = [];
        foreach (['half' => 0.5, 'eighty' => 0.8, 'ninety' => 0.9] as $name => $chance) {
            $day = $finish->first($chance);
            if ($day === null) {
                throw InputError::at('days', sprintf(
                    'days ends on %s, and by then it is ready in %d of 100 only: give more days.',
                    $days[count($days) - 1],
                    (int) floor(100 * $finish->by(count($days) - 1)),
                ));
            }
            $told[$name] = $days[$day];
        }

        return $told + ['by' => array_combine($days, array_map(
            static fn (int $day): float => round($finish->by($day), 6),
            array_keys($days),
        ))];
    }

    /**
     * @return non-empty-array<string, int>
     *
     * @throws InputError when a day is none, or they do not follow each other
     */
    private function days(Fields $fields): array
    {
        $days = [];
        $first = null;
        $last = -1;
        foreach ($fields->texts('days', self::MOST_DAYS) as $i => $text) {
            $day = Fields::of(['day' => $text], "days.{$i}")->moment('day');
            $first ??= $day;
            $since = $day < $first ? -1 : (int) $first->diff($day)->days;
            if ($since <= $last) {
                throw InputError::at("days.{$i}", "days.{$i}: shop days follow each other, {$text} comes after the one before it.");
            }
            $last = $since;
            $days[$day->format('Y-m-d')] = $since;
        }

        return $days === [] ? throw InputError::at('days', 'days is empty: give the days the shop is open.') : $days;
    }
}
