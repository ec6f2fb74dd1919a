<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Catalogue\Nature;
use Crown\Reading\Internal\Names;

/** Names of things: by the letter wherever they stand, by likeness where an amount asks for one. */
final readonly class Namings
{
    private const EXACT = 'name';

    private const LIKE = 'like';

    private const LONGEST = 7;

    /** Words of a name that is known by likeness, or not at all. */
    private const MOST_WORDS = 5;

    /** What a name costs that is only like one. */
    private const UNLIKE = 3.0;

    /** Tokens of a bracket that belongs to a name. */
    private const BRACKET = 9;

    private const NEAR = 0.62;

    /** Words before the one that is meant: "of your own choice", "I had". */
    private const LED = 7;

    private const SURE = 0.85;

    public const UNKNOWN = 2.0;

    /** What is made of others, and yet may go in: "100 g of the infused oil". */
    public const MADE = 2.2;

    /** What is made and stands before an amount rather heads what follows: "Salve: 100 g …". */
    private const HEADS = 0.6;

    /** Up to what cost a name that is only like one is taken. */
    public const SURELY = 0.76;

    /** From what cost on a name is too unlike to be taken without asking. */
    public const DOUBTFUL = 1.05;

    public function __construct(private Names $names)
    {
    }

    /**
     * Names that are known by the letter and begin at a place, the longest first; how it was bought and its state may
     * stand before.
     *
     * @return list<Named>
     */
    public function exactly(int $place, Chart $chart): array
    {
        return $chart->once(self::EXACT, $place, function () use ($place, $chart): array {
            $found = [
                ...$this->ofKind($place, $chart),
                ...$this->essential($place, $chart),
                ...$this->known($place, $place, '', $chart),
            ];
            $past = $chart->past($place, Kind::Grade, Kind::Form);
            if ($found === [] && $past > $place) {
                $state = $this->state($place, $past, $chart);
                $at = $chart->skip($past, ',');
                foreach ($this->exactly($at, $chart) as $name) {
                    $found[] = new Named(trim("$state $name->text"), $name->cost, $place, $name->to);
                }
            }

            return $this->ofOneNature($found, $place, $chart);
        });
    }

    /**
     * Without those that leave over a word which makes something else of it: "carrot" of carrot juice.
     *
     * @param  list<Named>  $found
     * @return list<Named>
     */
    private function ofOneNature(array $found, int $place, Chart $chart): array
    {
        $run = $found === [] ? $place : $this->run($place, $chart);

        $isWet = $run > $place && Nature::ofName($chart->text($place, $run)) === Nature::Watery;

        return array_values(
            array_filter($found, static fn (Named $n): bool => match (true) {
                $n->to >= $run => true,
                $isWet => Nature::ofName($n->text) === Nature::Watery && ! Nature::isFruit($n->text),
                default => Nature::ofName('x '.$chart->text($n->to, $run)) === null,
            }),
        );
    }

    /**
     * A kind, and which one in brackets: "oil (olive)", "carrier oil (I use almond)",
     * "liquid oil you have (mine was argan)".
     *
     * @return list<Named>
     */
    private function ofKind(int $place, Chart $chart): array
    {
        $kind = $chart->past($place, Kind::Product, Kind::Essential);
        if ($kind === $place) {
            return [];
        }
        while ($chart->is($kind, Kind::Product)) {
            $kind = $chart->past($kind, Kind::Product);
        }
        $opens = $this->opens($kind, $chart);
        $at = $opens;
        $name = null;
        for (; $at !== null && $at < $opens + self::LED && $this->leads($at, $chart); $at++) {
            $name = $this->known($at, $at, '', $chart)[0] ?? null;
            if ($name !== null && $chart->isSign($name->to, ')')) {
                break;
            }
        }
        if ($name === null || ! $chart->isSign($name->to, ')') || ! Names::isKind($chart->text($place, $kind))) {
            return [];
        }
        $whole = $name->text.' '.$chart->text($place, $kind);
        $oil = $name->text.' '.$chart->text($kind - 1, $kind);
        $called = array_values(array_filter([$whole, $oil, $name->text], $this->names->exactly(...)));

        return [new Named($called[0] ?? $name->text, 0.0, $place, $name->to + 1)];
    }

    /** Whether a token may stand in a bracket before the name of what is meant: "(whatever I have, mostly almond)". */
    private function leads(int $place, Chart $chart): bool
    {
        return ($chart->isWord($place) || $chart->isSign($place, ',')) && Numbers::at($place, $chart) === null
            && ! $chart->is($place, Kind::Not, Kind::Or);
    }

    /** The token after the bracket that opens behind a kind, or behind "of choice", "you have"; null for none. */
    private function opens(int $place, Chart $chart): ?int
    {
        for ($at = $place; $at < $place + self::LED; $at++) {
            if ($chart->isSign($at, '(')) {
                return $at + 1;
            }
            if (! $chart->isWord($at) || Numbers::at($at, $chart) !== null || ! $chart->isSmall($at)
                && ! $chart->is($at, Kind::Mine, Kind::Of, Kind::AsLiked) && $at < $place + 1) {
                return null;
            }
        }

        return null;
    }

    /** @return list<Named> "HE de lavande": the kind before the name */
    private function essential(int $place, Chart $chart): array
    {
        $kind = $chart->value($place, Kind::Essential);
        $end = $chart->past($place, Kind::Essential);
        $at = $chart->past($end, Kind::Of);
        $leads = is_string($kind) && (str_ends_with($kind, ' de') || str_ends_with($kind, ' di'));
        if (! is_string($kind) || (! $leads && $at === $end)) {
            return [];
        }

        return $leads ? array_map(
            static fn (Named $n): Named => new Named("$kind $n->text", $n->cost, $place, $n->to),
            $this->known($at, $at, '', $chart),
        ) : $this->essentialOf($kind, $place, $at, $chart);
    }

    /** @return list<Named> "essential oil of lavender" */
    private function essentialOf(string $kind, int $place, int $at, Chart $chart): array
    {
        $found = [];
        for ($to = $this->run($at, $chart); $to > $at; $to--) {
            $name = $chart->text($at, $to).' '.$kind;
            $found = $this->names->exactly($name) ? [...$found, new Named($name, 0.0, $place, $to)] : $found;
        }

        return $found;
    }

    /** The token after a bracket that holds no amount; null where it holds one, or does not close. */
    public function bracket(int $place, Chart $chart): ?int
    {
        foreach (Quantities::at($place + 1, $chart) as $amount) {
            if (! $amount->isBare() && $amount->unit !== Amount::FRACTION) {
                return null;
            }
        }
        $used = $chart->past($place + 1, Kind::Used);
        if ($used > $place + 1 && (Quantities::at($used, $chart) !== [] || $chart->is($used, Kind::Total))) {
            return null;
        }
        for ($to = $place + 1; $to < $chart->length && $to < $place + self::BRACKET; $to++) {
            if ($chart->isSign($to, ')')) {
                return $to + 1;
            }
            $isAmount = $chart->tokens[$to]->number !== null && ! $chart->isSign($to - 1, '-')
                && ($chart->is($to + 1, Kind::Unit) || $chart->isSign($to + 1, '%')
                    || ($to === $place + 1 && $chart->isSign($to + 1, ')')));
            if ($isAmount || $chart->is($to, Kind::Or, Kind::Each, Kind::Optional, Kind::Equal)) {
                return null;
            }
        }

        return null;
    }

    /** @return list<Named> */
    private function known(int $place, int $from, string $state, Chart $chart): array
    {
        $token = $chart->token($place);
        $isHers = $token !== null && $chart->is($place, Kind::Mine, Kind::Article);
        if ($token === null || ! $token->isWord() || (! $isHers && $chart->isSmall($place)
            && mb_strlen($token->word) < 3)) {
            return [];
        }
        $found = [];
        $text = '';
        $to = $place;
        for ($words = 0; $words < self::LONGEST && $to < $chart->length; $to++) {
            $token = $chart->tokens[$to];
            if ($words > 0 && $token->isSign('(')) {
                // "Ricinus communis (castor) seed oil".
                $closes = $this->bracket($to, $chart);
                if ($closes === null || ! $chart->isWord($closes)) {
                    break;
                }
                $to = $closes - 1;

                continue;
            }
            $joins = $token->isWord() || ($token->number !== null && $words > 0)
                || (in_array($token->text, ['.', '-', "'", '’'], true) && $token->glued)
                || ($token->isSign('/') && $token->glued && $chart->token($to + 1)?->glued === true)
                || ($words > 0 && $token->isSign('+', '&') && $chart->isWord($to + 1));
            if (! $joins) {
                break;
            }
            $text .= ($text === '' || $token->glued ? '' : ' ').$token->text;
            $words += $token->isWord() ? 1 : 0;
            $isEnd = $token->isWord() || $token->number !== null;
            if ($isEnd && mb_strlen($text) > 2 && $this->names->exactly($text)) {
                array_unshift($found, ...$this->endings($text, $from, $to + 1, $chart));
            }
        }

        return $found;
    }

    /** @return non-empty-list<Named> the name, and before it the essential oil of it where the text says so */
    private function endings(string $text, int $from, int $to, Chart $chart): array
    {
        $infused = $chart->past($to, Kind::Infused);
        if ($infused > $to) {
            $in = $this->known($infused, $infused, '', $chart)[0] ?? null;
            $end = $in->to ?? $infused;

            return [new Named($chart->text($from, $end), $in === null ? self::UNKNOWN : 0.0, $from, $end)];
        }
        $to = $chart->isSign($to, '.') && $chart->token($to)?->glued === true
            && $chart->is($to + 1, Kind::Essential) ? $to + 1 : $to;
        // "Lavender 40/42 EO".
        $to = $chart->token($to)?->number !== null && $chart->is($to + 1, Kind::Essential) ? $to + 1 : $to;
        $oil = $chart->past($to, Kind::Essential);
        $kind = $chart->value($to, Kind::Essential);
        $name = $this->ending($text, $from, $to, $chart);
        // "Cocoa b." is cut short, and so is "b" not.
        $isKind = is_string($kind) && ! str_ends_with($kind, ' de') && ! str_ends_with($kind, ' di')
            && ($kind !== 'butter' || $chart->isSign($oil, '.'));

        return $isKind
            ? [new Named("$text $kind", 0.0, $from, $kind === 'butter' ? $oil + 1 : $oil), $name]
            : [$name];
    }

    /** A name with the state that follows it: "shea butter, melted", "ginger (fresh)", "rosemary leaves". */
    private function ending(string $text, int $from, int $to, Chart $chart): Named
    {
        $opens = $chart->isSign($to, '(', ',') ? $to + 1 : $to;
        $past = $chart->past($opens, Kind::Form, Kind::Grade);
        $closes = $past > $opens && $chart->isSign($opens - 1, '(') ? $chart->skip($past, ')') : $past;
        $isState = $past > $opens && ! ($chart->isSign($to, '(') && $closes === $past);
        $bracket = $chart->isSign($to, '(') && ! $isState ? $this->bracket($to, $chart) : null;
        if ($bracket !== null) {
            // "Bergamot (FCF)" is another than bergamot.
            $whole = $text.' '.$chart->text($to + 1, $bracket - 1);

            return new Named($this->names->exactly($whole) ? $whole : $text, 0.0, $from, $bracket);
        }
        if ($past === $opens || ($opens > $to && $chart->isSign($to, '(') && $closes === $past)) {
            return new Named($text, 0.0, $from, $to);
        }

        return new Named(trim($text.' '.$this->state($opens, $past, $chart)), 0.0, $from, $closes);
    }

    private function state(int $from, int $to, Chart $chart): string
    {
        $form = $chart->value($from, Kind::Form);

        return match (true) {
            is_string($form) => $form,
            default => $this->stated($chart->text($from, $to)),
        };
    }

    /** Of how it was bought only what changes what it is. */
    private function stated(string $words): string
    {
        return preg_match('/\b(melted|powdered|ground|dried|dry|fresh|unrefined)\b/iu', $words, $m) === 1 ? $m[1] : '';
    }

    /**
     * What an amount asks for where no name stands by the letter: words up to the next sign, by likeness or unknown.
     *
     * @return list<Named>
     */
    public function nearly(int $place, Chart $chart): array
    {
        return $chart->once(self::LIKE, $place, fn (): array => array_values(array_filter(
            [$this->essentialLike($place, $chart) ?? $this->like($place, $chart)],
        )));
    }

    private function like(int $place, Chart $chart): ?Named
    {
        $at = $chart->past($place, Kind::Grade, Kind::Form);
        $to = $this->run($place, $chart);
        if ($to <= $at) {
            return null;
        }
        if ($this->isMade($at, $to, $chart)) {
            return new Named($chart->text($place, $to), self::MADE, $place, $to);
        }

        return $this->kind($place, $at, $to, $chart)
            ?? $this->likest($place, $at, $to, $chart)
            ?? new Named($chart->text($place, $to), self::UNKNOWN, $place, $to);
    }

    /** "Essential oil of your choice": which one is not said. */
    private function kind(int $place, int $at, int $to, Chart $chart): ?Named
    {
        for ($end = $to; $end > $at; $end--) {
            $isOpen = $end === $to || $chart->is($end, Kind::Of);
            if ($isOpen && Names::isKind($chart->text($at, $end))) {
                $end = $this->piece($end, $chart);

                return new Named($chart->text($at, $end), self::UNKNOWN, $place, $end);
            }
        }

        return null;
    }

    /** The longest words that are like a name. */
    private function likest(int $place, int $at, int $to, Chart $chart): ?Named
    {
        $state = $at > $place ? $this->state($place, $at, $chart) : '';
        for ($end = $to; $end > $at; $end--) {
            // A word that says what it is cannot be left over: "carrot juice" is no carrot.
            if ($end < $to && Nature::ofName('x '.$chart->text($end, $to)) !== null) {
                return null;
            }
            $text = $chart->text($at, $end);
            $score = mb_strlen($text) < 3 ? 0.0 : $this->names->matching($text)[0]->score ?? 0.0;
            // A part of what was written has to be surely known: "green stuff" is no green tea.
            if ($score >= ($end === $to ? self::NEAR : self::SURE)) {
                return new Named(trim("$state $text"), 0.3 + (1.0 - $score) * self::UNLIKE, $place, $end);
            }
        }

        return null;
    }

    /** "HE lavande": the kind before a name that is another thing alone. */
    private function essentialLike(int $place, Chart $chart): ?Named
    {
        $kind = $chart->value($place, Kind::Essential);
        $at = $chart->past($chart->past($place, Kind::Essential), Kind::Of);
        $to = $this->run($at, $chart);
        if (! is_string($kind) || ! (str_ends_with($kind, ' de') || str_ends_with($kind, ' di')) || $to === $at) {
            return null;
        }
        $text = $kind.' '.$chart->text($at, $to);
        $score = $this->names->matching($text)[0]->score ?? 0.0;

        return $score < self::NEAR ? null : new Named($text, (1.0 - $score) * self::UNLIKE, $place, $to);
    }

    /**
     * All words up to a token as one name, by likeness or unknown.
     *
     * @return list<Named>
     */
    public function whole(int $place, int $to, Chart $chart): array
    {
        $text = $chart->text($place, $to);
        if ($this->isMade($place, $to, $chart)) {
            return [new Named($text, self::MADE + self::HEADS, $place, $to)];
        }
        $isKind = Names::isKind($text);
        $score = $isKind ? 0.0 : $this->names->matching($text)[0]->score ?? 0.0;

        return [$score >= self::NEAR
            ? new Named($text, 0.3 + (1.0 - $score) * self::UNLIKE, $place, $to)
            : new Named($text, self::UNKNOWN, $place, $to)];
    }

    /** The token after the words that may be a name nobody knows; the place itself where none begins. */
    public function run(int $place, Chart $chart): int
    {
        $at = $chart->past($place, Kind::Grade, Kind::Form);
        $to = $at;
        while ($to < $chart->length && $to - $at < self::MOST_WORDS && $this->goesOn($to, $at, $chart)) {
            $to++;
        }

        return $to === $at ? $place : $to;
    }

    /** The token after a name that is described further: "essential oil of your choice (lavender)". */
    private function piece(int $place, Chart $chart): int
    {
        $to = $place;
        if (! $chart->is($to, Kind::Of)) {
            return $to;
        }
        while ($chart->isWord($to) && Numbers::at($to, $chart) === null) {
            $to++;
        }

        return $chart->isSign($to, '(') ? $this->bracket($to, $chart) ?? $to : $to;
    }

    /** "Salve: 100 g …": what is made, and nothing that goes in. */
    private function isMade(int $from, int $to, Chart $chart): bool
    {
        return $to > $from && $chart->past($from, Kind::Product) >= $to;
    }

    private function goesOn(int $place, int $from, Chart $chart): bool
    {
        $token = $chart->token($place);
        if ($token === null || ! $token->isWord()) {
            return $token !== null && $place > $from && $token->glued && $token->isSign('.', "'")
                && $chart->isWord($place + 1) && mb_strlen($chart->tokens[$place - 1]->text) <= 4;
        }
        $isLevel = $chart->is($place, Kind::Bought)
            || ($place === $from && $chart->is($place, Kind::Hedge) && ! $chart->is($place, Kind::Grade))
            || ($place === $from && $chart->is($place - 1, Kind::ByWeight, Kind::ByVolume))
            || ($place === $from && $chart->is($place, Kind::Mark, Kind::Ordinal, Kind::TopVerb, Kind::Brim, Kind::Unit,
                Kind::Total, Kind::Less));
        $stops = $isLevel || $chart->is($place, Kind::Plus, Kind::Or, Kind::Each, Kind::Not, Kind::Rest, Kind::Per,
            Kind::AtMost)
            // "EO blend", "herb mix": the thing, and not the act.
            || ($chart->is($place, Kind::Act) && ($place > $from || preg_match('/ed$/', $token->word) !== 1)
                && ! ($place > $from && $chart->is($place, Kind::Product)))
            || ($chart->is($place, Kind::Stop) && ! $chart->is($place, Kind::Of))
            || Numbers::at($place, $chart) !== null;

        return ! $stops && ! ($place > $from && $chart->is($place, Kind::Unit, Kind::Vessel));
    }
}
