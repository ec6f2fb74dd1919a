<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Measure\Property;
use Crown\Reading\Grammar\Phrase\AmountThenName;
use Crown\Reading\Grammar\Phrase\Balance;
use Crown\Reading\Grammar\Phrase\Capsules;
use Crown\Reading\Grammar\Phrase\ForSoMuch;
use Crown\Reading\Grammar\Phrase\NameAlone;
use Crown\Reading\Grammar\Phrase\NameThenAmount;
use Crown\Reading\Grammar\Phrase\PartOfVessel;
use Crown\Reading\Grammar\Phrase\Ratio;
use Crown\Reading\Grammar\Phrase\TimesAs;
use Crown\Reading\Grammar\Phrase\Together;
use Crown\Reading\Grammar\Phrase\Told;
use Crown\Reading\Internal\Names;

/** The phrases that recipes are made of, and rows read by them. Method page: docs/methods/reading.md. */
final readonly class Grammar
{
    /** @var list<Phrase> */
    private array $phrases;

    public function __construct(private Names $names)
    {
        $called = new Namings($names);
        $lists = new NameLists($called);
        $tails = new Tails($called);
        $this->phrases = [
            new AmountThenName($called, $tails),
            new NameThenAmount($called, $tails),
            new Together($lists),
            new Ratio($lists),
            new Balance($called),
            new PartOfVessel($called),
            new TimesAs($called),
            new Capsules($called),
            new ForSoMuch($called),
            new Told(),
            new NameAlone($called),
        ];
    }

    public function row(string $text, Vocabulary $vocabulary, OwnMeasures $measures): Read
    {
        $chart = new Chart(Lexer::tokens(self::withoutStruck($text)), $vocabulary, $measures);

        return new Read($text, $chart, Cover::of($chart, $this->phrases));
    }

    /** What a name means; "" where nothing is near enough. */
    public function meant(string $name): string
    {
        return $this->names->meant($name);
    }

    /** Whether a thing is counted by the piece: an egg, an onion. */
    public function isCounted(string $name): bool
    {
        $match = $this->names->matching($name)[0] ?? null;

        return $match !== null && $match->ingredient->facts->has(Property::PieceGrams);
    }

    /**
     * The sentences of a row.
     *
     * @return non-empty-list<string>
     */
    public function sentences(string $row, Vocabulary $vocabulary): array
    {
        $chart = new Chart(Lexer::tokens($row), $vocabulary);
        $sentences = [];
        $from = 0;
        for ($place = 1; $place < $chart->length - 1; $place++) {
            if (self::ends($place, $chart)) {
                $sentences[] = mb_substr($row, $from, $chart->tokens[$place]->end - $from);
                $from = $chart->tokens[$place]->end;
            }
        }

        return [...$sentences, mb_substr($row, $from)];
    }

    /** Whether a sign ends a sentence: not "vit. E", "4 tbsp. Olive", "1. Melt". */
    private static function ends(int $place, Chart $chart): bool
    {
        $next = $chart->tokens[$place + 1];
        $before = $chart->tokens[$place - 1];
        $isEllipsis = $before->isSign('.') || $next->isSign('.') || $before->isSign('…');
        if (! $chart->isSign($place, '.', '!', '?', ')') || $next->glued || $isEllipsis
            || ($chart->isSign($place, ')') && ! $before->isSign('.', '!'))) {
            return false;
        }
        $begins = preg_match('/^[\p{Lu}\d"“„(]/u', $next->text) === 1;
        $isCut = mb_strlen($before->text) <= 4 && $before->isWord() && $chart->isSign($place, '.')
            && ! $chart->is($place - 1, Kind::Unit);

        return $begins && ! $isCut && ($before->number === null || $place > 1);
    }

    /** What is struck out is not there. */
    private static function withoutStruck(string $text): string
    {
        return preg_replace('/~~.*?~~/u', ' ', $text) ?? $text;
    }
}
