<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** A spool is made known. */
final readonly class AddSpool
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function add(
        string $material,
        ?string $colour,
        ?string $lot,
        float $netG,
        float $emptyG,
        int $pricePerKgMinor,
        ?Carbon $madeOn,
    ): Spool {
        $of = $this->knowledge->material($material);

        return DB::transaction(static function () use ($of, $colour, $lot, $netG, $emptyG, $pricePerKgMinor, $madeOn): Spool {
            DB::select('SELECT pg_advisory_xact_lock(?)', [crc32('spool')]);
            $last = Spool::query()->max('id');

            return Spool::query()->create([
                'code' => 'S'.((is_numeric($last) ? (int) $last : 0) + 1),
                'material' => $of->code,
                'colour' => $colour,
                'lot' => $lot,
                'net_g' => $netG,
                'empty_g' => $emptyG,
                'left_g' => $netG,
                'price_per_kg_minor' => $pricePerKgMinor,
                'made_on' => $madeOn,
            ]);
        });
    }
}
