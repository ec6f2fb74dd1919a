<?php

declare(strict_types=1);

namespace App\Papers;

use App\Catalogue\StudioCatalogue;
use App\Make\Batch;
use App\Pantry\Lot;
use App\Studio\CurrentStudio;
use App\Support\Refused;
use Crown\Formula\Assessor;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Papers\Label;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\Factory;
use Illuminate\Http\Response;

/** Labels as PDF, 90 by 60 mm, with the fonts that ship with the application: of one jar, and of one steeped oil. */
final class LabelController
{
    private const MM = 72 / 25.4;

    public function __construct(private readonly Factory $views)
    {
    }

    public function pdf(int $batch): Response
    {
        $row = Batch::query()->findOrFail($batch);
        if ($row->label === null) {
            throw new Refused('state', 'The label is made when the batch is done: finish weighing first.', 409);
        }

        return $this->printed($row->label, $row->lot_code);
    }

    /** An oil that was steeped here, as it stands in the pantry. */
    public function lot(int $lot, StudioCatalogue $catalogue, CurrentStudio $studio): Response
    {
        $row = Lot::query()->findOrFail($lot);
        if ($row->withdrawn !== '') {
            throw new Refused('state', 'This oil must not be used: it gets no label.', 409);
        }
        $line = new Line('l1', $row->ingredientId(), $row->name, '100 %', '', Phase::Warm);
        $formula = new Formula($row->name, ProductKind::HairOil, Audience::AdultLeaveOn, [$line], [], Size::mass($row->grams));
        $label = new Label(Assessor::standard()->assess($formula, $catalogue->context()), $row->code(), $row->grams, $row->made_on->toDateTimeImmutable(), $studio->get()->maker);

        return $this->printed([...LabelWords::of($label, $row->made_on), 'best_before' => $row->best_before->toDateString()], $row->code());
    }

    /** @param  array<string, mixed>  $words */
    private function printed(array $words, string $code): Response
    {
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setChroot([resource_path('fonts')]);
        $options->setFontDir(storage_path('fonts'));
        $options->setFontCache(storage_path('fonts'));
        $options->setDefaultFont('Hyperlegible');
        $pdf = new Dompdf($options);
        $pdf->setPaper([0, 0, 90 * self::MM, 60 * self::MM]);
        $pdf->loadHtml($this->views->make('label', ['label' => $words, 'fonts' => resource_path('fonts')])->render(), 'UTF-8');
        $pdf->render();

        return new Response((string) $pdf->output(), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => sprintf('inline; filename="label-%s.pdf"', preg_replace('/[^\w-]/', '', $code)),
        ]);
    }
}
