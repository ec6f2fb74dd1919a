<?php

declare(strict_types=1);

namespace Tests\Core\Steep;

use Crown\Assessment\Whipping;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Audience;
use Crown\Formula\Line;
use Crown\Formula\ProductKind;
use Crown\Head\FirstFormula;
use Crown\Head\Profile;
use Crown\Measure\Property;
use Crown\Steep\Signs;
use Crown\Steep\SteepError;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepYield;
use Crown\Steep\Way;
use Crown\Words\Message;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

/** Edges at which a slip of one figure or sign would change what a maker is told. */
final class NoticedTest extends CoreTestCase
{
    private static function start(): DateTimeImmutable
    {
        return new DateTimeImmutable('2027-03-01');
    }

    public function test_a_heated_jar_has_the_signs_of_what_is_in_it_and_a_cold_one_none(): void
    {
        $of = static fn (string $plant, string $form, SteepMethod $method): array => array_map(
            static fn (Message $sign): string => $sign->key,
            Signs::of(self::onePlant(
                self::catalogue()->get($plant),
                $form,
                40.0,
                self::catalogue()->get('olive-oil'),
                400.0,
                $method,
                self::start(),
            )),
        );
        self::assertSame([], $of('fenugreek', 'seed', SteepMethod::ColdDark));
        self::assertSame(
            ['steep.sign.golden'],
            $of('fenugreek', 'seed', SteepMethod::WaterBath),
        );
        self::assertSame(
            ['steep.sign.powder'],
            $of('rosemary', 'powder', SteepMethod::WaterBath),
        );
        self::assertSame(
            ['steep.sign.pale'],
            $of('rosemary', 'dried', SteepMethod::WaterBath),
        );
        $fresh = $of('rosemary', 'fresh', SteepMethod::WaterBath);
        self::assertSame(['steep.sign.weight', 'steep.sign.crisp'], $fresh);
        self::assertContains('steep.sign.closed', $of('rosemary', 'fresh', SteepMethod::HotJar));
        self::assertNotContains('steep.sign.crisp', $of('garlic', 'fresh', SteepMethod::WaterBath));
    }

    public function test_a_method_is_held_at_its_own_edges_and_not_beyond(): void
    {
        $held = SteepMethod::WaterBath->heldBetween();
        foreach ([$held->least, $held->most] as $edge) {
            self::assertSame($edge, (new Way(celsius: $edge))->fitting(SteepMethod::WaterBath)->celsius);
        }
        foreach ([$held->least - 0.1, $held->most + 0.1] as $beyond) {
            try {
                (new Way(celsius: $beyond))->fitting(SteepMethod::WaterBath);
                self::fail("$beyond °C was allowed");
            } catch (SteepError $e) {
                self::assertSame('celsius', $e->path);
            }
        }
    }

    public function test_an_oil_steeped_in_a_drying_oil_is_one(): void
    {
        $drying = static fn (string $oil): bool => (new SteepYield(self::onePlant(
            self::catalogue()->get('calendula'),
            'dried',
            40.0,
            self::catalogue()->get($oil),
            400.0,
            SteepMethod::ColdDark,
            self::start(),
        ), 350.0))->ingredient('lot-1', 'it')->composition->drying;
        self::assertTrue($drying('flaxseed-oil'));
        self::assertFalse($drying('olive-oil'));
    }

    public function test_a_jar_without_air_holds_none_and_one_that_was_not_full_tells_nothing(): void
    {
        self::assertSame(0.0, Whipping::found(100.0, 92.0, 0.92));
        self::assertNull(Whipping::found(100.0, 93.0, 0.92));
        self::assertEqualsWithDelta(84.0, Whipping::found(100.0, 50.0, 0.92), 1e-9);
    }

    /** Half of the ceiling of 2 % and half of each oil's own limit, shared by two. */
    public function test_a_first_version_begins_with_half_of_what_is_allowed(): void
    {
        $scents = array_values(array_filter(
            (new FirstFormula(self::catalogue(), new Profile('Ada')))
                ->make(ProductKind::HairOil, ['lavender-eo', 'rosemary-eo'])->formula->lines,
            static fn (Line $l): bool => self::catalogue()->get($l->ingredient)->kind === IngredientKind::EssentialOil,
        ));
        self::assertSame(['0.5 %', '0.5 %'], array_map(static fn (Line $l): string => $l->amount->text, $scents));
    }

    public function test_two_oils_that_burn_in_the_sun_together_are_cut_to_what_both_may_be(): void
    {
        $limit = static fn (string $id): float => self::catalogue()
            ->get($id)->facts->get(Property::PhototoxicMax)->band->best;
        $both = array_values(array_filter(
            self::catalogue()->all(),
            static fn ($i): bool => $i->kind === IngredientKind::EssentialOil && $i->isPhototoxic(),
        ));
        [$a, $b] = [$both[0]->id, $both[1]->id];
        $shares = [$limit($a) * 0.7, $limit($b) * 0.7];
        $formula = self::formula([
            $a => $shares[0].' %',
            $b => $shares[1].' %',
            'olive-oil' => (100 - array_sum($shares)).' %',
        ])->withAudience(Audience::AdultLeaveOn);
        self::assertContains('phototoxic.together', self::codes(self::assess($formula)));
        $cured = self::cured(self::assess($formula), 'phototoxic.together');
        self::assertNotContains('phototoxic.together', self::codes($cured));
    }
}
