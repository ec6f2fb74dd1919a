<?php

declare(strict_types=1);

namespace App\Demo;

/** The demo studio's recipes, as its makers wrote them down. */
final class Recipes
{
    /**
     * @return array<string, array{
     *     days_ago: int, text: string, head: string, settings: array<string, mixed>, steeped: array<string, string>,
     * }>
     */
    public static function all(): array
    {
        return [
            'cloud' => self::recipe(
                96,
                'imani',
                ['kind' => 'whipped-butter', 'size' => ['mode' => 'as-written']],
                <<<'TEXT'
                Cloud butter
                180 g shea butter
                40 g cocoa butter
                80 g jojoba oil
                3 tbsp high-oleic sunflower oil
                1 tbsp arrowroot
                1 tsp vitamin e
                40 drops lavender essential oil
                Method
                Melt the butters in a bowl over hot water at 75 C.
                Stir in the oils, then cool to 40 C and add the vitamin E and the lavender.
                Chill until the rim is firm. Whip for 8-10 minutes, sift in the arrowroot, spoon into jars.
                TEXT
                ,
            ),
            'edge' => self::recipe(
                88,
                '',
                ['kind' => 'balm', 'size' => ['mode' => 'jars', 'jars' => 6, 'millilitres' => 15]],
                <<<'TEXT'
                Vegan edge balm
                14 % candelilla wax
                20 % mango butter
                30 % castor oil
                avocado oil to fill
                0.5 % vitamin e
                TEXT
                ,
            ),
            'scalp' => self::recipe(
                90,
                'zuri',
                ['kind' => 'scalp-oil'],
                <<<'TEXT'
                Light scalp oil
                60 ml jojoba oil
                40 ml grapeseed oil
                20 ml squalane
                1/2 tsp vitamin e
                22 drops rosemary essential oil
                10 drops peppermint oil
                Stir together without heat and fill dropper bottles.
                TEXT
                ,
            ),
            'bar' => self::recipe(
                75,
                'imani',
                ['kind' => 'conditioner-bar', 'audience' => 'adult-rinse-off', 'wet_use' => true],
                <<<'TEXT'
                Slip bar
                60 g BTMS
                30 g cetyl alcohol
                45 g cocoa butter
                30 g mango butter
                15 g broccoli seed oil
                2 g oil soluble preservative
                2 g panthenol
                Melt all but the last two at 75 C and hold for 10 minutes.
                Cool to 45 C, add the rest, pour into moulds and chill.
                TEXT
                ,
            ),
            'milk' => self::recipe(
                60,
                '',
                ['kind' => 'emulsion'],
                <<<'TEXT'
                Leaf-water leave-in milk
                70 % rosemary tea
                6 % emulsifying wax
                12 % sunflower oil
                6 % aloe vera gel
                3 % glycerine
                2 % argan oil
                1 % phenoxyethanol
                Heat water and oils apart to 70 C. Pour the water into the oils, whisk for 5 minutes.
                Cool to 40 C and add the preservative.
                TEXT
                ,
            ),
            'wrong' => self::recipe(
                52,
                'adaeze',
                ['kind' => 'scalp-oil'],
                <<<'TEXT'
                Mega growth oil from a forum
                1 cup coconut oil
                1/2 cup castor oil
                1 fresh aloe leaf
                2 heaped tbsp saw palmetto powder
                3 tsp MSM powder
                1/2 cup rosemary oil
                100 drops clove essential oil
                60 drops peppermint essential oil
                30 drops bergamot
                a splash of dragon tears
                2 capsules vitamin e
                Heat everything together for 20 minutes and strain.
                The vitamin E preserves it naturally for years.
                TEXT
                ,
            ),
            'seal' => self::recipe(
                50,
                'imani',
                ['kind' => 'sealing-oil', 'size' => ['mode' => 'jars', 'jars' => 4, 'millilitres' => 60]],
                <<<'TEXT'
                Braid sealing oil
                120 g rosemary in olive
                60 g castor oil
                45 g moringa oil
                1.5 g rosemary antioxidant extract
                TEXT
                ,
                ['Rosemary in olive oil' => 'rosemary'],
            ),
            'child' => self::recipe(
                40,
                'tuma',
                ['kind' => 'hair-oil', 'audience' => 'child-2-6'],
                <<<'TEXT'
                Tuma's gentle oil
                120 g high-oleic sunflower oil
                40 g olive oil
                1 g vitamin e
                TEXT
                ,
            ),
            'hot' => self::recipe(
                15,
                '',
                ['kind' => 'hot-oil', 'audience' => 'adult-rinse-off'],
                <<<'TEXT'
                Winter hot-oil treatment
                3 parts olive oil
                2 parts avocado oil
                1 part baobab oil
                TEXT
                ,
            ),
            'wetoil' => self::recipe(
                12,
                '',
                ['kind' => 'scalp-oil'],
                <<<'TEXT'
                Garden rosemary scalp oil
                90 g my rosemary jojoba oil
                30 g squalane
                0.6 g rosemary antioxidant extract
                TEXT
                ,
                ['Fresh rosemary in jojoba' => 'wet'],
            ),
        ];
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  array<string, string>  $steeped line name to the steep whose oil it means
     * @return array{
     *     days_ago: int, text: string, head: string, settings: array<string, mixed>, steeped: array<string, string>,
     * }
     */
    private static function recipe(
        int $daysAgo,
        string $head,
        array $settings,
        string $text,
        array $steeped = [],
    ): array {
        return [
            'days_ago' => $daysAgo,
            'text' => $text,
            'head' => $head,
            'settings' => $settings,
            'steeped' => $steeped,
        ];
    }
}
