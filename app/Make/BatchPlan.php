<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Make\MakeSheet;
use WeakMap;

/** What a batch was planned to be: its formula never changes, so it is assessed once. */
final class BatchPlan
{
    /** @var WeakMap<Batch, Assessment> */
    private readonly WeakMap $planned;

    public function __construct(private readonly StudioCatalogue $catalogue, private readonly CurrentStudio $studio)
    {
        $this->planned = new WeakMap();
    }

    public function of(Batch $batch): Assessment
    {
        return $this->planned[$batch] ??= Assessor::standard()->assess(
            $batch->composed(),
            $this->catalogue->context(),
        );
    }

    public function sheet(Batch $batch): MakeSheet
    {
        return new MakeSheet($this->of($batch), $this->studio->get()->kitchen()->scaleGrams);
    }
}
