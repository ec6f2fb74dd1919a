<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Head\Head;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Refused;
use Crown\Head\FirstFormula;

/** Puts a first version for a head on the bench. */
final class StartForHead
{
    public function __construct(
        private readonly Bench $bench,
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
    ) {
    }

    /**
     * @return array{id: int, remarks: list<string>} as $defs/FirstFormulaMade
     *
     * @throws Refused for a head that a clinician should see first
     */
    public function __invoke(Head $head, FirstFormulaRequest $asked): array
    {
        $profile = $head->profile();
        if ($profile->redFlags() !== []) {
            throw Refused::because(
                'head',
                sprintf('A clinician should see %s first: %s.', $head->name, implode(', ', $profile->redFlags())),
            );
        }
        $season = $this->studio->get()->season(Day::today());
        $first = (new FirstFormula($this->catalogue->get(), $profile, $season, $this->studio->get()->ways()))->make(
            $asked->kind(),
            $asked->ingredients(),
        );
        $formula = Formula::query()->create($this->bench->row(new Given($first->formula, $head, null)));

        return ['id' => $formula->id, 'remarks' => $first->remarks];
    }
}
