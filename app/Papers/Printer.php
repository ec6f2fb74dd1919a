<?php

declare(strict_types=1);

namespace App\Papers;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\Factory;
use Illuminate\Http\Response;

/** Puts a view on paper, with the fonts that ship with the application; nothing is fetched. */
final class Printer
{
    public const MM = 72 / 25.4;

    public function __construct(private readonly Factory $views)
    {
    }

    /**
     * @param  view-string  $view
     * @param  array<string, mixed>  $data
     * @param  float  $width mm
     * @param  float  $height mm
     */
    public function pdf(string $view, array $data, float $width, float $height, string $file): Response
    {
        $options = new Options();
        $options->setIsRemoteEnabled(false);
        $options->setChroot([resource_path('fonts')]);
        $options->setFontDir(storage_path('fonts'));
        $options->setFontCache(storage_path('fonts'));
        $options->setDefaultFont('Hyperlegible');
        $pdf = new Dompdf($options);
        $pdf->setPaper([0, 0, $width * self::MM, $height * self::MM]);
        $pdf->loadHtml($this->views->make($view, [...$data, 'fonts' => resource_path('fonts')])->render(), 'UTF-8');
        $pdf->render();

        return new Response((string) $pdf->output(), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => sprintf('inline; filename="%s.pdf"', $file),
        ]);
    }
}
