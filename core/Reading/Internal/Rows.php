<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Formula\Phase;

/** What kind of row it is, told from its words alone: a heading, a size, a remark, a sentence. */
final class Rows
{
    /** How an amount begins. */
    public const START = '(?:about\ |approx\.?\ |around\ |~\ ?)?(?:\d|½|⅓|⅔|¼|¾|⅛|(?:a\ few|half\ an?|a\ couple\ of'
        .'|one(?:\ and\ a\ half)?|two(?:\ and\ a\ half)?|three|four|five|six|a|an)\ (?:heaped\ |level\ )?(?:drops?'
        .'|tbsps?|tsps?|table|tea|cups?|pinch|oz|ounces?|parts?))';

    private const GREETING = '/
        # how a letter begins
        ^(?:
            hi|hiya|hello|hey|dear|hallo|liebe[rs]?|moin|bonjour|coucou|salut|hola|olá|oi|ciao|beste|hoi
            |here\ (?:you\ go|it\ is|goes|we\ go)|as\ promised|enjoy|voilà|bitte(?:\ schön)?
            |aquí\ (?:va|tienes)|ecco(?:la)?
        )\b[^\d]{0,30}[,!.]*$
    /xiu';

    /** What a part of a list is called: "Scents", "Base (per 100 ml)". */
    private const GROUP = '(?:(?:the\ )?(?:base|scents?|fats|butters|oils|waxes|carriers|carrier\ oils|essential\ oils'
        .'|eos?|herbs|powders|actives|extras|add[- ]?ins?|dry|wet|heated|optional|aromatics|base\ oils)'
        .'(?:\s*\([^)]*\)|(?=\s*:))|scents|extras|actives|add[- ]?ins|base\ oils|carriers)|(?:recipe|version|option'
        .'|rezept|recette|receta|receita|ricetta|recept)\s+(?:no\.?\s*)?(?:\d{1,2}|[a-d])(?:\s*[:–—-]\s*[^\d]{2,40})?';

    private const FAREWELL = '/
        # and how it ends
        ^(?:
            x{1,3}|xo+x?o?|love|thanks?(?:\ you)?|thx|cheers|best(?:\ wishes)?|enjoy|lg|vg
            |(?:liebe|viele)\ grüße|bises|bisous|merci|saludos|besos|gracias|beijos|obrigada|baci|grazie
            |groetjes|liefs
        )\b[\p{L}\s,!.\x{2764}\x{fe0f}]{0,20}$
    /xiu';

    private const MONTH = '(?:jan(?:uary|uar|vier|uari)?|feb(?:ruary|ruar|rero|braio|ruari)?|f[ée]v(?:rier|ereiro)?'
        .'|mar(?:ch|s|zo|ço)?|märz|maart|apr(?:il|ile)?|avril|abril|may|mai|mayo|maio|maggio|mei|june?|juni|juin|junio'
        .'|junho|giugno|july?|juli|juillet|julio|julho|luglio|aug(?:ust|ustus)?|août|agosto|sep(?:t(?:ember|embre)?)?'
        .'|se[pt]t?i?embre|setembro|oct(?:ober|obre|ubre)?|okt(?:ober)?|ottobre|outubro|nov(?:ember|embre|embro)?'
        .'|noviembre|dec(?:ember)?|dez(?:ember|embro)?|d[ée]cembre|diciembre|dicembre)';

    /** A sign that it may stand there, how it is written, and what stands in its place. */
    private const TIDIED = [
        // "Quelques gouttes de": no number stands before it.
        [
            '/gout|tropf|gota|gocc|drup/i',
            '/
                \b(?:
                    quelques|ein\ paar|einige|un(?:a|o)s(?:\ cuantas)?|algun(?:a|o)s|qualche|alcune|enkele
                    |een\ paar|algumas|umas
                )\s+(?:gouttes?|tropfen|gotas?|gocc(?:e|ia)|druppels?)\b(?:\s+(?:de|di)\b|\s+d[\'’])?\s*
            /xiu',
            'a few drops of ',
        ],
        // "2 March: strained": a day is no amount.
        [
            '/[:–—-]\s/u',
            '/
                ^(?:\d{1,2}(?:st|nd|rd|th|\.)?\s+'.self::MONTH.'|'.self::MONTH.'\s+\d{1,2}(?:st|nd|rd|th)?)
                \.?(?:,?\s+\d{4})?\s*[:–—-]\s+(?=\S)
            /xiu',
            '',
        ],
        // "2 caps full" are two capfuls.
        ['/caps? ?full/i', '/\bcaps? ?full\b/iu', 'capfuls'],
        // "Onion 1 small chopped".
        [
            '/\d (?:small|large|medium|big|whole|ripe)/i',
            '/
                ^(\p{L}[^\d]*?)\s+(\d{1,2})\s+(?:small|large|medium|big|whole|ripe)
                (?:[\s,]+(?:chopped|sliced|grated|mashed|crushed|peeled|blended))*$
            /xiu',
            '$2 $1',
        ],
        // "10 drops of rosemary, no wait, 15": so many of the same.
        [
            '/\bno\b|wait|sorry|mean|scratch|make that/i',
            '/
                \b\d{1,3}\s+(?<unit>'.Items::SPOONS.')\s+(?<of>(?:of\s+)?\p{L}[\p{L} ]{2,30}?),?\s+
                (?:'.Items::TAKEN_BACK.'|no)\s*,?\s+(?<count>\d{1,3})(?:\s+\k<unit>)?(?=\s*(?:[.,;!]|$))
            /xiu',
            '$3 $1 $2',
        ],
        // "Olive oil 1C", "rosemary sprigs 4".
        ['/[1-4]C\b/', '/(?<![\d.,])([1-4])C\b(?!\s*(?:°|deg))/u', '$1 cups'],
        [
            '/(?:sprigs?|cloves?|leaves|stalks?) \d/i',
            '/\b(sprigs?|cloves?|leaves|stalks?)\s+(\d{1,2})(?=\s*(?:[,(;]|$))/iu',
            '$2 $1',
        ],
        // "Vit. E" ends no sentence.
        ['/vit\./i', '/\bvit\.\s*(?=[a-e]\b)/iu', 'vitamin '],
        // "212 g (target 210)" is 212.
        [
            '/\(/',
            '/\s*\((?:target|goal|plan(?:ned)?|wanted|meant|recipe says|was|soll)\b[^)]*\)/iu',
            '',
        ],
        // "Shea butter 1 kg 12.50": what it cost is not in the jar.
        [
            '/[.,]\d\d\s*\D{0,3}$|[€$£]/u',
            '/
                (?<=\d|\d\s)((?:g|kg|ml|l|oz|lb)\b)\s*[,;–-]?\s*
                (?:[€$£]\s*\d{1,3}(?:[.,]\d{2})?|\d{1,3}[.,]\d{2}\s*(?:€|\$|£|eur|usd|gbp)?)$
            /xiu',
            '$1',
        ],
    ];

    /** "14 March", "3rd of May 2026", "March 14". */
    private static function isDate(string $row): bool
    {
        return preg_match('/
            ^(?:\p{L}{2,10},?\s+)?(?:
                \d{1,2}(?:st|nd|rd|th|\.|er|º)?\s+(?:of\ |de\ |di\ )?'.self::MONTH.'
                |'.self::MONTH.'\s+\d{1,2}(?:st|nd|rd|th)?
            )\.?(?:,?\s+(?:de\ )?\d{2,4})?[:.]?$
        /xiu', $row) === 1;
    }

    /** "For a firmer one swap 10 g of oil for wax": another recipe, and not this one. */
    private static function isVariant(string $row): bool
    {
        return preg_match('/\b(?:swap|replace|substitute|exchange)\b.*\b(?:for|with|by)\b/iu', $row) === 1
            || preg_match('/\b(?:the )?same (?:plus|with|but|without|as above)\b/iu', $row) === 1
            || preg_match('/
                # what came of it, or what will be done another time
                ^(?:
                    too\ (?:soft|hard|greasy|firm|thin|thick|oily|heavy|runny)\b|next\ time
                    |last\ (?:one|time)
                    |for\ (?:an?\ )?
                    (?:firmer|softer|harder|lighter|thicker|richer|thinner|stiffer|summer|winter)\b
                    |if\ (?:it(?:\'s|\ is)|you\ (?:want|like|prefer))
                    |(?:mine|it|this|that|i|we)\ (?:went|was|turned|got|had|has\ been|lasted|smelled|smelt)
                    \b
                )
            /xiu', $row) === 1;
    }

    public static function unbulleted(string $row): string
    {
        $row = preg_replace('/^(?:[\p{So}\p{Sk}\x{fe0f}\x{200d}]+\s*)+/u', '', $row) ?? $row;
        $row
            = preg_replace(
                '/
                    # dots, boxes, numbers and "step two" before a row
                    ^(?:
                        [-*•·–—▪◦‣○●□☐✓✔>]+\s*|\[\s?[xX]?\]\s*|\#+\s+|\(?\d{1,2}[.)]\s+
                        |step\ (?:\d+|one|two|three|four|five|six|seven|eight)\s*[:.)–—-]?\s+
                    )+
                /xiu',
                '',
                $row,
            ) ?? $row;

        // "Oh and a teaspoon of vitamin E".
        $row = preg_replace('/
            ^(?:(?:oh|and|also|plus|um|erm|so|ok(?:ay)?|sure|yes)\b[,!]?\s+)+
            (?='.self::START.'|an?\ (?:pea|bit|little|glug|knob|blob|splash|dash|handful)\b)
        /xiu', '', $row) ?? $row;

        $row = self::tidied($row);

        // "For shine: 10 ml argan oil" says what it is there for before what it is.
        $row
            = preg_replace(
                '/
                    ^(?:
                        for\ [\p{L} -]{2,30}|phase\ [a-z0-9](?:\s*\([^)]*\))?|optional|ratios?|mix|blend
                        |base|recipe|ingredients?|you\ need
                    ):\s+(?='.self::START.')
                /xiu',
                '',
                trim(self::withoutMarks($row)),
            ) ?? $row;

        return trim($row);
    }

    /** Without what is no name and no amount of it; each is looked for only where a sign of it stands. */
    private static function tidied(string $row): string
    {
        foreach (self::TIDIED as [$sign, $pattern, $instead]) {
            if (preg_match($sign, $row) === 1) {
                $row = preg_replace($pattern, $instead, $row) ?? $row;
            }
        }

        return $row;
    }

    public static function withoutMarks(string $text): string
    {
        return str_replace(['**', '__', '`'], '', $text);
    }

    /** "method", "ingredients", or "" when the row is no heading. */
    public static function heading(string $row): string
    {
        if (
            preg_match(
                '/
                    # heading of the method
                    ^(?:the\ )?(?:
                        method|instructions?|directions?|how\ to(?:\ make(?:\ it)?)?|steps?|zubereitung
                        |anleitung|herstellung|préparation|réalisation|preparación|elaboración|preparo
                        |modo\ de\ (?:preparo|preparación|fazer|hacer)|preparação|preparazione|procedimento
                        |bereiding(?:swijze)?|werkwijze|so\ geht\'s|procedure|preparation|to\ make(?:\ it)?
                    )\s*:?$
                /xiu',
                $row,
            ) === 1
        ) {
            return 'method';
        }

        return preg_match(
            '/
                # heading of a list, or of a part of it
                ^(?:the\ )?(?:
                    ingredients?(?:\ list)?|zutaten|ingrédients?|ingredientes|ingredienti|ingrediënten
                    |benodigdheden|you(?:\'ll|\ will)?\ need|what\ you\ need|recipe|for\ the\ [\p{L} -]{2,30}
                    |'.self::GROUP.'|(?:phase\ [a-z0-9]|[\p{L} -]{3,20}\ phase)(?:\s*\([^)]*\))?
                    |(?:(?:heat|melt|cool|whip)[\p{L} -]{0,12}|water)(?=:)
                )\s*:?$
            /xiu',
            $row,
        ) === 1
            ? 'ingredients'
            : '';
    }

    /** What a recipe is called in its heading: "Recipe 1: Light oil"; "" where it has no name there. */
    public static function called(string $heading): string
    {
        return preg_match('/^\p{L}+\s+(?:no\.?\s*)?(?:\d{1,2}'
            .'|[a-d])\s*[:–—-]\s*(?<name>\p{L}.+)$/iu', $heading, $m) === 1
            ? trim($m['name'])
            : '';
    }

    /** When the lines under a heading go in, where it says so: "Phase C (cool down)", "Heated phase:". */
    public static function phaseOf(string $heading): ?Phase
    {
        return match (true) {
            preg_match('/cool/iu', $heading) === 1 => Phase::CoolDown,
            preg_match('/whip/iu', $heading) === 1 => Phase::WhipIn,
            preg_match('/\bheat|\bhot\b|\bmelt/iu', $heading) === 1 => Phase::Melt,
            preg_match('/\bwater\b/iu', $heading) === 1 => Phase::Water,
            default => null,
        };
    }

    /** "Balm, batch size 500 g", "4 oz bottle:", "Makes 3 tins of 50 ml": how much it is, not what is in it. */
    public static function isSize(string $row): bool
    {
        return preg_match('/
            (?<!\blast\ )(?<!\bfirst\ )(?<!\bthis\ )\b
            (?:batch(?:\ size)?(?:\ of)?|makes|yields?|fills|fits)\s*:?\s*(?:about\s+|approx\.?\s+|~\s*)?
            (?<!batch\ )\d
            |\bbatch\s+\d+\s*(?:g|kg|ml|oz)\b
        /xiu', $row) === 1
            || preg_match('/
                # "a 100 ml bottle"
                ^(?:an?\s+)?\d+(?:[.,]\d+)?\s*-?\s*(?:fl\ oz|oz|ounces?|ml|cl|l|g)\s+(?:\w+\s+)?
                (?:bottle|jar|tin|tub|pot)s?\s*[:.]?$
            /xiu', $row) === 1
            || preg_match('/
                # "6 bars", "2 jars of 50"
                ^\d+\s*(?:x\s*)?(?:bars?|sticks?|jars?|tins?|tubs?|bottles?|pots?)(?:\s+of\s+\d+|\.?$)
            /xiu', $row) === 1
            || preg_match('/
                # "makes about 200 g"
                ^(?:(?:i\ |to\ )?make|for)\s+(?:about\s+)?\d+(?:[.,]\d+)?\s*(?:g|ml|oz)\s*[.:]?$
            /xiu', $row) === 1
            || self::isSum($row);
    }

    /** "= 212 g total", "Total 100 %", but not "lavender and ylang, 30 drops in total". */
    private static function isSum(string $row): bool
    {
        $others = preg_replace(
            '/
                \b(?:
                    (?:sub|grand\ )?totals?|weight|volume|mass|about|approx|batch|makes?|grams?|ounces?|oz
                    |ml|kg|g|of|is|in|the
                )\b
            /xiu',
            '',
            $row,
        ) ?? $row;

        return preg_match('/\d.*\b(?:sub)?totals?\b|\b(?:sub)?totals?\b.*\d/iu', $row) === 1
            && preg_match('/%.*%/u', $row) !== 1
            && preg_match_all('/\p{L}/u', $others) < 8;
    }

    /** "Shampoo bar", "Leave-in", "Rinse-out treatment": a thing, although it begins as an act does. */
    public static function isProduct(string $row): bool
    {
        return str_word_count($row) <= 5
            && preg_match('/
                ^(?:leave[- ]in|rinse[- ]out|wash[- ]out)\b
                |\b(?:
                    bars?|oil|butter|balm|cream|lotion|treat(?:ment)?|mask|serum|grease|gel|salve|stick
                    |spray|mist|pomade|serum|conditioner|shampoo|mix|blend
                )$
            /xiu', $row) === 1;
    }

    /** "Flaxseed gel" over its own list: what is made, although it can be bought. */
    public static function isMixture(string $row): bool
    {
        return preg_match('/
            ^\p{L}[\p{L} \'&-]{2,40}\b
            (?:gel|cream|lotion|mask|serum|salve|spray|mist|pomade|conditioner|shampoo|tea|rinse)$
        /xiu', $row) === 1;
    }

    /** Several short sentences. */
    public static function isRemarks(string $row): bool
    {
        // "4 oz. by weight shea" is no end of a sentence.
        return preg_match('/\p{L}{2,}[.!]\s+\p{L}/u', $row) === 1
            && preg_match('/^'.self::START.'/iu', $row) !== 1
            && str_word_count($row) < 14;
    }

    /** "THE ABOVE (for a month):": a heading by its letters. */
    public static function isInCapitals(string $row): bool
    {
        return preg_match('/^[\p{Lu}\d\s&\'-]{4,}(?:\([^)]*\))?:?$/u', $row) === 1;
    }

    /** The title that stands before a size: "Balm, batch size 500 g". */
    public static function withoutSize(string $row): string
    {
        return trim(preg_replace('/[,:(–—-]?\s*(?:batch|makes|yields?|fills)\b.*$/iu', '', $row) ?? '');
    }

    /** Heads of a letter, sums, dates, greetings: nothing of it is in the jar. */
    public static function isNoise(string $row): bool
    {
        return preg_match('/^(?:from|to|date|subject|sent|cc|von|an|betreff):\s/iu', $row) === 1
            || preg_match('/
                ^(?:
                    sent\ from|call\ me|prep\ time|yield|makes|cost|serves|total|sum|summe|somme|totaal
                    |totale
                )\b
            /xiu', $row) === 1
            || preg_match('/
                # how much it gives and how long it keeps, in six languages
                ^(?:
                    haltbar(?:keit)?|hält|ergibt|reicht\ für|donne|pour\ \d+\ (?:pots?|flacons?|personnes?)
                    |para\ \d+\ (?:botes?|frascos?|personas?|pessoas?|potes?)
                    |per\ \d+\ (?:vasetti|vasi|flaconi|persone|volte)
                    |voor\ \d+\ (?:potjes?|personen|flesjes?)|se\ conserve|conservation|se\ conserva
                    |caducidad|validade|conservazione|si\ conserva|houdbaar(?:heid)?|rinde|rende|resa
                )\b
            /xiu', $row) === 1
            || preg_match('/^\d{1,2}[\/.]\d{1,2}(?:[\/.]\d{2,4})?$/u', $row) === 1
            || preg_match('/
                # "2 x per week"
                ^\d{1,2}\s*(?:x|times?|fois|mal|veces|volte|vezes|keer)\s+
                (?:par|pro|por|al|à|a|alla|per|die|in\ der|an?|every|each|week|day)\b
            /xiu', $row) === 1
            || preg_match('/^(?:that(?:\'s| is| makes)|altogether|in all)\b.*\d/iu', $row) === 1
            || self::isDate($row)
            || preg_match('/^[-–—=_*.~\s]{2,}$/u', $row) === 1
            || preg_match(self::GREETING, $row) === 1
            || preg_match(self::FAREWELL, $row) === 1
            || self::isVariant($row)
            || preg_match('/^(?:\d+(?:[.,]\d+)?\s*(?:g|ml|oz|%)?[\s|]*)+$/u', $row) === 1
            || preg_match('/^[-–—\s]*all in \w+[-–—\s]*$/iu', $row) === 1
            || preg_match('/^(?:double|halve|half) (?:this|it|that)\b/iu', $row) === 1;
    }

    /** "-> 316 g, three tubs": what came of it. */
    public static function isOutcome(string $row): bool
    {
        return preg_match('/^(?:-+>|=+>?|→)\s*\d/u', $row) === 1
            || preg_match('/
                ^(?:results?|outcome|ergebnis|résultat|resultado|risultato|resultaat|final(?:\ weight)?)\s*
                [:=–—-]\s*.{0,12}\d
            /xiu', $row) === 1
            || preg_match('/
                # "strained it, got 180 g"
                ^(?:(?:strained|filtered|pressed|sieved)\b.{0,20}?)?\b
                (?:got|gave|yielded|came\ to|ended\ up\ with|left\ with)\s+(?:about\s+)?\d+(?:[.,]\d+)?\s*
                (?:g|ml|oz)\b
            /xiu', $row) === 1;
    }

    /** "Honey - no! (sticky)", "EO's - none": it says what is not in it. */
    public static function isRefused(string $row): bool
    {
        return preg_match('/[-–—:]\s*(?:no|none|never|nope|not)\b[!. ]*(?:\([^)]*\))?[!. ]*$/iu', $row) === 1
            || preg_match('/^(?:no|not|never|without|(?:do not|don[\'’]?t) (?:add|use))\s+\p{L}/iu', $row) === 1;
    }

    /** "Don't add aloe", but not "never heat it". */
    public static function refusesToAdd(string $row): bool
    {
        return preg_match('/^(?:do not|don[\'’]?t|never)\s+(?:ever\s+)?(?:add|use|put|include)\b/iu', $row) === 1;
    }

    /** A sentence rather than a line of a list. */
    public static function isProse(string $row): bool
    {
        return preg_match('/^'.self::START.'/iu', $row) !== 1
            && str_word_count($row) >= 9
            && preg_match('/[.!?]$/u', $row) === 1;
    }

    /** @return list<string> */
    public static function names(string $row): array
    {
        $list = preg_replace(['/^[\p{L} ]{2,30}(?:\([^)]*\)\s*)?:\s*/u', '/\.\s+\W*\p{L}.*$/u'], '', $row) ?? $row;

        return array_values(
            array_filter(
                array_map(
                    static fn (string $n): string => trim(preg_replace('/[*†°¹²³]+/u', '', $n) ?? $n, ' .;'),
                    preg_split('/\s*[,;•·]\s*/u', $list) ?: [],
                ),
                static fn (string $n): bool => $n !== '',
            ),
        );
    }

    /**
     * "1:1:1 castor, olive and almond oil, plus a few drops of tea tree": what is added to a proportion stands by
     * itself.
     *
     * @return array{string, string} the row, and what is added; "" when nothing is
     */
    public static function apart(string $row): array
    {
        return preg_match('/
            ^(?<list>
                (?:
                    (?:\d+(?:\s*:\s*\d+)+|equal\ (?:parts|amounts|measures|weights))\b.+?
                    |[^\d]+\d+(?:\s*:\s*\d+)+
                )
            ),?\s+plus\s+(?<more>(?:a|an|\d).+)$
        /xiu', $row, $m) === 1
            ? [$m['list'], $m['more']]
            : [$row, ''];
    }

    /**
     * "-- all in g --": the unit of every figure that has none; "" when nothing says so.
     *
     * @param  list<string>  $rows
     */
    public static function statedUnit(array $rows): string
    {
        foreach ($rows as $row) {
            if (preg_match('/
                \b(?:all|amounts|everything|figures)(?:\ are)?(?:\ in)?\ (?:in\ )?
                ((?:g|grams?|ml|drops|parts)\b|%|per\ ?cent)
            /xiu', $row, $m) === 1) {
                return $m[1];
            }
            if (preg_match('/
                # "all in grams", abroad
                \b(?:
                    tout\ en|le\ tout\ en|alles\ in|alle\ angaben\ in|angaben\ in|todo\ en|tudo\ em
                    |tutto\ in
                )\s+(?<unit>g\b|gr\w*|ml|milli\w+|%)
            /xiu', $row, $m) === 1) {
                return mb_strtolower(mb_substr($m['unit'], 0, 1)) === 'g' ? 'g' : ($m['unit'] === '%' ? '%' : 'ml');
            }
        }

        return '';
    }

    /**
     * What is to fill up the rest, named in a sentence: "and the rest argan to 100 g".
     *
     * @return array{string, string} its name, and up to how much where it is said; "" when nothing is
     */
    public static function filling(string $row): array
    {
        return preg_match('/
            \b(?:
                top(?:ped)?(?:\ it)?(?:\ up)?\ with|the\ rest(?:\ is|\ in|\ with)?
                |fill(?:ed)?(?:\ it)?(?:\ up)?\ with
            )\s+(?<name>\p{L}[\p{L} \'-]{2,40}?)
            (?:\s+(?:up\ )?to\ (?:make\ )?(?<to>\d+(?:[.,]\d+)?\s*(?:g|kg|ml|oz))\b|(?=[^\p{L} \'-])|$)
        /xiu', $row, $m) === 1
            ? [trim($m['name']), isset($m['to']) ? 'to make '.$m['to'] : '']
            : ['', ''];
    }
}
