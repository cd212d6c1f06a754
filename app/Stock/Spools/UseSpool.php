<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\Refused;
use App\Shop\Person;

/** Filament goes off a spool into a part. */
final readonly class UseSpool
{
    public function __construct(private SpoolRecord $record)
    {
    }

    public function take(Spool $spool, float $grams, ?string $note, Person $by): void
    {
        $this->record->write($spool, static function (Spool $spool) use ($grams, $note): array {
            if ($grams > (float) $spool->left_g + SpoolRecord::SCALE_G) {
                throw Refused::because(
                    'grams',
                    sprintf('Only about %d g are left on %s. Weigh it.', round((float) $spool->left_g), $spool->code),
                );
            }
            $spool->update(['left_g' => max(0.0, (float) $spool->left_g - $grams), 'opened_at' => $spool->opened_at ?? now()]);

            return ['kind' => 'used', 'note' => $note];
        }, $by);
    }
}
