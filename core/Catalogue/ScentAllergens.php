<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** Constituents of essential oils that stand by name on labels: they are in an oil, and no ingredient by themselves. */
final readonly class ScentAllergens
{
    /** Constituent to the name that the law gives it. */
    public const NAMES = [
        'limonene' => 'Limonene',
        'linalool' => 'Linalool',
        'linalyl acetate' => 'Linalyl Acetate',
        'citral' => 'Citral',
        'eugenol' => 'Eugenol',
        'isoeugenol' => 'Isoeugenol',
        'eugenyl acetate' => 'Eugenyl Acetate',
        'geraniol' => 'Geraniol',
        'geranyl acetate' => 'Geranyl Acetate',
        'citronellol' => 'Citronellol',
        'coumarin' => 'Coumarin',
        'farnesol' => 'Farnesol',
        'benzyl benzoate' => 'Benzyl Benzoate',
        'benzyl salicylate' => 'Benzyl Salicylate',
        'cinnamaldehyde' => 'Cinnamal',
        'methyl salicylate' => 'Methyl Salicylate',
        'menthol' => 'Menthol',
        'camphor' => 'Camphor',
        'carvone' => 'Carvone',
        'alpha-pinene' => 'Pinene',
        'beta-pinene' => 'Pinene',
        'alpha-terpineol' => 'Terpineol',
        'beta-caryophyllene' => 'Beta-Caryophyllene',
        'terpinolene' => 'Terpinolene',
        'anethole' => 'Anethole',
        'alpha-santalol' => 'Santalol',
        'beta-santalol' => 'Santalol',
    ];

    /** What lists of bought products name besides: the same things as they are called there. */
    private const ALSO = ['hexyl cinnamal', 'amyl cinnamal', 'hydroxycitronellal', 'benzyl cinnamate', 'benzyl alcohol'
        .' (from natural oils)', 'anise alcohol', 'cinnamyl alcohol', 'alpha-isomethyl ionone'];

    /** Whether a name is that of such a constituent, as it ends the list of a bought product. */
    public static function has(string $name): bool
    {
        $plain = mb_strtolower(trim($name, " .*\t"));

        return $plain !== 'menthol' && $plain !== 'camphor' && (
            isset(self::NAMES[$plain])
            || in_array($plain, array_map(mb_strtolower(...), self::NAMES), true)
            || in_array($plain, self::ALSO, true)
        );
    }
}
