<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/**
 * The tokens of a row with all that they may be, each looked up once, and what phrases found at their places.
 */
final class Chart
{
    /**
     * @var array<int, array<string, array{int, float|string|true}>> by place and kind: the token after it, and its
     * value
     */
    private array $meant = [];

    /** @var array<string, array<int, list<mixed>>> by phrase and place */
    private array $memory = [];

    /** @var array<string, bool> whether some words of a kind stand anywhere, by kind */
    private array $holds = [];

    /** @var array<string, int>|null what stands anywhere in the row */
    private ?array $signs = null;

    public readonly int $length;

    /**
     * @param  list<Token>  $tokens
     * @param  OwnMeasures  $measures what the text says that one of its own measures holds
     */
    public function __construct(
        public readonly array $tokens,
        private readonly Vocabulary $vocabulary,
        public readonly OwnMeasures $measures = new OwnMeasures(),
    ) {
        $this->length = count($tokens);
    }

    /** A row with its words as they are meant: spoken signs, pictures, numbers as the Romans wrote them. */
    public static function of(string $row, Vocabulary $vocabulary, OwnMeasures $measures): self
    {
        return new self(Heard::of(Lexer::tokens($row), $vocabulary), $vocabulary, $measures);
    }

    /** Whether one of some acts is told of anywhere in the row. */
    public function does(string ...$acts): bool
    {
        for ($place = 0; $place < $this->length; $place++) {
            if (in_array($this->act($place), $acts, true)) {
                return true;
            }
        }

        return false;
    }

    /** The act that a word tells of, in whatever language; "" for none. */
    private function act(int $place): string
    {
        $told = $this->value($place, Kind::Act);
        $act = is_string($told) ? Vocabulary::english()->words[$told][Kind::Act->value] ?? $told : '';

        return is_string($act) ? $act : '';
    }

    /** Whether words of a kind stand anywhere in the row. */
    public function holds(Kind $kind): bool
    {
        return $this->holds[$kind->value] ??= $this->stands($kind);
    }

    private function stands(Kind $kind): bool
    {
        for ($place = 0; $place < $this->length; $place++) {
            if ($this->is($place, $kind)) {
                return true;
            }
        }

        return false;
    }

    /** Whether a sign stands anywhere in the row. */
    public function hasSign(string $sign): bool
    {
        $this->signs ??= array_flip(array_map(static fn (Token $t): string => $t->text, $this->tokens));

        return isset($this->signs[$sign]);
    }

    public function token(int $place): ?Token
    {
        return $this->tokens[$place] ?? null;
    }

    /** The token after the longest words of a kind that stand at a place; the place itself where none stand there. */
    public function past(int $place, Kind ...$kinds): int
    {
        $to = $place;
        $meant = $this->meant[$place] ?? $this->meant($place);
        foreach ($meant === [] ? [] : $kinds as $kind) {
            $to = max($to, $meant[$kind->value][0] ?? $place);
        }

        return $to;
    }

    public function is(int $place, Kind ...$kinds): bool
    {
        $meant = $this->meant[$place] ?? $this->meant($place);
        foreach ($meant === [] ? [] : $kinds as $kind) {
            if (isset($meant[$kind->value])) {
                return true;
            }
        }

        return false;
    }

    /** What the words of a kind at a place are; null where none stand there. */
    public function value(int $place, Kind $kind): float|string|true|null
    {
        return $this->meant($place)[$kind->value][1] ?? null;
    }

    /** The number that a single word is; null where it is none. */
    public function number(string $word): ?float
    {
        $value = $this->vocabulary->words[$word][Kind::Number->value] ?? null;

        return is_float($value) ? $value : null;
    }

    /** Whether the text has another language than English. */
    public function isForeign(): bool
    {
        return $this->vocabulary->isForeign();
    }

    public function isSign(int $place, string ...$signs): bool
    {
        return in_array($this->tokens[$place]->text ?? '', $signs, true);
    }

    public function isWord(int $place): bool
    {
        return isset($this->tokens[$place]) && $this->tokens[$place]->word !== '';
    }

    /** The unit that a word is all but, beginning as it does; null for none. */
    public function unitLike(string $word): ?string
    {
        $slips = match (true) {
            strlen($word) >= 8 => 2,
            strlen($word) >= 5 => 1,
            default => 0,
        };
        foreach ($slips === 0 ? [] : $this->vocabulary->units() as $known => $unit) {
            if ($known[0] === $word[0] && levenshtein($known, $word) <= $slips) {
                return $unit;
            }
        }

        return null;
    }

    /** Whether the words of the text's languages have it. */
    public function isKnown(int $place): bool
    {
        return $this->meant($place) !== [];
    }

    /** Whether a word at a place is known for anything but a name. */
    public function isSmall(int $place): bool
    {
        return $this->is($place, Kind::Stop, Kind::Of, Kind::Plus, Kind::Or, Kind::Each, Kind::Act, Kind::Hedge,
            Kind::Not);
    }

    /** The first place from here on that is none of some signs. */
    public function skip(int $place, string ...$signs): int
    {
        while ($this->isSign($place, ...$signs)) {
            $place++;
        }

        return $place;
    }

    /** Whether a spoon is more than full by the words at a place. */
    public function isHeaped(int $place): bool
    {
        return preg_match('/^(?:heap|round|generous|gehauft|colm|bomb|chei)/', $this->tokens[$place]->word ?? '') === 1;
    }

    /** Whether the words at a place say that it is roughly so much. */
    public function isRough(int $place): bool
    {
        return $this->is($place, Kind::Rough) || $this->isSign($place, '~', '≈');
    }

    /** Whether a number of some tokens is said in words. */
    public function inWords(int $from, int $to): bool
    {
        for ($place = $from; $place < $to; $place++) {
            if ($this->tokens[$place]->number !== null) {
                return false;
            }
        }

        return true;
    }

    /** A text with its fractions in figures that are typed: "½" is 1/2. */
    public function inFigures(string $text): string
    {
        $typed = ['½' => '1/2', '⅓' => '1/3', '⅔' => '2/3', '¼' => '1/4', '¾' => '3/4', '⅛' => '1/8'];

        return preg_replace_callback(
            '/(?<=\d)?[½⅓⅔¼¾⅛]/u',
            static fn (array $m): string => $typed[$m[0]],
            preg_replace('/(\d)([½⅓⅔¼¾⅛])/u', '$1 $2', $text) ?? $text,
        ) ?? $text;
    }

    /** As it was written, from one token up to another. */
    public function text(int $from, int $to): string
    {
        $text = '';
        for ($i = $from; $i < $to; $i++) {
            $text .= ($text === '' || $this->tokens[$i]->glued ? '' : ' ').$this->tokens[$i]->text;
        }

        return $text;
    }

    /**
     * What a phrase finds at a place, worked out once.
     *
     * @template T
     *
     * @param  callable(): list<T>  $find
     * @return list<T>
     */
    public function once(string $phrase, int $place, callable $find): array
    {
        /** @var list<T> */
        return $this->memory[$phrase][$place] ??= $find();
    }

    /** Whether a sign may stand within words that are cut short. */
    private static function isWithin(Token $token): bool
    {
        return $token->isSign('.') ? $token->glued : $token->isSign('(');
    }

    /** @return array<string, array{int, float|string|true}> */
    private function meant(int $place): array
    {
        return $this->meant[$place] ??= isset($this->tokens[$place]) ? $this->look($place) : [];
    }

    /** @return array<string, array{int, float|string|true}> */
    private function look(int $place): array
    {
        $meant = [];
        $key = '';
        $opened = false;
        for ($to = $place, $words = 0; $words < Vocabulary::LONGEST && $to < $this->length; $to++) {
            $token = $this->tokens[$to];
            if ($words > 0 && ! $token->isWord()) {
                // "c. à s.", "colher (chá)": points and brackets stand within words that are cut short.
                $opened = $opened || $token->isSign('(');
                if (self::isWithin($token)) {
                    continue;
                }
                break;
            }
            $key .= ($key === '' ? '' : ' ').($token->word === '' ? $token->text : $token->word);
            $words++;
            $closes = $opened && $this->isSign($to + 1, ')');
            foreach ($opened && ! $closes ? [] : $this->vocabulary->words[$key] ?? [] as $kind => $value) {
                $meant[$kind] = [$to + ($closes ? 2 : 1), $value];
            }
        }

        return $meant;
    }
}
