<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Formula;

/** Asks every check of a formula. A pure function of the formula and its context: no clock, no chance, no globals. */
final readonly class Assessor
{
    /** @param  list<Check>  $checks */
    private function __construct(private array $checks)
    {
    }

    public static function standard(): self
    {
        return new self([
            new Checks\Understood(),
            new Checks\Withdrawn(),
            new Checks\Awaited(),
            new Checks\EssentialOilTotal(),
            new Checks\EssentialOilEach(),
            new Checks\Constituents(),
            new Checks\AudienceAdvice(),
            new Checks\Phototoxic(),
            new Checks\DoseRange(),
            new Checks\Warnings(),
            new Checks\FreeWater(),
            new Checks\Preservation(),
            new Checks\AntioxidantMistaken(),
            new Checks\HeatShy(),
            new Checks\InsolublePowder(),
            new Checks\ScaleResolution(),
            new Checks\BowlSize(),
            new Checks\Forgotten(),
            new Checks\Purpose(),
            new Checks\Slump(),
            new Checks\Scrape(),
            new Checks\Whip(),
            new Checks\Graininess(),
            new Checks\FatsSoften(),
            new Checks\ShortLife(),
            new Checks\Allergens(),
            new Checks\DryingOil(),
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
        $rank = static fn (Finding $f): int => Decision::of($f, $formula)->rank($f);
        // Worst first; within a severity in the order of the checks. usort is stable.
        usort($findings, static fn (Finding $a, Finding $b): int => $rank($a) <=> $rank($b));

        return new Assessment($subject, $findings);
    }
}
