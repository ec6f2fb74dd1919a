<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\IngredientKind;

/** Which lines of a formula a sentence of its method means. */
final readonly class Named
{
    /** What says of a name only what sort of thing it is. */
    private const SORT = '/
        \b(?:
            essential\ oils?|eo|oils?|butters?|wax(?:es)?|powders?|starch|extract|seeds?|dried|fresh|refined
            |raw|organic|unrefined|virgin
        )\b
    /xu';

    /** A part of a plant, or where it grows on one: the end of many names. */
    private const PART = '/
        ^(?:
            lea(?:f|ves)|flowers?|roots?|petals?|peels?|buds?|bark|berr(?:y|ies)|herbs?|kernel|bean
        )$
    /xu';

    /** Words for several lines at once. */
    private const GROUPS = [
        '/
            \b(?:
                essential\ oils?|eos?|scents?|ätherischen?\ öle|huiles\ essentielles|aceites\ esenciales
                |óleos\ essenciais|oli\ essenziali|etherische\ oliën
            )\b
        /xu' => [IngredientKind::EssentialOil],
        '/\b(?:butters|beurres|mantecas|manteigas|burri|boters|buttern)\b/u' => [IngredientKind::Butter],
        '/\b(?:wax(?:es)?|wachse?|cires?|ceras?|cere|was)\b/u' => [IngredientKind::Wax],
        '/\b(?:powders?|pulver|poudres?|polvos?|pós|polveri|poeders?)\b/u' => [IngredientKind::Starch],
        '/
            # preservatives, in six languages
            \b(?:
                preservatives?|konservierungsmittel|conservateurs?|conservantes?|conservante
                |conserveermiddel
            )\b
        /xu' => [IngredientKind::Preservative],
        '/
            # oils that are not essential ones
            (?<!essential\ )\b(?:carrier\ |liquid\ )?oils\b|(?<!ätherische\ )(?<!ätherischen\ )\böle\b
            |\bhuiles\b(?!\ essentielles)|\baceites\b(?!\ esenciales)|\bóleos\b(?!\ essenciais)
            |\boli\b(?!\ essenziali)|(?<!etherische\ )\boliën\b
        /xu' => [
            IngredientKind::CarrierOil,
            IngredientKind::LiquidWaxEster,
            IngredientKind::ReadySteep,
        ],
    ];

    private const ALL = '/
        # all that there is
        \b(?:
            everything|all\ (?:the\ )?ingredients|alles|alle\ (?:zutaten|ingrediënten)|tout(?:\ le\ reste)?
            |tous\ les\ ingrédients|todos?\ (?:los\ ingredientes|os\ ingredientes)|todo|tudo|tutto
            |tutti\ gli\ ingredienti
        )\b
    /xu';

    /** Words for the one line of a kind, where there is one. */
    private const ONE = [
        '/
            # in seven languages
            \bthe\ (?:carrier\ |liquid\ )?oil\b|\bdas\ öl\b|\bl.huile\b|\bel\ aceite\b|\bo\ óleo\b
            |\bl.olio\b|\bde\ olie\b
        /xu' => [IngredientKind::CarrierOil, IngredientKind::LiquidWaxEster, IngredientKind::ReadySteep],
        '/
            # in seven languages
            \bthe\ butter\b|\bdie\ butter\b|\ble\ beurre\b|\bla\ mante(?:ca|quilla)\b|\ba\ manteiga\b
            |\bil\ burro\b|\bde\ boter\b
        /xu' => [IngredientKind::Butter],
    ];

    /** @var array<string, true> lines that some sentence calls by their own name */
    private array $called;

    /**
     * @param  list<Portion>  $portions
     * @param  list<string>  $sentences of the whole method
     */
    public function __construct(private array $portions, array $sentences)
    {
        $called = [];
        foreach ($sentences as $sentence) {
            foreach ($this->byName(mb_strtolower($sentence)) as $portion) {
                $called[$portion->line->id] = true;
            }
        }
        $this->called = $called;
    }

    /** @return list<Portion> "everything" and "the oils" mean what is not called by its own name elsewhere */
    public function in(string $sentence): array
    {
        $text = mb_strtolower($sentence);
        $all = preg_match(self::ALL, $text) === 1;
        $named = $this->byName($text);
        $one = $this->theOne($text);

        return array_values(array_filter(
            $this->portions,
            fn (Portion $p): bool => in_array($p, $named, true)
                || (! isset($this->called[$p->line->id]) && ($all || $p === $one || self::isOfGroup($p, $text))),
        ));
    }

    /**
     * What is called by its own name, or by the end of it where no other has that end: "the castor oil" is the Jamaican
     * black one where there is no other.
     *
     * @return list<Portion>
     */
    private function byName(string $text): array
    {
        $whole = array_values(array_filter(
            $this->portions,
            static fn (Portion $p): bool => self::isNamed($p, $text),
        ));
        $short = [];
        foreach ($this->portions as $portion) {
            foreach (in_array($portion, $whole, true) ? [] : self::ends($portion) as $end) {
                if (preg_match('/\b'.preg_quote($end, '/').'\b/u', $text) === 1) {
                    $short[$end][] = $portion;
                }
            }
        }
        foreach ($short as $end => $portions) {
            $taken = array_filter($whole, static fn (Portion $p): bool => self::isNamed($p, (string) $end)
                || in_array($end, self::ends($p), true));
            if (count($portions) === 1 && $taken === [] && ! in_array($portions[0], $whole, true)) {
                $whole[] = $portions[0];
            }
        }

        return $whole;
    }

    /** @return list<string> what is left of the line's name without its first words, and says more than a sort */
    private static function ends(Portion $portion): array
    {
        $words = preg_split('/\s+/u', mb_strtolower(trim($portion->line->name)), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $ends = [];
        for ($from = 1; $from < count($words); $from++) {
            $end = implode(' ', array_slice($words, $from));
            $says = trim((string) preg_replace(self::SORT, ' ', $end));
            foreach (array_unique([$end, $says]) as $name) {
                if (mb_strlen($says) > 2 && preg_match(self::PART, $says) !== 1) {
                    $ends[] = $name;
                }
            }
        }

        return $ends;
    }

    /** The line that "the oil" or "the butter" means: the one of its kind. */
    private function theOne(string $text): ?Portion
    {
        foreach (self::ONE as $pattern => $kinds) {
            if (preg_match($pattern, $text) === 1) {
                $of = array_filter(
                    $this->portions,
                    static fn (Portion $p): bool => in_array($p->ingredient->kind, $kinds, true),
                );
                if (count($of) === 1) {
                    return array_values($of)[0];
                }
            }
        }

        return null;
    }

    private static function isNamed(Portion $portion, string $text): bool
    {
        $of = $portion->ingredient;
        foreach ([$portion->line->name, $of->name, ...$of->synonyms] as $name) {
            $plain = mb_strtolower(trim($name));
            $short = trim((string) preg_replace(self::SORT, ' ', $plain));
            foreach (array_filter([$plain, $short], static fn (string $n): bool => mb_strlen($n) > 2) as $word) {
                if (preg_match('/\b'.preg_quote($word, '/').'\b/u', $text) === 1) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function isOfGroup(Portion $portion, string $text): bool
    {
        foreach (self::GROUPS as $pattern => $kinds) {
            if (in_array($portion->ingredient->kind, $kinds, true) && preg_match($pattern, $text) === 1) {
                return true;
            }
        }

        return false;
    }
}
