<?php

declare(strict_types=1);

namespace App\Release;

use App\Shop\Setting;
use Dompdf\Dompdf;
use Dompdf\Options;
use Symfony\Component\HttpFoundation\Response;

/** A sheet as PDF; nothing is fetched from anywhere for it. */
final class PrintSheet
{
    public function pdf(Sheet $sheet): Response
    {
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setIsPhpEnabled(false);
        $options->setIsJavascriptEnabled(false);
        $options->setDefaultFont('DejaVu Sans');
        $options->setFontCache(storage_path('framework/cache'));
        $options->setTempDir(sys_get_temp_dir());
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4');
        $pdf->loadHtml(view('sheet', ['sheet' => $sheet, 'pdf' => true, 'currency' => Setting::text('currency')])->render(), 'UTF-8');
        $pdf->render();
        $name = strtolower("{$sheet->tag}-{$sheet->kind}");

        return response((string) $pdf->output(), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$name}.pdf\"", 'Cache-Control' => 'private, no-store']);
    }
}
