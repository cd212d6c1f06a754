<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\Refused;
use App\Shop\Person;

/** A spool is taken out of its bag: from now on it takes water. */
final readonly class OpenSpool
{
    public function __construct(private SpoolRecord $record)
    {
    }

    public function open(Spool $spool, Person $by): void
    {
        $this->record->write($spool, static function (Spool $spool): array {
            if ($spool->opened_at !== null) {
                throw Refused::because('spool', "{$spool->code} is open already.");
            }
            $spool->update(['opened_at' => now()]);

            return ['kind' => 'opened'];
        }, $by);
    }
}
