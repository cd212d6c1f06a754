<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\Refused;
use App\Machines\Machine;
use App\Money\Worth\DonorParts;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Money\Price;

/** A machine that was sent to sale is sold. */
final readonly class SellMachine
{
    public function __construct(private DonorParts $parts)
    {
    }

    /** Whether it is for sale and not sold yet. */
    public static function may(Machine $machine): bool
    {
        return $machine->place === 'sale' && ! self::sold($machine);
    }

    /**
     * @param  bool  $belowParts  it brings less than its parts alone would, and that is so
     *
     * @throws Refused when it is not for sale, is sold already, or brings less than its parts and nobody has said that it is so
     */
    public function sell(Machine $machine, int $price, bool $belowParts, Person $by): Sale
    {
        return DB::transaction(function () use ($machine, $price, $belowParts, $by): Sale {
            $machine = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            if (self::sold($machine)) {
                throw Refused::because('price', "{$machine->tag} is sold already.");
            }
            if ($machine->place !== 'sale') {
                throw Refused::because('price', "{$machine->tag} is not for sale: it is signed out to sale first.");
            }
            $parts = $this->parts->of($machine)->worth;
            if ($price < $parts && ! $belowParts) {
                throw Refused::because('belowParts', sprintf(
                    'Its parts alone bring %s, this is %s. Split it instead, or say that it is so.',
                    Price::words($parts),
                    Price::words($price),
                ));
            }

            return Sale::query()->create(['machine_id' => $machine->id, 'price_minor' => $price, 'person_id' => $by->id, 'at' => now()]);
        });
    }

    /** Since it was sent to sale: one that was bought back is sold anew. */
    private static function sold(Machine $machine): bool
    {
        return Sale::query()->where('machine_id', $machine->id)->where('at', '>=', $machine->place_since ?? $machine->created_at)->exists();
    }
}
