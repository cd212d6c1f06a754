<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Shop\Person;

/** A spool was dried. */
final readonly class DrySpool
{
    public function __construct(private SpoolRecord $record)
    {
    }

    public function dry(Spool $spool, float $hours, ?float $celsius, Person $by): void
    {
        $this->record->write($spool, static function (Spool $spool) use ($hours, $celsius): array {
            $spool->update(['dried_at' => now(), 'opened_at' => $spool->opened_at ?? now()]);

            return ['kind' => 'dried', 'hours' => $hours, 'celsius' => $celsius];
        }, $by);
    }
}
