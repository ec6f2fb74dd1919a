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

    /** @var array<string, true> lines that some sentence calls by their own name */
    private array $called;

    /**
     * @param  list<Portion>  $portions
     * @param  list<string>  $sentences of the whole method
     */
    public function __construct(private array $portions, array $sentences)
    {
        $called = [];
        foreach ($portions as $portion) {
            foreach ($sentences as $sentence) {
                if (self::isNamed($portion, mb_strtolower($sentence))) {
                    $called[$portion->line->id] = true;
                }
            }
        }
        $this->called = $called;
    }

    /** @return list<Portion> "everything" and "the oils" mean what is not called by its own name elsewhere */
    public function in(string $sentence): array
    {
        $text = mb_strtolower($sentence);
        $all = preg_match(self::ALL, $text) === 1;

        return array_values(array_filter(
            $this->portions,
            fn (Portion $p): bool => self::isNamed($p, $text)
                || (! isset($this->called[$p->line->id]) && ($all || self::isOfGroup($p, $text))),
        ));
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
