<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Named;
use Crown\Assessment\Portion;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Step;
use Crown\Measure\Property;

/** Does the method itself heat the essential oils with the rest? */
final readonly class ScentsInHeat implements Check
{
    private const HEATS = ['melt', 'heat'];

    /** A sentence has one act, its first; "combine and boil" is heated all the same. */
    private const HEATED = '/
        \b(?:boil|simmer|microwave|double\ boiler|bain[ -]marie|water\ bath)
        |(?<!off\ )(?<!off\ the\ )(?<!from\ )(?<!from\ the\ )(?<!without\ )(?<!no\ )\bheat\b
    /xiu';

    /** What a step that heats and says no temperature comes to, °C. */
    private const USUAL = 70.0;

    /** A sentence may say "rosemary" and mean the leaf: it has to speak of the scents, or of all there is. */
    private const SPEAKS = '/\b(?:everything|all\ (?:the\ )?ingredients|essential|eos?|scents?|drops?)\b/xiu';

    public function examine(Examined $subject): array
    {
        $formula = $subject->composition->formula;
        $hot = array_filter($formula->steps, static fn (Step $s): bool => self::heats($s) && self::speaks($s));
        if ($hot === []) {
            return [];
        }
        $named = new Named(
            $subject->composition->present(),
            array_map(static fn (Step $s): string => $s->text, $formula->steps),
        );
        $findings = [];
        foreach ($hot as $step) {
            $scents = self::harmed($named->in($step->text), $step->celsius ?? self::USUAL);
            if ($scents !== []) {
                $findings[] = new Finding(
                    'scent.heated',
                    Severity::Caution,
                    $scents,
                    [FigureName::WarmthOfPhase->exactly($step->celsius ?? self::USUAL)],
                    'phases',
                    said: new Said([$step->text]),
                );
            }
        }

        return $findings;
    }

    /** Whether a step heats what it speaks of, whatever its first verb is. */
    public static function heats(Step $step): bool
    {
        return in_array($step->act, self::HEATS, true) || preg_match(self::HEATED, $step->text) === 1;
    }

    /** Whether it speaks of the scents or of all there is. */
    private static function speaks(Step $step): bool
    {
        return preg_match(self::SPEAKS, $step->text) === 1;
    }

    /**
     * @param  list<Portion>  $portions
     * @return list<Portion> the scents among them that bear less
     */
    private static function harmed(array $portions, float $celsius): array
    {
        return array_values(array_filter(
            $portions,
            static fn (Portion $p): bool => $p->ingredient->kind === IngredientKind::EssentialOil
                && $p->ingredient->facts->best(Property::MaximumAddition, 40.0) < $celsius,
        ));
    }
}
