<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Knowledge\Material;

/** Whether a spool is old, or damp by now: by its material, the days it has stood open and when it was last dried. */
final readonly class SpoolState
{
    /** @param  list<string>  $because */
    private function __construct(public bool $old, public bool $damp, public array $because)
    {
    }

    /**
     * @param  float|null  $ageDays  since it was made or bought; nothing when nobody knows
     * @param  float|null  $openDays  since it was opened; nothing while it is sealed
     * @param  float|null  $driedDaysAgo  since it was last dried; nothing when it never was
     */
    public static function of(Material $material, ?float $ageDays, ?float $openDays, ?float $driedDaysAgo): self
    {
        $because = [];
        $old = $ageDays !== null && $ageDays > $material->keepsDays;
        if ($old) {
            $because[] = sprintf('%d months old; %s keeps about %d', round($ageDays / 30.4), $material->code, round($material->keepsDays / 30.4));
        }
        $stood = $openDays === null ? null : min($openDays, $driedDaysAgo ?? INF);
        $damp = $stood !== null && $stood > $material->openDays;
        if ($damp) {
            $because[] = sprintf('%s; in the open %s stays dry for about %d', $driedDaysAgo === null ? sprintf('open for %d days and never dried', round((float) $openDays)) : sprintf('dried %d days ago', round($driedDaysAgo)), $material->code, $material->openDays);
        }

        return new self($old, $damp, $because);
    }

    /** @return list<string> findings it is, as circumstances of a job */
    public function findings(): array
    {
        return [...($this->old ? ['old-spool'] : []), ...($this->damp ? ['damp-storage'] : [])];
    }
}
