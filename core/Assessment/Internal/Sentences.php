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
            ?? throw new LogicException(sprintf('There is no sentence for "%s".', $finding->code));
    }

    /** What it is made of, and for whom. */
    private function ofWhat(Finding $f): ?string
    {
        return match ($f->code) {
            'ingredient.unknown' => $this->unplaced($f),
            'line.doubtful' => sprintf(
                $f->about[0] === 'what'
                    ? '"%s" was read as %s, and may mean something else. Until it is settled it counts at its worst.'
                    : 'How much of "%s" is meant is not sure: it was read as %3$s. Say yes, or write the amount.',
                mb_substr($f->about[1], 0, 60),
                Name::inSentence($f->portions[0]->name()),
                $f->portions[0]->line->amount->text,
            ),
            'amount.unknown' => sprintf('%s is not counted. %s', self::orNameless($f), $f->portions[0]->problem),
            'shares.sum' => $this->sharesSum($f),
            'forgotten' => sprintf(
                '%s%s was in your last version and is not in this one. Left out on purpose?',
                $f->about[0],
                $f->about[1] === '' ? '' : ', '.$f->about[1].',',
            ),
            'doubtful' => sprintf(
                '%s is %s %% here and was %s %% in your last version (%s). A slip of the pen?',
                $f->portions[0]->name(),
                self::rough($f->figure(FigureName::ShareNow)->best),
                self::rough($f->figure(FigureName::ShareBefore)->best),
                $f->about[0],
            ),
            'purpose' => $this->purpose($f),
            'allergen' => sprintf(
                'Holds %s (%s): name it on the label and ask before giving it away.',
                $f->about[0],
                self::lower($f, ', '),
            ),
            default => $this->ofWhom($f),
        };
    }

    /** Who gets it, and what may be said to them. */
    private function ofWhom(Finding $f): ?string
    {
        return match ($f->code) {
            'claim.illness' => sprintf(
                'It names %s. That is for a clinician to look at first, and no oil or butter may be given or sold as a '
                    .'remedy for it.',
                $f->about[0],
            ),
            'sale.law' => 'For sale: cosmetics law, a product-safety assessment, notification and labelling are yours '
                .'to check with the authorities and qualified people where you sell.',
            default => null,
        };
    }

    /** What lies in the oils that were steeped here. */
    private static function ofLots(Finding $f): ?string
    {
        return match ($f->code) {
            'lot.awaited' => sprintf(
                '%s still stands on its plants. It can be strained on %s. Until then its figures are expected, none is '
                    .'measured.',
                self::names($f),
                (new DateTimeImmutable($f->about[0]))->format('j F Y'),
            ),
            'lot.grown' => sprintf(
                '%s: %s Settling takes nothing of that away. At most 7 days in the fridge or 30 frozen, for '
                    .'yourself alone; better throw it away.',
                self::names($f),
                lcfirst($f->term('why')),
            ),
            'lot.past' => sprintf(
                '%s on the shelf was to be used by %s. Buy it fresh: what goes in past its day ends the whole.',
                self::names($f),
                (new DateTimeImmutable($f->about[0]))->format('j F Y'),
            ),
            'lot.withdrawn' => sprintf('%s must not be used: %s', self::names($f), $f->about[0]),
            default => null,
        };
    }

    /** What its ingredients warn of. */
    private function ofWarnings(Finding $f): ?string
    {
        return match ($f->code) {
            'caution' => sprintf('%s: %s', $f->portions[0]->name(), lcfirst($f->term('says'))),
            'ask-first' => sprintf(
                'With any of these the clinician is asked first, because of %s: %s.',
                self::lower($f),
                implode(', ', $f->about),
            ),
            default => null,
        };
    }

    private function ofLoad(Finding $f): ?string
    {
        return match ($f->code) {
            'load.audience' => 'Essential oils are not for children under 2.',
            'load.open' => sprintf(
                'How much %s there is nobody can tell, so it may be more than the %g %% that "%s" bears. Count the '
                    .'drops.',
                self::lower($f),
                $f->figure(FigureName::Ceiling)->best,
                Audience::from($f->about[0])->label(),
            ),
            'load.oil' => self::oilOverMaximum($f),
            'load.total' => sprintf(
                'Essential oils come to %.2f %%, and may be %.2f %% at worst; the ceiling for "%s" is %g %%.',
                $f->figure(FigureName::EssentialOils)->best,
                $f->figure(FigureName::EssentialOils)->high,
                Audience::from($f->about[0])->label(),
                $f->figure(FigureName::Ceiling)->best,
            ),
            'load.constituent' => sprintf(
                '%s from %s comes to %.3g %% at worst; its limit is %g %%.',
                ucfirst($f->about[0]),
                self::lower($f),
                $f->figure(FigureName::Constituent)->best,
                $f->figure(FigureName::Limit)->best,
            ),
            'phototoxic' => $this->phototoxic($f),
            'phototoxic.together' => sprintf(
                '%s each stay under what sunlight allows, and come to %.0f %% of it together: skin in the sun '
                    .'can burn.',
                self::names($f),
                $f->figure(FigureName::PartOfPhototoxicMaximum)->best,
            ),
            default => $this->ofDoses($f),
        };
    }

    /** How much of one thing, and for whom none. */
    private function ofDoses(Finding $f): ?string
    {
        return match ($f->code) {
            'dose.over' => sprintf(
                ($f->about === [] ? '%s is %.1f %%' : '%s may be %.1f %% at worst')
                    .'; its range of use is %g to %g %%. More of it does no more good, and may irritate.',
                self::names($f),
                $f->about === [] ? $f->figure(FigureName::Share)->best : $f->figure(FigureName::Share)->high,
                $f->figure(FigureName::Range)->low,
                $f->figure(FigureName::Range)->high,
            ),
            'child.avoid' => sprintf(
                '%s is %s; this is meant for "%s".',
                self::names($f),
                Audience::from($f->about[0])->excludes($f->portions[0]->ingredient),
                Audience::from($f->about[0])->label(),
            ),
            'pregnancy.avoid' => $f->severity === Severity::Stop
                ? sprintf('%s is %s.', self::names($f), Audience::Pregnancy->excludes($f->portions[0]->ingredient))
                : sprintf('%s calls for advice in pregnancy and nursing: ask the clinician first.', self::names($f)),
            default => null,
        };
    }

    /** Water and keeping. */
    private function ofWater(Finding $f): ?string
    {
        return match ($f->code) {
            'water.trace' => sprintf(
                self::isSteep($f->portions)
                    ? 'The steep (%s) was made from fresh plants and not shown dry, so traces of water are counted: '
                        .'%.2f %%. Weigh, settle or dry it, or preserve and keep it short.'
                    : '%s %.1f %% of water that stays bound. Preserve it, or keep it cool and use it within three '
                        .'months.',
                self::isSteep($f->portions) ? self::lower($f) : self::doing($f, 'brings', 'bring'),
                $f->figure(FigureName::Water)->best,
            ),
            'water.free' => $this->freeWater($f),
            'water.unknown' => sprintf(
                'Whether %s brings water nobody can tell. Until it is settled the jar counts as wet: 7 days in the '
                    .'fridge.',
                self::lower($f),
            ),
            'water.spirit' => sprintf(
                'About %.0f %% of alcohol keeps its %.0f %% of water. It catches fire: no flame and no heat near it. '
                    .'It does not mix with oil, dries hair, and stings a sore scalp.',
                $f->figure(FigureName::Alcohol)->best,
                $f->figure(FigureName::Water)->best,
            ),
            'emulsifier.missing' => sprintf(
                'The emulsifier is %.1f %% for %.1f %% of water: too little to hold it.',
                $f->figure(FigureName::Emulsifier)->best,
                $f->figure(FigureName::Water)->best,
            ),
            'sale.challenge-test' => 'It holds water, so its preservation must pass a challenge test in a laboratory '
                .'before it is sold.',
            'life.short' => $f->about[0] === 'not known'
                ? 'How long it keeps cannot be told: no line has a known life. Make little, and look at it each time.'
                : sprintf(
                    'It keeps about %s. %s',
                    self::time($f->figure(FigureName::Life)->best),
                    $f->term('reason'),
                ),
            default => null,
        };
    }

    private function ofPreservation(Finding $f): ?string
    {
        return match ($f->code) {
            'preservative.missing' => $this->preservativeMissing($f),
            'preservative.unsuitable' => sprintf(
                match ($f->about[0]) {
                    'oil only' => '%s into the oil only, and it is the water that spoils.',
                    'not in oil' => '%s not dissolve in oil: without a water phase nothing is protected.',
                    default => '%s not cover bacteria, yeast and mould alike: that is not enough.',
                },
                $f->about[0] === 'oil only' ? self::doing($f, 'goes', 'go') : self::doing($f, 'does', 'do'),
            ),
            'preservative.dose' => sprintf(
                '%s is %.2f %% of the finished mass (%.2f %% reckoned on the base); its range is %g to %g %% of the '
                    .'finished mass.',
                self::names($f),
                $f->figure(FigureName::ShareOfWhole)->best,
                $f->figure(FigureName::ShareOfBase)->best,
                $f->figure(FigureName::Range)->low,
                $f->figure(FigureName::Range)->high,
            ),
            default => self::ofAcidity($f),
        };
    }

    /** What the water is to a preservative. */
    private static function ofAcidity(Finding $f): ?string
    {
        return match ($f->code) {
            'preservative.ph' => sprintf(
                '%s works up to a pH of %g only. Measure it with a strip, and bring it down with a little citric or '
                    .'lactic acid.',
                self::names($f),
                $f->figure(FigureName::HighestPh)->best,
            ),
            'preservative.alkali' => sprintf(
                '%s works up to a pH of %g only, and %s makes the water alkaline: it preserves nothing there.',
                $f->portions[0]->name(),
                $f->figure(FigureName::HighestPh)->best,
                implode(' and ', array_map(
                    static fn (Portion $p): string => Name::inSentence($p->name()),
                    array_slice($f->portions, 1),
                )),
            ),
            'preservative.unsure' => sprintf(
                'Whether %s is enough cannot be told while nobody knows how much %s there is.',
                self::lower($f),
                $f->term('open'),
            ),
            'antioxidant.not-preservative' => sprintf(
                '%s slows oils going rancid; it does nothing against microbes and is not a preservative.',
                self::names($f),
            ),
            default => null,
        };
    }

    private function ofTexture(Finding $f): ?string
    {
        return match ($f->code) {
            'texture.scrape' => sprintf(
                'In a cold room (%g °C) its effective solids are %.0f %%: it has to be scraped or warmed in the hand. '
                    .'More liquid oil, or less wax, makes it give.',
                Texture::COLD_ROOM,
                $f->figure(FigureName::SolidsAt12)->best,
            ),
            'texture.slump' => $this->slump($f),
            'texture.sets' => sprintf(
                'It sets in a cool room and pours only from about %g °C. Warm the bottle in the hand, or take less '
                    .'of what is firm.',
                $f->figure(FigureName::PoursFrom)->best,
            ),
            'texture.whip' => $f->about[0] === 'soft'
                ? 'It does not hold air: even at 10 °C its effective solids are under 15 %. It needs more butter.'
                : 'It does not take air: even at 40 °C its effective solids are over 35 %. It needs more oil or less '
                    .'wax.',
            'texture.soften' => sprintf(
                '%s soften each other: at 25 °C about %.0f %% less of them is solid than each has by itself. It comes '
                    .'out softer than either; for a firmer one leave out the kind of which there is less.',
                self::names($f),
                $f->figure(FigureName::SolidsLost)->best,
            ),
            'texture.bloom' => sprintf(
                '%s can turn grey or streaky when cooled slowly or warm and cool by turns: the fat sets anew in '
                    .'coarser crystals. It is still good. Cool it evenly at 15 to 18 °C and keep it from the heat.',
                self::names($f),
            ),
            'texture.grainy' => sprintf(
                '%s can set in grains when cooled slowly. Melt it through, then cool the jars fast, in the fridge or '
                    .'a cold bath, and keep them from melting again.',
                self::names($f),
            ),
            default => null,
        };
    }

    /** What the hands should know. */
    private function ofMaking(Finding $f): ?string
    {
        return match ($f->code) {
            'phase.heat-shy' => sprintf(
                '%s goes in with "%s" at about %g °C, but bears at most %g °C: it boils off or breaks down.',
                self::names($f),
                mb_strtolower($f->portions[0]->line->phase->label()),
                $f->figure(FigureName::WarmthOfPhase)->best,
                $f->figure(FigureName::HighestAddition)->best,
            ),
            'scent.heated' => sprintf(
                '"%s" heats %s with the rest: they boil off, and the steam stings eyes and breath. Stir them in at the '
                    .'end, at or under 40 °C.',
                rtrim($f->about[0], '. '),
                self::names($f),
            ),
            'insoluble.powder' => $this->insolublePowder($f->portions[0], $f->about[0]),
            'bowl.small' => sprintf(
                'It comes to about %.0f ml, and %s needs a bowl of %.0f ml; your largest holds %.0f. Make it in %d '
                    .'goes, or make less.',
                $f->figure(FigureName::Volume)->best,
                $f->about[0] === 'whipping' ? 'whipping' : 'stirring without spilling',
                $f->figure(FigureName::BowlNeeded)->best,
                $f->figure(FigureName::LargestBowl)->best,
                (int) ceil($f->figure(FigureName::BowlNeeded)->best / $f->figure(FigureName::LargestBowl)->best),
            ),
            'scale.resolution' => sprintf(
                '%.2g g%s of %s on a %g g scale is uncertain by %.0f %%: %suse a finer scale, or make %d times as '
                    .'much.',
                $f->figure(FigureName::Grams)->best,
                self::millilitres($f->portions[0], $f->figure(FigureName::Grams)->best),
                Name::inSentence($f->portions[0]->name()),
                $f->figure(FigureName::StepOfScale)->best,
                $f->figure(FigureName::Uncertain)->best,
                $f->portions[0]->ingredient->kind->isLiquid()
                    ? 'count drops from a calibrated bottle, draw it up in a marked pipette, '
                    : '',
                (int) $f->figure(FigureName::TimesAsMuch)->best,
            ),
            'drying-oil.rags' => sprintf(
                '%s in air: rags and filters soaked with such an oil can heat themselves and burn. Wash them or lay '
                    .'them flat outdoors, and keep the oil in the fridge.',
                self::doing($f, 'dries', 'dry'),
            ),
            default => null,
        };
    }

    private function sharesSum(Finding $f): string
    {
        $percent = Amount::number($f->figure(FigureName::SumOfShares)->best);

        return $f->about[0] === 'over'
            ? sprintf('The shares come to %s %%, more than the whole.', $percent)
            : sprintf(
                'The shares come to %s %% and are read as proportions of that. Mark one line "to fill" to close it.',
                $percent,
            );
    }

    private function purpose(Finding $f): string
    {
        return sprintf(
            'For a %s there is %s.',
            lcfirst(ProductKind::from($f->about[0])->label()),
            match ($f->about[1]) {
                'conditioner' => 'no conditioning agent: fats alone stay on the hair as grease instead of '
                    .'rinsing to a slip',
                'water' => 'hardly any water: what is without it is an oil or a butter, and is better called so',
                default => 'no oil',
            },
        );
    }

    private function phototoxic(Finding $f): string
    {
        $limit = $f->figure(FigureName::PhototoxicMaximum)->best;

        return $f->severity === Severity::Stop
            ? sprintf(
                '%s may be %.2f %% at worst; above %g %% sunlight on the skin can burn.',
                self::names($f),
                $f->figure(FigureName::Share)->high,
                $limit,
            )
            : sprintf('%s can make skin burn in sunlight above %g %%; this stays under it.', self::names($f), $limit);
    }

    private function preservativeMissing(Finding $f): string
    {
        return match (WaterClass::from($f->about[0])) {
            WaterClass::WetInUse => 'No water is in it, but it will meet wet fingers or a shower, and nothing '
                .'preserves it. Use a dry spatula or a pump and a dry place, or an oil-soluble preservative.',
            WaterClass::Traces => 'It holds traces of water and no broad-spectrum preservative: at most 3 months, '
                .'kept cool.',
            default => sprintf(
                in_array('one phase', $f->about, true)
                    ? 'Water of %s %% without a broad-spectrum preservative grows microbes within days.'
                    : 'An emulsion with %s %% of water and no broad-spectrum preservative grows microbes within days.',
                self::rough($f->figure(FigureName::Water)->best),
            ),
        };
    }

    private function unplaced(Finding $f): string
    {
        $audience = Audience::from($f->about[0]);
        $name = mb_substr($f->portions[0]->name(), 0, 60);

        return $f->severity === Severity::Stop
            ? sprintf(
                '"%s" is not in the catalogue: whether it is for "%s" nobody can tell.',
                $name,
                $audience->label(),
            )
            : sprintf('"%s" is not in the catalogue, so nothing can be said of its safety, texture or life.', $name);
    }

    private function freeWater(Finding $f): string
    {
        $then = 'Redesign it, or make it for yourself only, frozen in portions for up to 30 days.';

        return match ($f->about[0]) {
            'open' => sprintf(
                'Water comes in with %s, nobody can tell how much: it spoils. %s',
                self::lower($f),
                $then,
            ),
            'one phase' => sprintf(
                'It is %.0f %% of water, from %s, without a preservative that fits: it spoils within days. Preserve '
                    .'it, or keep it in the fridge and use it within a week.',
                $f->figure(FigureName::Water)->best,
                self::lower($f),
            ),
            default => sprintf(
                'There is about %.1f %% of free water, from %s, and nothing that holds it: it separates and spoils. %s',
                $f->figure(FigureName::Water)->best,
                self::lower($f),
                $then,
            ),
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
            return 'Cannot tell how firm it will be: the solid-fat curve of a line is not known.';
        }
        $room = $f->figure(FigureName::SolidsAt25)->best;

        return $room >= Slump::POURS
            ? sprintf(
                'On a hot day (%g °C) its effective solids fall to %.0f %%: it slumps in the jar and in the post. A '
                    .'little wax or a harder butter holds it.',
                Texture::HOT_DAY,
                $f->figure(FigureName::SolidsAt32)->best,
            )
            : sprintf('At 25 °C its effective solids are %.0f %%: it pours instead of standing in the jar.', $room);
    }

    private function insolublePowder(Portion $portion, string $how): string
    {
        $kind = $portion->ingredient->kind;

        return sprintf(
            match (true) {
                $how === 'paste' => '%s makes a paste with the water: stir it fresh, use it at once, rinse it out.',
                $how === 'strained' => '%s does not dissolve in oil. It is strained off again: begin its steep, and '
                    .'what comes out of it goes in here.',
                $kind->isPlant() => '%s does not dissolve in oil. Steep it first and strain it; the steep is what '
                    .'goes in.',
                $kind === IngredientKind::Starch => '%s does not dissolve; it stays as a fine powder. Sift it and '
                    .'whip it in.',
                $kind === IngredientKind::Humectant => '%s does not mix with oil: it sinks to the bottom.',
                default => '%s does not dissolve in oil: it stays as grit and cannot work evenly.',
            },
            $portion->name(),
        );
    }

    private static function orNameless(Finding $f): string
    {
        return self::names($f) === '' ? 'A line without a name' : self::names($f);
    }

    private static function oilOverMaximum(Finding $f): string
    {
        return $f->figure(FigureName::DermalMaximum)->best <= 0.0
            ? sprintf('%s is for no hair and no skin: leave it out.', self::names($f))
            : sprintf(
                '%s may be %.2f %% at worst; its dermal maximum is %g %% (%s).',
                self::names($f),
                $f->figure(FigureName::Share)->high,
                $f->figure(FigureName::DermalMaximum)->best,
                $f->portions[0]->ingredient->precautions->dermalReason,
            );
    }

    private static function names(Finding $f): string
    {
        return implode(' and ', self::called($f));
    }

    /** What it is about and what that does, in the fitting number. */
    private static function doing(Finding $f, string $one, string $several): string
    {
        return self::names($f).' '.(count(self::called($f)) > 1 ? $several : $one);
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

    /** " (2.5 ml)" of what is poured and whose density is known; "" of all else. */
    private static function millilitres(Portion $of, float $grams): string
    {
        $facts = $of->ingredient->facts;
        if (! $of->ingredient->kind->isLiquid() || ! $facts->has(Property::Density20)) {
            return '';
        }

        return sprintf(' (%s ml)', Number::shown($grams / $facts->best(Property::Density20, 1.0), 1));
    }

    private static function time(float $months): string
    {
        return $months < 1.0
            ? Number::counted(round($months * Months::DAYS), 'day')
            : Number::counted($months, 'month', 1);
    }
}
