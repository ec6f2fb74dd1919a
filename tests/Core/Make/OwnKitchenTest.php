<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\WaterPlan;
use Crown\Assessment\Whipping;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Head\FirstFormula;
use Crown\Head\Profile;
use Crown\Head\Shortlist;
use Crown\Json\Node;
use Crown\Make\BatchClosing;
use Crown\Make\MakeError;
use Crown\Make\MakeSheet;
use Crown\Make\Task;
use Crown\Make\TaskKind;
use Crown\Measure\CupSize;
use Crown\Measure\Kit;
use Crown\Measure\Ways;
use Tests\Core\CoreTestCase;

/** What a maker has, and the sides she takes, in what she is told to do. */
final class OwnKitchenTest extends CoreTestCase
{
    /** @param  array<string, mixed>  ...$items */
    private static function kit(array ...$items): Kit
    {
        $kit = Kit::read([]);
        foreach ($items as $item) {
            $kit = $kit->with(Node::of($item));
        }

        return $kit;
    }

    /** @param  array<string, string>  $ways */
    private static function judged(Formula $formula, ?Kit $kit = null, array $ways = []): Assessment
    {
        $kitchen = ($kit ?? Kit::read([]))->kitchen(CupSize::Metric, 1.0, null, Ways::of($ways));

        return Assessor::standard()->assess($formula, new Context(self::catalogue(), $kitchen));
    }

    private static function task(Assessment $of, TaskKind $kind): string
    {
        $found = array_filter((new MakeSheet($of))->tasks(), static fn (Task $t): bool => $t->kind === $kind);

        return implode(' ', array_map(static fn (Task $t): string => $t->words(), $found));
    }

    private static function butter(): Formula
    {
        return self::formula(
            ['shea-butter' => '140 g', 'olive-oil' => '60 g', 'rosemary-eo' => '10 drops'],
            ProductKind::WhippedButter,
        );
    }

    /** 200 g are some 220 ml; whipped they want 440 ml of bowl. */
    public function test_the_melt_names_her_bowl_with_its_tare_and_her_pan(): void
    {
        self::assertStringContainsString(
            'Melt the melt phase in a bowl over hot water, foil',
            self::task(self::judged(self::butter()), TaskKind::Melt),
        );
        $kit = self::kit(
            ['kind' => 'bowl', 'name' => 'the cup', 'millilitres' => 400],
            ['kind' => 'bowl', 'name' => 'Steel bowl', 'millilitres' => 1500, 'tare_grams' => 412.5],
            ['kind' => 'pan', 'name' => 'Jam pan', 'millilitres' => 6000],
        );
        self::assertStringContainsString(
            'in a bowl (Steel bowl, 412.5 g empty) over hot water (Jam pan), foil',
            self::task(self::judged(self::butter(), $kit), TaskKind::Melt),
        );
    }

    public function test_a_limit_stands_on_her_thermometer_read_low(): void
    {
        $oil = self::formula(['olive-oil' => '90 g', 'lavender-eo' => '10 drops']);
        self::assertStringContainsString(
            'At or under 40 °C on the probe.',
            self::task(self::judged($oil), TaskKind::CoolDown),
        );
        $kit = self::kit(['kind' => 'thermometer', 'name' => 'Jam thermometer', 'step_celsius' => 2]);
        self::assertStringContainsString(
            'At or under 38 °C on the probe (Jam thermometer, in steps of 2).',
            self::task(self::judged($oil, $kit), TaskKind::CoolDown),
        );
    }

    /** 0.8 x m/10 x exp(1 - m/10): 0.8 at 10 minutes, 0.325 at 30, 0.659 at 5. */
    public function test_how_long_she_whips_decides_how_much_air_is_in_the_jars(): void
    {
        $air = static fn (Assessment $a): float => Whipping::airIn(
            $a->subject->composition,
            $a->subject->context,
        );
        self::assertEqualsWithDelta(0.8, $air(self::judged(self::butter())), 1e-6);
        $long = self::judged(self::butter(), null, ['whipping' => 'long']);
        self::assertEqualsWithDelta(0.32481, $air($long), 1e-4);
        self::assertStringContainsString('about 30 minutes', self::task($long, TaskKind::Whip));
        self::assertStringContainsString('Soft as a lotion', self::task($long, TaskKind::Whip));
        $whisk = self::kit(['kind' => 'mixer', 'name' => 'My whisk']);
        $kit = self::kit(['kind' => 'mixer', 'name' => 'Hand mixer', 'minutes' => 5]);
        $liked = self::judged(self::butter(), $kit, ['whipping' => 'long']);
        self::assertEqualsWithDelta(0.65949, $air($liked), 1e-4);
        self::assertStringContainsString(
            'Whip about 5 minutes at medium speed (Hand mixer)',
            self::task($liked, TaskKind::Whip),
        );
        self::assertStringContainsString('Stop before it begins to fall', self::task($liked, TaskKind::Whip));
        $schools = $liked->subject->whipping()->jsonSerialize()['schools'];
        self::assertSame(
            ['short, fluffy', 'long, soft as a lotion', 'as you like it, Hand mixer'],
            array_column($schools, 'name'),
        );
        self::assertSame(5.0, $schools[2]['minutes']);
        self::assertCount(2, $long->subject->whipping()->jsonSerialize()['schools']);
        self::assertStringContainsString(
            '8 to 12 minutes at medium speed (My whisk)',
            self::task(self::judged(self::butter(), $whisk), TaskKind::Whip),
        );
    }

    public function test_a_bar_is_counted_out_into_her_mould(): void
    {
        $bar = self::formula(['btms-25' => '100 g', 'cocoa-butter' => '100 g'], ProductKind::ConditionerBar);
        $plain = self::judged($bar);
        self::assertStringContainsString('into the moulds before it sets', self::task($plain, TaskKind::Fill));
        $density = $plain->subject->composition->density();
        $bars = (int) floor(200 / $density / 40);
        $hearts = ['kind' => 'mould', 'name' => 'Hearts', 'hollows' => 3, 'millilitres' => 40];
        self::assertStringContainsString(
            sprintf('(Hearts) before it sets: %d bars of about %d g, in 2 rounds.', $bars, round(40 * $density)),
            self::task(self::judged($bar, self::kit($hearts)), TaskKind::Fill),
        );
        self::assertStringNotContainsString(
            'rounds',
            self::task(self::judged($bar, self::kit([...$hearts, 'hollows' => 9])), TaskKind::Fill),
        );
        self::assertStringContainsString(
            'less than one bar',
            self::task(self::judged($bar, self::kit([...$hearts, 'millilitres' => 900])), TaskKind::Fill),
        );
    }

    public function test_a_jar_weighed_full_holds_what_its_tare_leaves(): void
    {
        $kit = self::kit(
            ['kind' => 'jar', 'name' => 'the tin', 'brim_ml' => 120, 'tare_grams' => 38.4],
            ['kind' => 'jar', 'name' => 'the glass', 'brim_ml' => 120],
            ['kind' => 'bowl', 'name' => 'a bowl', 'millilitres' => 900, 'tare_grams' => 30],
        );
        self::assertSame(91.6, BatchClosing::net(130.0, $kit->item(1)));
        $refused = [];
        foreach ([[38.4, 1], [130.0, 2], [130.0, 3], [130.0, 9]] as [$full, $item]) {
            try {
                BatchClosing::net($full, $kit->item($item));
            } catch (MakeError $e) {
                $refused[] = [$e->path, $e->cause];
            }
        }
        self::assertSame([
            ['full_grams', 'not-full'],
            ['full_grams', 'no-tare'],
            ['full_grams', 'no-tare'],
            ['full_grams', 'no-tare'],
        ], $refused);
    }

    public function test_who_uses_no_essential_oils_is_offered_none_and_told_why(): void
    {
        $for = static fn (string $side): array => (new Shortlist(
            self::catalogue(),
            new Profile('Ada'),
            ways: Ways::of(['scents' => $side]),
        ))->for(Need::Shedding, [], IngredientKind::EssentialOil, 40)->jsonSerialize();

        self::assertNotSame([], $for('some')['ranked']);
        self::assertSame([], $for('none')['ranked']);
        self::assertStringContainsString('You use no essential oils', $for('none')['left_out'][0]['reason']);
    }

    public function test_who_always_preserves_finds_it_in_a_first_version_once(): void
    {
        $lines = static fn (ProductKind $kind, string $side): array => array_filter(
            (new FirstFormula(self::catalogue(), new Profile('Ada'), ways: Ways::of(['preserving' => $side])))
                ->make($kind, [])->formula->lines,
            static fn (Line $l): bool => $l->ingredient === 'caprylyl-glycol-phenoxyethanol',
        );

        self::assertCount(1, $lines(ProductKind::HairOil, 'always'));
        self::assertCount(0, $lines(ProductKind::HairOil, 'water'));
        self::assertCount(1, $lines(ProductKind::ConditionerBar, 'always'));
        self::assertCount(1, $lines(ProductKind::ConditionerBar, 'frozen'));
    }

    public function test_freezing_comes_first_for_whoever_keeps_to_it_and_never_for_sale_or_a_child(): void
    {
        $water = ['olive-oil' => '80 g', 'water' => '20 g'];
        $next = static fn (Formula $f, string $side): string => (new WaterPlan(
            self::judged($f, null, ['preserving' => $side])->subject,
            self::catalogue(),
        ))->next()[0];
        $own = self::formula($water);
        self::assertStringStartsWith('For your own use only, freeze', $next($own, 'frozen'));
        self::assertStringStartsWith('Take the water out', $next($own, 'water'));
        foreach ([$own->withUse(false, true, 20.0), $own->withAudience(Audience::Child6To12)] as $other) {
            self::assertStringStartsWith('Take the water out', $next($other, 'frozen'));
        }
        $wet = self::formula(['olive-oil' => '80 g'])->withUse(true, false, 20.0)->withSize(Size::asWritten());
        self::assertStringStartsWith('An oil-soluble', $next($wet, 'always'));
        self::assertStringStartsWith('A dry spatula', $next($wet, 'frozen'));
    }
}
