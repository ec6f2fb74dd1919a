<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Formula;
use Crown\Formula\Line;

/** Asks every check of a formula. A pure function of the formula and its context: no clock, no chance, no globals. */
final readonly class Assessor
{
    /** What is asked of a formula as it is; all the others are asked of what is known of it as well. */
    private const OF_THE_WHOLE = [
        Checks\Understood::class,
        Checks\Forgotten::class,
        Checks\Purpose::class,
        Checks\ScaleResolution::class,
        Checks\BowlSize::class,
        Checks\ShortLife::class,
        Checks\Illness::class,
        Checks\ForSale::class,
    ];

    /** @param  list<Check>  $checks */
    private function __construct(private array $checks)
    {
    }

    public static function standard(): self
    {
        return new self([
            new Checks\Understood(),
            new Checks\Withdrawn(),
            new Checks\PastBottle(),
            new Checks\Awaited(),
            new Checks\Grown(),
            new Checks\EssentialOilTotal(),
            new Checks\EssentialOilEach(),
            new Checks\Constituents(),
            new Checks\AudienceAdvice(),
            new Checks\Phototoxic(),
            new Checks\DoseRange(),
            new Checks\Warnings(),
            new Checks\FreeWater(),
            new Checks\Preservation(),
            new Checks\Acidity(),
            new Checks\AntioxidantMistaken(),
            new Checks\HeatShy(),
            new Checks\ScentsInHeat(),
            new Checks\InsolublePowder(),
            new Checks\ScaleResolution(),
            new Checks\BowlSize(),
            new Checks\Forgotten(),
            new Checks\Purpose(),
            new Checks\Slump(),
            new Checks\SetsInTheCold(),
            new Checks\Scrape(),
            new Checks\Whip(),
            new Checks\Graininess(),
            new Checks\FatsSoften(),
            new Checks\ShortLife(),
            new Checks\Allergens(),
            new Checks\DryingOil(),
            new Checks\Illness(),
            new Checks\ForSale(),
        ]);
    }

    /** The same checks and some more: those of a head, for instance. */
    public function with(Check ...$more): self
    {
        return new self([...$this->checks, ...array_values($more)]);
    }

    public function assess(Formula $formula, Context $context): Assessment
    {
        $subject = Examined::of(Composition::of($formula, $context), $context);
        $findings = [];
        foreach ($this->checks as $check) {
            array_push($findings, ...$check->examine($subject));
        }
        array_push($findings, ...$this->withoutUnknown($subject, $findings));
        $rank = static fn (Finding $f): int => Decision::of($f, $formula)->rank($f);
        // Worst first; within a severity in the order of the checks. usort is stable.
        usort($findings, static fn (Finding $a, Finding $b): int => $rank($a) <=> $rank($b));

        return new Assessment($subject, $findings);
    }

    /**
     * What is not known neither thins nor helps: whatever is found of the formula without it stands.
     *
     * @param  list<Finding>  $found of the whole
     * @return list<Finding> what the whole did not show
     */
    private function withoutUnknown(Examined $subject, array $found): array
    {
        $unknown = $subject->composition->unknown;
        if ($unknown->leavesFigures() || $subject->composition->counted() === []) {
            return [];
        }
        $open = [];
        foreach ([...$unknown->amounts, ...$unknown->names] as $portion) {
            $open[$portion->line->id] = true;
        }
        $known = array_values(
            array_filter($subject->formula()->lines, static fn (Line $l): bool => ! isset($open[$l->id])),
        );
        $without = Examined::of(
            Composition::of($subject->formula()->withLines($known), $subject->context),
            $subject->context,
        );
        $seen = array_fill_keys(array_map(self::about(...), $found), true);
        $more = [];
        foreach ($this->checks as $check) {
            foreach (in_array($check::class, self::OF_THE_WHOLE, true) ? [] : $check->examine($without) as $finding) {
                if (! isset($seen[self::about($finding)])) {
                    $more[] = $finding;
                }
            }
        }

        return $more;
    }

    /** What a finding is and of which lines. */
    private static function about(Finding $finding): string
    {
        $lines = array_unique(array_map(static fn (Portion $p): string => $p->line->id, $finding->portions));

        return implode(' ', [$finding->code, $finding->severity->value, ...$lines]);
    }
}
