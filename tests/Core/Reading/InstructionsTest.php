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
        yield ['Melt the butters over a pan of water.', 'melt', 0, null];
        yield ['Gently melt at 75 C for 10 min.', 'melt', 10, 75];
        yield ['Warm the oils to 140°F.', 'heat', 0, 60];
        yield ['Simmer for 1 hour', 'heat', 60, null];
        yield ['Infuse for 4-6 weeks in a dark place.', 'steep', 5 * 10080, null];
        yield ['Leave to steep overnight.', 'steep', 480, null];
        yield ['Let it cool to 40 °C.', 'cool', 0, 40];
        yield ['Chill in the fridge for 45 minutes', 'chill', 45, null];
        yield ['Place in the freezer', 'chill', 0, null];
        yield ['Whip with a hand mixer 8 to 12 minutes.', 'whip', 10, null];
        yield ['Whisk until fluffy', 'whip', 0, null];
        yield ['Beating for 5 min', 'whip', 5, null];
        yield ['Strain through a cloth.', 'strain', 0, null];
        yield ['Pour into jars', 'pour', 0, null];
        yield ['Decant into a dropper bottle', 'pour', 0, null];
        yield ['Add the essential oils', 'add', 0, null];
        yield ['Stir in the vitamin E', 'add', 0, null];
        yield ['Then fold in the powder', 'add', 0, null];
        yield ['Shake daily for 2 weeks', 'shake', 20160, null];
        yield ['Store in a cool place for 3 months', 'store', 131400, null];
        yield ['Massage into the scalp', 'apply', 0, null];
        yield ['Chop the leaves', 'prepare', 0, null];
        yield ['Grinding the seeds', 'prepare', 0, null];
        yield ['Set aside for 30 sec', 'wait', 0.5, null];
        yield ['Smells lovely', 'other', 0, null];
        yield ['Hold at -18 C', 'other', 0, -18];
    }

    #[DataProvider('sentences')]
    public function test_act_time_and_temperature(string $sentence, string $act, float $minutes, ?float $celsius): void
    {
        $steps = Instructions::steps($sentence);

        self::assertCount(1, $steps);
        self::assertSame($act, $steps[0]->act);
        self::assertEqualsWithDelta($minutes, $steps[0]->minutes, 1e-6);
        self::assertSame($celsius !== null, $steps[0]->saysTemperature());
        self::assertEqualsWithDelta($celsius ?? 0.0, $steps[0]->celsius, 0.01);
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
