<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Catalogue\ScentAllergens;
use Crown\Formula\Formula;
use Crown\Formula\Phase;
use Crown\Formula\Step;
use Crown\Reading\Asked;
use Crown\Reading\Claims;
use Crown\Reading\Fate;
use Crown\Reading\Grammar\Text;
use Crown\Reading\ReadingError;
use Crown\Reading\ReadLine;
use Crown\Reading\Recipe;

/**
 * A recipe as it grows, row by row: each row becomes a title, a heading, a remark, steps or lines, by the first of its
 * rules that holds. What the method says in passing is settled at the end, against the list.
 */
final class Draft
{
    /** Names of one row from which it may be a list of names alone. */
    private const FEWEST_NAMES = 3;

    private const MOST_NAMES = 40;

    /** Words from which what has no name in the catalogue is no name. */
    private const PHRASE = 4;

    /** Words of the longest name that is looked up for a row that begins as an act does. */
    private const NAME_WORDS = 6;

    private string $title = '';

    /** @var list<ReadLine> */
    private array $lines = [];

    /** @var list<Step> in plain words, as their acts are read */
    private array $steps = [];

    /** @var list<array{Step, int}> the same as they were written, each with its row of the source */
    private array $writtenSteps = [];

    /** @var list<string> */
    private array $notes = [];

    /** @var list<ReadLine> what the method names with an amount */
    private array $passing = [];

    private bool $inMethod = false;

    private ?Phase $phase = null;

    private bool $begun = false;

    /** @var array<int, Phase> when the things of a row go in, by the heading above it, by row of the source */
    private array $phases = [];

    /** Number of the row of the source that is being read. */
    private int $at = -1;

    /** @var array<int, list<string>> by row: its figures that nothing took */
    private array $figures = [];

    private readonly Negations $negations;

    /** @var list<Told> */
    private readonly array $told;

    /** @var list<string> in plain words */
    private readonly array $rows;

    /** @var list<string> rows of a list, as they were written */
    private readonly array $written;

    private readonly Unitless $unitless;

    private readonly Claims $claims;

    private readonly Marking $marking;

    /**
     * @param  list<Row>  $listed rows of a list
     */
    public function __construct(
        private readonly array $listed,
        private readonly Plain $plain,
        private readonly Vessel $vessel,
        private readonly Names $names,
        private readonly Items $items,
        private readonly Entries $entries,
        private readonly Spans $spans,
    ) {
        $this->negations = new Negations($names);
        $this->written = array_map(static fn (Row $r): string => $r->text, $listed);
        $this->told = array_map(static fn (Row $r): Told => $plain->told($r->text, $r->piece), $listed);
        $this->rows = array_map(static fn (Told $t): string => $t->plain, $this->told);
        foreach ($this->told as $n => $told) {
            $spans->say($listed[$n]->of, $told);
        }
        $this->unitless = Unitless::in($this->rows);
        $this->claims = Claims::in(implode("\n", $this->rows));
        $this->marking = new Marking($listed, $this->told, $spans, $entries, $this->claims, $entries->as);
    }

    /**
     * @param  Text  $text the same as the grammar reads it
     *
     * @throws ReadingError when there are more lines or steps than a formula holds
     */
    public function recipe(Text $text): Recipe
    {
        foreach ($this->rows as $n => $row) {
            $this->row(Rows::unbulleted($row), $n);
        }
        // A name of an ingredient is not whom it is for: "baby aloe" stays out. What is none and has no amount may be.
        $strays = array_filter(
            $this->lines,
            static fn (ReadLine $l): bool => $l->ingredient() === '' && $l->amount === '',
        );
        $people = $this->plain->people();
        $lists = array_fill_keys(array_map(static fn (ReadLine $l): string => $l->text, $this->lines), true);
        $told = array_filter($this->written, static fn (string $row): bool => ! isset($lists[$row]));
        $for = ForWhom::in(implode("\n", [
            $this->title,
            ...array_map(static fn (Step $s): string => $s->text, $this->steps),
            ...$this->notes,
            ...array_map(static fn (ReadLine $l): string => $l->text, $strays),
            ...$people->areAbroad() ? $told : [],
        ]), $people)[0] ?? ForWhom::place($this->title, $people);
        $lines = $this->better(Passing::settled($this->lines, $this->passing), $text);
        $lines = $this->marking->corrected([...$lines, ...$this->onlyInSteps($lines)]);
        $this->marking->mark($lines, $this->writtenSteps, $this->passing, $this->figures);
        $this->spans->anywhere($for->words ?? '', Fate::Audience);
        foreach ($this->claims->words() as $words) {
            $this->spans->anywhere($words, Fate::Size);
        }

        return new Recipe(
            $this->title,
            $lines,
            array_column($this->writtenSteps, 0),
            $this->notes,
            $for,
            $this->spans->all(),
            $this->claims,
            $this->steps,
            $this->spans->unplaced(),
            $people->names('wet', implode("\n", [$this->title, ...$told])) !== null,
        );
    }

    /**
     * The lines as the grammar reads them, where it understands all of the text, or more of it.
     *
     * @param  list<ReadLine>  $lines as they were read row by row
     * @return list<ReadLine>
     */
    private function better(array $lines, Text $text): array
    {
        $told = [];
        foreach ($text->entries() as $entry) {
            $row = $this->marking->placeOf($entry->row);
            $told[] = $this->entries->placed($row, $entry->name, $entry->says())
                ->under($this->phases[$entry->row] ?? null)
                ->on($entry->row, $row);
        }
        if ($told === [] && $text->isShopping()) {
            return [];
        }
        $isLess = $text->open() !== [] && ($text->isMisread() || self::known($told) <= self::known($lines));
        if ($told === [] || $isLess) {
            return $lines;
        }
        $left = $text->left();
        $this->figures = array_filter(array_map(static fn (Row $r): array => $left[$r->of] ?? [], $this->listed));

        return $told;
    }

    /**
     * How much is known of some lines: different things with an amount, and half as much without.
     *
     * @param  list<ReadLine>  $lines
     */
    private static function known(array $lines): float
    {
        $known = [];
        foreach ($lines as $line) {
            $much = $line->amount === '' ? 0.5 : 1.0;
            $known[$line->ingredient()] = max($known[$line->ingredient()] ?? 0.0, $much);
        }
        unset($known['']);

        return array_sum($known);
    }

    private function row(string $bare, int $n): void
    {
        $before = [count($this->lines), count($this->passing), count($this->steps), count($this->notes)];
        if ($this->isAbout($bare, $n)) {
            return;
        }
        $this->at = $this->listed[$n]->of;
        if ($this->phase !== null) {
            $this->phases[$this->at] = $this->phase;
        }
        $this->isNames($bare, $n) || $this->isContent($bare, $n);
        foreach ($this->negations->in($this->written[$n]) as $refused) {
            $this->spans->words($this->at, $refused, Fate::Negated);
        }
        if (count($this->notes) > $before[3]) {
            return;
        }
        $found = [...array_slice($this->lines, $before[0]), ...array_slice($this->passing, $before[1])];
        $this->figures[$n] = Unplaced::figures($bare, $found, array_slice($this->steps, $before[2]));
    }

    /**
     * @param  list<ReadLine>  $lines
     * @return list<ReadLine> what only the method names, each on the row of its step
     */
    private function onlyInSteps(array $lines): array
    {
        $texts = array_map(static fn (Step $s): string => $s->text, $this->steps);

        return array_map(
            function (ReadLine $line) use ($texts): ReadLine {
                $row = $this->writtenSteps[(int) array_search($line->text, $texts, true)][1];

                return $line->on($row, $this->marking->placeOf($row));
            },
            [
                ...$more = Passing::onlyInSteps($this->steps, $lines, $this->entries),
                ...Passing::withoutAmount($this->steps, [...$lines, ...$more], $this->entries, $this->items),
            ],
        );
    }

    private function became(int $n, Fate $fate): true
    {
        $row = $this->listed[$n];

        if (! $row->piece) {
            return $this->spans->row($row->of, $fate);
        }
        $this->spans->words($row->of, $row->text, $fate);

        return true;
    }

    /** A heading, a size, a title or a remark: about the recipe, and nothing in it. */
    private function isAbout(string $bare, int $n): bool
    {
        $heading = Rows::heading($bare);
        if ($heading !== '') {
            $this->inMethod = $heading === 'method';
            $this->phase = Rows::phaseOf($bare);
            $called = $this->begun ? '' : Rows::called($bare);
            if ($called !== '') {
                [$this->title, $this->begun] = [$called, true];

                return $this->became($n, Fate::Title);
            }
            $this->notes[] = $this->written[$n];

            return $this->became($n, Fate::Heading);
        }
        if (trim($bare) === '') {
            return $this->note($n);
        }
        $lists = count($this->items->in($bare)) > 1;
        if (! $lists && (Rows::isNoise($bare) || Rows::isOutcome($this->rows[$n]) || Rows::isOutcome($bare))) {
            return $this->note($n, Rows::isSize($bare) ? Fate::Size : Fate::Remark);
        }
        $first = ! $this->begun;
        $this->begun = true;
        if (! $lists && Rows::isSize($bare) && ! (Instructions::begins($bare) && str_word_count($bare) > 8)) {
            $this->title = $first ? Rows::withoutSize($bare) : $this->title;
            $first && $this->spans->words($this->listed[$n]->of, $this->title, Fate::Title);

            return $this->note($n, Fate::Size);
        }
        if ($first && ! $lists && ! $this->items->explains($bare) && $this->isTitle($bare)) {
            $title = $this->told[$n]->written($bare) ?: $bare;
            $this->title = preg_replace('/[\s:–—-]+$/u', '', Rows::withoutMarks($title)) ?? '';

            return $this->became($n, Fate::Title);
        }

        return $this->isAside($bare, $n) && $this->note($n);
    }

    /** What looks like one; and "Baby oil" over a list, which says whom it is for and is no mineral oil. */
    private function isTitle(string $row): bool
    {
        return ForWhom::in($row) === []
            ? $this->looksLikeTitle($row, count($this->rows))
            : preg_match('/\d/u', $row) !== 1 && count($this->rows) > 1 && str_word_count($row) < 7;
    }

    private function note(int $n, Fate $fate = Fate::Remark): bool
    {
        $this->notes[] = $this->written[$n];

        return $this->became($n, $fate);
    }

    /** A list of names without a figure: each is a line, in its order. */
    private function isNames(string $bare, int $n): bool
    {
        if (! $this->isNamesOnly($bare)) {
            return false;
        }

        return $this->add(array_map(
            fn (string $name): ReadLine => $this->entries->placed($this->written[$n], $name, ''),
            array_values(array_filter(
                Rows::names($bare),
                static fn (string $name): bool => ! ScentAllergens::has($name),
            )),
        ));
    }

    /** Steps, or lines, or both. */
    private function isContent(string $bare, int $n): bool
    {
        $row = $this->written[$n];
        [$bare, $more] = Rows::apart($bare);
        if ($more !== '') {
            $this->add($this->entries->lines($more, $row), false);
        }
        $several = $this->together($bare) ?? $this->items->in($bare);

        return ($this->isRefused($bare, $several) && $this->note($n, Fate::Negated))
            || $this->isMethod($bare, $n, $several)
            || $this->isSeveral($bare, $n, $several)
            || ($this->isRemark($bare) && $this->note($n))
            || $this->isRead($bare, $n, $this->asked(
                $this->linesOf($bare, $row),
                $several,
                $bare,
                $row,
            ));
    }

    /** @return list<ReadLine> lines of a row of the list */
    private function linesOf(string $bare, string $row): array
    {
        $pairs = Unitless::apart(
            preg_replace('/^[^:\d]{3,70}:\s+(?=\p{L})/u', '', $bare) ?? $bare,
            fn (string $name): bool => $this->entries->score($name) >= Entries::NEAR,
            $this->unitless->guessed ? '' : $this->unitless->unit,
        );
        if ($pairs !== []) {
            return array_map(
                fn (array $pair): ReadLine => $this->entries->placed($row, $pair[0], $pair[1]),
                $pairs,
            );
        }
        $lines = $this->entries->lines($this->unitless->row($bare), $row);

        return ! $this->unitless->guesses($bare) ? $lines : array_map(
            fn (ReadLine $l): ReadLine => $l->asking(
                Asked::Amount,
                $this->unitless->doubt(),
            ),
            $lines,
        );
    }

    /**
     * A sentence among others that names nothing and gives no amount is a remark; a row of its own is asked about.
     *
     * @param  list<ReadLine>  $lines
     */
    private function isRead(string $bare, int $n, array $lines): bool
    {
        if ($this->listed[$n]->piece && str_ends_with($this->written[$n], ':')) {
            return $this->note($n, Fate::Heading);
        }
        // "I keep it at one fifth": an amount of nothing that has a name.
        $says = array_filter($lines, static fn (ReadLine $l): bool => $l->ingredient() !== ''
            || ($l->amount !== '' && $l->name !== '' && str_word_count($l->name) < self::PHRASE));
        if ($this->listed[$n]->piece && $says === []) {
            $this->figures[$n] = Unplaced::figures($this->written[$n], [], []);

            return $this->note($n);
        }

        return $this->add($lines);
    }

    /**
     * "Never glycerin", but not "Never heat it", and not "No scent. 2 tbsp castor oil".
     *
     * @param  list<Item>  $several
     */
    private function isRefused(string $bare, array $several): bool
    {
        return Rows::isRefused($bare)
            && $several === []
            && (Rows::refusesToAdd($bare) || Instructions::steps($bare)[0]->act === 'other');
    }

    /**
     * @param  list<ReadLine>  $lines
     *
     * @throws ReadingError when there are more than a formula holds
     */
    private function add(array $lines, bool $placed = true): bool
    {
        foreach ($lines as $line) {
            $line = $placed ? $line->under($this->phase) : $line;
            $this->lines[] = $line->on($this->at, $this->marking->placeOf($this->at));
        }
        if (count($this->lines) > Formula::MOST_LINES) {
            throw ReadingError::tooManyIngredients(Formula::MOST_LINES);
        }

        return true;
    }

    /**
     * What is done; the amounts that it names are kept to be compared with the list.
     *
     * @param  list<Item>  $several
     *
     * @throws ReadingError when there are more steps than a formula holds
     */
    private function isMethod(string $bare, int $n, array $several): bool
    {
        $row = $this->written[$n];
        $tells = $several === []
            && ($this->plain->acts($row) || Instructions::waits($bare) || $this->onlyTells($bare));
        $method = (Instructions::begins($bare) && ! (count($several) > 1 && Instructions::tells($bare)))
            || ($this->inMethod && ! $this->looksLikeIngredient($bare))
            || $tells
            || (Rows::isProse($bare) && $several === [])
            || ($this->listed[$n]->piece && $several === [] && Instructions::timed($bare) !== []);
        if (! $method) {
            return false;
        }
        $steps = Instructions::steps($bare);
        // What says only what is left out, or what is in it, is nothing to be done.
        $told = $several !== [] || count($steps) > 1;
        $this->does(array_values(array_filter(
            $steps,
            static fn (Step $s): bool => $s->act !== 'other'
                || (! Rows::isNoise($s->text)
                    && ! ($told && Instructions::tells($s->text))
                    && ($s->minutes !== null || ! Rows::isRefused($s->text))),
        )), $n);
        foreach (count($several) > 1 ? $this->whole($bare, $several) : $several as $item) {
            $said = $this->entries->placed($row, $item->name, $item->amount);
            $this->passing[] = $said->on($this->at, $this->marking->placeOf($this->at));
        }
        if (count($this->steps) > Formula::MOST_STEPS) {
            throw ReadingError::tooManySteps(Formula::MOST_STEPS);
        }

        if (count($several) > 1) {
            $this->fillsUp($bare, $row);
        }

        return true;
    }

    /**
     * Steps are kept in the words in which they were written, beside the plain ones.
     *
     * @param  list<Step>  $steps in plain words
     */
    private function does(array $steps, int $n): void
    {
        foreach ($steps as $step) {
            $text = $this->told[$n]->written($step->text);
            $this->steps[] = $step;
            $this->writtenSteps[] = [
                $text === '' || $text === $step->text
                    ? $step
                    : new Step($text, $step->act, $step->minutes, $step->celsius),
                $this->at,
            ];
        }
    }

    /**
     * A sentence that lists several things with their amounts, what fills it up, and the times of its acts.
     *
     * @param  list<Item>  $several
     */
    private function isSeveral(string $bare, int $n, array $several): bool
    {
        $row = $this->written[$n];
        $alone = ! Rows::isProse($bare) && ! Items::multiplies($bare);
        if (count($several) < ($alone ? 2 : 1)) {
            return false;
        }
        $this->add(array_map(
            fn (Item $i): ReadLine => $this->entries->placed($row, $i->name, $i->amount),
            $this->whole($bare, $several),
        ));
        $this->does(Instructions::timed($bare), $n);

        $this->fillsUp($bare, $row);

        return true;
    }

    /** "And fill up with grapeseed": what makes up the rest. */
    private function fillsUp(string $bare, string $row): void
    {
        [$fill, $to] = Rows::filling($bare);
        if ($fill !== '' && $this->entries->score($fill) >= Entries::SURE) {
            $this->add([$this->entries->placed($row, $fill, $to === '' ? $this->vessel->rest() : $to)]);
        }
    }

    /**
     * What a sentence lists, with what it gives an amount and the catalogue does not know.
     *
     * @param  list<Item>  $several
     * @return list<Item>
     */
    private function whole(string $row, array $several): array
    {
        $all = array_values(array_filter($this->items->all($row), static fn (Item $i): bool => $i->name !== ''));

        return count($all) > count($several) ? $all : $several;
    }

    /**
     * A row that the list could not place is looked at once more as a sentence: an amount with its name, or a name
     * alone, which is asked about.
     *
     * @param  list<ReadLine>  $found
     * @param  list<Item>  $several
     * @return list<ReadLine>
     */
    private function asked(array $found, array $several, string $bare, string $row): array
    {
        $unknown = array_filter($found, static fn (ReadLine $l): bool => $l->ingredient() === ''
            || ($l->amount === '' && $several !== []));
        if ($unknown === []) {
            return $found;
        }
        if ($several !== [] && count($several) >= count($found)) {
            return array_map(
                fn (Item $i): ReadLine => $this->entries->placed($row, $i->name, $i->amount),
                $several,
            );
        }
        $name = count($found) === 1 && $found[0]->amount === '' ? $this->items->named($bare) : '';
        if ($name === '') {
            return $found;
        }

        return [$this->entries->placed($row, $name, '')->asking(Asked::Amount, 'How much is meant?')];
    }

    /**
     * "Ingredients: water, cetearyl alcohol, glycerin": a list of names without a figure, as on a bought jar.
     */
    private function isNamesOnly(string $row): bool
    {
        $names = Rows::names($row);
        if (
            count($names) < self::FEWEST_NAMES
            || count($names) > self::MOST_NAMES
            || preg_match('/\d\s*(?:g|ml|%|oz|tsp|tbsp|cups?|drops?|parts?)\b|\d\s*:\s*\d/iu', $row) === 1
        ) {
            return false;
        }
        $known = array_filter($names, fn (string $name): bool => ScentAllergens::has($name)
            || $this->names->exactly($name)
            || $this->names->exactly(trim(preg_replace('/\s*\([^)]*\)\s*/u', ' ', $name) ?? $name)));

        return count($known) >= 0.6 * count($names);
    }

    /** "All of it, whip it": an act, and nothing that could be an ingredient. */
    private function onlyTells(string $row): bool
    {
        return preg_match('/\d/u', $row) !== 1
            && $this->items->named($row) === ''
            && str_contains($row, ' ')
            && Instructions::steps($row)[0]->act !== 'other'
            // So many words are no name.
            && (str_word_count($row) > self::NAME_WORDS || $this->entries->known($row) < Entries::NEAR);
    }

    /** A question, a word to whom it is for, a second heading, a remark of several sentences: no line of it. */
    private function isAside(string $row, int $n): bool
    {
        $next = $this->rows[$n + 1] ?? '';
        if ($this->items->in($row) !== [] || $this->looksLikeIngredient($row)) {
            return false;
        }
        $figures = preg_match('/\d/u', $row) === 1;
        $likely = (! $figures && preg_match('/^\(.*\)$/u', $row) === 1)
            || ForWhom::in($row) !== []
            || (Rows::isRemarks($row) && ! $this->isAct($row, $n))
            || (! $figures && Rows::isInCapitals($row) && $this->items->in($next) !== []);

        // A sentence is dear to look up: only where it matters.
        return preg_match('/\?+$/u', $row) === 1 || ($likely && $this->entries->known($row) < Entries::SURE);
    }

    private function isAct(string $row, int $n): bool
    {
        return Instructions::begins($row) || $this->plain->acts($this->written[$n]);
    }

    /** @return list<Item>|null several that one row gives one amount */
    private function together(string $row): ?array
    {
        $shares = Together::fractions(preg_replace('/^[^:;]{2,40}:\s+/u', '', $row) ?? $row);
        if ($shares !== []) {
            return array_map(static fn (array $one): Item => new Item($one[1], $one[0], true), $shares);
        }
        $equal = '/\b(equal (?:parts|amounts|measures|weights)(?: of)?:?\s+[^.;]+)/iu';
        if (preg_match($equal, $row, $m, PREG_OFFSET_CAPTURE) === 1) {
            [$said, $at] = $m[1];
            $ends = '/
                # where the next thing begins
                (?:
                    \s+(?:plus|into?|until|to\ a)|,?\s+(?:then\ |and\ )?(?:add|stir\ in|with)
                    |,\s+(?:then|and)\s+(?=\d)|,\s+(?=\d|no\b)
                )\b.*$
            /xiu';
            $list = preg_replace($ends, '', $said) ?? $said;
            $all = Together::in($list);
            $more = $this->items->in(substr($row, $at + strlen($list)));
            // Alone in its row it is one of a list.
            if ($all === [] || ($at === 0 && $more === [])) {
                return null;
            }

            return [...array_map(static fn (array $one): Item => new Item($one[1], $one[0]), $all), ...$more];
        }
        if (preg_match('/
            # "70 : 30 castor to jojoba", written with a slash
            (?:^|\s|:)(\d{1,2})\s*\/\s*(\d{1,2})\s+(?<a>\p{L}[^,.;]*?)\s+(?:to|and|\/|,)\s+
            (?<b>\p{L}[^,.;!]*)
        /xu', $row, $m) === 1
            && (int) $m[1] + (int) $m[2] === 100
            && $this->names->exactly(trim($m['a']))
        ) {
            return [
                new Item($m[1].' %', trim($m['a']), true),
                new Item($m[2].' %', trim($m['b']), true),
                ...$this->items->in(substr($row, (int) strpos($row, $m[0]) + strlen($m[0]))),
            ];
        }

        return $this->inRatio($row);
    }

    /** @return list<Item>|null "my butter is 5:3:2 shea, cocoa, almond" */
    private function inRatio(string $row): ?array
    {
        $ratio = '\d+(?:\.\d+)?(?:\s?:\s?\d+(?:\.\d+)?)+';
        $found = preg_match("/(?<=\\s)$ratio\\s+(?:of\\s+)?\\p{L}[^.;!?\\d]+/u", $row, $m) === 1
            || preg_match("/^\\p{L}[^\\d.;]+?\\s$ratio(?=\\s*[,.;])/u", $row, $m) === 1;
        $said = trim($m[0] ?? '');
        $all = $found ? Together::in($said) : [];
        $known = array_filter($all, fn (array $one): bool => $this->items->isOne($one[0]));

        return $all === [] || count($known) < count($all)
            ? null
            : [
                ...array_map(static fn (array $one): Item => new Item($one[1], $one[0], true), $all),
                ...$this->items->in(substr($row, (int) strpos($row, $said) + strlen($said))),
            ];
    }

    private function looksLikeTitle(string $row, int $rows): bool
    {
        if (
            $rows === 1
            || str_ends_with($row, '?')
            || preg_match('/^'.Rows::START.'/iu', $row) === 1
            || Together::in($row) !== []
            || Unitless::apart($row, fn (string $name): bool => $this->entries->score($name) >= Entries::NEAR) !== []
            || mb_strlen($row) > 120
            || preg_match(
                '/
                    # an amount, and another after it
                    \d\s*(?:parts?|cups?|tbsps?|tsps?|tablespoons?|teaspoons?|drops?|ml|oz|g)\b.*\b
                    (?:to|and|,)
                /xiu',
                $row,
            ) === 1
        ) {
            return false;
        }
        // "Scalp oil v3 (14/9)".
        $row = preg_replace('/\s*\(\d{1,2}[\/.]\d{1,2}(?:[\/.]\d{2,4})?\)$/u', '', $row) ?? $row;
        // "Batch #22 – 12/05".
        $row = preg_replace('/\s+[–—-]\s+\d{1,2}[\/.]\d{1,2}(?:[\/.]\d{2,4})?$/u', '', $row) ?? $row;
        // "Hair wax (about 90 g)".
        $row = preg_replace('/
            \s*\((?:
                (?:
                    ca\.?|about|approx\.?|env\.?|circa|~|for\ an?|pour\ un|für\ ein|para\ un|per\ un
                    |voor\ een|flacon|pot|bouteille|flasche|dose|tiegel|glas|frasco|bote|botella|flacone
                    |vasetto|fles|potje|bottle|jar|tin
                )\s*(?:de|di|of|von|à|a)?\s*
            )*\d+\s*(?:g|ml|oz|cl)\)$
        /xiu', '', $row) ?? $row;
        if (preg_match('/^\p{L}[^\d:]{2,60}:$/u', $row) === 1) {
            return ! $this->items->isOne(rtrim($row, ':'));
        }
        [$name, $amount] = $this->entries->split($row);
        $sized = preg_match('/\d\s*(?:g|ml|oz)$/iu', $amount) === 1;
        if ($sized && (Rows::isProduct($name) || preg_match('/\s[–—-]\s+\d+\s*\p{L}+$/u', $row) === 1)) {
            // "Scalp serum 100 g".
            return $this->entries->score($name) < Entries::NEAR;
        }

        // A bare figure counts versions or names the mixture: "Evening balm 3", "Growth oil 2.0".
        $noAmount = $amount === '' || preg_match('/^(?:no\.?|nr\.?|#)?\s*\d+(?:[.,]\d+)?$/iu', $amount) === 1;

        return $noAmount
            && (Rows::isMixture($row) || $this->isMadeBelow($row) || ! ($this->entries->score($name) >= 0.95))
            && (! Instructions::begins($row) || Rows::isProduct($row));
    }

    /** "Rosemary oil", and rosemary goes into it further down: it is what is made, and not the essential oil. */
    private function isMadeBelow(string $row): bool
    {
        $below = implode("\n", array_slice($this->rows, 1));

        return preg_match('/^(\p{L}{4,})\s+oil$/iu', trim($row), $m) === 1
            && preg_match('/\b'.preg_quote($m[1], '/').'\b(?!\s+(?:essential|oil|eo\b))/iu', $below) === 1;
    }

    private function looksLikeIngredient(string $row): bool
    {
        if (Instructions::begins($row) || str_word_count($row) > 8) {
            return false;
        }
        [$name, $amount] = $this->entries->split($row);

        return $amount !== '' && $this->entries->score($name) >= Entries::SURE;
    }

    /** "For kids of 8 years", "Keeps 3 months", "Makes about 4 jars": about the whole, and no ingredient in it. */
    private function isRemark(string $row): bool
    {
        if (preg_match('/^(?:grand )?totals?\b/iu', $row) === 1) {
            return true;
        }

        return preg_match(
            '/
                # what it is for, how it is kept: a remark
                ^(?:
                    (?:good|great|best|safe|made|not|only)\ for|for|use|apply|keeps?|lasts?|stores?|makes
                    |yields?|notes?|tips?|warning|caution|shelf\ life|do\ not|don\'t
                )\b
            /xiu',
            $row,
        ) === 1
            && preg_match(
                '/
                    # a figure with a unit
                    \d\s*(?:g|kg|ml|l|oz|tbsps?|tsps?|tablespoons?|teaspoons?|cups?|drops?|parts?|%)
                    (?!\p{L})
                /xiu',
                $row,
            ) !== 1
            && $this->entries->known($row) < Entries::NEAR;
    }
}
