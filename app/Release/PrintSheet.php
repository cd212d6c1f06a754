<?php

declare(strict_types=1);

namespace App\Release;

use App\Api\Pdf;
use App\Shop\Setting;
use Symfony\Component\HttpFoundation\Response;

/** A sheet as PDF. */
final readonly class PrintSheet
{
    public function __construct(private Pdf $pdf)
    {
    }

    public function pdf(Sheet $sheet): Response
    {
        return $this->pdf->of(
            strtolower("{$sheet->tag}-{$sheet->kind}"),
            'sheet',
            ['sheet' => $sheet, 'pdf' => true, 'currency' => Setting::text('currency')],
        );
    }
}
