<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Shop\Person;

/** A spool is done with. */
final readonly class EndSpool
{
    public function __construct(private SpoolRecord $record)
    {
    }

    public function end(Spool $spool, Person $by): void
    {
        $this->record->write($spool, static function (Spool $spool): array {
            $spool->update(['ended_at' => now()]);

            return ['kind' => 'ended'];
        }, $by);
    }
}
