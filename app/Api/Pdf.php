<?php

declare(strict_types=1);

namespace App\Api;

use Dompdf\Dompdf;
use Dompdf\Options;
use Symfony\Component\HttpFoundation\Response;

/** A view as PDF; nothing is fetched from anywhere for it. */
final class Pdf
{
    /** @param  array<string, mixed>  $with  what the view shows */
    public function of(string $name, string $view, array $with): Response
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
        $pdf->loadHtml(view($view, $with)->render(), 'UTF-8');
        $pdf->render();

        return response(
            (string) $pdf->output(),
            200,
            [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => "inline; filename=\"{$name}.pdf\"",
                'Cache-Control' => 'private, no-store',
            ],
        );
    }
}
