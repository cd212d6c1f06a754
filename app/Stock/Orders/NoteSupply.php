<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;

/** Where a part is bought. The first one is the one it is ordered from; another can be preferred. */
final readonly class NoteSupply
{
    public function note(Part $part, Supplier $supplier, ?string $number, int $pack, int $packCostMinor, bool $prefer = false): Supply
    {
        return DB::transaction(function () use ($part, $supplier, $number, $pack, $packCostMinor, $prefer): Supply {
            $part = Part::query()->lockForUpdate()->findOrFail($part->id);
            $supply = Supply::query()->firstOrNew(['part_id' => $part->id, 'supplier_id' => $supplier->id]);
            if ($prefer
                || ! Supply::query()->where('part_id', $part->id)->where('preferred', true)->whereKeyNot($supply->id ?? 0)->exists()) {
                Supply::query()->where('part_id', $part->id)->update(['preferred' => false]);
                $supply->preferred = true;
            } elseif (! $supply->exists) {
                $supply->preferred = false;
            }
            $supply->fill(['number' => $number, 'pack' => $pack])->costs($packCostMinor);
            Part::index([$part->id]);

            return $supply;
        });
    }
}
