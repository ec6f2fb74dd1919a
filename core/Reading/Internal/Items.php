<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Measure\Amount;

/**
 * Amounts with their names, found anywhere in a text in plain words: "200 g shea, 50 g cocoa butter", "olive oil 30 g /
 * argan oil 10 g", a whole recipe in one breath. The grammar: an item is an amount and a name, in the order in which
 * the text has them; an amount may be multiplied ("2 x 113 g"), said twice ("2 oz (57 g)") or taken back ("60, no,
 * 50").
 */
final class Items
{
    private const FIGURE = '(?:\d+\s+\d+\/\d+|\d+\/\d+|\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d+(?:[.,]\d+)?'
        .'|[.,]\d+)(?:\s*[½⅓⅔¼¾⅛])?|[½⅓⅔¼¾⅛]';

    private const UNITS = 'fl\.? ?oz|fluid ounces?|spoons?|spoonfuls?|oz|ounces?|kilograms?|kilos?|kg|grammes?'
        .'|grams?|gms?|gr|g'
        .'|millilit(?:re|er)s?|mls?|mils?|cl|dl'
        .'|lit(?:re|er)s?|l|pounds?|lbs?|tablespoons?|tbsps?|tbs|tbl|teaspoons?|tsps?|cups?|drops?|gtt'
            .'|pinch(?:es)?|parts?'
        .'|capsules?|caps|(?:tea ?)?bags?|sachets?|handfuls?|bunch(?:es)?|sprigs?|squirts?|dollops?|%';

    /** Measures that are said once for several. */
    public const SPOONS = 'tablespoons?|tbsps?|tbs|tbl|teaspoons?|tsps?|cups?|ounces?|oz|grams?|g|ml|parts?|drops?';

    /** What is counted: "1 small onion", "4 cloves of garlic". */
    private const COUNTED = '(?<![\d.,\/\p{L}])(?:\d{1,2}|half an?|one|two|three|four|an?)(?=\s+(?:(?:small|large'
        .'|medium|big|ripe|mashed|fresh'
        .'|whole|crushed|peeled|reife[rns]?|kleine[rns]?|große[rns]?|frische[rns]?|petite?|grande?|grosse?|gros'
        .'|mûre?|pequeñ[ao]'
        .'|piccol[ao]|maturo|kleine|rijpe|grote|madur[ao])\s+){0,2}(?:egg yolks?|eggs?|onions?|avocados?|bananas?'
        .'|garlic cloves?'
        .'|cloves of garlic|aguacates?|avocats?|abacates?|bananen?|bananes?|plátanos?|eier|ei|eigelbe?|œufs?'
        .'|oeufs?|huevos?|uov[ao]'
        .'|ovos?|eieren|zwiebeln?|oignons?|cebollas?|cipoll[ae]|uien|zitronen?|citrons?|limón|limones|limon[ei]'
        .'|knoblauchzehen?'
        .'|gousses? d\'ail|dientes? de ajo|spicchi(?:o)? d\'aglio|tenen? knoflook|dentes? de alho'
        .'|lemons?|cinnamon sticks?|bay leaves|curry leaves|vanilla pods?)\b)';

    /** "Enough olive oil to cover", "olive oil to cover": a steep works out how much that is from its jar. */
    private const COVERS = '\benough(?=(?:\s+of)?(?:\s+[\p{L}\'-]+){1,5}\s+to cover\b)'
        .'|(?<=\s)to cover(?=\s*(?:it|them|everything|(?:the|all|your) \p{L}+)?\s*(?:[.,;)]|$))';

    /** What is counted in words, as it is reckoned with. */
    private const IN_WORDS = [
        'enough' => 'to cover',
        'few drops' => 'a few drops', 'a' => '1', 'an' => '1', 'one' => '1', 'two' => '2', 'three' => '3',
        'four' => '4', 'five' => '5', 'six' => '6', 'half a' => '1/2', 'half an' => '1/2',
    ];

    /** Words that stand between an amount and a name. */
    private const BETWEEN = '/
        ^(?:
            \s|[:–—“”"*-]
            |(?:
                of|the|some|more|tubs?|bottles?|jars?|tins?|packs?|bags?|packets?|blocks?|cans?|tubes?
                |boxes|worth|a
            )\b
        )+
    /xiu';

    /** What makes a measure one of a vessel or of a place, not of an ingredient. */
    private const NO_AMOUNT = '/
        ^[\s-]*(?:(?:dropper|spray|pump|applicator|glass|amber|dark|empty)\s+)*
        (?:bottles?|jars?|tins?|tubs?|pots?|marks?|containers?|batch|in\ all|in\ total|each\ way)\b
        (?!\s+of\b)
    /xiu';

    /** Words that take back what was said just before. */
    public const TAKEN_BACK = 'no,?\ sorry,?|sorry,?\ no|no,?\ wait|wait,?\ no|i\ mean|make\ that|scratch\ that';

    private const CORRECTS = '/(?:^|[\s,;–—-])(?:'.self::TAKEN_BACK.'|sorry|no,)\s*,?\s*$/iu';

    /** What makes an amount the sum of the others. */
    private const SUMS = '/
        (?:
            \b(?:sub)?total(?:\ of)?|\bsum|\bmakes|\byields?|\bfills|\bfits
            |(?<!\blast\ )(?<!\bfirst\ )\bbatch(?:\ size)?(?:\ of)?|\bcomes\ to|\bshould\ be|\badds?\ up\ to
            |\brest\b[^,.;]{0,40}\bto|=
        )\s*:?\s*(?:about\s*)?$
    /xiu';

    /** Words for what fills up to a hundred. */
    private const UP_TO = '/\s*\b(?:q\.?\s?s\.?\s?p?\.?|ad|up to|bis|auf|hasta|até|fino a|tot)\s*:?\s*$/iu';

    /** "10 drops per 50 ml": to how much it is added. */
    private const EACH_SO_MUCH = '/\b(?:per|(?:for|in|to) (?:each|every)|pro|por cada|par|ogni)\s*$/iu';

    /** What makes what follows no ingredient. */
    private const NEGATES = '/\b(?:no|not|never|without|don\'?t(?: add)?|instead of|skip|nothing)\s*$/iu';

    /** Words before which a name ends. */
    private const END = '/
        \s*(?:
            [,.;!?()\/|]|\s[–—-]\s
            |\b(?:
                w(?=\s*\/|\s)|and|then|in|into|for|until|till|til|which|that|with|to|on|over|when|while
                |because|so|it|melt|mix|warm|heat|pour|stir|whip|shake|leave|let|put|keep|apply|freeze
                |chill|strain|after|from|each|if|per|on\ top|at\ the\ end|as\ well|too|please|lol
            )\b
        ).*$
    /xisu';

    /** What makes another thing of a name that it follows. */
    private const ANOTHER = '/
        ^-?(?:infused|scented|steeped|oils?|butter|wax|juice|tea|water|milk|hydrosol|vinegar)\b
    /xiu';

    private const LONGEST_NAME = 8;

    private const SURE = 0.85;

    /** Characters of the longest name that is looked up. */
    private const NAME = 70;

    /** @var array<string, list<Item>> by text: each is asked for several times */
    private array $found = [];

    public function __construct(private readonly Names $names)
    {
    }

    /** @return list<Item> in the order of the text, those with a name that is known; empty when it has none */
    public function in(string $text): array
    {
        return array_values(array_filter($this->all($text), static fn (Item $i): bool => $i->known));
    }

    /**
     * With those whose name is not known: nothing of a row is lost in silence.
     *
     * @return list<Item> in the order of the text
     */
    public function all(string $text): array
    {
        return $this->found[$text] ??= $this->read($text);
    }

    /** @return list<Item> */
    private function read(string $text): array
    {
        $text = $this->eachApart($text);
        $quantities = $this->quantities($text);
        $bracketed = $this->bracketed($text, $quantities);
        if ($bracketed !== []) {
            return $bracketed;
        }
        $after = $this->taken($text, $quantities, true);
        $before = $this->taken($text, $quantities, false);
        $apart = $this->segments($text, $quantities);
        // What an amount begins does not stand the other way round throughout.
        $begins = ($quantities[0][1] ?? 1) === 0 ? 1 : 0;
        if (self::known($apart) > max(self::known($before) - $begins, self::known($after))) {
            return $apart;
        }

        return self::rank($before) > self::rank($after)
            ? $this->turned($text, $quantities, $before)
            : $this->taken($text, $quantities, true, true);
    }

    /**
     * "Melt shea butter (100 g), coconut oil (50 ml) and castor oil (2 tbsp)": where all amounts stand in brackets, the
     * name of each is the last before its bracket.
     *
     * @param  list<array{string, int, int}>  $quantities
     * @return list<Item> empty where it is told in another way
     */
    private function bracketed(string $text, array $quantities): array
    {
        $items = [];
        $from = 0;
        foreach ($quantities as $n => [$amount, $start, $end]) {
            $between = substr($text, $end, ($quantities[$n + 1][1] ?? $end) - $end);
            if (preg_match('/\d/', $amount) !== 1 && preg_match('/^[^,;.]*\($/u', $between) === 1) {
                // "A little lavender (10 drops)".
                continue;
            }
            $lead = substr($text, $from, $start - $from);
            if (
                preg_match('/\(\s*$/u', $lead) !== 1
                || preg_match('/^\s*\)/u', substr($text, $end), $close) !== 1
                || preg_match(self::NEGATES, rtrim($lead, '( ')) === 1
            ) {
                return [];
            }
            $found = $this->last($amount, rtrim($lead, '( '));
            if ($found === null) {
                return [];
            }
            $items[] = $found;
            $from = $end + strlen($close[0]);
        }

        return $items;
    }

    /** The last name of the catalogue in a text, by the letter before by likeness; null when there is none. */
    private function last(string $amount, string $lead): ?Item
    {
        $plain = preg_replace('/\([^()]*\)/u', ' ', $lead) ?? $lead;
        $words = preg_split('/[\s,;:]+/u', $plain, flags: PREG_SPLIT_NO_EMPTY) ?: [];
        foreach ([$this->isName(...), $this->isOne(...)] as $is) {
            for ($length = min(self::LONGEST_NAME, count($words)); $length > 0; $length--) {
                $name = implode(' ', array_slice($words, -$length));
                if ($is($name)) {
                    return new Item($amount, $name, true);
                }
            }
        }

        return null;
    }

    /**
     * "250 ml sesame oil, cloves 1 tbsp, mahlab 1 tsp": where each piece between commas has one amount, its name is in
     * it, before or after.
     *
     * @param  list<array{string, int, int}>  $quantities
     * @return list<Item> empty where it is told in another way
     */
    private function segments(string $text, array $quantities): array
    {
        $starts = array_column($quantities, 1);
        $items = [];
        $orders = [];
        $from = 0;
        foreach (count($quantities) < 2 ? [] : [...self::commas($text), strlen($text)] as $to) {
            $in = array_filter($starts, static fn (int $at): bool => $at >= $from && $at < $to);
            if (count($in) > 1) {
                return [];
            }
            if ($in !== []) {
                $piece = trim(substr($text, $from, $to - $from), " \t,;");
                $own = $this->quantities($piece);
                $after = $this->taken($piece, $own, true);
                $before = $this->taken($piece, $own, false);
                $isBefore = self::rank($before) > self::rank($after);
                $orders[$isBefore ? 'before' : 'after'] = true;
                array_push($items, ...$isBefore ? $before : $this->taken($piece, $own, true, true));
            }
            $from = $to;
        }

        // In one order throughout it is read as a whole, with what stands between.
        return count($orders) > 1 ? $items : [];
    }

    /** @param  list<Item>  $items */
    private static function known(array $items): int
    {
        return count(array_filter($items, static fn (Item $i): bool => $i->known));
    }

    /** @return list<int> where the commas stand that part one thing from the next (bytes) */
    private static function commas(string $text): array
    {
        $parts = '/
            (?<!\d)[,;]\s|(?<=\d)[,;]\s+(?=\p{L})
            |\.\s+(?=\p{Lu}|(?:heat|melt|mix|add|stir|cool|whip|strain|blend|pour|steep|leave|let)\b)
        /xu';
        preg_match_all($parts, $text, $m, PREG_OFFSET_CAPTURE);

        return array_column($m[0], 1);
    }

    /**
     * "Cocoa butter 20 g, 8 drops of tea tree": one at the end that stands the other way round.
     *
     * @param  list<array{string, int, int}>  $quantities
     * @param  list<Item>  $items names before their amounts
     * @return list<Item>
     */
    private function turned(string $text, array $quantities, array $items): array
    {
        $last = count($items) - 1;
        if ($last < 0 || count($items) !== count($quantities) || $items[$last]->name !== '') {
            return $items;
        }
        $other = $this->following($items[$last]->amount, substr($text, $quantities[$last][2]));

        return $other->known ? [...array_slice($items, 0, $last), $other] : $items;
    }

    /** "3 oz sal butter, 1 oz each of plum kernel and raspberry seed oil": each has its amount. */
    private function eachApart(string $text): string
    {
        $one = '(?:'.self::FIGURE.')\s*(?:'.self::UNITS.')(?!\p{L})\.?';
        $ends = '(?=\s*(?:,?\s*(?:and\s+)?\d|[.;]|$))';
        $each = "/(?<amount>$one)\\s+each(?:\\s+of)?\\s*:?\\s+(?<list>[^\\d.;]+?)$ends/iu";

        $text = preg_match('/ of |caps/iu', $text) === 1 ? self::unitKept($text) : $text;

        return preg_replace_callback($each, static fn (array $m): string => implode(', ', array_map(
            static fn (array $one): string => $one[1].' '.$one[0],
            Together::in($m['amount'].' each '.trim($m['list'])),
        )) ?: $m[0], $text) ?? $text;
    }

    /** "4 tbsp shea and then 2 of jojoba": the same measure; "four crushed vitamin E capsules": so many of it. */
    private static function unitKept(string $text): string
    {
        $kept = '/
            (?<=\d|\d\s)(?<unit>'.self::SPOONS.')\b(?<between>[^.;\d]{3,50}?\b)(?<count>\d+(?:[.,]\d+)?)\s+
            of\s+(?=\p{L}{3})
        /xiu';
        for ($i = 0; $i < self::LONGEST_NAME && preg_match($kept, $text) === 1; $i++) {
            $text = preg_replace($kept, '$1$2$3 $1 of ', $text, 1) ?? $text;
        }

        // "120 ml coconut oil, same of olive oil".
        $text = preg_replace(
            '/
                (?<amount>\d+(?:[.,]\d+)?\s*(?:'.self::SPOONS.'))\b(?<between>[^.;\d]{3,50}?)\b(?:the\s+)?
                same(?:\s+amount)?\s+of\s+
            /xiu',
            '$1$2$1 of ',
            $text,
        ) ?? $text;

        return preg_replace_callback(
            '/
                # "3 vitamin E capsules": the name stands before what is counted
                \b(?<count>\d{1,2}|one|two|three|four|five|six|an?)\s+
                (?:(?:crushed|pierced|opened|small|large)\s+)*(?<name>vit(?:amin)?\.?\ e)\s+
                (?:capsules?|caps)\b
            /xiu',
            static fn (array $m): string => sprintf(
                '%s capsules of %s',
                self::IN_WORDS[mb_strtolower($m['count'])] ?? $m['count'],
                $m['name'],
            ),
            $text,
        ) ?? $text;
    }

    /**
     * How well an order fits: by names that are known by the letter; where none is, by likeness, then by any.
     *
     * @param  list<Item>  $items
     * @return array{int, int, int}
     */
    private static function rank(array $items): array
    {
        $exact = count(array_filter($items, static fn (Item $i): bool => $i->exact));

        return $exact > 0 ? [$exact, 0, 0] : [
            0,
            count(array_filter($items, static fn (Item $i): bool => $i->known)),
            count(array_filter($items, static fn (Item $i): bool => $i->name !== '')),
        ];
    }

    /** The longest name of the catalogue that stands anywhere in a text; "" when none does. */
    public function named(string $text): string
    {
        $words = preg_split('/[\s,;:()]+/u', $text, 60, PREG_SPLIT_NO_EMPTY) ?: [];
        for ($length = min(self::LONGEST_NAME, count($words)); $length > 0; $length--) {
            for ($at = 0; $at + $length <= count($words); $at++) {
                $name = implode(' ', array_slice($words, $at, $length));
                if (mb_strlen($name) > 3 && $this->names->exactly($name)) {
                    return $name;
                }
            }
        }

        return '';
    }

    /** Whether words are the name of a thing. */
    public function isOne(string $words): bool
    {
        return $this->score($words) >= self::SURE;
    }

    /** The longest name of the catalogue with which some words begin, with what it is like before; "" for none. */
    public function begins(string $words): string
    {
        return $this->longest($words);
    }

    /** Whether some amount of it is given so many times: "2 x 113 g tubs". */
    public static function multiplies(string $text): bool
    {
        return preg_match('/\b\d{1,3}\s*[x×]\s*\d/iu', $text) === 1;
    }

    /** Every amount in the text is one of an item with a name that is known. */
    public function explains(string $text): bool
    {
        $items = $this->in($text);

        return $items !== [] && count($items) === count($this->quantities($text));
    }

    /** @return list<array{string, int, int}> amounts as they are written, with where they begin and end (bytes) */
    private function quantities(string $text): array
    {
        $figure = self::FIGURE;
        $units = self::UNITS;
        $about = '(?:(?:about|approx\.?|around|roughly|ca\.?|~)\s*)?';
        $heaped = '(?:(?:heaped|heaping|level|rounded|big|small|large)\s+)?';
        $one = "$about(?:$figure)(?:\\s*(?:-|–|—|to|or)\\s*(?:$figure))?\\s*$heaped(?:$units)(?![\\p{L}])\\.?";
        $one .= '|(?:\d+\s+)?(?:\d\/\d|[½⅓⅔¼¾])\s*(?-i:c)(?=\.?\s\p{L})\.?';
        // A tablespoon and a teaspoon, by the size of the letter.
        $one .= "|(?:$figure)\\s?(?-i:T|t)(?=\\.?\\s\\p{L}{3})\\.?";
        $times = '(?<![\d\p{L}.,\/$€£])(?:(?<times>\d{1,3})\s*[x×]\s*)?';
        $also = "(?<also>\\s*(?:\\(|\\/|=)\\s*(?:about\\s+)?(?:$one)\\s*\\)?)?";
        $vague = '(?<=\s)(?:(?:(?:a )?few|a couple of) drops'
            .'|a pinch|(?:a )?(?:handful|capful|splash|dash|drizzle|dollop|squeeze|knob|glug|blob|lump|spoonful'
            .'|pea)s?\b'
            .'|a (?:(?:big|small|heaped|large|generous|good) )?(?:spoon(?:ful)?|squirt|scoop|pump)\b'
            .'|a (?:bit|little)(?=\s+of\b|\s+\p{L})(?!\s+(?:i|we|you|it|and|then|so|to|more|less|longer|before|after'
            .'|until|while|at|by|in|on|with|cooler|warmer|softer|too)\b))';
        $vague .= '|'.self::COUNTED.'|'.self::COVERS;
        $flags = PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL;
        if (preg_match_all("/$times(?<one>$one)$also|(?<vague>$vague)/iu", $text, $m, $flags) < 1) {
            return [];
        }
        $found = [];
        foreach ($m as $match) {
            [$whole, $start] = $match[0];
            $end = (int) $start + strlen((string) $whole);
            if (preg_match(self::NO_AMOUNT, substr($text, $end)) === 1 || self::isSaid($found, (string) $whole)) {
                continue;
            }
            $times = (float) ($match['times'][0] ?? 1);
            $one = trim((string) ($match['vague'][0] ?? $match['one'][0]), ' .');
            $one = self::IN_WORDS[strtolower($one)] ?? $one;
            $found[] = [
                $times > 1.0 ? self::multiplied($one, $times) : trim($one.(string) ($match['also'][0] ?? '')),
                (int) $start,
                $end,
            ];
        }

        return $found;
    }

    /**
     * "Enough oil to cover" says it once.
     *
     * @param  list<array{string, int, int}>  $before
     */
    private static function isSaid(array $before, string $amount): bool
    {
        return strtolower($amount) === 'to cover' && ($before[count($before) - 1][0] ?? '') === 'to cover';
    }

    private static function multiplied(string $one, float $times): string
    {
        return preg_match('/^(\d+(?:[.,]\d+)?)\s*(.+)$/u', $one, $m) === 1
            ? Amount::number((float) str_replace(',', '.', $m[1]) * $times).' '.$m[2]
            : $one;
    }

    /**
     * @param  list<array{string, int, int}>  $quantities
     * @param  bool  $after whether names follow their amounts
     * @param  bool  $either whether one may stand before its amount all the same
     * @return list<Item>
     */
    private function taken(string $text, array $quantities, bool $after, bool $either = false): array
    {
        $items = [];
        foreach ($quantities as $n => [$amount, $start, $end]) {
            $from = $n === 0 ? 0 : $quantities[$n - 1][2];
            $lead = substr($text, $from, $start - $from);
            $back = $after && $items !== [] && preg_match(self::CORRECTS, $lead) === 1 ? array_pop($items) : null;
            if (
                preg_match(self::SUMS, $lead) === 1
                || preg_match(self::EACH_SO_MUCH, $lead) === 1
                || ($after && $back === null && preg_match(self::NEGATES, $lead) === 1)
            ) {
                continue;
            }
            [$amount, $lead] = self::upTo($amount, $lead);
            $item = $after
                ? $this->following($amount, substr($text, $end, ($quantities[$n + 1][1] ?? strlen($text)) - $end))
                : $this->preceding($amount, $lead);
            $item = $either && ! $item->known ? $this->nameless($item, $lead, $items) ?? $item : $item;
            if ($back !== null && $item->name === '') {
                // "Two teaspoons of glycerine, no, one teaspoon" is still of the glycerine.
                $item = $back->of($amount);
            }
            if ($after && $items !== [] && $item->known && preg_match('/\bor\s*$/iu', $lead) === 1) {
                // "100 g shea or 80 g mango butter" is one of the two.
                $item = array_pop($items)->or($item);
            }
            $items[] = $item;
        }

        return $items;
    }

    /**
     * "Jojoba oil q.s. 100 %" fills up what is left.
     *
     * @return array{string, string} the amount, and what stands before it without these words
     */
    private static function upTo(string $amount, string $lead): array
    {
        return preg_match(self::UP_TO, $lead, $m) === 1 && preg_match('/^100\s*(?:%|g|ml)$/u', $amount) === 1
            ? [str_contains($amount, '%') ? 'to fill' : "to make $amount", substr($lead, 0, -strlen($m[0]))]
            : [$amount, $lead];
    }

    /** With the name at the start of what follows its amount. */
    private function following(string $amount, string $region): Item
    {
        $region = preg_replace(self::BETWEEN, '', $region) ?? $region;
        $known = $this->longest($region);

        $named = trim(preg_replace(self::END, '', $region) ?? $region);

        return $known === ''
            ? $this->nearly($amount, $named)->leftOpen(Choices::opens(mb_substr($region, mb_strlen($named))))
            : new Item($amount, $known.$this->open($region, $known), true);
    }

    /** What follows a name and leaves it open: "or argan oil", "if you have it"; "" for nothing. */
    private function open(string $region, string $known): string
    {
        $rest = mb_substr($region, mb_strlen($known));
        if (str_starts_with($region, $known) && preg_match('/^\s*,?\s*\(?\s*or\s+(?!\d)(.+)$/isu', $rest, $m) === 1) {
            $other = $this->longest($m[1]);

            return $other === '' ? '' : ' or '.$other;
        }

        return str_starts_with($region, $known) && Choices::opens($rest) ? ' (optional)' : '';
    }

    /** With the name at the end of what stands before its amount. */
    private function preceding(string $amount, string $region): Item
    {
        $region = trim(preg_replace('/[\s:=(–—,-]+$/u', '', $region) ?? $region);
        $pieces = preg_split('/(?:^|[\s])[–—\/|]\s|[,;:]\s+|\.\s+|\s\/\s/u', $region) ?: [$region];
        $last = trim(trim((string) end($pieces)), ' /|,;.-');
        $plain = trim(preg_replace('/\s*\([^)]*\)\s*/u', ' ', $last) ?? $last);
        foreach (array_unique([$last, $plain]) as $name) {
            if ($name !== '' && mb_strlen($name) <= self::NAME && $this->score($name) >= 0.999) {
                return new Item($amount, $name, true);
            }
        }

        return $this->nearly($amount, $plain);
    }

    /**
     * An amount that nothing follows, and whose name stands before it: "fill it with dried rosemary (about 30 g)", "50
     * g of lanolin, then castor oil 60 g"; null when that name has its amount already.
     *
     * @param  list<Item>  $items before it
     */
    private function nameless(Item $item, string $lead, array $items): ?Item
    {
        $bracket = preg_match('/\(\s*\p{L}{0,7}\.?\s*$/u', $lead) === 1;
        $apart = preg_match('/[,;.]|\b(?:and|then|plus)\b/iu', $lead) === 1;
        if ((! $bracket && $item->name !== '') || ($items !== [] && ! $apart)) {
            return null;
        }
        $found = $this->before($item->amount, $lead);

        return $found === null || ($items !== [] && str_contains($items[count($items) - 1]->name, $found->name))
            ? null
            : $found;
    }

    /** The last name of the catalogue before an amount; null when there is none. */
    private function before(string $amount, string $lead): ?Item
    {
        $words = preg_split('/\s+/u', trim(preg_replace('/\([^(]*$|[\s:=–—-]+$/u', '', $lead) ?? $lead)) ?: [];
        for ($length = min(5, count($words)); $length > 0; $length--) {
            $name = trim(implode(' ', array_slice($words, -$length)), ' ,.:;');
            if ($this->isName($name) || $this->score($name) >= self::SURE) {
                return new Item($amount, $name, true);
            }
        }

        return null;
    }

    private function nearly(string $amount, string $name): Item
    {
        return new Item(
            $amount,
            $name,
            known: $name !== '' && mb_strlen($name) <= self::NAME && $this->score($name) >= self::SURE,
        );
    }

    private function score(string $name): float
    {
        return $this->names->matching($name)[0]->score ?? 0.0;
    }

    /** The longest name of the catalogue within the first words of a text, with the words before it. */
    private function longest(string $region): string
    {
        $clause = trim(preg_replace('/(?:[.;!?|]|,(?!\d)|\s\/\s|\s[–—-]\s).*$/su', '', $region) ?? $region);
        $words = preg_split('/\s+/u', $clause, self::LONGEST_NAME + 6) ?: [];
        for ($skip = 0; $skip < min(4, count($words)); $skip++) {
            for ($length = min(self::LONGEST_NAME, count($words) - $skip); $length > 0; $length--) {
                $name = trim(implode(' ', array_slice($words, $skip, $length)), ' ,.:;()+');
                if ($this->isName($name)) {
                    $before = implode(' ', array_slice($words, 0, $skip));
                    // "Rosemary infused olive oil" is neither the one nor the other: it is asked about.
                    $next = $words[$skip + $length] ?? '';
                    if (preg_match(self::ANOTHER, $next) === 1 || $this->isGround($name, $next)) {
                        return '';
                    }

                    return preg_match('/
                        # words that say how it is, and not what
                        ^(?:
                            \(?(?:
                                dried|fresh|melted|raw|organic|boiling|boiled|hot|cold|filtered|distilled
                                |lukewarm|spring|brewed|strong|unrefined|refined|virgin|extra|cold|pressed
                                |cold-pressed|powdered|ground|pure|whole|crushed|good|your|favourite
                                |favorite|warm|soft|softened|chopped|ivory|yellow|sprigs?|leaf|leaves
                                |cloves?|\d+
                            )\)?,?\s*
                        )*$
                    /xiu', $before) === 1
                        ? trim($before.' '.$name)
                        : '';
                }
            }
        }

        return '';
    }

    /** No fat is a powder: "cocoa powder" is not the butter. */
    private function isGround(string $name, string $next): bool
    {
        return preg_match('/^(?:powder|flour|nibs|shells?|meal)\b/iu', $next) === 1
            && ($this->names->matching($name)[0] ?? null)?->ingredient->kind->isFat() === true;
    }

    private function isName(string $name): bool
    {
        $plain = trim(preg_replace('/\s*\([^)]*\)\s*/u', ' ', $name) ?? $name);

        return preg_match('/\p{L}{3}/u', $name) === 1
            && ($this->names->exactly($name) || $this->names->exactly($plain));
    }
}
