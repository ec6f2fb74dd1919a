<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\NameMatch;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\Step;
use Crown\Measure\Amount;
use Crown\Measure\AmountReader;
use Crown\Measure\CannotTell;
use Crown\Measure\Converter;
use Crown\Measure\Figure;
use Crown\Measure\Kitchen;
use Crown\Measure\MeasureError;
use Crown\Measure\Unit;
use Crown\Reading\Internal\ForWhom;
use Crown\Reading\Internal\Instructions;
use Crown\Reading\Internal\Item;
use Crown\Reading\Internal\Items;
use Crown\Reading\Internal\Lexicon;
use Crown\Reading\Internal\Names;
use Crown\Reading\Internal\Plain;
use Crown\Reading\Internal\Tables;
use Crown\Reading\Internal\Vessel;
use Crown\Reading\Internal\Together;

/**
 * Reads a recipe as people scribble it. Every line comes back: as an ingredient line with how surely it was understood,
 * as steps, or as a note. Method page: docs/methods/reading.md.
 */
final readonly class RecipeReader
{
    public const MOST_CHARACTERS = 60_000;

    public const MOST_LINES = 600;

    private const MOST_PIECES = 40;

    private const SURE = 0.85;

    private const NEAR = 0.62;

    /** More of an "essential oil" than anybody puts in one recipe. */
    private const HARDLY_GRAMS = 12.0;

    private const HARDLY_PERCENT = 10.0;

    private const START = '(?:about |approx\.? |around |~ ?)?(?:\d|½|⅓|⅔|¼|¾|⅛|(?:a few|half an?|a couple of|one(?: and a half)?|two(?: and a half)?|three|four|five|six|a|an) (?:heaped |level )?(?:drops?|tbsps?|tsps?|table|tea|cups?|pinch|oz|ounces?|parts?))';

    /** What kind of thing is wanted, and not which. */
    private const KIND_ALONE = '/^(?:(?:broad[ -]spectrum|oil[ -]soluble|natural|your|my|an?|any|other|some|favou?rite|chosen|preferred|cosmetic|carrier)\s+)*(?:preservatives?|emulsifiers?|antioxidants?|fragrance(?: oil)?|essential oils?|e\.?o\.?s?|carrier oils?|oils?|butters?|wax(?:es)?|herbs?|powders?|extracts?|starch|clay)$/iu';

    /** Words that say how it was bought, not what it is. */
    private const ADJECTIVES = '/\b(enough|organic|raw|pure|virgin|extra|unrefined|refined|cold[- ]pressed|coldpressed|good quality|high quality|food grade|cosmetic grade|optional|to taste|of your choice|your favou?rite|more or less|approximately|level|full|large|small|medium|big|chopped|sliced|grated|softened|crushed|boiling|filtered|lukewarm|whole|loose|packed|natural|vegan|hot|warm)\b/iu';

    private Names $names;

    public function __construct(Catalogue $catalogue, private Kitchen $kitchen)
    {
        $this->names = new Names($catalogue);
    }

    /** @throws ReadingError when the text is empty, too long, or not text */
    public function read(string $text): Recipe
    {
        $this->names->forget();
        $written = Source::of($text)->rows;
        $plain = new Plain(Lexicon::of(implode("\n", $written)));
        $vessel = Vessel::in(implode("\n", $written));
        $listed = $vessel->poured(Tables::listed($written));
        $rows = array_map($plain->row(...), $listed);
        $unit = self::statedUnit($rows);
        $items = new Items($this->names);
        $title = '';
        $lines = $steps = $notes = $inPassing = [];
        $inMethod = false;
        $phase = null;
        $begun = false;
        foreach ($rows as $n => $row) {
            $bare = self::unbulleted($row);
            $heading = self::heading($bare);
            if ($heading !== '') {
                $inMethod = $heading === 'method';
                $phase = self::phaseOf($bare);
                $notes[] = $row;

                continue;
            }
            if (self::isNoise($bare)) {
                $notes[] = $row;

                continue;
            }
            $first = ! $begun;
            $begun = true;
            if (self::isSize($bare)) {
                $title = $first ? trim(preg_replace('/[,:(–—-]?\s*(?:batch|makes|yields?|fills)\b.*$/iu', '', $bare) ?? '') : $title;
                $notes[] = $row;

                continue;
            }
            if ($first && ! $items->explains($bare) && ForWhom::in($bare) === [] && $this->looksLikeTitle($bare, count($rows))) {
                $title = rtrim(trim(self::withoutMarks($bare)), ':');

                continue;
            }
            if ($this->isAside($bare, $rows[$n + 1] ?? '', $items)) {
                $notes[] = $row;

                continue;
            }
            if ($this->isNamesOnly($bare)) {
                foreach (self::names($bare) as $name) {
                    $lines[] = $this->placed($row, $name, '')->under($phase);
                }

                continue;
            }
            [$bare, $more] = self::apart($bare);
            if ($more !== '') {
                array_push($lines, ...$this->ingredientLines($more, $row));
            }
            $several = $this->together($bare) ?? $items->in($bare);
            $isMethod = Instructions::begins($bare)
                || ($inMethod && ! $this->looksLikeIngredient($bare))
                || ($several === []
                    && ($plain->acts($listed[$n]) || Instructions::waits($bare) || $this->onlyTells($bare, $items)));
            if ($isMethod || (self::isProse($bare) && count($several) < 1)) {
                array_push($steps, ...Instructions::steps($bare));
                foreach ($several as $item) {
                    $inPassing[] = $this->placed($row, $item->name, $item->amount);
                }
                if (count($steps) > Formula::MOST_STEPS) {
                    throw ReadingError::tooManySteps(Formula::MOST_STEPS);
                }

                continue;
            }
            if (
                count($several) > 1
                || ($several !== [] && (self::isProse($bare) || Items::multiplies($bare)))
            ) {
                foreach ($this->whole($bare, $several, $items) as $item) {
                    $lines[] = $this->placed($row, $item->name, $item->amount)->under($phase);
                }
                array_push($steps, ...Instructions::timed($bare));
                $fill = self::filling($bare);
                if ($fill !== '' && ($this->matches($fill)[0]->score ?? 0.0) >= self::SURE) {
                    $lines[] = $this->placed($row, $fill, $vessel->rest())->under($phase);
                }

                continue;
            }
            if ($this->isRemark($bare) || self::isRefused($bare)) {
                $notes[] = $row;

                continue;
            }
            $found = $this->asked(
                $this->ingredientLines(self::withUnit($bare, $unit), $row),
                $several,
                $bare,
                $row,
                $items,
            );
            array_push($lines, ...array_map(static fn (ReadLine $l): ReadLine => $l->under($phase), $found));
            if (count($lines) > Formula::MOST_LINES) {
                throw ReadingError::tooManyIngredients(Formula::MOST_LINES);
            }
        }

        // A name of an ingredient is not whom it is for: "baby aloe" stays out. What is none and has no amount may be.
        $strays = array_filter($lines, static fn (ReadLine $l): bool => $l->ingredient() === '' && $l->amount === '');
        $told = implode("\n", [
            $title,
            ...array_map(static fn (Step $s): string => $s->text, $steps),
            ...$notes,
            ...array_map(static fn (ReadLine $l): string => $l->text, $strays),
        ]);
        $lines = self::withPassing($lines, $inPassing);

        return new Recipe(
            $title,
            [...$lines, ...$this->onlyInSteps($steps, $lines)],
            $steps,
            $notes,
            ForWhom::in($told)[0] ?? null,
        );
    }

    /**
     * What a sentence lists, with what it gives an amount and the catalogue does not know.
     *
     * @param  list<Item>  $several
     * @return list<Item>
     */
    private function whole(string $row, array $several, Items $items): array
    {
        $all = array_values(array_filter($items->all($row), static fn (Item $i): bool => $i->name !== ''));

        return count($all) > count($several) ? $all : $several;
    }

    /**
     * A row that the list could not place is looked at once more as a sentence: an amount with its name, or a name alone,
     * which is asked about.
     *
     * @param  list<ReadLine>  $found
     * @param  list<Item>  $several
     * @return list<ReadLine>
     */
    private function asked(array $found, array $several, string $bare, string $row, Items $items): array
    {
        $unknown = array_filter($found, static fn (ReadLine $l): bool => $l->ingredient() === '');
        if ($unknown === []) {
            return $found;
        }
        if ($several !== [] && count($several) >= count($found)) {
            return array_map(
                fn (Item $i): ReadLine => $this->placed($row, $i->name, $i->amount),
                $several,
            );
        }
        $name = count($found) === 1 && $found[0]->amount === '' ? $items->named($bare) : '';
        if ($name === '') {
            return $found;
        }
        $line = $this->placed($row, $name, '');

        return [
            new ReadLine(
                $row,
                Understood::Doubtful,
                $line->name,
                '',
                $line->form,
                $line->matches,
                [],
                [...$line->doubts, Asked::Amount->value => 'How much is meant?'],
            ),
        ];
    }

    /**
     * "Ingredients: water, cetearyl alcohol, glycerin": a list of names without a figure, as on a bought jar.
     */
    private function isNamesOnly(string $row): bool
    {
        $names = self::names($row);
        $known = array_filter($names, $this->names->exactly(...));

        return preg_match('/\d\s*(?:g|ml|%|oz|tsp|tbsp|cups?|drops?|parts?)\b/iu', $row) !== 1
            && count($names) >= 3
            && count($names) <= self::MOST_PIECES
            && count($known) >= 0.6 * count($names);
    }

    /** @return list<string> */
    private static function names(string $row): array
    {
        $list = preg_replace('/^[\p{L} ]{2,30}:\s*/u', '', $row) ?? $row;

        return array_values(
            array_filter(
                array_map(static fn (string $n): string => trim($n, ' .;*'), preg_split('/\s*[,;•·]\s*/u', $list) ?: []),
                static fn (string $n): bool => $n !== '',
            ),
        );
    }

    /**
     * "1:1:1 castor, olive and almond oil, plus a few drops of tea tree": what is added to a proportion stands by itself.
     *
     * @return array{string, string} the row, and what is added; "" when nothing is
     */
    private static function apart(string $row): array
    {
        return preg_match('/^(?<list>(?:\d+(?:\s*:\s*\d+)+|equal (?:parts|amounts|measures))\b.+?),?\s+plus\s+(?<more>(?:a|an|\d).+)$/iu', $row, $m) === 1
            ? [$m['list'], $m['more']]
            : [$row, ''];
    }

    /** "All of it, whip it": an act, and nothing that could be an ingredient. */
    private function onlyTells(string $row, Items $items): bool
    {
        return preg_match('/\d/u', $row) !== 1
            && $items->named($row) === ''
            && str_contains($row, ' ')
            && Instructions::steps($row)[0]->act !== 'other'
            && ($this->matches($this->split($row)[0])[0]->score ?? 0.0) < self::NEAR;
    }

    /** "Balm, batch size 500 g", "4 oz bottle:", "Makes 3 tins of 50 ml": how much it is, not what is in it. */
    private static function isSize(string $row): bool
    {
        return preg_match('/\b(?:batch(?: size)?(?: of)?|makes|yields?|fills)\s*:?\s*(?:about\s+|approx\.?\s+|~\s*)?\d/iu', $row) === 1
            || preg_match('/^(?:an?\s+)?\d+(?:[.,]\d+)?\s*-?\s*(?:fl oz|oz|ounces?|ml|cl|l|g)\s+(?:\w+\s+)?(?:bottle|jar|tin|tub|pot)s?\s*:?$/iu', $row) === 1
            || preg_match('/\d.*\b(?:sub)?totals?\b|\b(?:sub)?totals?\b.*\d/iu', $row) === 1 && preg_match('/%.*%/u', $row) !== 1;
    }

    /** A question, a word to whom it is for, a second heading, a remark of several sentences: no line of it. */
    private function isAside(string $row, string $next, Items $items): bool
    {
        if ($items->in($row) !== [] || $this->looksLikeIngredient($row)) {
            return false;
        }
        $figures = preg_match('/\d/u', $row) === 1;
        $known = ($this->matches($this->split($row)[0])[0]->score ?? 0.0) >= self::SURE;

        return preg_match('/\?+$/u', $row) === 1
            || (ForWhom::in($row) !== [] && ! $known)
            || (! $known && preg_match('/\p{L}{2,}[.!]\s+\p{L}/u', $row) === 1 && ! Instructions::begins($row) && str_word_count($row) < 14)
            || (! $figures && ! $known && preg_match('/^[\p{Lu}\d\s&\'-]{4,}(?:\([^)]*\))?:?$/u', $row) === 1 && $items->in($next) !== []);
    }

    /**
     * What the method says in passing: said twice it counts once, a name without an amount gets it there, and what
     * stands in no list is a line of its own.
     *
     * @param  list<ReadLine>  $lines
     * @param  list<ReadLine>  $passing
     * @return list<ReadLine>
     */
    private static function withPassing(array $lines, array $passing): array
    {
        $listed = array_filter($lines, static fn (ReadLine $l): bool => $l->ingredient() !== '' && $l->amount !== '') !== [];
        foreach ($passing as $said) {
            $known = false;
            foreach ($lines as $n => $line) {
                if ($line->ingredient() !== '' && $line->ingredient() === $said->ingredient()) {
                    $known = true;
                    $lines[$n] = $line->amount === '' ? $said : $line;
                }
            }
            if (! $known && $said->ingredient() !== '') {
                $lines[] = $listed ? self::onlyThere($said) : $said;
            }
        }

        return $lines;
    }

    private static function onlyThere(ReadLine $line): ReadLine
    {
        return new ReadLine(
            $line->text,
            Understood::Doubtful,
            $line->name,
            $line->amount,
            $line->form,
            $line->matches,
            $line->grams,
            [...$line->doubts, Asked::Ingredient->value => 'Named only in the method.'],
        );
    }

    /** @return list<Item>|null several that one row gives one amount */
    private function together(string $row): ?array
    {
        if (preg_match('/\b(equal (?:parts|amounts|measures)(?: of)?:?\s+[^.;]+)/iu', $row, $m, PREG_OFFSET_CAPTURE) === 1 && $m[0][1] > 0) {
            $all = Together::in(preg_replace('/\s+(?:plus|in|into|until|to a)\b.*$/iu', '', $m[1][0]) ?? $m[1][0]);

            return $all === []
                ? null
                : array_map(
                    static fn (array $one): Item => new Item($one[1], $one[0]),
                    $all,
                );
        }
        if (preg_match('/(?:^|\s|:)(\d{1,2})\s*\/\s*(\d{1,2})\s+(?<a>\p{L}[^,.;]*?)\s+(?:to|and|\/|,)\s+(?<b>\p{L}[^,.;!]*)/u', $row, $m) === 1
            && (int) $m[1] + (int) $m[2] === 100
            && $this->names->exactly(trim($m['a']))
        ) {
            return [
                new Item($m[1].' %', trim($m['a']), true),
                new Item($m[2].' %', trim($m['b']), true),
            ];
        }

        return null;
    }

    /** "-- all in g --": the unit of every figure that has none; "" when nothing says so. */
    private static function statedUnit(array $rows): string
    {
        foreach ($rows as $row) {
            if (preg_match('/\b(?:all|amounts|everything|figures)(?: are)?(?: in)? (?:in )?(g|grams?|ml|%|drops|parts)\b/iu', $row, $m) === 1) {
                return $m[1];
            }
        }

        return '';
    }

    private static function withUnit(string $row, string $unit): string
    {
        return $unit !== '' && preg_match('/^(\p{L}[^\d]*?)\s+(\d+(?:[.,]\d+)?)$/u', $row) === 1 ? $row.' '.$unit : $row;
    }

    /** What is to fill up the rest, named in a sentence. */
    private static function filling(string $row): string
    {
        return preg_match('/\b(?:top(?: it)? up with|the rest(?: is)?|fill(?: it)? up with)\s+(?<name>\p{L}[\p{L} \'-]{2,40})/iu', $row, $m) === 1
            ? trim($m['name'])
            : '';
    }

    /** Heads of a letter, sums, dates, greetings: nothing of it is in the jar. */
    private static function isNoise(string $row): bool
    {
        return preg_match('/^(?:from|to|date|subject|sent|cc|von|an|betreff):\s/iu', $row) === 1
            || preg_match('/^(?:sent from|call me|prep time|yield|makes|cost|serves|total|sum|summe|somme|totaal|totale)\b/iu', $row) === 1
            || preg_match('/^\d{1,2}[\/.]\d{1,2}(?:[\/.]\d{2,4})?$/u', $row) === 1
            || preg_match('/^(?:\d+(?:[.,]\d+)?\s*(?:g|ml|oz|%)?[\s|]*)+$/u', $row) === 1
            || preg_match('/^[-–—\s]*all in \w+[-–—\s]*$/iu', $row) === 1
            || preg_match('/^(?:double|halve|half) (?:this|it|that)\b/iu', $row) === 1;
    }

    /** "Honey - no! (sticky)", "EO's - none": it says what is not in it. */
    private static function isRefused(string $row): bool
    {
        return preg_match('/[-–—:]\s*(?:no|none|never|nope|not)\b[!. ]*(?:\([^)]*\))?[!. ]*$/iu', $row) === 1
            || preg_match('/^(?:no|never|without|don\'?t add)\s+\p{L}/iu', $row) === 1;
    }

    private static function unbulleted(string $row): string
    {
        $row = preg_replace('/^(?:[\p{So}\p{Sk}\x{fe0f}\x{200d}]+\s*)+/u', '', $row) ?? $row;
        $row
            = preg_replace(
                '/^(?:[-*•·–—▪◦‣○●□☐✓✔>]+\s*|\[\s?[xX]?\]\s*|#+\s+|\(?\d{1,2}[.)]\s+|step \d+[:.)]?\s+)+/iu',
                '',
                $row,
            ) ?? $row;

        // "For shine: 10 ml argan oil" says what it is there for before what it is.
        $row
            = preg_replace(
                '/^(?:for [\p{L} -]{2,30}|ratios?|mix|blend|base|recipe|ingredients?|you need):\s+(?='
                    .self::START
                    .')/iu',
                '',
                trim(self::withoutMarks($row)),
            ) ?? $row;

        return trim($row);
    }

    private static function withoutMarks(string $text): string
    {
        return str_replace(['**', '__', '`'], '', $text);
    }

    /** "method", "ingredients", or "" when the row is no heading. */
    private static function heading(string $row): string
    {
        if (
            preg_match(
                '/^(?:the )?(?:method|instructions?|directions?|how to(?: make(?: it)?)?|steps?|procedure|preparation|to make(?: it)?)\s*:?$/iu',
                $row,
            ) === 1
        ) {
            return 'method';
        }

        return preg_match(
            '/^(?:the )?(?:ingredients?(?: list)?|you(?:\'ll| will)? need|what you need|recipe|for the [\p{L} -]{2,30}|(?:phase [a-z0-9]|[\p{L} -]{3,20} phase)(?:\s*\([^)]*\))?|(?:(?:heat|melt|cool|whip)[\p{L} -]{0,12}|water)(?=:))\s*:?$/iu',
            $row,
        ) === 1
            ? 'ingredients'
            : '';
    }

    /** When the lines under a heading go in, where it says so: "Phase C (cool down)", "Heated phase:". */
    private static function phaseOf(string $heading): ?Phase
    {
        return match (true) {
            preg_match('/cool/iu', $heading) === 1 => Phase::CoolDown,
            preg_match('/whip/iu', $heading) === 1 => Phase::WhipIn,
            preg_match('/\bheat|\bhot\b|\bmelt/iu', $heading) === 1 => Phase::Melt,
            preg_match('/\bwater\b/iu', $heading) === 1 => Phase::Water,
            default => null,
        };
    }

    private function looksLikeTitle(string $row, int $rows): bool
    {
        if (
            $rows === 1
            || preg_match('/^'.self::START.'/iu', $row) === 1
            || Together::in($row) !== []
            || mb_strlen($row) > 120
            || preg_match(
                '/\d\s*(?:parts?|cups?|tbsps?|tsps?|tablespoons?|teaspoons?|drops?|ml|oz|g)\b.*\b(?:to|and|,)/iu',
                $row,
            ) === 1
        ) {
            return false;
        }
        [$name, $amount] = $this->split($row);

        // A bare figure counts versions or names the mixture: "Evening balm 3", "Growth oil 2.0".
        $noAmount = $amount === '' || preg_match('/^(?:no\.?|nr\.?|#)?\s*\d+(?:[.,]\d+)?$/iu', $amount) === 1;

        return $noAmount && ! (($this->matches($name)[0]->score ?? 0.0) >= 0.95) && ! Instructions::begins($row);
    }

    private function looksLikeIngredient(string $row): bool
    {
        if (Instructions::begins($row) || str_word_count($row) > 8) {
            return false;
        }
        [$name, $amount] = $this->split($row);

        return $amount !== '' && ($this->matches($name)[0]->score ?? 0.0) >= self::SURE;
    }

    /** A sentence rather than a line of a list. */
    private static function isProse(string $row): bool
    {
        return preg_match('/^'.self::START.'/iu', $row) !== 1
            && str_word_count($row) >= 9
            && preg_match('/[.!?]$/u', $row) === 1;
    }

    /** "For kids of 8 years", "Keeps 3 months", "Makes about 4 jars": about the whole, and no ingredient in it. */
    private function isRemark(string $row): bool
    {
        if (preg_match('/^(?:grand )?totals?\b/iu', $row) === 1) {
            return true;
        }

        return preg_match(
            '/^(?:(?:good|great|best|safe|made|not|only) for|for|use|apply|keeps?|lasts?|stores?|makes|yields?|notes?|tips?|warning|caution|shelf life|do not|don\'t)\b/iu',
            $row,
        ) === 1
            && preg_match(
                '/\d\s*(?:g|kg|ml|l|oz|tbsps?|tsps?|tablespoons?|teaspoons?|cups?|drops?|parts?|%)(?!\p{L})/iu',
                $row,
            ) !== 1
            && ($this->matches($this->split($row)[0])[0]->score ?? 0.0) < self::NEAR;
    }

    /** @return list<ReadLine> */
    private function ingredientLines(string $bare, string $row): array
    {
        $bare
            = preg_replace(
                ['/\b(oz\.?|ounces?)\s+by volume\b/iu', '/\s+by (?:weight|mass|volume)\b/iu'],
                ['fl oz', ''],
                $bare,
            ) ?? $bare;
        $together = Together::in($bare);
        if ($together !== []) {
            return array_map(fn (array $one): ReadLine => $this->placed($row, $one[0], $one[1]), $together);
        }
        // "1/2 cup jojoba / 1/4 cup argan", but not "Shea butter - 100 g": each piece has to be whole.
        $side = array_map($this->split(...), preg_split('/\s+[-–—\/|]\s+(?='.self::START.')/iu', $bare) ?: []);
        if (
            count($side) > 1
            && count($side) <= self::MOST_PIECES
            && array_filter($side, static fn (array $s): bool => $s[0] === '' || $s[1] === '') === []
        ) {
            return array_map(fn (array $one): ReadLine => $this->placed($row, $one[0], $one[1]), $side);
        }
        $pieces = preg_split(
            '/\s*(?:,|;|\band\b|\bplus\b|\+|\bto(?=\s+[\d½]+\s+parts?\b))\s+(?='
                .self::START
                .'|(?:a (?:little|touch|bit|handful|splash|dash|dollop|knob)|some)\s)/iu',
            $bare,
        ) ?: [$bare];
        // Nobody writes so many in one row: it is kept whole and asked about.
        $pieces = count($pieces) > self::MOST_PIECES ? [$bare] : $pieces;
        $lines = [];
        $held = '';
        while ($pieces !== []) {
            $whole = ($held === '' ? '' : $held.' + ').array_shift($pieces);
            [$name, $amount] = $this->split($whole);
            if ($name === '' && $pieces !== []) {
                $held = $whole;

                continue;
            }
            $held = '';
            // "Coconut oil, 3 oz": what follows the name is its amount.
            while ($name !== '' && $pieces !== [] && ($amount === '' || $lines === [])) {
                [$other, $more] = $this->split($pieces[0]);
                if ($other !== '' || $more === '') {
                    break;
                }
                $amount = $amount === '' ? $more : $amount.' + '.$more;
                $whole .= ', '.array_shift($pieces);
            }
            $lines[] = $this->placed($pieces === [] && $lines === [] ? $row : rtrim($whole, ' ,;'), $name, $amount);
        }

        return $lines;
    }

    /**
     * Takes a line apart into a name and an amount, in either order.
     *
     * @return array{string, string}
     */
    private function split(string $line): array
    {
        $vague = AmountReader::vague($line);
        if ($vague !== []) {
            return [self::cleaned($vague[1]), $vague[0]];
        }
        // "3 vit E capsules": the name stands inside its amount.
        if (
            preg_match(
                '/^(\d+)\s+(?!of\b)([\p{L}][\p{L} -]{0,40}?)\s+(capsules?|caps|softgels?)\b\.?(.*)$/iu',
                $line,
                $m,
            ) === 1
        ) {
            $line
                = $m[1]
                .' capsules'
                .(preg_match('/(\d+(?:[.,]\d+)?)\s*mg/iu', $m[4], $mg) === 1 ? ' of '.$mg[1].' mg' : '')
                .' '
                .$m[2];
        }
        try {
            $leading = AmountReader::leading($line);
        } catch (MeasureError) {
            // "-3 g of water", "2000 kg shea": the name is kept, the amount is refused with its own message later.
            $name
                = preg_replace(
                    '/^\s*-?[\d.,\/]+\s*(?:kg|g|ml|l|oz|lb|tbsp|tsp|cups?|drops?|parts?|%)?\s+/iu',
                    '',
                    $line,
                ) ?? $line;

            return [self::cleaned($name), trim(mb_substr($line, 0, max(0, mb_strlen($line) - mb_strlen($name))))];
        }
        if ($leading !== false) {
            $name = self::cleaned($leading->rest);
            if ($name === '' && $leading->amount->unit === Unit::Piece) {
                return [
                    self::cleaned(preg_replace('/^[\d\s\/.,-]+/u', '', $line) ?? $line),
                    Amount::number($leading->amount->count->best),
                ];
            }

            return [$name, $leading->amount->written];
        }
        // Name first: the first place from which the rest of the line is an amount.
        if (
            preg_match_all(
                '/(?:^|[\s(:=–—-])('
                    .self::START
                    .'|to fill|top up|q\.?s\.?|to 100|(?:enough |make |made )?(?:up )?to (?:make )?(?:up )?(?:to )?\d)/iu',
                $line,
                $m,
                PREG_OFFSET_CAPTURE,
            ) > 0
        ) {
            foreach ($m[1] as [, $offset]) {
                try {
                    $tail = AmountReader::leading(substr($line, (int) $offset));
                } catch (MeasureError) {
                    continue;
                }
                // "Shea - 100g - melted": a word of its state may come last.
                if (
                    $tail !== false
                    && preg_match(
                        '/^[\s).,;(–—-]*(melted|softened|chopped|grated|powdered|ground|dried|fresh|whole|optional)?[\s).,;]*$/iu',
                        $tail->rest,
                        $state,
                    ) === 1
                ) {
                    return [
                        self::cleaned(substr($line, 0, (int) $offset)).(isset($state[1]) ? ' '.$state[1] : ''),
                        $tail->amount->written,
                    ];
                }
            }
        }

        return [self::cleaned($line), ''];
    }

    private static function cleaned(string $name): string
    {
        $name = preg_replace('/^\s*(?:of|x)\s+/iu', '', $name) ?? $name;

        // By characters: a byte of a curly quote is also a byte of other letters.
        return preg_replace('/^[\s,.;:\-–—=(*“”‘’„•…→′″✓]+|[\s,.;:\-–—=(*“”‘’„•…→′″✓]+$/u', '', $name) ?? $name;
    }

    private function placed(string $row, string $name, string $amount): ReadLine
    {
        // Longer than anybody writes a name or an amount: the row itself is kept whole, what is made of it is cut.
        $name = mb_substr($name, 0, Line::LONGEST_NAME);
        $amount = mb_strlen($amount) > Line::LONGEST_AMOUNT ? '' : $amount;
        $form = self::form($name);
        $matches = $this->matches($name);
        $best = $matches[0] ?? false;
        if ($best === false || $best->score < self::NEAR) {
            return new ReadLine(
                $row,
                Understood::No,
                $name,
                $amount,
                $form,
                $matches,
                [],
                [Asked::Ingredient->value => sprintf('"%s" is not in the catalogue.', mb_substr($name, 0, 60))],
            );
        }
        $kind = trim(preg_replace('/\([^)]*\)?/u', '', $name) ?? $name);
        if ($best->score < 0.999 && preg_match(self::KIND_ALONE, $kind) === 1) {
            // Whatever is nearest by name would be an ingredient of our own invention: it is offered and not taken.
            return new ReadLine(
                $row,
                Understood::No,
                $name,
                $amount,
                $form,
                $matches,
                [],
                [Asked::Ingredient->value => sprintf('Which %s is meant?', mb_strtolower($kind))],
            );
        }
        $form = isset($best->ingredient->forms[$form]) || $form === 'melted' ? $form : '';
        [$grams, $unweighed] = $this->weigh($amount, $best->ingredient, $form);
        $gap = $best->score - ($matches[1]->score ?? 0.0);
        $another = match (true) {
            $best->score < 0.999 && ($also = $this->alsoNamed($name, $best->ingredient)) !== '' => sprintf(
                'It names %s too. Give each a row of its own.',
                $also,
            ),
            $best->score < self::SURE => sprintf('Is "%s" %s?', $name, mb_strtolower($best->ingredient->name)),
            $best->score < 0.999 && $gap < 0.04 => sprintf(
                '"%s" may also be %s.',
                $name,
                mb_strtolower($matches[1]->ingredient->name),
            ),
            $this->maybeSteep($best->ingredient, $name, $amount, $grams) => sprintf(
                'So much "%s" can hardly be an essential oil. Is it a steeped oil?',
                $name,
            ),
            default => '',
        };
        $doubts = array_filter(
            [Asked::Ingredient->value => $another, Asked::Amount->value => $unweighed],
            static fn (string $d): bool => $d !== '',
        );

        return new ReadLine(
            $row,
            $doubts === [] ? Understood::Yes : Understood::Doubtful,
            $name,
            $amount,
            $form,
            $matches,
            $grams,
            $doubts,
        );
    }

    /**
     * Another ingredient that stands in one row with the first, so that it is not dropped in silence; "" when there is
     * none.
     */
    private function alsoNamed(string $name, Ingredient $first): string
    {
        $pieces
            = preg_split(
                '/\s*(?:,|;|&|\+|\band\b|\bplus\b|\bwith\b)\s*/iu',
                preg_replace('/\([^)]*\)?/u', ' ', $name) ?? $name,
            )
            ?: [];
        foreach (count($pieces) > 1 ? $pieces : [] as $piece) {
            $match = $this->matches(trim($piece))[0] ?? false;
            if ($match !== false && $match->score >= self::SURE && $match->ingredient->id !== $first->id) {
                return mb_strtolower($match->ingredient->name);
            }
        }

        return '';
    }

    /** @return array{list<Figure>, string} the mass when it can be told, and why not when it cannot */
    private function weigh(string $amount, Ingredient $ingredient, string $form): array
    {
        if ($amount === '') {
            return [[], 'No amount is given.'];
        }
        try {
            $read = AmountReader::read($amount);

            return $read->unit->isRelative()
                ? [[], '']
                : [
                    [
                        (new Converter($this->kitchen))->grams(
                            $read,
                            $ingredient->substance($form === '' ? $ingredient->usualForm() : $form),
                        ),
                    ],
                    '',
                ];
        } catch (MeasureError|CannotTell $e) {
            return [[], $e->getMessage()];
        }
    }

    /**
     * @param  list<Figure>  $grams
     *
     * Nobody blends an essential oil by the tablespoon, or one part of it to one of castor oil.
     */
    private function maybeSteep(Ingredient $ingredient, string $name, string $amount, array $grams): bool
    {
        if (
            $ingredient->kind !== IngredientKind::EssentialOil
            || preg_match('/\b(essential|e\.?o)\b/iu', $name) === 1
        ) {
            return false;
        }
        if ($grams !== []) {
            return $grams[0]->band->best > self::HARDLY_GRAMS;
        }
        try {
            $read = AmountReader::read($amount);
        } catch (MeasureError) {
            return false;
        }

        return $read->unit === Unit::Part
            || ($read->unit === Unit::Percent && $read->count->best > self::HARDLY_PERCENT);
    }

    private static function form(string $name): string
    {
        return match (true) {
            preg_match('/\bmelted\b/iu', $name) === 1 => 'melted',
            preg_match('/\b(powder(ed)?|ground)\b/iu', $name) === 1 => 'powder',
            preg_match('/\b(dried|dry)\b/iu', $name) === 1 => 'dried',
            preg_match('/\b(fresh|sprigs?|juice)\b/iu', $name) === 1 => 'fresh',
            default => '',
        };
    }

    /** @return list<NameMatch> */
    private function matches(string $name): array
    {
        $direct = $this->names->matching($name);
        if (($direct[0]->score ?? 0.0) >= 0.999) {
            return $direct;
        }
        $short = preg_replace('/\([^)]*\)?/u', ' ', $name) ?? $name;
        $short = preg_replace('/,.*$/u', '', $short) ?? $short;
        $short = preg_replace(self::ADJECTIVES, ' ', $short) ?? $short;
        $short = preg_replace('/\b(melted|powdered|ground|dried|dry|fresh)\b/iu', ' ', $short) ?? $short;
        $again = $this->names->matching(trim(preg_replace('/\s+/u', ' ', $short) ?? $short));

        return ($again[0]->score ?? 0.0) > ($direct[0]->score ?? 0.0) ? $again : $direct;
    }

    /**
     * Ingredients that a sentence adds by amount and that stand in no line: they are asked about, not dropped.
     *
     * @param  list<Step>  $steps
     * @param  list<ReadLine>  $lines
     * @return list<ReadLine>
     */
    private function onlyInSteps(array $steps, array $lines): array
    {
        $known = array_map(static fn (ReadLine $l): string => $l->ingredient(), $lines);
        $found = [];
        foreach ($steps as $step) {
            if (
                preg_match_all(
                    '/((?:\d[\d\/.,-]*|a few) (?:drops?|tbsps?|tsps?|teaspoons?|tablespoons?|cups?|g|ml|oz)) (?:of )?([\p{L} -]{3,40})/iu',
                    $step->text,
                    $m,
                    PREG_SET_ORDER,
                ) < 1
            ) {
                continue;
            }
            foreach ($m as [, $amount, $words]) {
                $name = preg_replace('/\b(and|to|in|into|then|with|when|for|over|until)\b.*$/iu', '', $words) ?? $words;
                $best = $this->matches(trim($name))[0] ?? false;
                if ($best !== false && $best->score >= self::SURE && ! in_array($best->ingredient->id, $known, true)) {
                    $known[] = $best->ingredient->id;
                    $line = $this->placed($step->text, trim($name), $amount);
                    $found[] = new ReadLine(
                        $step->text,
                        Understood::Doubtful,
                        $line->name,
                        $line->amount,
                        $line->form,
                        $line->matches,
                        $line->grams,
                        [...$line->doubts, Asked::Ingredient->value => 'Named only in the method.'],
                    );
                }
            }
        }

        return $found;
    }
}
