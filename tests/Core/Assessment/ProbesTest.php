<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Assessment\WaterClass;
use Crown\Formula\Audience;
use Crown\Formula\ProductKind;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What a cosmetic chemist would stop at: small formulas, each with what must be said of it. */
final class ProbesTest extends CoreTestCase
{
    /** @return iterable<string, array{array<string, string>, string, Severity, Audience}> */
    public static function probes(): iterable
    {
        $adult = Audience::AdultLeaveOn;
        $rest = ['olive-oil' => 'to fill 100 g'];

        yield 'phototoxic oils add up' => [
            ['bergamot-expressed-eo' => '30 g', 'lime-expressed-eo' => '50 g', 'olive-oil' => 'to fill 10000 g'],
            'phototoxic.together',
            Severity::Stop,
            $adult,
        ];
        yield 'an unknown essential oil counts' => [
            ['Oregano essential oil' => '5 g', ...$rest],
            'load.total',
            Severity::Stop,
            $adult,
        ];
        yield 'so does a fragrance' => [['vanilla fragrance' => '5 g', ...$rest], 'load.total', Severity::Stop, $adult];
        yield 'menthol over its range' => [['menthol' => '2.9 g', ...$rest], 'dose.over', Severity::Stop, $adult];
        yield 'salicylic acid over the law' => [
            ['salicylic-acid' => '3 g', ...$rest],
            'load.constituent',
            Severity::Stop,
            $adult,
        ];
        yield 'vitamin E at 9 %' => [['vitamin-e' => '9 g', ...$rest], 'dose.over', Severity::Caution, $adult];
        yield 'mustard oil for a child of 6' => [
            ['mustard-oil' => '9 g', ...$rest],
            'child.avoid',
            Severity::Stop,
            Audience::Child6To12,
        ];
        yield 'eucalyptus for a child of 6' => [
            ['eucalyptus-globulus-eo' => '0.2 g', ...$rest],
            'child.avoid',
            Severity::Stop,
            Audience::Child6To12,
        ];
        yield 'neem in pregnancy' => [
            ['neem-oil' => '5 g', ...$rest],
            'pregnancy.avoid',
            Severity::Stop,
            Audience::Pregnancy,
        ];
    }

    /** @param  array<string, string>  $lines */
    #[DataProvider('probes')]
    public function test_what_must_be_said(array $lines, string $code, Severity $severity, Audience $audience): void
    {
        $finding = self::finding(self::assess(self::formula($lines, audience: $audience)), $code);

        self::assertSame($severity, $finding->severity);
        self::assertNotSame('', $finding->message());
    }

    public function test_one_phototoxic_oil_or_two_in_their_place_are_no_stop(): void
    {
        $codes = static fn (array $lines): array => self::codes(
            self::assess(self::formula([...$lines, 'olive-oil' => 'to fill 10000 g'])),
        );

        self::assertNotContains('phototoxic.together', $codes(['bergamot-expressed-eo' => '30 g']));
        self::assertNotContains(
            'phototoxic.together',
            $codes(['bergamot-expressed-eo' => '10 g', 'lime-expressed-eo' => '20 g']),
        );
        // One that is over by itself is said by itself.
        self::assertNotContains(
            'phototoxic.together',
            $codes(['bergamot-expressed-eo' => '200 g', 'lime-expressed-eo' => '20 g']),
        );
    }

    public function test_a_water_that_is_not_known_is_water(): void
    {
        $assessment = self::assess(self::formula(['coconut water' => '50 g', 'olive-oil' => '50 g']));

        self::assertSame(WaterClass::Free, $assessment->subject->water->class);
        self::assertContains('water.free', self::codes($assessment));
    }

    public function test_a_single_acid_or_a_booster_preserves_nothing_alone(): void
    {
        foreach (['gluconolactone', 'dehydroacetic-acid', 'caprylyl-glycol'] as $id) {
            $assessment = self::assess(
                self::formula(
                    ['water' => '75 g', 'olive-oil' => '18 g', 'btms-50' => '6 g', $id => '0.5 g'],
                    ProductKind::Emulsion,
                ),
            );
            self::assertSame(Severity::Stop, self::finding($assessment, 'preservative.missing')->severity, $id);
            self::assertLessThan(0.3, $assessment->subject->life->months->best, $id);
        }
    }

    public function test_too_little_preservative_in_water_is_a_stop_and_in_oil_a_caution(): void
    {
        $milk = static fn (string $dose): Severity => self::finding(
            self::assess(
                self::formula(
                    ['water' => '75 g', 'olive-oil' => '18 g', 'btms-50' => '6 g', 'phenoxyethanol-ehg' => $dose],
                    ProductKind::Emulsion,
                ),
            ),
            'preservative.dose',
        )->severity;

        self::assertSame(Severity::Stop, $milk('0.1 g'));
        $oil = self::assess(self::formula(['olive-oil' => '100 g', 'caprylyl-glycol-phenoxyethanol' => '0.1 g']));
        self::assertSame(Severity::Caution, self::finding($oil, 'preservative.dose')->severity);
    }

    public function test_a_single_water_phase_with_a_preservative_that_fits_keeps_and_does_not_separate(): void
    {
        $kept = self::assess(self::formula(
            ['rose-hydrosol' => '98 g', 'glycerine' => '1 g', 'phenoxyethanol-ehg' => '1 g'],
            ProductKind::HairOil,
        ))->subject->water;
        self::assertSame(WaterClass::Emulsion, $kept->class);
        self::assertTrue($kept->isOnePhase);
        self::assertSame('Preserved water', $kept->label());

        $spoils = self::assess(self::formula(['rose-hydrosol' => '99 g', 'vitamin-e' => '0.3 g']));
        self::assertSame(WaterClass::Free, $spoils->subject->water->class);
        self::assertContains('stop', array_map(
            static fn (Finding $f): string => $f->severity->value,
            $spoils->findings,
        ));
        // A little scent in its solubiliser stays one phase; a spoonful of oil does not.
        $scented = ['rose-hydrosol' => '94 g', 'polysorbate-80' => '4 g', 'lavender-eo' => '1 g',
            'phenoxyethanol-ehg' => '1 g'];
        self::assertTrue(self::assess(self::formula($scented))->subject->water->isOnePhase);
        $oily = self::assess(self::formula([...$scented, 'olive-oil' => '10 g']));
        self::assertFalse($oily->subject->water->isOnePhase);
    }

    public function test_what_works_in_the_acid_is_measured_and_never_stands_beside_an_alkali(): void
    {
        $sour = self::codes(self::assess(self::formula(['rose-hydrosol' => '99 g', 'potassium-sorbate' => '0.3 g'])));
        self::assertContains('preservative.ph', $sour);
        $alkaline = self::finding(
            self::assess(self::formula(
                ['rose-hydrosol' => '95 g', 'sodium-bicarbonate' => '4 g', 'potassium-sorbate' => '0.3 g'],
            )),
            'preservative.alkali',
        );
        self::assertSame(Severity::Stop, $alkaline->severity);
        self::assertNotContains(
            'preservative.ph',
            self::codes(self::assess(self::formula(['olive-oil' => '99 g', 'potassium-sorbate' => '0.3 g']))),
            'in oil there is nothing to measure',
        );
    }

    public function test_what_dissolves_in_water_is_grit_only_where_there_is_none(): void
    {
        $grit = static fn (array $lines): bool => in_array(
            'insoluble.powder',
            self::codes(self::assess(self::formula($lines))),
            true,
        );
        self::assertFalse($grit(['water' => '90 g', 'panthenol' => '2 g']));
        self::assertTrue($grit(['olive-oil' => '90 g', 'niacinamide' => '2 g']));
        self::assertTrue($grit(['water' => '90 g', 'kaolin' => '2 g']), 'clay dissolves in nothing');
    }
}
