<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OddBench\Input\Contents;
use OddBench\Instruments\SheetResult;
use OddBench\Instruments\Verdict;
use OddBench\Knowledge\InstrumentSheet;
use OpenApi\Attributes as OA;

/** What an instrument read, ready to be shown. */
#[OA\Schema]
final readonly class ReadView extends View
{
    /**
     * @param  list<ResultLineView>  $lines
     * @param  array<string, mixed>  $input  as the instrument was asked, files left out
     * @param  array<string, mixed>  $result  under the names of `compute`
     */
    public function __construct(
        #[OA\Property(enum: Verdict::class)] public ?string $verdict,
        #[OA\Property] public ?string $because,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ResultLineView::class))] public array $lines,
        #[OA\Property] public ?GaugeView $gauge,
        #[OA\Property(description: 'the formula with the numbers put in')] public string $worked,
        #[OA\Property] public string $source,
        #[OA\Property(type: 'object', additionalProperties: true)] public array $input,
        #[OA\Property(type: 'object', additionalProperties: true)] public array $result,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  array<string, mixed>  $result
     */
    public static function of(InstrumentSheet $sheet, SheetResult $shown, array $input, array $result): self
    {
        $plain = InstrumentResult::of($result);
        $g = $shown->gauge;

        return new self(
            $plain->verdict,
            $plain->because,
            array_map(
                static fn (array $line): ResultLineView => new ResultLineView($line['label'], $line['value'], $line['unit']),
                $shown->lines,
            ),
            $g === null ? null : new GaugeView(
                $g['label'],
                $g['unit'],
                $g['value'],
                $g['from'],
                $g['to'],
                $g['ok'][0],
                $g['ok'][1],
                $g['watch'][0],
                $g['watch'][1],
            ),
            $shown->worked,
            $sheet->source,
            array_filter($input, static fn (mixed $value): bool => ! $value instanceof Contents),
            $result,
        );
    }

    /** @return array<string, mixed> an empty map stays a map */
    public function jsonSerialize(): array
    {
        return ['input' => (object) $this->input, 'result' => (object) $this->result] + parent::jsonSerialize();
    }
}
