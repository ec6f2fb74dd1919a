<?php

declare(strict_types=1);

namespace Crown\Assessment\Internal;

use Crown\Assessment\Checks\Slump;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\FindingWords;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Assessment\Texture;
use Crown\Assessment\WaterClass;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;
use Crown\Formula\Audience;
use Crown\Formula\ProductKind;
use Crown\Measure\Amount;
use Crown\Measure\Months;
use Crown\Measure\Number;
use Crown\Measure\Property;
use Crown\Words\Message;
use DateTimeImmutable;
use LogicException;

/**
 * What each finding of an assessment says, made of its code, its lines and its figures; no rule is decided here. Each
 * method is named after its code.
 */
final readonly class Sentences implements FindingWords
{
    public function of(Finding $finding): string
    {
        return $this->ofWhat($finding)
            ?? self::ofLots($finding)
            ?? $this->ofWarnings($finding)
            ?? $this->ofLoad($finding)
            ?? $this->ofWater($finding)
            ?? $this->ofPreservation($finding)
            ?? $this->ofTexture($finding)
            ?? $this->ofMaking($finding)
            ?? throw new LogicException("No words for $finding->code.");
    }

    /** What it is made of, and for whom. */
    private function ofWhat(Finding $f): ?string
    {
        return match ($f->code) {
            'ingredient.unknown' => $this->unplaced($f),
            'line.doubtful' => Message::said('assessment.finding.line.doubtful', [
                'what' => $f->about[0],
                'text' => mb_substr($f->about[1], 0, 60),
                'name' => Name::inSentence($f->portions[0]->name()),
                'amount' => $f->portions[0]->line->amount->text,
            ]),
            'amount.unknown' => Message::said('assessment.finding.amount.unknown', [
                'names' => self::orNameless($f),
                'problem' => $f->portions[0]->problem ?? '',
            ]),
            'shares.sum' => $this->sharesSum($f),
            'forgotten' => Message::said('assessment.finding.forgotten', [
                'name' => $f->about[0],
                'amount' => $f->about[1] === '' ? 'none' : $f->about[1],
            ]),
            'doubtful' => Message::said('assessment.finding.doubtful', [
                'name' => $f->portions[0]->name(),
                'share_now' => self::rough($f->figure(FigureName::ShareNow)->best),
                'share_before' => self::rough($f->figure(FigureName::ShareBefore)->best),
                'version' => $f->about[0],
            ]),
            'purpose' => $this->purpose($f),
            'allergen' => Message::said('assessment.finding.allergen', [
                'allergen' => $f->about[0],
                'names' => self::lower($f, ', '),
            ]),
            default => $this->ofWhom($f),
        };
    }

    /** Who gets it, and what may be said to them. */
    private function ofWhom(Finding $f): ?string
    {
        return match ($f->code) {
            'claim.illness' => Message::said('assessment.finding.claim.illness', ['illness' => $f->about[0]]),
            'sale.law' => Message::said('assessment.finding.sale.law'),
            default => null,
        };
    }

    /** What lies in the oils that were steeped here. */
    private static function ofLots(Finding $f): ?string
    {
        return match ($f->code) {
            'lot.awaited' => Message::said('assessment.finding.lot.awaited', [
                'names' => self::names($f),
                'day' => (new DateTimeImmutable($f->about[0]))->format('j F Y'),
            ]),
            'lot.grown' => Message::said('assessment.finding.lot.grown', [
                'names' => self::names($f),
                'why' => lcfirst($f->term('why')),
            ]),
            'lot.past' => Message::said('assessment.finding.lot.past', [
                'names' => self::names($f),
                'day' => (new DateTimeImmutable($f->about[0]))->format('j F Y'),
            ]),
            'lot.withdrawn' => Message::said('assessment.finding.lot.withdrawn', [
                'names' => self::names($f),
                'why' => $f->about[0],
            ]),
            default => null,
        };
    }

    /** What its ingredients warn of. */
    private function ofWarnings(Finding $f): ?string
    {
        return match ($f->code) {
            'caution' => Message::said('assessment.finding.caution', [
                'name' => $f->portions[0]->name(),
                'says' => lcfirst($f->term('says')),
            ]),
            'ask-first' => Message::said('assessment.finding.ask-first', [
                'names' => self::lower($f),
                'conditions' => implode(', ', $f->about),
            ]),
            default => null,
        };
    }

    private function ofLoad(Finding $f): ?string
    {
        return match ($f->code) {
            'load.audience' => Message::said('assessment.finding.load.audience'),
            'load.open' => Message::said('assessment.finding.load.open', [
                'names' => self::lower($f),
                'ceiling' => sprintf('%g', $f->figure(FigureName::Ceiling)->best),
                'audience' => Audience::from($f->about[0])->label(),
            ]),
            'load.oil' => self::oilOverMaximum($f),
            'load.total' => Message::said('assessment.finding.load.total', [
                'essential_oils' => sprintf('%.2f', $f->figure(FigureName::EssentialOils)->best),
                'essential_oils_high' => sprintf('%.2f', $f->figure(FigureName::EssentialOils)->high),
                'audience' => Audience::from($f->about[0])->label(),
                'ceiling' => sprintf('%g', $f->figure(FigureName::Ceiling)->best),
            ]),
            'load.constituent' => Message::said('assessment.finding.load.constituent', [
                'constituent_name' => ucfirst($f->about[0]),
                'names' => self::lower($f),
                'constituent' => sprintf('%.3g', $f->figure(FigureName::Constituent)->best),
                'limit' => sprintf('%g', $f->figure(FigureName::Limit)->best),
            ]),
            'phototoxic' => $this->phototoxic($f),
            'phototoxic.together' => Message::said('assessment.finding.phototoxic.together', [
                'names' => self::names($f),
                'part_of_phototoxic_maximum' => sprintf('%.0f', $f->figure(FigureName::PartOfPhototoxicMaximum)->best),
            ]),
            default => $this->ofDoses($f),
        };
    }

    /** How much of one thing, and for whom none. */
    private function ofDoses(Finding $f): ?string
    {
        return match ($f->code) {
            'dose.over' => Message::said('assessment.finding.dose.over', [
                'names' => self::names($f),
                'worst' => $f->about === [] ? 'no' : 'yes',
                'share' => sprintf('%.1f', self::shareMeant($f)),
                'range_low' => sprintf('%g', $f->figure(FigureName::Range)->low),
                'range_high' => sprintf('%g', $f->figure(FigureName::Range)->high),
            ]),
            'child.avoid' => Message::said('assessment.finding.child.avoid', [
                'names' => self::names($f),
                'why' => Audience::from($f->about[0])->excludes($f->portions[0]->ingredient) ?? '',
                'audience' => Audience::from($f->about[0])->label(),
            ]),
            'pregnancy.avoid' => $f->severity === Severity::Stop
                ? Message::said('assessment.finding.pregnancy.avoid', [
                    'names' => self::names($f),
                    'why' => Audience::Pregnancy->excludes($f->portions[0]->ingredient) ?? '',
                ])
                : Message::said('assessment.finding.pregnancy.ask', ['names' => self::names($f)]),
            default => null,
        };
    }

    /** Water and keeping. */
    private function ofWater(Finding $f): ?string
    {
        return match ($f->code) {
            'water.trace' => self::isSteep($f->portions)
                ? Message::said('assessment.finding.water.trace-steep', [
                    'names' => self::lower($f),
                    'water' => sprintf('%.2f', $f->figure(FigureName::Water)->best),
                ])
                : Message::said('assessment.finding.water.trace', [
                    'names' => self::names($f),
                    'count' => self::count($f),
                    'water' => sprintf('%.1f', $f->figure(FigureName::Water)->best),
                ]),
            'water.free' => $this->freeWater($f),
            'water.unknown' => Message::said('assessment.finding.water.unknown', ['names' => self::lower($f)]),
            'water.spirit' => Message::said('assessment.finding.water.spirit', [
                'alcohol' => sprintf('%.0f', $f->figure(FigureName::Alcohol)->best),
                'water' => sprintf('%.0f', $f->figure(FigureName::Water)->best),
            ]),
            'emulsifier.missing' => Message::said('assessment.finding.emulsifier.missing', [
                'emulsifier' => sprintf('%.1f', $f->figure(FigureName::Emulsifier)->best),
                'water' => sprintf('%.1f', $f->figure(FigureName::Water)->best),
            ]),
            'sale.challenge-test' => Message::said('assessment.finding.sale.challenge-test'),
            'life.short' => $f->about[0] === 'not known'
                ? Message::said('assessment.finding.life.not-known')
                : Message::said('assessment.finding.life.short', [
                    'time' => self::time($f->figure(FigureName::Life)->best),
                    'reason' => $f->term('reason'),
                ]),
            default => null,
        };
    }

    private function ofPreservation(Finding $f): ?string
    {
        return match ($f->code) {
            'preservative.missing' => $this->preservativeMissing($f),
            'preservative.unsuitable' => self::unsuitable($f),
            'preservative.dose' => Message::said('assessment.finding.preservative.dose', [
                'names' => self::names($f),
                'share_of_whole' => sprintf('%.2f', $f->figure(FigureName::ShareOfWhole)->best),
                'share_of_base' => sprintf('%.2f', $f->figure(FigureName::ShareOfBase)->best),
                'range_low' => sprintf('%g', $f->figure(FigureName::Range)->low),
                'range_high' => sprintf('%g', $f->figure(FigureName::Range)->high),
            ]),
            default => self::ofAcidity($f),
        };
    }

    private static function unsuitable(Finding $f): string
    {
        $with = ['names' => self::names($f), 'count' => self::count($f)];

        return match ($f->about[0]) {
            'oil only' => Message::said('assessment.finding.preservative.oil-only', $with),
            'not in oil' => Message::said('assessment.finding.preservative.not-in-oil', $with),
            default => Message::said('assessment.finding.preservative.narrow', $with),
        };
    }

    /** What the water is to a preservative. */
    private static function ofAcidity(Finding $f): ?string
    {
        return match ($f->code) {
            'preservative.ph' => Message::said('assessment.finding.preservative.ph', [
                'names' => self::names($f),
                'highest_ph' => sprintf('%g', $f->figure(FigureName::HighestPh)->best),
            ]),
            'preservative.alkali' => Message::said('assessment.finding.preservative.alkali', [
                'name' => $f->portions[0]->name(),
                'highest_ph' => sprintf('%g', $f->figure(FigureName::HighestPh)->best),
                'alkalis' => implode(' and ', array_map(
                    static fn (Portion $p): string => Name::inSentence($p->name()),
                    array_slice($f->portions, 1),
                )),
            ]),
            'preservative.unsure' => Message::said('assessment.finding.preservative.unsure', [
                'names' => self::lower($f),
                'open' => $f->term('open'),
            ]),
            'antioxidant.not-preservative' => Message::said('assessment.finding.antioxidant.not-preservative', [
                'names' => self::names($f),
            ]),
            default => null,
        };
    }

    private function ofTexture(Finding $f): ?string
    {
        return match ($f->code) {
            'texture.scrape' => Message::said('assessment.finding.texture.scrape', [
                'coldroom' => sprintf('%g', Texture::COLD_ROOM),
                'solids_at' => sprintf('%.0f', $f->figure(FigureName::SolidsAt12)->best),
            ]),
            'texture.slump' => $this->slump($f),
            'texture.sets' => Message::said('assessment.finding.texture.sets', [
                'pours_from' => sprintf('%g', $f->figure(FigureName::PoursFrom)->best),
            ]),
            'texture.whip' => $f->about[0] === 'soft'
                ? Message::said('assessment.finding.texture.holds-no-air')
                : Message::said('assessment.finding.texture.takes-no-air'),
            'texture.soften' => Message::said('assessment.finding.texture.soften', [
                'names' => self::names($f),
                'solids_lost' => sprintf('%.0f', $f->figure(FigureName::SolidsLost)->best),
            ]),
            'texture.bloom' => Message::said('assessment.finding.texture.bloom', ['names' => self::names($f)]),
            'texture.grainy' => Message::said('assessment.finding.texture.grainy', ['names' => self::names($f)]),
            default => null,
        };
    }

    /** What the hands should know. */
    private function ofMaking(Finding $f): ?string
    {
        return match ($f->code) {
            'phase.heat-shy' => Message::said('assessment.finding.phase.heat-shy', [
                'names' => self::names($f),
                'phase' => mb_strtolower($f->portions[0]->line->phase->label()),
                'warmth_of_phase' => sprintf('%g', $f->figure(FigureName::WarmthOfPhase)->best),
                'highest_addition' => sprintf('%g', $f->figure(FigureName::HighestAddition)->best),
            ]),
            'scent.heated' => Message::said('assessment.finding.scent.heated', [
                'about' => rtrim($f->about[0], '. '),
                'names' => self::names($f),
            ]),
            'insoluble.powder' => $this->insolublePowder($f->portions[0], $f->about[0]),
            'bowl.small' => Message::said('assessment.finding.bowl.small', [
                'volume' => sprintf('%.0f', $f->figure(FigureName::Volume)->best),
                'for' => $f->about[0],
                'bowl_needed' => sprintf('%.0f', $f->figure(FigureName::BowlNeeded)->best),
                'largest_bowl' => sprintf('%.0f', $f->figure(FigureName::LargestBowl)->best),
                'goes' => (int) ceil(
                    $f->figure(FigureName::BowlNeeded)->best / $f->figure(FigureName::LargestBowl)->best,
                ),
            ]),
            'scale.resolution' => Message::said('assessment.finding.scale.resolution', [
                'grams' => sprintf('%.2g', $f->figure(FigureName::Grams)->best),
                'millilitres' => self::millilitres($f->portions[0], $f->figure(FigureName::Grams)->best) ?? 'none',
                'name' => Name::inSentence($f->portions[0]->name()),
                'step' => sprintf('%g', $f->figure(FigureName::StepOfScale)->best),
                'uncertain' => sprintf('%.0f', $f->figure(FigureName::Uncertain)->best),
                'liquid' => $f->portions[0]->ingredient->kind->isLiquid() ? 'yes' : 'no',
                'times' => (int) $f->figure(FigureName::TimesAsMuch)->best,
            ]),
            'drying-oil.rags' => Message::said('assessment.finding.drying-oil.rags', [
                'names' => self::names($f),
                'count' => self::count($f),
            ]),
            default => null,
        };
    }

    private function sharesSum(Finding $f): string
    {
        $percent = Amount::number($f->figure(FigureName::SumOfShares)->best);

        return $f->about[0] === 'over'
            ? Message::said('assessment.finding.shares.over', ['percent' => $percent])
            : Message::said('assessment.finding.shares.proportions', ['percent' => $percent]);
    }

    private function purpose(Finding $f): string
    {
        return Message::said('assessment.finding.purpose', [
            'kind' => lcfirst(ProductKind::from($f->about[0])->label()),
            'lacks' => $f->about[1],
        ]);
    }

    private function phototoxic(Finding $f): string
    {
        $limit = $f->figure(FigureName::PhototoxicMaximum)->best;

        return $f->severity === Severity::Stop
            ? Message::said('assessment.finding.phototoxic.over', [
                'names' => self::names($f),
                'share_high' => sprintf('%.2f', $f->figure(FigureName::Share)->high),
                'limit' => sprintf('%g', $limit),
            ])
            : Message::said('assessment.finding.phototoxic.under', [
                'names' => self::names($f),
                'limit' => sprintf('%g', $limit),
            ]);
    }

    private function preservativeMissing(Finding $f): string
    {
        return match (WaterClass::from($f->about[0])) {
            WaterClass::WetInUse => Message::said('assessment.finding.preservative.missing-wet-use'),
            WaterClass::Traces => Message::said('assessment.finding.preservative.missing-traces'),
            default => Message::said('assessment.finding.preservative.missing', [
                'phases' => in_array('one phase', $f->about, true) ? 'one' : 'two',
                'water' => self::rough($f->figure(FigureName::Water)->best),
            ]),
        };
    }

    private function unplaced(Finding $f): string
    {
        $audience = Audience::from($f->about[0]);
        $name = mb_substr($f->portions[0]->name(), 0, 60);

        return $f->severity === Severity::Stop
            ? Message::said('assessment.finding.ingredient.unknown-for', [
                'name' => $name,
                'audience' => $audience->label(),
            ])
            : Message::said('assessment.finding.ingredient.unknown', ['name' => $name]);
    }

    private function freeWater(Finding $f): string
    {
        $then = Message::said('assessment.finding.water.then');

        return match ($f->about[0]) {
            'open' => Message::said('assessment.finding.water.free-open', [
                'names' => self::lower($f),
                'then' => $then,
            ]),
            'one phase' => Message::said('assessment.finding.water.one-phase', [
                'water' => sprintf('%.0f', $f->figure(FigureName::Water)->best),
                'names' => self::lower($f),
            ]),
            default => Message::said('assessment.finding.water.free', [
                'water' => sprintf('%.1f', $f->figure(FigureName::Water)->best),
                'names' => self::lower($f),
                'then' => $then,
            ]),
        };
    }

    /** @param  list<Portion>  $portions */
    private static function isSteep(array $portions): bool
    {
        return array_filter(
            $portions,
            static fn (Portion $p): bool => $p->ingredient->kind !== IngredientKind::ReadySteep,
        ) === [];
    }

    private function slump(Finding $f): string
    {
        if ($f->figures === []) {
            return Message::said('assessment.finding.texture.slump-not-known');
        }
        $room = $f->figure(FigureName::SolidsAt25)->best;

        return $room >= Slump::POURS
            ? Message::said('assessment.finding.texture.slump-hot', [
                'hotday' => sprintf('%g', Texture::HOT_DAY),
                'solids_at' => sprintf('%.0f', $f->figure(FigureName::SolidsAt32)->best),
            ])
            : Message::said('assessment.finding.texture.slump', ['room' => sprintf('%.0f', $room)]);
    }

    private function insolublePowder(Portion $portion, string $how): string
    {
        $kind = $portion->ingredient->kind;

        $with = ['name' => $portion->name()];

        return match (true) {
            $how === 'paste' => Message::said('assessment.finding.insoluble.paste', $with),
            $how === 'strained' => Message::said('assessment.finding.insoluble.strained', $with),
            $kind->isPlant() => Message::said('assessment.finding.insoluble.plant', $with),
            $kind === IngredientKind::Starch => Message::said('assessment.finding.insoluble.starch', $with),
            $kind === IngredientKind::Humectant => Message::said('assessment.finding.insoluble.humectant', $with),
            default => Message::said('assessment.finding.insoluble', $with),
        };
    }

    private static function orNameless(Finding $f): string
    {
        return self::names($f) === '' ? Message::said('assessment.finding.nameless') : self::names($f);
    }

    private static function oilOverMaximum(Finding $f): string
    {
        return $f->figure(FigureName::DermalMaximum)->best <= 0.0
            ? Message::said('assessment.finding.load.never', ['names' => self::names($f)])
            : Message::said('assessment.finding.load.each', [
                'names' => self::names($f),
                'share_high' => sprintf('%.2f', $f->figure(FigureName::Share)->high),
                'dermal_maximum' => sprintf('%g', $f->figure(FigureName::DermalMaximum)->best),
                'why' => $f->portions[0]->ingredient->precautions->dermalReason ?? '',
            ]);
    }

    /** The share that a finding of a dose is about, per cent: the likely one, or the worst. */
    private static function shareMeant(Finding $f): float
    {
        $share = $f->figure(FigureName::Share);

        return $f->about === [] ? $share->best : $share->high;
    }

    private static function names(Finding $f): string
    {
        return implode(' and ', self::called($f));
    }

    private static function count(Finding $f): int
    {
        return count(self::called($f));
    }

    private static function lower(Finding $f, string $between = ' and '): string
    {
        return implode($between, array_map(Name::inSentence(...), self::called($f)));
    }

    /** @return list<string> each once, though it stands in two lines */
    private static function called(Finding $f): array
    {
        return array_values(array_unique(array_map(static fn (Portion $p): string => $p->name(), $f->portions)));
    }

    /** A share to the digit that a slip of the pen would change. */
    private static function rough(float $percent): string
    {
        return number_format($percent, $percent < 10.0 ? 1 : 0);
    }

    /** Of what is poured and whose density is known. */
    private static function millilitres(Portion $of, float $grams): ?string
    {
        $facts = $of->ingredient->facts;
        if (! $of->ingredient->kind->isLiquid() || ! $facts->has(Property::Density20)) {
            return null;
        }

        return Number::shown($grams / $facts->best(Property::Density20, 1.0), 1);
    }

    private static function time(float $months): string
    {
        return $months < 1.0
            ? Message::said('assessment.days', ['days' => round($months * Months::DAYS)])
            : Message::said('assessment.months', ['months' => round($months, 1)]);
    }
}
