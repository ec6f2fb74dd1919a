<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Finding;
use Crown\Make\MakeSheet;
use WeakMap;

/** What a batch was planned to be: its formula never changes, so it is assessed once. */
final class BatchPlan
{
    /** @var WeakMap<Batch, Assessment> */
    private readonly WeakMap $planned;

    public function __construct(private readonly StudioCatalogue $catalogue)
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

    /**
     * Why a batch must not be used: an oil in it went bad or was thrown away since.
     *
     * @return list<string>
     */
    public function withdrawn(Batch $batch): array
    {
        $found = array_filter(
            $this->of($batch)->findings,
            static fn (Finding $f): bool => $f->code === 'lot.withdrawn',
        );

        return array_values(array_map(static fn (Finding $f): string => $f->message(), $found));
    }

    public function sheet(Batch $batch): MakeSheet
    {
        return new MakeSheet($this->of($batch));
    }
}
