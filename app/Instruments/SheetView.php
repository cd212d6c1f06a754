<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OddBench\Knowledge\InstrumentSheet;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\SheetInput;
use OpenApi\Attributes as OA;

/** What an instrument asks for on screen. */
#[OA\Schema]
final readonly class SheetView extends View
{
    /**
     * @param  list<string>  $cautions
     * @param  list<SheetInputView>  $inputs
     * @param  list<string>  $parts
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(description: 'the sheet this is another way to ask')] public ?string $of,
        #[OA\Property] public string $name,
        #[OA\Property] public string $about,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SheetInputView::class))] public array $inputs,
        #[OA\Property] public string $source,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'classes of part it is measured at')]
        public array $parts,
        #[OA\Property(description: 'it can be kept in a job')] public bool $kept,
    ) {
    }

    public static function of(InstrumentSheet $sheet, Knowledge $knowledge): self
    {
        return new self(
            $sheet->code, $sheet->of, $sheet->name, $sheet->about,
            array_map(static fn (string $hazard): string => $knowledge->hazards[$hazard] ?? $hazard, $sheet->hazards),
            array_map(
                static fn (SheetInput $i): SheetInputView => new SheetInputView(
                    $i->key,
                    $i->label,
                    $i->unit,
                    $i->kind,
                    $i->start,
                    $i->optional,
                    $i->choices,
                    $i->accept,
                ),
                $sheet->inputs,
            ),
            $sheet->source,
            $sheet->keeps->parts ?? [],
            $sheet->keeps !== null,
        );
    }
}
