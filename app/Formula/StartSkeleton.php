<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Refused;
use Crown\Formula\FormulaDocument;
use Crown\Head\FirstFormula;

/** Puts the skeleton of a product's kind on the bench. */
final class StartSkeleton
{
    /** What a skeleton is made for where nobody said. */
    private const ANY_HAIR = ['strand' => 'medium', 'porosity' => 'normal'];

    public function __construct(
        private readonly Bench $bench,
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
    ) {
    }

    /** @throws Refused for a type of hair that is none */
    public function __invoke(SkeletonRequest $asked): Formula
    {
        $profile
            = Bench::profile(null, $asked->hair() ?? self::ANY_HAIR)
            ?? throw Refused::because('hair', 'A type of hair.');
        $season = $this->studio->get()->season(Day::today());
        $first = (new FirstFormula($this->catalogue->get(), $profile, $season, $this->studio->get()->ways()))->make(
            $asked->kind(),
            $asked->ingredients(),
        )->formula;
        $titled = FormulaDocument::read([...FormulaDocument::write($first), 'title' => $asked->kind()->label()]);

        return Formula::query()
            ->create($this->bench->row(new Given($titled, null, $asked->hair())))
            ->refresh();
    }
}
