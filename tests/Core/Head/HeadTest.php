<?php

declare(strict_types=1);

namespace Tests\Core\Head;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Severity;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Crown\Catalogue\Provenance;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\ProductKind;
use Crown\Head\AgeBand;
use Crown\Head\Dislike;
use Crown\Head\HeadCheck;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Scalp;
use Crown\Head\Shortlist;
use Crown\Head\Strand;
use ReflectionClass;
use Tests\Core\CoreTestCase;

final class HeadTest extends CoreTestCase
{
    /**
     * @param  list<string>  $allergies
     * @param  list<Dislike>  $dislikes
     */
    private static function head(
        Strand $strand = Strand::Medium,
        Porosity $porosity = Porosity::Normal,
        AgeBand $age = AgeBand::Adult,
        bool $pregnant = false,
        array $allergies = [],
        array $dislikes = [],
        Scalp $scalp = Scalp::Calm,
    ): Profile {
        return new Profile('Imani', $strand, $porosity, $scalp, $age, $pregnant, $allergies, $dislikes);
    }

    private static function judge(Profile $head, Formula $formula): Assessment
    {
        return Assessor::standard()->with(new HeadCheck($head))->assess($head->judging($formula), self::context());
    }

    public function test_weight_targets(): void
    {
        $fine = self::head(Strand::Fine, Porosity::Low)->weightTarget(true);
        self::assertEqualsWithDelta([0.8, 1.9], [$fine->low, $fine->high], 1e-9);
        $coarse = self::head(Strand::Coarse, Porosity::High)->weightTarget(false);
        self::assertEqualsWithDelta([3.1, 4.7], [$coarse->low, $coarse->high], 1e-9);
    }

    public function test_a_heavy_oil_on_fine_hair_is_a_caution(): void
    {
        self::assertContains(
            'head.weight',
            self::codes(
                self::judge(self::head(Strand::Fine), self::formula(['castor-oil' => '80 g', 'olive-oil' => '20 g'])),
            ),
        );
        self::assertNotContains(
            'head.weight',
            self::codes(
                self::judge(self::head(Strand::Coarse), self::formula(['castor-oil' => '40 g', 'olive-oil' => '60 g'])),
            ),
        );
    }

    public function test_allergy_stops_and_dislike_cautions(): void
    {
        $assessment = self::judge(
            self::head(allergies: ['tree nut'], dislikes: [new Dislike('Coconut')]),
            self::formula(['sweet-almond-oil' => '50 g', 'coconut-oil' => '50 g']),
        );

        self::assertSame(Severity::Stop, self::finding($assessment, 'head.allergy')->severity);
        self::assertSame(Severity::Caution, self::finding($assessment, 'head.dislike')->severity);
        self::assertCount(1, self::finding($assessment, 'head.allergy')->cures);
    }

    public function test_age_and_pregnancy_set_the_audience(): void
    {
        self::assertSame(Audience::Child2To6, self::head(age: AgeBand::From2To6)->audience(Audience::AdultRinseOff));
        self::assertSame(
            Audience::Child6To12,
            self::head(age: AgeBand::From6To12, pregnant: true)->audience(Audience::AdultLeaveOn),
        );
        self::assertSame(Audience::Pregnancy, self::head(pregnant: true)->audience(Audience::AdultLeaveOn));
        self::assertSame(Audience::AdultRinseOff, self::head()->audience(Audience::AdultRinseOff));
    }

    public function test_alarming_signs_come_before_any_formula(): void
    {
        self::assertSame(
            'head.clinician',
            self::judge(
                self::head(scalp: Scalp::Alarming),
                self::formula(['olive-oil' => '10 g'], ProductKind::ScalpOil),
            )->findings[0]->code,
        );
    }

    public function test_an_oil_that_was_thrown_away_is_left_out_with_its_reason(): void
    {
        $coconut = self::catalogue()->get('coconut-oil');
        $class = new ReflectionClass($coconut);
        $own = [];
        foreach ($class->getConstructor()?->getParameters() ?? [] as $parameter) {
            $own[$parameter->getName()] = $class->getProperty($parameter->getName())->getValue($coconut);
        }
        $spoiled = $class->newInstanceArgs([
            ...$own,
            'id' => 'lot-7',
            'name' => 'Old coconut oil',
            'synonyms' => [],
            'provenance' => new Provenance(withdrawn: 'Smells old.'),
        ]);
        $result = (new Shortlist(self::catalogue()->with($spoiled), self::head()))->for(
            Need::Breakage,
            [],
            IngredientKind::CarrierOil,
            300,
        );

        self::assertSame('coconut-oil', $result->ranked[0]['id'], 'as good as the one that is not spoiled');
        self::assertNotContains('lot-7', array_column($result->ranked, 'id'));
        self::assertSame('Must not be used: Smells old.', array_column($result->leftOut, 'reason', 'id')['lot-7']);
    }

    public function test_shortlist_puts_evidence_first_and_leaves_out_with_a_reason(): void
    {
        $result = (new Shortlist(self::catalogue(), self::head()))->for(Need::Sealing, ['bee product'], null, 5);

        self::assertLessThanOrEqual(5, count($result->ranked));
        self::assertContains(
            ['id' => 'beeswax', 'name' => 'Beeswax', 'reason' => 'Bears bee product.'],
            $result->leftOut,
        );
        self::assertNotContains('beeswax', array_column($result->ranked, 'id'));
        $first = (new Shortlist(self::catalogue(), self::head()))->for(
            Need::Breakage,
            [],
            IngredientKind::CarrierOil,
            5,
        );
        self::assertSame(
            'coconut-oil',
            $first->ranked[0]['id'],
        );
    }
}
