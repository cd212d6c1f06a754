<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Shop\Person;
use OddBench\Input\InputError;

/** What is left on a spool, by the scale. */
final readonly class WeighSpool
{
    public function __construct(private SpoolRecord $record)
    {
    }

    /** @param  float  $grossG  spool and all, on the scale */
    public function weigh(Spool $spool, float $grossG, Person $by): void
    {
        $this->record->write($spool, static function (Spool $spool) use ($grossG): array {
            $left = $grossG - (float) $spool->empty_g;
            if ($left < -SpoolRecord::SCALE_G) {
                throw InputError::at(
                    'grams',
                    sprintf('The empty spool alone weighs %s g. Weigh it with the spool, in grams.', (float) $spool->empty_g),
                );
            }
            if ($left > (float) $spool->net_g + SpoolRecord::SCALE_G) {
                throw InputError::at(
                    'grams',
                    sprintf(
                        'That would be %d g of filament, and there were %d g when it was new. In grams? The right spool?',
                        round($left),
                        round((float) $spool->net_g),
                    ),
                );
            }
            $spool->update(['left_g' => max(0.0, min((float) $spool->net_g, $left))]);

            return ['kind' => 'weighed'];
        }, $by);
    }
}
