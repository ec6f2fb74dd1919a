<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Eutectic;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\ProductKind;

/**
 * What cools slowly sets in coarse crystals: butters rich in stearic and oleic fat and free stearic acid in grains that
 * are felt, fats of the cocoa kind in a grey bloom that is seen.
 */
final readonly class Graininess implements Check
{
    /** Share of the whole from which grains of a butter are felt. */
    private const FELT = 0.2;

    /** And from which those of a free acid are: nothing of it stays dissolved in a cool room. */
    private const FREE_FELT = 0.05;

    /**
     * Per cent of stearic acid that makes a butter shea-like; cocoa butter and its kin are too hard to be felt as
     * grains.
     */
    private const STEARIC = 30.0;

    private const SOFT_AT_30 = 40.0;

    public function examine(Examined $subject): array
    {
        if ($subject->formula()->kind === ProductKind::Emulsion) {
            return [];
        }
        $found = [];
        $stands = $subject->formula()->kind->isSolid();
        $parts = $subject->composition->counted();
        $butters = array_values(array_filter($parts, static fn (Portion $p): bool => self::isGrainy($p->ingredient)));
        $acids = array_values(array_filter($parts, static fn (Portion $p): bool => self::isFreeAcid($p->ingredient)));
        $share = $subject->composition->shareOf($butters);
        $free = $subject->composition->shareOf($acids);
        $grainy = [
            ...($stands && $share->best >= self::FELT ? $butters : []),
            ...($free->best >= self::FREE_FELT ? $acids : []),
        ];
        if ($grainy !== []) {
            $found[] = self::note('texture.grainy', $grainy, FigureName::GrainyButters, $subject);
        }
        $cocoa = array_values(
            array_filter($parts, static fn (Portion $p): bool => Eutectic::isOfCocoaKind($p->ingredient)),
        );
        if ($stands && $subject->composition->shareOf($cocoa)->best >= self::FELT) {
            $found[] = self::note('texture.bloom', $cocoa, FigureName::BloomingButters, $subject);
        }

        return $found;
    }

    /** @param  list<Portion>  $of */
    private static function note(string $code, array $of, FigureName $figure, Examined $subject): Finding
    {
        return new Finding(
            $code,
            Severity::Note,
            $of,
            [$figure->is($subject->composition->shareOf($of)->scaled(100))],
            'texture',
        );
    }

    private static function isGrainy(Ingredient $fat): bool
    {
        return $fat->kind === IngredientKind::Butter
            && $fat->composition->fattyAcids->share('stearic') >= self::STEARIC
            && $fat->composition->solidFat->at(30.0) <= self::SOFT_AT_30;
    }

    /** Stearic acid by itself, as it is sold to harden. */
    private static function isFreeAcid(Ingredient $of): bool
    {
        return $of->kind === IngredientKind::Emulsifier
            && $of->composition->fattyAcids->share('stearic') >= self::STEARIC;
    }
}
