<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Formula\Bench;
use App\Formula\Formula;
use App\Formula\Given;
use App\Formula\ReadBack;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Refused;
use Crown\Problem;
use Crown\Steep\SteepDraft;
use Crown\Steep\SteepYield;

/** Begins the steep that a recipe holds; its oil stands in the formula until it is strained, and after. */
final class SteepFromRecipe
{
    public function __construct(
        private readonly Bench $bench,
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
        private readonly BeginSteep $begin,
    ) {
    }

    /** @throws Problem about "text", or about the plants and oils as "steep.herbs.0.amount" */
    public function __invoke(ReadBack $read, string $by, ?string $although): BegunSteep
    {
        $found = $read->recipe->steep ?? throw Refused::because('text', 'No plant is steeped in this recipe.');
        $today = Day::today()->toDateTimeImmutable();
        $draft = new SteepDraft($this->catalogue->get(), $this->studio->get()->kitchen(), $today);
        $kept = Problem::within(
            'steep',
            static fn (): array => $draft->resolved($found->draft($read->recipe->lines, $today)),
        );
        $steep = ($this->begin)(
            new Steep(['started_on' => $today->format('Y-m-d'), 'document' => $kept]),
            $by,
            $although,
        );
        $formula = $found->strained(
            $read->formula,
            Steep::OIL.$steep->id,
            $steep->name,
            SteepYield::awaited($steep->plan($this->catalogue->get()))->grams(),
        );

        return new BegunSteep(
            $steep,
            Formula::query()->create($this->bench->row(new Given($formula, null, null)))->refresh(),
        );
    }
}
