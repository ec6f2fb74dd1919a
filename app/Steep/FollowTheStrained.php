<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Formula\Bench;
use App\Formula\Formula;
use App\Formula\Given;
use App\Studio\IngredientUses;
use Crown\Formula\Line;
use Crown\Reading\FoundSteep;
use Crown\Steep\SteepYield;

/**
 * A formula that was begun with all that could be expected of a steep has what truly came out of it. An amount that its
 * maker wrote herself stays.
 */
final class FollowTheStrained
{
    public function __construct(private readonly Bench $bench, private readonly StudioCatalogue $catalogue)
    {
    }

    public function __invoke(Steep $steep, float $grams): void
    {
        $oil = Steep::OIL.$steep->id;
        // As it was foretold on the day on which the formula was begun.
        $foretold = SteepYield::awaited($steep->plan($this->catalogue->get(), $steep->started_on))->grams();
        $formulas = Formula::query()
            ->whereIn('id', IngredientUses::of(IngredientUses::FORMULA, [$oil]))
            ->lockForUpdate()
            ->get();
        foreach ($formulas as $formula) {
            $before = $formula->composed();
            $lines = array_map(
                static fn (Line $l): Line => $l->ingredient === $oil
                    && $l->amount->text === FoundSteep::expected($foretold)->text
                        ? $l->withAmount(FoundSteep::expected($grams))
                        : $l,
                $before->lines,
            );
            if ($lines == $before->lines) {
                continue;
            }
            // The revision moves with it, so that whoever has it open is asked, not overwritten.
            $formula->fill([
                ...$this->bench->row(new Given($before->withLines($lines), $formula->head, $formula->hair)),
                'revision' => $formula->revision + 1,
            ])->save();
        }
    }
}
