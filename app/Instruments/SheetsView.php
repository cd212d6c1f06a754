<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OddBench\Knowledge\InstrumentSheet;
use OddBench\Knowledge\Knowledge;
use OpenApi\Attributes as OA;

/** All instruments and what each asks for. */
#[OA\Schema]
final readonly class SheetsView extends View
{
    /** @param  list<SheetView>  $instruments */
    public function __construct(#[OA\Property(type: 'array', items: new OA\Items(ref: SheetView::class))] public array $instruments)
    {
    }

    public static function of(Knowledge $knowledge): self
    {
        return new self(array_values(array_map(
            static fn (InstrumentSheet $s): SheetView => SheetView::of($s, $knowledge),
            $knowledge->instruments,
        )));
    }
}
