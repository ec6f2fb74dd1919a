<?php

declare(strict_types=1);

namespace Tests\Core;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Finding;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueReader;
use Crown\Catalogue\Ingredient;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\Kitchen;
use Crown\Measure\WrittenAmount;
use Crown\Steep\Charge;
use Crown\Steep\Herb;
use Crown\Steep\Pour;
use Crown\Steep\Preparation;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\Vessel;
use Crown\Steep\Way;
use DateTimeImmutable;
use PHPUnit\Framework\TestCase;

/** Builds formulas from the reference catalogue in few words. */
abstract class CoreTestCase extends TestCase
{
    protected static function catalogue(): Catalogue
    {
        static $catalogue = null;

        return $catalogue ??= (new CatalogueReader(dirname(__DIR__, 2).'/data'))->read();
    }

    /** @param  array<string, string>  $lines amount by ingredient id; "fresh:" before an id names the form */
    protected static function formula(
        array $lines,
        ProductKind $kind = ProductKind::HairOil,
        Audience $audience = Audience::AdultLeaveOn,
        bool $wetUse = false,
    ): Formula {
        $built = [];
        foreach ($lines as $key => $amount) {
            [$form, $id] = str_contains($key, ':') ? explode(':', $key) : ['', $key];
            $phase = self::catalogue()->has($id) ? Phase::usualFor(self::catalogue()->get($id)) : Phase::Warm;
            $built[] = new Line(
                'l'.(count($built) + 1),
                self::catalogue()->has($id) ? $id : null,
                $id,
                new WrittenAmount($amount),
                $form,
                $phase,
            );
        }

        return new Formula('Test', $kind, $audience, $built, [], Size::asWritten(), $wetUse);
    }

    protected static function context(float $scale = 1.0): Context
    {
        return new Context(self::catalogue(), new Kitchen(scaleGrams: $scale));
    }

    protected static function assess(Formula $formula, float $scale = 1.0): Assessment
    {
        return Assessor::standard()->assess($formula, self::context($scale));
    }

    /** @return list<string> */
    protected static function codes(Assessment $assessment): array
    {
        return array_map(static fn (Finding $f): string => $f->code, $assessment->findings);
    }

    protected static function finding(Assessment $assessment, string $code): Finding
    {
        foreach ($assessment->findings as $finding) {
            if ($finding->code === $code) {
                return $finding;
            }
        }
        self::fail(sprintf('No finding "%s" among: %s', $code, implode(', ', self::codes($assessment))));
    }

    /** The assessment after the first cure of a finding was applied. */
    protected static function cured(Assessment $assessment, string $code): Assessment
    {
        $formula = self::finding($assessment, $code)->cures[0]->change->applyTo(
            $assessment->subject->formula(),
            self::catalogue(),
        );

        return self::assess($formula, $assessment->subject->context->kitchen->scaleGrams);
    }

    /** One plant in one oil, prepared as its method has it. */
    protected static function onePlant(
        Ingredient $plant,
        string $form,
        float $plantGrams,
        Ingredient $oil,
        float $oilGrams,
        SteepMethod $method,
        DateTimeImmutable $start,
        bool $shakenDaily = true,
        bool $pressed = false,
        float $jarMillilitres = 0.0,
        float $diameterCm = 0.0,
        ?float $celsius = null,
        ?float $minutes = null,
    ): SteepPlan {
        return SteepPlan::begun(
            Charge::of(
                new Herb($plant, $form, $plantGrams, $start, Preparation::usual($form, $method)),
                new Pour($oil, $oilGrams, $start),
            ),
            $method,
            new Way($shakenDaily, $pressed, $celsius, $minutes),
            Vessel::written($jarMillilitres, $diameterCm, 0.0),
        );
    }
}
