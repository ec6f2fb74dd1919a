<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Reading\Internal\Instructions;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InstructionsTest extends TestCase
{
    /**
     * @return iterable<array{string, string, float, float|null}> sentence, act, minutes (0 for none), °C (null for
     *     none)
     */
    public static function sentences(): iterable
    {
        yield ['Melt the butters over a pan of water.', 'melt', null, null];
        yield ['Gently melt at 75 C for 10 min.', 'melt', 10, 75];
        yield ['Warm the oils to 140°F.', 'heat', null, 60];
        yield ['Simmer for 1 hour', 'heat', 60, null];
        yield ['Infuse for 4-6 weeks in a dark place.', 'steep', 5 * 10080, null];
        yield ['Leave to steep overnight.', 'steep', 480, null];
        yield ['Let it cool to 40 °C.', 'cool', null, 40];
        yield ['Chill in the fridge for 45 minutes', 'chill', 45, null];
        yield ['Place in the freezer', 'chill', null, null];
        yield ['Whip with a hand mixer 8 to 12 minutes.', 'whip', 10, null];
        yield ['Whisk until fluffy', 'whip', null, null];
        yield ['Beating for 5 min', 'whip', 5, null];
        yield ['Strain through a cloth.', 'strain', null, null];
        yield ['Pour into jars', 'pour', null, null];
        yield ['Decant into a dropper bottle', 'pour', null, null];
        yield ['Add the essential oils', 'add', null, null];
        yield ['Stir in the vitamin E', 'add', null, null];
        yield ['Then fold in the powder', 'add', null, null];
        yield ['Shake daily for 2 weeks', 'shake', 20160, null];
        yield ['Store in a cool place for 3 months', 'store', 131400, null];
        yield ['Massage into the scalp', 'apply', null, null];
        yield ['Chop the leaves', 'prepare', null, null];
        yield ['Grinding the seeds', 'prepare', null, null];
        yield ['Set aside for 30 sec', 'wait', 0.5, null];
        yield ['Smells lovely', 'other', null, null];
        yield ['Hold at -18 C', 'wait', null, -18];
    }

    #[DataProvider('sentences')]
    public function test_act_time_and_temperature(string $sentence, string $act, ?float $minutes, ?float $celsius): void
    {
        $steps = Instructions::steps($sentence);

        self::assertCount(1, $steps);
        self::assertSame($act, $steps[0]->act);
        self::assertEqualsWithDelta([$minutes, $celsius], [$steps[0]->minutes, $steps[0]->celsius], 0.01);
        self::assertSame($minutes === null, $steps[0]->minutes === null);
        self::assertSame($celsius === null, $steps[0]->celsius === null);
    }

    public function test_a_row_is_cut_into_its_sentences(): void
    {
        $steps = Instructions::steps('Melt at 75 C. Cool to 40 C! Whip 8-10 minutes; Pour into jars.');

        self::assertSame(['melt', 'cool', 'whip', 'pour'], array_map(static fn ($s): string => $s->act, $steps));
    }

    public function test_what_begins_as_an_instruction(): void
    {
        foreach (['Melt it', 'then stir', 'In a bowl, mix', 'Step 3 pour', 'Gently heat', "Don't boil"] as $row) {
            self::assertTrue(Instructions::begins($row), $row);
        }
        foreach (['2 tbsp castor oil', 'Castor oil 2 tbsp', 'Shea butter', '½ cup water', ''] as $row) {
            self::assertFalse(Instructions::begins($row), $row);
        }
    }
}
