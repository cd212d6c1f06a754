<?php

declare(strict_types=1);

namespace App\Plan\Today;

use Carbon\CarbonImmutable;
use DateTimeZone;

/** A plan in a few words. */
final class PlanWords
{
    /** @param  list<array<string, mixed>>  $jobs  what was promised for today and tomorrow, or before */
    public static function holds(array $jobs): string
    {
        if ($jobs === []) {
            return 'Nothing is promised for today or tomorrow.';
        }
        $kept = array_values(array_filter($jobs, static fn (array $job): bool => $job['late'] === 0 && $job['spare'] !== null));
        $count = count($jobs);
        $words = $count === 1 ? 'One promised for today or tomorrow' : "{$count} promised for today and tomorrow";
        $said = match (true) {
            count($kept) === $count => $count === 1 ? "{$words}, kept." : "{$words}, all kept.",
            $kept === [] => $count === 1 ? "{$words}, not kept." : "{$words}, none of them kept.",
            default => sprintf('%s, %d of them kept.', $words, count($kept)),
        };
        if ($kept === []) {
            return $said;
        }
        usort($kept, static fn (array $a, array $b): int => $a['spare'] <=> $b['spare']);

        return sprintf('%s %s is the tightest: %s to spare.', $said, $kept[0]['name'], self::span((int) $kept[0]['spare']));
    }

    /** @param  array<string, mixed>  $body */
    public static function quality(array $body, DateTimeZone $zone): string
    {
        $ends = array_filter(array_column((array) ($body['jobs'] ?? []), 'ready'));
        if ($ends === []) {
            return 'Nothing to plan.';
        }
        $late = (int) $body['late'];
        $all = CarbonImmutable::parse(max($ends))->setTimezone($zone);

        return sprintf(
            '%s; all done %s. %s',
            $late === 0 ? 'Nothing late' : ($late === 1 ? 'One late' : "{$late} late"),
            $all->format('D j M, H:i'),
            match (true) {
                (bool) $body['proved'] => 'No order of these steps is better.',
                $body['gap'] < 0.005 => 'No order can be better by more than 1 in 100.',
                default => sprintf('No order can be better by more than %d in 100.', (int) ceil(100 * $body['gap'])),
            },
        );
    }

    public static function span(int $minutes): string
    {
        return match (true) {
            $minutes < 120 => "{$minutes} min",
            $minutes < 2 * 1440 => sprintf('%d h', intdiv($minutes, 60)),
            default => sprintf('%d days', intdiv($minutes, 1440)),
        };
    }
}
