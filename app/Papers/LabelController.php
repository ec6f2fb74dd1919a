<?php

declare(strict_types=1);

namespace App\Papers;

use App\Make\Batch;
use App\Support\Refused;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\Factory;
use Illuminate\Http\Response;

/** The label of one jar as a PDF, 90 by 60 mm, with the fonts that ship with the application. */
final class LabelController
{
    private const MM = 72 / 25.4;

    public function pdf(int $batch, Factory $views): Response
    {
        $row = Batch::query()->findOrFail($batch);
        if ($row->label === null) {
            throw new Refused('state', 'The label is made when the batch is done: finish weighing first.', 409);
        }
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setChroot([resource_path('fonts')]);
        $options->setFontDir(storage_path('fonts'));
        $options->setFontCache(storage_path('fonts'));
        $options->setDefaultFont('Hyperlegible');
        $pdf = new Dompdf($options);
        $pdf->setPaper([0, 0, 90 * self::MM, 60 * self::MM]);
        $pdf->loadHtml($views->make('label', ['label' => $row->label, 'fonts' => resource_path('fonts')])->render(), 'UTF-8');
        $pdf->render();

        return new Response((string) $pdf->output(), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => sprintf('inline; filename="label-%s.pdf"', preg_replace('/[^\w-]/', '', $row->lot_code)),
        ]);
    }
}
