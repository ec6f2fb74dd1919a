<?php

declare(strict_types=1);

namespace App\Demo;

/** What stands in the loft's pantry. */
final class Shelf
{
    /** Ingredient, grams, price, best before in days from today, opened days ago, where it stands, where from. */
    public const BOTTLES = [
        ['olive-oil', 1830, 19.6, 400, 90, 'Stair cupboard', 'the mill'],
        ['castor-oil', 958, 14.5, 260, 80, 'Stair cupboard', 'herb shop'],
        ['jojoba-oil', 433, 24.9, 520, 60, 'Stair cupboard', 'herb shop'],
        ['sunflower-oil-high-oleic', 2760, 15.4, 300, 95, 'Stair cupboard', 'the mill'],
        ['grapeseed-oil', null, 6.2, 12, 60, 'Loft shelf', 'the mill'],
        ['squalane', null, 18.0, 600, null, 'Loft shelf', 'online'],
        ['argan-oil', 182, 16.4, 200, 40, 'Fridge', 'market'],
        ['shea-butter', 3000, 41.0, 350, null, 'Stair cupboard', 'market'],
        ['cocoa-butter', 900, 18.9, 500, null, 'Stair cupboard', 'online'],
        ['mango-butter', 600, 14.2, 380, null, 'Stair cupboard', 'online'],
        ['candelilla-wax', 200, 9.5, null, null, 'Loft shelf', 'online'],
        ['btms-25', null, 12.5, 420, null, 'Loft shelf', 'online'],
        ['cetyl-alcohol', null, 7.0, 420, null, 'Loft shelf', 'online'],
        ['vitamin-e', 95, 8.8, 450, 70, 'Fridge', 'online'],
        ['rosemary-eo', 26, 7.9, 540, 85, 'Fridge', 'herb shop'],
        ['peppermint-eo', null, 6.4, 480, null, 'Fridge', 'herb shop'],
        ['lavender-eo', 36, 9.9, 520, 85, 'Fridge', 'herb shop'],
        ['clove-bud-eo', null, 5.5, 480, null, 'Fridge', 'herb shop'],
        ['rosemary', null, 3.2, 240, null, 'Loft shelf', 'our balcony'],
        ['calendula', null, 5.8, 24, null, 'Loft shelf', 'herb shop'],
        ['hibiscus', null, 4.1, 300, null, 'Loft shelf', 'market'],
        ['nettle', null, 3.6, 210, null, 'Loft shelf', 'herb shop'],
        ['fenugreek', null, null, null, null, 'Loft shelf', ''],
        ['saw-palmetto', null, null, null, null, 'Loft shelf', ''],
        ['sweet-almond-oil', null, null, null, null, 'Loft shelf', ''],
        ['arrowroot', 360, null, null, null, 'Loft shelf', ''],
        ['panthenol', null, null, null, null, 'Loft shelf', ''],
        ['sweet-almond-oil', 460, 8.4, 330, null, 'Stair cupboard', 'the mill'],
        ['sweet-almond-oil', 460, 8.4, 330, null, 'Stair cupboard', 'the mill'],
        ['apricot-kernel-oil', 230, 7.9, 180, null, 'Stair cupboard', 'online'],
        ['avocado-oil', 228, 6.7, 150, 50, 'Fridge', 'market'],
        ['coconut-oil', 500, 5.9, 420, null, 'Loft shelf', 'market'],
        ['neem-oil', 92, 6.1, 90, 30, 'Fridge', 'market'],
        ['baobab-oil', 90, 12.2, 260, null, 'Fridge', 'online'],
        ['beeswax', 250, 7.5, null, null, 'Loft shelf', 'a neighbour'],
        ['flaxseed-oil', 230, 4.6, 20, 25, 'Fridge', 'the mill'],
        ['fenugreek', 200, 2.4, 400, null, 'Loft shelf', 'market'],
        ['glycerine', 300, 3.9, 700, null, 'Loft shelf', 'pharmacy'],
        ['kokum-butter', 150, 9.8, 500, null, 'Stair cupboard', 'online'],
    ];

    /** What was weighed when the shelf was last cleared, g. */
    public const WEIGHED = [
        'olive-oil' => 860,
        'castor-oil' => 410,
        'jojoba-oil' => 295,
        'sunflower-oil-high-oleic' => 1400,
        'argan-oil' => 90,
        'shea-butter' => 1150,
        'cocoa-butter' => 240,
        'mango-butter' => 310,
        'candelilla-wax' => 85,
        'vitamin-e' => 42,
        'arrowroot' => 180,
        'lavender-eo' => 18,
        'rosemary-eo' => 9,
    ];

    public const CALLED_BACK = 'sweet-almond-oil';
}
