<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\NameMatch;
use Crown\Catalogue\Nature;

/**
 * What an amount says of a name: 10 drops of rosemary are its essential oil, 60 ml of black seed the oil of it, one
 * avocado is a fruit.
 */
final readonly class MeasuredAs
{
    private const EXACT = 0.999;

    /** What is asked about. */
    private const HALF_SURE = 0.84;

    /** Per cent under which a plant is hardly meant as such. */
    private const LEAST_PLANT = 3.0;

    private const DROPS = '/\b(?:drops?|gtt)\b/iu';

    private const POURED = '/\d\s*(?:ml|mls?|fl\.? ?oz)\b/iu';

    private const PIECES = '/^(?:\d{1,2}|an?|half an?|1\/2|0\.\d+)$/iu';

    private const SHARE = '/^\D{0,8}(\d*[.,]?\d+)\s*%/u';

    /** The part of a plant that its entry is named by. */
    private const PART = '/,.*$|\s+(?:leaf|flower|seed|root|herb|bark|petals?)$/iu';

    /** How other languages call an essential oil in full. */
    private const IN_FULL = [
        'huile essentielle de %s', 'aceite esencial de %s', 'óleo essencial de %s', 'olio essenziale di %s',
        'ätherisches %söl', '%söl', '%solie', 'etherische %solie',
    ];

    public function __construct(private Names $names)
    {
    }

    /**
     * @param  list<NameMatch>  $matches of the name, best first
     * @return list<NameMatch> with what the amount makes of it first
     */
    public function first(string $name, string $amount, array $matches): array
    {
        $best = $matches[0] ?? null;
        $isDrops = preg_match(self::DROPS, $amount) === 1;
        $share = preg_match(self::SHARE, $amount, $m) === 1 ? (float) str_replace(',', '.', $m[1]) : 100.0;
        $meant = match (true) {
            $isDrops && ($best->score ?? 0.0) < self::EXACT => $this->dripped($name),
            $best === null => null,
            $best->ingredient->kind->isPlant() && $share <= self::LEAST_PLANT => $this->maybeEssential($name),
            default => null,
        };
        $meant ??= $best === null ? null : $this->called($name, $best, $this->as($name, $amount, $best, $isDrops));

        return $meant === null ? $matches : [$meant, ...$matches];
    }

    /** The word that the amount adds to the name; "" for none. */
    private function as(string $name, string $amount, NameMatch $best, bool $isDrops): string
    {
        $kind = $best->ingredient->kind;
        $isPieces = preg_match(self::PIECES, trim($amount)) === 1;
        $isSeed = isset($best->ingredient->forms['seed']) && Nature::ofName($name) !== Nature::Watery;

        return match (true) {
            $kind->isPlant() && $isDrops => ' essential oil',
            $kind->isPlant() && $isSeed && preg_match(self::POURED, $amount) === 1 => ' oil',
            $kind === IngredientKind::EssentialOil && ($isPieces || str_contains($amount, 'squeeze')) => ' juice',
            $kind->isLiquid() && $isPieces => ' fruit',
            default => '',
        };
    }

    private function called(string $name, NameMatch $best, string $as): ?NameMatch
    {
        $plant = (string) preg_replace(self::PART, '', $best->ingredient->name);
        foreach ($as === '' ? [] : [$name, $plant] as $called) {
            $meant = $this->names->matching($called.$as)[0] ?? null;
            if ($meant !== null && $meant->score >= self::EXACT) {
                return $meant;
            }
        }

        return null;
    }

    /** One per cent of a leaf is hardly a leaf: its essential oil is asked about first. */
    private function maybeEssential(string $name): ?NameMatch
    {
        $oil = $this->names->matching("$name essential oil")[0] ?? null;
        $isOil = $oil !== null && $oil->score >= self::EXACT && $oil->ingredient->kind === IngredientKind::EssentialOil;

        return $isOil ? new NameMatch($oil->ingredient, self::HALF_SURE, $name) : null;
    }

    /** "10 gouttes de lavande": the essential oil that other languages call so in full; null where there is none. */
    private function dripped(string $name): ?NameMatch
    {
        foreach (self::IN_FULL as $built) {
            $meant = $this->names->matching(sprintf($built, $name))[0] ?? null;
            $isOil = $meant?->ingredient->kind === IngredientKind::EssentialOil;
            if ($meant !== null && $isOil && $meant->score >= self::EXACT) {
                return $meant;
            }
        }

        return null;
    }
}
