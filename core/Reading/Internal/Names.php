<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\NameMatch;
use Crown\Catalogue\Nature;
use Crown\Reading\Knowledge;
use Crown\Reading\ReadingError;
use Crown\Reading\Settled;

/**
 * What the names in a text may mean: what was settled before, the oils of the studio, then the catalogue. Each is
 * looked up once, however often it stands there, and a text with more of them than any recipe has is refused before it
 * takes long.
 */
final class Names
{
    public const MATCHES = 4;

    /** A name that is taken without asking. */
    public const SURE = 0.85;

    private const EXACT = 0.999;

    /** The most that a name is like another by the words that its whole kind has. */
    private const HALF_SURE = 0.84;

    /** Different names in one text. Three hundred lines, each asked for whole and in pieces, stay far below. */
    private const MOST = 1_000;

    /** Names that nothing was near to, after which others are known as they are written or not at all. */
    private const MOST_MISSED = 80;

    /** What kind of thing is wanted, and not which. */
    private const KIND_ALONE = '/
        ^(?:
            (?:
                the|this|that|broad[ -]spectrum|oil[ -]soluble|natural|your|my|an?|any|other|some
                |favou?rite|chosen|preferred|cosmetic
            )\s+
        )*(?<kind>
            preservatives?|emulsifiers?|antioxidants?|fragrance(?:\ oil)?|essential\ oils?|e\.?o\.?s?
            |carrier\ oils?|oils?|butters?|wax(?:es)?|herbs?|powders?|extracts?|starch|clay|teas?|infusions?
            |decoctions?|brews?|gels?|juices?|mixtures?|rice
        )(?:
            \s+(?:
                of\ (?:your|my|any)\ (?:choice|choosing|liking)|of\ choice|(?:that\ )?you\ (?:like|love)
                |to\ taste
            )
        )?$
    /xiu';

    private const OF_KIND = [
        'carrier oil' => IngredientKind::CarrierOil,
        'oil' => IngredientKind::CarrierOil,
        'butter' => IngredientKind::Butter,
        'wax' => IngredientKind::Wax,
        'waxe' => IngredientKind::Wax,
        'preservative' => IngredientKind::Preservative,
        'emulsifier' => IngredientKind::Emulsifier,
        'antioxidant' => IngredientKind::Antioxidant,
        'herb' => IngredientKind::DriedHerb,
        'starch' => IngredientKind::Starch,
    ];

    /** So many of a kind. */
    private const OFFERED = 8;

    /** Names of this text that nothing was near to: each was looked for with every slip of the pen. */
    private int $missed = 0;

    private readonly Own $own;

    /** @var array<string, list<NameMatch>> by what was asked for */
    private array $known = [];

    /** @var array<string, bool> whether a thing is called just so */
    private array $exact = [];

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Knowledge $knowledge = new Knowledge(),
    ) {
        $this->own = new Own($catalogue, $knowledge);
    }

    /** What is poured, or sounds wet, before the rest. */
    public function poured(): Poured
    {
        return new Poured($this->catalogue);
    }

    /**
     * An oil that was steeped elsewhere with a plant; null where the plant or the oil is not known.
     *
     * @param  string|null  $oil null where it is not said which
     */
    public function infused(string $plant, ?string $oil): ?Ingredient
    {
        $in = $oil === null ? null : ($this->matching($oil)[0] ?? null);
        if ($in !== null && ($in->score < self::HALF_SURE || ! $in->ingredient->kind->isFat())) {
            return null;
        }
        foreach ([$plant, "$plant leaf", "$plant flower", "$plant bud", "$plant root"] as $called) {
            foreach ($this->matching($called) as $match) {
                if ($match->score >= self::HALF_SURE && $match->ingredient->kind->isPlant()) {
                    return $this->catalogue->infused($match->ingredient->id, $in->ingredient->id ?? Nature::Oil->id());
                }
            }
        }

        return null;
    }

    /** @return list<NameMatch> the oils that were steeped here of what a name says, the newest first */
    public function steepedHere(string $name): array
    {
        return $this->own->steeped($name);
    }

    /** Before another text. */
    public function forget(): void
    {
        $this->known = $this->exact = [];
        $this->missed = 0;
    }

    /** Whether a thing is called just so. */
    public function exactly(string $name): bool
    {
        return $this->exact[$name] ??= $this->catalogue->isCalled($name)
            || $this->settled($name) !== null
            || $this->own->meant($name) !== []
            || array_filter(Abroad::english($name), $this->catalogue->isCalled(...)) !== [];
    }

    /** The id of what a name means; "" where nothing is near. */
    public function meant(string $name): string
    {
        return $this->settled($name) === null && $this->own->meant($name) === []
            ? $this->catalogue->idOf($name) ?? $this->matching($name)[0]->ingredient->id ?? ''
            : $this->matching($name)[0]->ingredient->id ?? '';
    }

    /** Whether a name says only what kind of thing is wanted: such a one is another each time. */
    public static function isKind(string $name): bool
    {
        return self::kind($name) !== '';
    }

    /** The kind of thing that is wanted, where a name says no more; "" where it does. */
    public static function kind(string $name): string
    {
        $bare = trim(preg_replace('/\([^)]*\)?/u', '', $name) ?? $name);

        return preg_match(self::KIND_ALONE, $bare, $m) === 1 ? mb_strtolower($m['kind']) : '';
    }

    /**
     * What a kind that was asked for may be, what is had most easily first; none where the kind says too little, and no
     * strong oil for want of a name.
     *
     * @return list<NameMatch>
     */
    public function ofKind(string $kind): array
    {
        $wanted = self::OF_KIND[rtrim($kind, 's')] ?? null;
        if ($wanted === null) {
            return [];
        }
        $of = array_filter(
            $this->catalogue->all(),
            static fn (Ingredient $i): bool => $i->kind === $wanted && ! $i->isBlend(),
        );
        usort(
            $of,
            static fn (Ingredient $a, Ingredient $b): int => [-$a->common, $a->name] <=> [-$b->common, $b->name],
        );

        return array_map(
            static fn (Ingredient $i): NameMatch => new NameMatch($i, 0.0, $i->name),
            array_slice($of, 0, self::OFFERED),
        );
    }

    /** What a name was settled as before; null when it was not, or what it meant is no more. */
    public function settled(string $name): ?Settled
    {
        $settled = self::isKind($name) ? null : $this->knowledge->settled($name);

        return $settled !== null && $this->catalogue->has($settled->ingredient) ? $settled : null;
    }

    /** @return Ingredient|null null when there is none by this id */
    public function byId(string $id): ?Ingredient
    {
        return $id !== '' && $this->catalogue->has($id) ? $this->catalogue->get($id) : null;
    }

    /**
     * @return list<NameMatch> best first
     *
     * @throws ReadingError when the text has named more than any recipe does
     */
    public function matching(string $name): array
    {
        if (! isset($this->known[$name]) && count($this->known) >= self::MOST) {
            throw ReadingError::tooManyNames(self::MOST);
        }

        return $this->known[$name] ??= $this->found($name);
    }

    private static function halfSure(NameMatch $match): NameMatch
    {
        return new NameMatch($match->ingredient, min($match->score, self::HALF_SURE), $match->matched);
    }

    /** @return list<NameMatch> by the name as it stands, or as English would build it, whichever is nearer */
    private function searched(string $name): array
    {
        // A letter is no name: "E" of "vit. E".
        $best = mb_strlen(trim($name)) < 2 ? [] : $this->catalogue->search($name, self::MATCHES);
        $built = ($best[0]->score ?? 0.0) < self::EXACT ? Abroad::english($name) : [];
        if ($built !== []) {
            // "Aceite esencial de" is most of the letters of every such name: alone it makes nothing sure. No oil is a
            // plant.
            $oily = preg_match('/\s(?:oil|butter|wax)$/u', $built[0]) === 1;
            $best = array_map(self::halfSure(...), array_values(array_filter(
                $best,
                static fn (NameMatch $m): bool => ! $oily || ! $m->ingredient->kind->isPlant(),
            )));
        }
        foreach ($built as $english) {
            $found = $this->catalogue->search($english, self::MATCHES);
            $best = ($found[0]->score ?? 0.0) > ($best[0]->score ?? 0.0) ? $found : $best;
        }

        return $best;
    }

    /** @return list<NameMatch> */
    private function found(string $name): array
    {
        $settled = $this->settled($name);
        $own = $settled === null ? $this->own->meant($name) : [];
        if ($own !== []) {
            return $own;
        }
        if ($this->missed >= self::MOST_MISSED && $settled === null && ! $this->catalogue->isCalled($name)) {
            return [];
        }
        $found = $this->searched($name);
        $this->missed += ($found[0]->score ?? 0.0) < Lines::NEAR ? 1 : 0;
        if ($settled === null) {
            return $found;
        }
        $first = $this->catalogue->get($settled->ingredient);

        return [
            new NameMatch($first, 1.0, $settled->written),
            ...array_values(array_filter($found, static fn (NameMatch $m): bool => $m->ingredient->id !== $first->id)),
        ];
    }
}
