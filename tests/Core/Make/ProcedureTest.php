<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Portion;
use Crown\Formula\ProductKind;
use Crown\Formula\Step;
use Crown\Make\Procedure;
use Crown\Make\Task;
use Crown\Make\TaskKind;
use Crown\Measure\Kitchen;
use Crown\Measure\Mixer;
use Crown\Measure\Tools;
use Crown\Reading\RecipeReader;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What is done at the counter, from what a maker wrote and from what she left out. */
final class ProcedureTest extends CoreTestCase
{
    private const BUTTER = "Whipped shea butter\n120 g shea butter\n40 g coconut oil\n30 g argan oil\n"
        ."20 drops lavender essential oil\n";

    private const BALM = "Hair wax balm\n30 g beeswax\n60 g castor oil\n20 g shea butter\n"
        ."15 drops rosemary essential oil\n1 tsp vitamin E\n";

    private static function read(string $text): Assessment
    {
        $kitchen = self::context()->kitchen;

        return self::assess((new RecipeReader(self::catalogue(), $kitchen))->read($text)->toFormula());
    }

    /** @return list<string> */
    private static function ids(Assessment $of): array
    {
        return array_map(static fn (Task $t): string => $t->id(), Procedure::of($of)->tasks);
    }

    private static function task(Assessment $of, string $id): Task
    {
        foreach (Procedure::of($of)->tasks as $task) {
            if ($task->id() === $id) {
                return $task;
            }
        }
        self::fail(sprintf('No task "%s" among: %s', $id, implode(', ', self::ids($of))));
    }

    /** @return list<string> names of what goes in */
    private static function in(Assessment $of, string $id): array
    {
        $names = [];
        foreach ($of->subject->composition->counted() as $portion) {
            $names[$portion->line->id] = $portion->ingredient->id;
        }

        return array_map(static fn (string $l): string => $names[$l], self::task($of, $id)->lines);
    }

    private static function assertEveryLineOnce(Assessment $of): void
    {
        $lines = array_merge(...array_map(static fn (Task $t): array => $t->lines, Procedure::of($of)->tasks));
        $all = array_map(static fn (Portion $p): string => $p->line->id, $of->subject->composition->counted());
        sort($lines);
        sort($all);
        self::assertSame($all, $lines, implode(', ', self::ids($of)));
    }

    public function test_her_rounds_of_freezing_and_whipping_stand_in_her_order_with_her_times(): void
    {
        $of = self::read(self::BUTTER.'Melt the shea and coconut oil over hot water. Freeze for 30 minutes. Whip 10 '
            .'minutes. Freeze again for 15 minutes. Add the argan and whip 5 minutes. Add the lavender. '
            .'Spoon into jars.');

        self::assertSame(
            ['clean', 'melt', 'chill', 'whip', 'chill-2', 'whip-2', 'add', 'fill', 'wipe', 'label'],
            self::ids($of),
        );
        self::assertSame(['shea-butter', 'coconut-oil'], self::in($of, 'melt'));
        self::assertSame(['argan-oil'], self::in($of, 'whip-2'));
        self::assertSame(30.0, self::task($of, 'chill')->gate->minutes?->best);
        self::assertSame(15.0, self::task($of, 'chill-2')->gate->minutes?->best);
        self::assertSame(5.0, self::task($of, 'whip-2')->gate->minutes?->best);
        self::assertStringContainsString('Soft peaks', self::task($of, 'whip-2')->gate->sign, 'with our sign');
        self::assertSame('Freeze again for 15 minutes.', self::task($of, 'chill-2')->act);
        foreach (Procedure::of($of)->tasks as $task) {
            self::assertSame('', $task->hers->doubt ?? '', $task->id());
        }
        self::assertEveryLineOnce($of);
    }

    public function test_a_wax_that_does_not_melt_where_she_wrote_and_a_scent_that_would_be_cooked(): void
    {
        $of = self::read(self::BALM.'Melt everything together at 50 C. Add the rosemary oil. Pour into tins. '
            .'Let it set for 2 hours. Label.');

        $melt = self::task($of, 'melt');
        self::assertStringContainsString('Beeswax does not melt there', $melt->hers->doubt ?? '');
        self::assertSame('Melt everything together at 50 C.', $melt->hers->words ?? '');
        self::assertGreaterThan(65.0, $melt->gate->celsius?->best);
        self::assertNotContains('rosemary-eo', self::in($of, 'melt'));
        self::assertSame(['rosemary-eo'], self::in($of, 'add'));
        $ids = self::ids($of);
        self::assertSame('cool', $ids[(int) array_search('add', $ids, true) - 1], 'it is let cool first');
        self::assertStringContainsString('bears at most 40 °C', self::task($of, 'cool')->hers->doubt ?? '');
        self::assertSame(120.0, self::task($of, 'set')->gate->minutes?->best, 'her own time of setting');
        self::assertNotContains('set-2', $ids);
        self::assertEveryLineOnce($of);
    }

    public function test_forty_degrees_for_a_wax_that_sets_before(): void
    {
        $of = self::read(self::BALM.'Melt the wax, castor oil and shea at 75 C. Cool to 40 C and stir in the vitamin E '
            .'and the rosemary. Pour into tins.');

        $cool = self::task($of, 'cool');
        self::assertStringContainsString('You wrote 40 °C. It sets before that', $cool->hers->doubt ?? '');
        self::assertGreaterThan(50.0, $cool->gate->celsius?->low);
        self::assertStringContainsString('Then stir in: Rosemary essential oil, Vitamin E', $cool->act);
        self::assertContains('rosemary-eo', self::in($of, 'cool'));
        self::assertSame('', self::task($of, 'melt')->hers->doubt ?? '', '75 °C melts all of it');
        self::assertSame([73.0, 77.0], [
            self::task($of, 'melt')->gate->celsius?->low,
            self::task($of, 'melt')->gate->celsius?->high,
        ]);
        self::assertEveryLineOnce($of);
    }

    public function test_a_scent_put_in_before_the_heat_waits_for_after_it(): void
    {
        $of = self::read(self::BUTTER.'Mix the argan with the lavender. Melt the shea and coconut at 60 C and stir. '
            .'Whip.');

        self::assertStringContainsString(
            'Lavender essential oil would be heated with the rest',
            self::task($of, 'add')->hers->doubt ?? '',
        );
        self::assertNotContains('lavender-eo', self::in($of, 'add'));
        $ids = self::ids($of);
        self::assertGreaterThan(array_search('melt', $ids, true), array_search('cool-down', $ids, true));
        self::assertSame(['lavender-eo'], self::in($of, 'cool-down'));
        self::assertEveryLineOnce($of);
    }

    public function test_what_is_let_cool_to_a_temperature_is_never_meant_to_be_warmer(): void
    {
        $of = self::read(self::BUTTER.'Melt the shea and coconut at 60 C. Cool to 38 C. Add the lavender. Whip.');

        self::assertSame([36.0, 38.0], [
            self::task($of, 'cool')->gate->celsius?->low,
            self::task($of, 'cool')->gate->celsius?->high,
        ]);
    }

    public function test_more_heat_than_a_fat_bears_is_not_followed(): void
    {
        $of = self::read(self::BUTTER.'Melt the shea and coconut oil at 120 C. Whip for 10 minutes.');

        self::assertStringContainsString('You wrote 120 °C', self::task($of, 'melt')->hers->doubt ?? '');
        self::assertLessThanOrEqual(90.0, self::task($of, 'melt')->gate->celsius?->high);
    }

    public function test_what_she_did_not_say_is_put_in_at_its_turn(): void
    {
        $of = self::read(self::BUTTER.'Melt at 60 C.');
        $ids = self::ids($of);

        self::assertSame(
            ['clean', 'melt', 'combine', 'chill', 'cool-down', 'whip', 'fill', 'wipe', 'label'],
            $ids,
        );
        self::assertSame(['shea-butter'], self::in($of, 'melt'), 'all that is melted');
        self::assertSame(['coconut-oil', 'argan-oil'], self::in($of, 'combine'));
        self::assertSame(60.0, self::task($of, 'melt')->gate->celsius?->best, 'at her heat');
        self::assertEveryLineOnce($of);
    }

    public function test_how_it_is_used_is_no_making(): void
    {
        $of = self::read(
            self::BUTTER."Melt the shea and coconut oil. Whip.\nApply to damp hair. Store in a cool place.",
        );
        foreach (Procedure::of($of)->tasks as $task) {
            self::assertStringNotContainsString('damp hair', $task->act);
            self::assertStringNotContainsString('cool place', $task->act);
        }
    }

    public function test_without_a_method_the_house_has_one_with_times_and_reasons(): void
    {
        $of = self::assess(self::formula(
            ['shea-butter' => '140 g', 'olive-oil' => '60 g', 'rosemary-eo' => '10 drops', 'arrowroot' => '5 g'],
            ProductKind::WhippedButter,
        ));

        self::assertSame(
            [
                ...['clean', 'melt', 'combine', 'chill', 'cool-down', 'whip', 'sift'],
                ...['fill', 'wipe', 'label'],
            ],
            self::ids($of),
        );
        self::assertStringContainsString('burn', self::task($of, 'melt')->caution);
        $texture = $of->subject->texture;
        $scent = self::task($of, 'cool-down')->gate->celsius;
        self::assertSame($of->subject->whipping()->warmest, $scent?->high, 'as warm as it is whipped');
        self::assertLessThan(40.0, $scent->high);
        $chill = self::task($of, 'chill')->gate;
        self::assertEqualsWithDelta(30.0, $texture->solids($chill->celsius->low ?? 0.0)->best, 1e-6);
        self::assertEqualsWithDelta(20.0, $texture->solids($chill->celsius->high ?? 0.0)->best, 1e-6);
        self::assertNotNull($chill->minutes);
        self::assertSame([8.0, 12.0], [
            self::task($of, 'whip')->gate->minutes?->low,
            self::task($of, 'whip')->gate->minutes?->high,
        ]);
        self::assertNull(self::task($of, 'whip')->hers);
        self::assertEveryLineOnce($of);
    }

    public function test_bars_set_one_by_one_and_come_out(): void
    {
        $bar = static fn (string $grams): Assessment => self::assess(self::formula(
            ['btms-50' => $grams, 'cocoa-butter' => $grams, 'lavender-eo' => '5 drops'],
            ProductKind::ConditionerBar,
        ));
        $ids = self::ids($bar('40 g'));

        self::assertSame(['fill', 'set', 'unmould', 'wrap', 'wipe', 'label'], array_slice($ids, -6));
        self::assertGreaterThan(
            self::task($bar('40 g'), 'set')->gate->minutes?->best,
            self::task($bar('400 g'), 'set')->gate->minutes?->best,
            'a thick one takes longer',
        );
    }

    public function test_an_oil_that_needs_no_heat_is_not_let_cool(): void
    {
        $of = self::assess(self::formula(['olive-oil' => '90 g', 'peppermint-eo' => '10 drops']));

        self::assertSame(['clean', 'combine', 'cool-down', 'fill', 'wipe', 'label'], self::ids($of));
        self::assertStringContainsString('nothing here needs heat', self::task($of, 'cool-down')->act);
    }

    public function test_scents_that_would_be_boiled_go_in_after_it(): void
    {
        $of = self::read("Scalp oil\n100 ml olive oil\n20 g dried nettle\n10 drops tea tree\n"
            .'Combine everything and boil in a water bath 45 minutes to an hour. Strain and bottle.');
        $ids = self::ids($of);

        self::assertSame(['olive-oil', 'nettle'], self::in($of, 'hold'));
        self::assertStringContainsString('would be heated', self::task($of, 'hold')->hers->doubt ?? '');
        self::assertStringContainsString('burn', self::task($of, 'hold')->caution ?? '');
        self::assertSame(['tea-tree-eo'], self::in($of, 'cool-down'));
        self::assertSame(
            ['hold', 'strain', 'cool', 'cool-down', 'fill'],
            array_values(array_intersect($ids, ['hold', 'strain', 'cool', 'cool-down', 'fill'])),
        );
        self::assertEveryLineOnce($of);
    }

    public function test_turns_of_freezing_and_whipping_in_one_breath_are_acts_of_their_own(): void
    {
        $of = self::read(self::BUTTER.'Melt the shea. Freezer 30 minutes, whip, freezer again, whip 20 to 25 minutes.');

        self::assertSame(
            ['chill', 'whip', 'chill-2', 'cool-down', 'whip-2'],
            array_values(array_intersect(self::ids($of), ['chill', 'whip', 'chill-2', 'cool-down', 'cool', 'whip-2'])),
        );
        self::assertSame(['lavender-eo'], self::in($of, 'cool-down'), 'into the last whip, at the warmth of its bowl');
        self::assertLessThan(40.0, self::task($of, 'cool-down')->gate->celsius?->high);
        self::assertSame(30.0, self::task($of, 'chill')->gate->minutes?->best);
        self::assertSame(22.5, self::task($of, 'whip-2')->gate->minutes?->best);
    }

    public function test_it_is_stirred_then_filled_then_shaken(): void
    {
        foreach (['Pour the oils into a bottle. ', ''] as $first) {
            $of = self::read("Hair oil\n80 ml olive oil\n20 ml castor oil\n1 tsp vitamin E\n$first"
                .'Put the lid on and shake well.');

            self::assertSame(['clean', 'combine', 'cool-down', 'fill', 'shake', 'wipe', 'label'], self::ids($of));
            self::assertEveryLineOnce($of);
        }
    }

    public function test_the_oil_and_a_shortened_name_mean_the_one_line_they_can_mean(): void
    {
        $balm = self::read("Balm\n20 g beeswax\n60 g olive oil\n"
            .'Melt the wax. Let it cool a little, then add the oil. Pour into tins.');
        self::assertSame(['olive-oil'], self::in($balm, 'cool'));
        self::assertStringContainsString('warm them', self::task($balm, 'cool')->hers->doubt ?? '');
        self::assertNotContains('combine', self::ids($balm));

        $how = 'Melt the shea. Freeze 20 minutes. Add the castor oil and the lavender. Whip until fluffy.';
        $one = self::read("Whipped hair butter\n150 g shea butter\n50 g Jamaican black castor oil\n"
            ."10 drops lavender essential oil\n$how");
        self::assertSame(['black-castor-oil', 'lavender-eo'], self::in($one, 'add'));
        $two = self::read("Whipped hair butter\n150 g shea butter\n50 g Jamaican black castor oil\n20 g castor oil\n"
            ."10 drops lavender essential oil\n$how");
        self::assertSame(['castor-oil', 'lavender-eo'], self::in($two, 'add'), 'the plain one, where it is there');
    }

    public function test_vitamin_e_bears_the_melt(): void
    {
        $of = self::read(self::BALM.'Melt the wax and the shea with the castor oil. Stir in the vitamin E. '
            .'Add the rosemary oil. Pour into tins.');

        self::assertSame(['vitamin-e'], self::in($of, 'add'));
        self::assertSame('', self::task($of, 'add')->hers->doubt ?? '');
        self::assertSame(['rosemary-eo'], self::in($of, 'add-2'));
        $ids = self::ids($of);
        self::assertSame('cool', $ids[(int) array_search('add-2', $ids, true) - 1]);
        $house = self::assess(self::formula(
            ['beeswax' => '30 g', 'castor-oil' => '60 g', 'vitamin-e' => '1 g'],
            ProductKind::Balm,
        ));
        self::assertNotContains('cool', self::ids($house), 'nothing is waited for');
    }

    public function test_what_the_bowl_does_not_hold_is_whipped_in_goes_in_hers_too(): void
    {
        $formula = self::read(self::BUTTER.'Melt the shea. Chill. Whip 10 minutes.')->subject->formula();
        $kitchen = new Kitchen(bowlMillilitres: 200.0);
        $of = Assessor::standard()->assess($formula, new Context(self::catalogue(), $kitchen));

        self::assertStringContainsString('in 3 goes', self::task($of, 'whip')->hers->doubt ?? '');
        self::assertStringNotContainsString(
            'goes',
            self::task(self::read(self::BUTTER.'Melt the shea. Chill. Whip 10 minutes.'), 'whip')->hers->doubt ?? '',
        );
    }

    public function test_what_turns_grainy_is_cooled_fast(): void
    {
        $shea = self::assess(self::formula(['shea-butter' => '80 g', 'olive-oil' => '20 g'], ProductKind::Balm));
        self::assertStringContainsString('fast', self::task($shea, 'set')->act);
        self::assertStringContainsString('grains', self::task($shea, 'set')->gate->reason ?? '');
        $hers = self::read("Shea balm\n80 g shea butter\n20 g olive oil\nMelt. Pour into jars. "
            .'Let it set overnight.');
        self::assertStringContainsString('grains', self::task($hers, 'set')->hers->doubt ?? '');
        $cocoa = self::assess(self::formula(['cocoa-butter' => '80 g', 'olive-oil' => '20 g'], ProductKind::Balm));
        self::assertStringNotContainsString('fast', self::task($cocoa, 'set')->act);
    }

    /** Any method in any order: every line goes in once, and nothing delicate is heated. */
    public function test_no_method_loses_a_line_or_cooks_a_scent(): void
    {
        $acts = [
            'Melt the shea.', 'Melt everything at 70 C.', 'Add the lavender.', 'Stir in the oils.', 'Cool to 35 C.',
            'Freeze 20 minutes.', 'Whip 5 minutes.', 'Add the argan and whip.', 'Wait.', 'Heat to 80 C.',
            'Pour into jars.',
        ];
        mt_srand(15);
        for ($n = 0; $n < 60; $n++) {
            shuffle($acts);
            $said = array_slice($acts, 0, mt_rand(1, 8));
            $of = self::read(self::BUTTER.implode(' ', $said));
            self::assertEveryLineOnce($of);
            $in = false;
            foreach (Procedure::of($of)->tasks as $task) {
                $scents = array_filter(
                    $of->subject->composition->counted(),
                    static fn (Portion $p): bool => $p->ingredient->id === 'lavender-eo'
                        && in_array($p->line->id, $task->lines, true),
                );
                self::assertFalse($in && $task->kind === TaskKind::Melt, implode(' ', $said));
                $in = $in || $scents !== [];
            }
        }
    }

    public function test_steps_that_name_no_time_keep_none(): void
    {
        $step = new Step('Whip', 'whip');
        $of = self::assess(self::formula(
            ['shea-butter' => '140 g', 'olive-oil' => '60 g'],
            ProductKind::WhippedButter,
        )->withSteps([$step]));

        self::assertSame(10.0, self::task($of, 'whip')->gate->minutes?->best, 'ours then');
    }

    public function test_stirring_together_takes_what_she_did_not_name_with_clean_hands(): void
    {
        $of = self::read("Light oil\n60 ml jojoba oil\n40 ml grapeseed oil\n10 drops peppermint essential oil\n"
            .'Stir together without heat. Fill dropper bottles.');

        self::assertSame(['clean', 'combine', 'cool-down', 'fill', 'wipe', 'label'], self::ids($of));
        self::assertSame(['jojoba-oil', 'grapeseed-oil'], self::in($of, 'combine'));
        self::assertSame('Stir together without heat.', self::task($of, 'combine')->act);
        self::assertEveryLineOnce($of);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function verbs(): iterable
    {
        yield 'toast, crush' => ['Toast the seeds for 3 minutes. Crush them in a mortar.', ['toast', 'crush']];
        yield 'blend' => ['Put the aloe leaves in the blender until smooth.', ['blend']];
        yield 'scrape' => ['Whip 5 minutes. Scrape down the sides of the bowl. Whip 5 minutes.', ['scrape']];
        yield 'scraping on the way is whipping' => ['Whip for 5 minutes, scraping down the sides.', ['whip']];
        yield 'what was roasted before' => ['Melt the shea. Add 1 pound of roasted castor oil.', ['melt', 'add']];
        yield 'oils are blended in no blender' => ['Melt the shea. Blend in the argan oil.', ['melt', 'add']];
        yield 'wipe' => ['Wipe the rims of the jars.', ['wipe']];
        yield 'German' => ['Sheabutter schmelzen. 30 Minuten in den Kühlschrank. 8 Minuten aufschlagen.', ['chill']];
        yield 'French' => ['Fondre le beurre de karité. 20 minutes au frigo. Fouetter 6 minutes.', ['melt', 'whip']];
    }

    /** @param  list<string>  $kinds */
    #[DataProvider('verbs')]
    public function test_what_her_verbs_say_is_done(string $method, array $kinds): void
    {
        $ids = self::ids(self::read(self::BUTTER.$method));

        self::assertSame($kinds, array_values(array_intersect($kinds, $ids)), implode(', ', $ids));
        self::assertEveryLineOnce(self::read(self::BUTTER.$method));
    }

    public function test_oils_are_meant_in_her_own_language(): void
    {
        $butter = "Whipped butter\n100 g shea butter\n20 g olive oil\n10 g argan oil\n1 g lavender essential oil\n";
        $of = self::read($butter.'Sheabutter im Wasserbad schmelzen. Die Öle einrühren. 8 Minuten aufschlagen.');

        self::assertSame(['shea-butter'], self::in($of, 'melt'));
        self::assertSame(['olive-oil', 'argan-oil'], array_values(array_intersect(
            ['olive-oil', 'argan-oil'],
            self::in($of, 'add'),
        )));
    }

    /** @return iterable<string, array{Mixer, string}> */
    public static function mixers(): iterable
    {
        yield 'medium' => [new Mixer('Blue'), 'Whip 8 to 12 minutes at medium speed (Blue).'];
        yield 'high: 10 / 1.5' => [new Mixer('Blue', speed: 'high'), 'Whip about 7 minutes at high speed (Blue).'];
        yield 'by hand: 10 / 0.35' => [new Mixer('Whisk', sort: 'whisk'), 'Whip about 29 minutes by hand (Whisk).'];
    }

    #[DataProvider('mixers')]
    public function test_it_is_whipped_at_the_pace_of_what_she_has(Mixer $mixer, string $act): void
    {
        $butter = self::read(self::BUTTER)->subject->formula();
        $kitchen = new Kitchen(tools: new Tools(mixer: $mixer));
        $of = Assessor::standard()->assess($butter, new Context(self::catalogue(), $kitchen));

        self::assertSame($act, self::task($of, 'whip')->act);
    }

    public function test_cold_oil_is_not_stirred_into_molten_wax(): void
    {
        // 30 g at 75 °C and 70 g at 21: (30 x 75 + 70 x 21) / 100 = 37 °C, and this sets far above.
        $of = self::read("Balm\n70 g olive oil\n15 g beeswax\n15 g shea butter\nMelt over hot water.");
        $combine = self::task($of, 'combine');
        self::assertMatchesRegularExpression('/^Warm the oils to \d+ °C too/', $combine->act);
        self::assertStringContainsString('at about 37 °C', (string) $combine->gate->reason);
        // A little oil in much soft butter stays far above where it sets.
        $soft = self::read("Butter\n95 g coconut oil\n5 g argan oil\nMelt the coconut oil. Add the argan oil.");
        self::assertStringNotContainsString('Warm the oils', self::task($soft, self::withOils($soft))->act);
    }

    /** The id of the task in which the oils go in. */
    private static function withOils(Assessment $of): string
    {
        foreach (Procedure::of($of)->tasks as $task) {
            if (in_array('argan-oil', self::in($of, $task->id()), true)) {
                return $task->id();
            }
        }
        self::fail('The oil goes in nowhere.');
    }
}
