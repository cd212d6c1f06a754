<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Knowledge\Material;

/** Whether a spool is old, or damp by now: by its material, the days it has stood open and when it was last dried. */
final readonly class SpoolState
{
    /**
     * @param  list<string>  $because
     * @param  array<string, string>  $findings  what it is as a circumstance of a job => in a few words, under 50 letters
     */
    private function __construct(public bool $old, public bool $damp, public array $because, public array $findings)
    {
    }

    /**
     * @param  float|null  $ageDays  since it was made or bought; nothing when nobody knows
     * @param  float|null  $openDays  since it was opened; nothing while it is sealed
     * @param  float|null  $driedDaysAgo  since it was last dried; nothing when it never was
     */
    public static function of(Material $material, ?float $ageDays, ?float $openDays, ?float $driedDaysAgo): self
    {
        $because = $findings = [];
        $old = $ageDays !== null && $ageDays > $material->keepsDays;
        if ($old) {
            $findings['old-spool'] = sprintf('%d months old', round($ageDays / 30.4));
            $because[] = sprintf('%s; %s keeps about %d', $findings['old-spool'], $material->code, round($material->keepsDays / 30.4));
        }
        $stood = $openDays === null ? null : min($openDays, $driedDaysAgo ?? INF);
        $damp = $stood !== null && $stood > $material->openDays;
        if ($damp) {
            $findings['damp-storage'] = $driedDaysAgo === null ? sprintf(
                'open for %d days and never dried',
                round((float) $openDays),
            ) : sprintf('dried %d days ago', round($driedDaysAgo));
            $because[] = sprintf(
                '%s; in the open %s stays dry for about %d',
                $findings['damp-storage'],
                $material->code,
                $material->openDays,
            );
        }

        return new self($old, $damp, $because, $findings);
    }
}
