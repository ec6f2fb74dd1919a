<?php

declare(strict_types=1);

namespace App\Papers;

use App\Catalogue\StudioCatalogue;
use App\Make\Batch;
use App\Make\BatchPlan;
use App\Make\LabelWords;
use App\Steep\SteepedLot;
use App\Studio\CurrentStudio;
use App\Support\Refused;
use Crown\Assessment\Assessor;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\WrittenAmount;
use Crown\Papers\Label;
use Illuminate\Http\Response;

/** Labels as PDF, 90 by 60 mm, with the fonts that ship with the application: of one jar, and of one steeped oil. */
final class LabelController
{
    public function __construct(private readonly Printer $printer, private readonly BatchPlan $plan)
    {
    }

    public function pdf(int $batch): Response
    {
        $row = Batch::query()->findOrFail($batch);
        if ($row->label === null) {
            throw Refused::now('state', 'The label is made when the batch is done: finish weighing first.');
        }

        $withdrawn = $this->plan->withdrawn($row);
        if ($withdrawn !== []) {
            throw Refused::now('state', 'This batch must not be used: it gets no label. '.implode(' ', $withdrawn));
        }

        return $this->printed($row->label, $row->lot_code);
    }

    /** An oil that was steeped here, as it stands in the pantry. */
    public function lot(int $lot, StudioCatalogue $catalogue, CurrentStudio $studio): Response
    {
        $row = SteepedLot::query()->with(['steep.events', 'steep.poured'])->findOrFail($lot);
        if ($row->withdrawn !== '') {
            throw Refused::now('state', 'This oil must not be used: it gets no label.');
        }
        $line = new Line('l1', $row->ingredientId(), $row->title(), new WrittenAmount('100 %'), '', Phase::Warm);
        $formula = new Formula(
            $row->title(),
            ProductKind::HairOil,
            Audience::AdultLeaveOn,
            [$line],
            [],
            Size::mass($row->grams),
        );
        $made = $row->made_on->toDateTimeImmutable();
        $yield = $row->yield($row->steep->plan($catalogue->get(), $row->made_on));
        $label = new Label(
            Assessor::standard()->assess($formula, $catalogue->context()),
            $row->code(),
            $row->grams,
            $made,
            $studio->get()->maker,
            $studio->get()->region(),
        );

        return $this->printed(
            [
                ...LabelWords::of($label, $row->made_on),
                'best_before' => $yield->bestBefore($made)->format('Y-m-d'),
                'store' => $yield->store()->words() ?? '',
            ],
            $row->code(),
        );
    }

    /** @param  array<string, mixed>  $words */
    private function printed(array $words, string $code): Response
    {
        return $this->printer->pdf(
            'label',
            ['label' => $words],
            90,
            60,
            'label-'.preg_replace('/[^\w-]/', '', $code),
        );
    }
}
