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
use Crown\Reading\Internal\Names;
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
    private const KIND_ALONE = '/^(?:(?:broad[ -]spectrum|oil[ -]soluble|natural|your|any|other|some)\s+)*(?:preservatives?|emulsifiers?|antioxidants?|fragrance(?: oil)?|essential oils?|e\.?o\.?s?|carrier oils?|oils?|butters?|wax(?:es)?|herbs?|powders?|extracts?|starch|clay)$/iu';

    /** Words that say how it was bought, not what it is. */
    private const ADJECTIVES = '/\b(enough|organic|raw|pure|virgin|extra|unrefined|refined|cold[- ]pressed|coldpressed|good quality|high quality|food grade|cosmetic grade|optional|to taste|of your choice|your favou?rite|more or less|approximately|level|full|large|small|medium|big|chopped|sliced|grated|softened|crushed|whole|loose|packed|natural|vegan|hot|warm)\b/iu';

    private Names $names;

    public function __construct(Catalogue $catalogue, private Kitchen $kitchen)
    {
        $this->names = new Names($catalogue);
    }

    /** @throws ReadingError when the text is empty, too long, or not text */
    public function read(string $text): Recipe
    {
        $this->names->forget();
        $rows = $this->rows($text);
        $title = '';
        $lines = $steps = $notes = [];
        $inMethod = false;
        $phase = null;
        foreach ($rows as $n => $row) {
            $bare = self::unbulleted($row);
            $heading = self::heading($bare);
            if ($heading !== '') {
                $inMethod = $heading === 'method';
                $phase = self::phaseOf($bare);
                $notes[] = $row;

                continue;
            }
            if ($n === 0 && $this->looksLikeTitle($bare, count($rows))) {
                $title = rtrim(trim(self::withoutMarks($bare)), ':');

                continue;
            }
            if (
                Instructions::begins($bare)
                || ($inMethod && ! $this->looksLikeIngredient($bare))
                || self::isProse($bare)
            ) {
                array_push($steps, ...Instructions::steps($bare));
                if (count($steps) > Formula::MOST_STEPS) {
                    throw ReadingError::tooManySteps(Formula::MOST_STEPS);
                }

                continue;
            }
            if ($this->isRemark($bare)) {
                $notes[] = $row;

                continue;
            }
            array_push(
                $lines,
                ...array_map(
                    static fn (ReadLine $line): ReadLine => $line->under($phase),
                    $this->ingredientLines($bare, $row),
                ),
            );
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

        return new Recipe(
            $title,
            [...$lines, ...$this->onlyInSteps($steps, $lines)],
            $steps,
            $notes,
            ForWhom::in($told)[0] ?? null,
        );
    }

    /** @return list<string> */
    private function rows(string $text): array
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw ReadingError::notText();
        }
        if (mb_strlen($text) > self::MOST_CHARACTERS) {
            throw ReadingError::tooLong(mb_strlen($text));
        }
        // Control and direction marks are dropped; they carry nothing a maker meant.
        $text
            = preg_replace(
                '/[\x00-\x08\x0b\x0c\x0e-\x1f\x{200b}-\x{200f}\x{202a}-\x{202e}\x{2066}-\x{2069}\x{feff}]/u',
                '',
                $text,
            ) ?? '';
        $rows = array_values(
            array_filter(
                array_map(trim(...), preg_split('/\R/u', $text) ?: []),
                static fn (string $r): bool => $r !== '',
            ),
        );
        if ($rows === []) {
            throw ReadingError::empty();
        }
        if (count($rows) > self::MOST_LINES) {
            throw ReadingError::tooManyLines(count($rows));
        }

        return $rows;
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
        $form = isset($best->ingredient->forms[$form]) || $form === 'melted' ? $form : '';
        [$grams, $unweighed] = $this->weigh($amount, $best->ingredient, $form);
        $gap = $best->score - ($matches[1]->score ?? 0.0);
        $kind = trim(preg_replace('/\([^)]*\)?/u', '', $name) ?? $name);
        $another = match (true) {
            $best->score < 0.999 && preg_match(self::KIND_ALONE, $kind) === 1 => sprintf(
                'Which %s is meant?',
                mb_strtolower($kind),
            ),
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
