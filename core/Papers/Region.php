<?php

declare(strict_types=1);

namespace Crown\Papers;

use Crown\Measure\Habits;
use Crown\Words\Message;

/**
 * Whose rules a label follows first. It changes how a label is written and never what it says of safety. Selling is
 * another matter: local law is the maker's to ask. Source: the regions' own labelling rules as they are commonly
 * summed up (EC 1223/2009 Art. 19; US 21 CFR 701); check with whoever is competent where you sell.
 */
enum Region: string
{
    case Eu = 'eu';
    case Uk = 'uk';
    case Us = 'us';
    case Other = 'other';

    /** Grams of one avoirdupois ounce. */
    private const OUNCE = 28.349523125;

    /** Words of the INCI list that stand otherwise in the United States. */
    private const US_NAMES = ['Aqua' => 'Water', 'Cera Alba' => 'Beeswax', 'Parfum' => 'Fragrance'];

    /** Where a country's labels are at home; what is not in the list goes by what most do. */
    public static function of(string $country): self
    {
        return self::tryFrom(Habits::of($country)->region ?? '') ?? self::Other;
    }

    /** Net contents as they are written: grams, in the United States after ounces. */
    public function net(float $grams): string
    {
        $metric = rtrim(rtrim(number_format($grams, 1, '.', ''), '0'), '.').' g';

        return $this === self::Us
            ? Message::said('papers.region.net-wt-oz', [
                'grams' => rtrim(rtrim(number_format($grams / self::OUNCE, 2), '0'), '.'),
                'metric' => $metric,
            ])
            : $metric.' net';
    }

    /** An ingredient's name as this region's lists write it. */
    public function inci(string $name): string
    {
        return $this === self::Us ? self::US_NAMES[$name] ?? $name : $name;
    }

    /** What is to be asked before a jar is sold; beside the label, not on it. */
    public function beforeSelling(): string
    {
        return match ($this) {
            self::Eu => Message::said('papers.region.before-you-sell-eu'),
            self::Uk => Message::said('papers.region.before-you-sell-united'),
            self::Us => Message::said('papers.region.before-you-sell-united-2'),
            self::Other => Message::said('papers.region.before-you-sell-local'),
        };
    }
}
