<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Formula\Audience;
use JsonSerializable;

/**
 * Whom a pasted recipe says it is for, when that asks for more care than a grown head. It only ever tightens: "wash
 * out" is not taken to allow more.
 */
final readonly class ForWhom implements JsonSerializable
{
    private const NUMBER = '(\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)';

    private const INFANT = '/\b(?: newborns? | infants? | toddlers? | cradle[\s-]?cap
        | bab(?:y|ies) (?! \s+ (?: hairs | hair \s (?: edges | & | and ) | shampoo | fine | powder | bottle | edges ) )
        )\b/ixu';

    /** In months or weeks: of somebody, not of a jar. */
    private const YOUNG = '/\b'.self::NUMBER.' [\s-]* (?: months? | mos? | m | weeks? | wks? )
        [\s-]* (?: olds? | o )? \b
        (?! [\s-]* (?: old\s+ )? (?: locs? | jar | bottle | batch | oil | steep | infusion ) )/ixu';

    private const AGE = '/\b'.self::NUMBER.' [\s-]* (?: years? | yrs? | y\.? \/? o\.? ) (?: [\s-]* olds? )?+ \b
        (?! \s+ (?: locs? | locks | dreads? | braids? | scars? | recipe | oil | jar | bottle | batch ) )/ixu';

    /** "Aged 4", "age 4", "a girl of 4". */
    private const AGED = '/\b (?: aged? | (?: girl | boy | child | son | daughter ) \s+ of ) \s+
        '.self::NUMBER.' \b/ixu';

    /** "She is 7". */
    private const IS = '/\b (?: she | he | they ) (?: \'s | \s+ is | \s+ are ) \s+ '.self::NUMBER.' \b
        (?! \s* (?: months? | weeks? | cm | kg | in | feet ) )/ixu';

    private const NUMBERS = [
        'one' => 1,
        'two' => 2,
        'three' => 3,
        'four' => 4,
        'five' => 5,
        'six' => 6,
        'seven' => 7,
        'eight' => 8,
        'nine' => 9,
        'ten' => 10,
        'eleven' => 11,
        'twelve' => 12,
    ];

    private const CHILD = '/(?<! hey \s ) (?<! hi \s ) (?<! hiya \s ) (?<! yo \s ) (?<! hello \s ) (?<! omg \s )
        \b (?: kids? | kinder\w* | child(?:ren)? | preschoolers? | girls? | boys? | sons?
        | daughters? | nieces? | nephews? | little \s (?: one | girl | boy )s?
        | grand (?: child(?:ren)? | sons? | daughters? )
        ) \b/ixu';

    private const EXPECTING = '/\b (?: pregnan\w+ | expecting | trimester | nursing | lactating | breast[\s-]?feeding
        | post[\s-]?(?: partum | natal ) | pre[\s-]?natal | new \s m[ou]m
        | (?: mothers? | m[ou]ms? ) [\s-] to [\s-] be
        ) \b/ixu';

    /** "Not for children", "avoid in pregnancy": said of whom it is not for. "No nuts" says nothing of anybody. */
    private const NOT_FOR = '/\b (?: not | never | nicht | kein\w* | niet | geen | avoid | don\'?t | unsafe | unless
        | skip | keep \s (?: away | out ) ) \b/ixu';

    private function __construct(public Audience $audience, public string $words)
    {
    }

    /**
     * @param  People|null  $people the words of the text's other languages
     * @return list<self> one, the most careful; empty when nobody in particular is named
     */
    public static function in(string $text, ?People $people = null): array
    {
        $found = $unsaid = [];
        // Each clause by itself: what is denied in one is not denied in the next. Rather once too often than once too
        // seldom.
        foreach (preg_split('/[.!?;,()\n]+/u', $text) ?: [] as $sentence) {
            if (preg_match(self::NOT_FOR, $sentence) === 1) {
                continue;
            }
            $named = [...self::named($sentence), ...$people?->named($sentence) ?? []];
            foreach ($named as [$audience, $words, $guessed]) {
                $guessed ? $unsaid[] = new self($audience, $words) : $found[] = new self($audience, $words);
            }
        }
        // "My daughter (she is 7)": the age that is said goes before one that is only supposed.
        $aged = array_filter($found, static fn (self $f): bool => $f->audience->isChild());
        $found = [...$found, ...$aged === [] ? $unsaid : []];
        usort(
            $found,
            static fn (self $a, self $b): int => $a->audience->essentialOilCeiling()
                <=> $b->audience->essentialOilCeiling(),
        );

        return array_slice($found, 0, 1);
    }

    /**
     * Where it goes, by its title: on the face, or on the body as well; null where it names neither.
     */
    public static function place(string $title, People $people): ?self
    {
        foreach (['face' => Audience::Face, 'body' => Audience::Body] as $what => $audience) {
            $words = $people->names($what, $title);
            if ($words !== null) {
                return new self($audience, $words);
            }
        }

        return null;
    }

    /** @return list<array{Audience, string, bool}> whom, in which words, and whether the age is only supposed */
    private static function named(string $sentence): array
    {
        $found = [];
        if (preg_match(self::INFANT, $sentence, $m) === 1) {
            $found[] = [Audience::Infant, $m[0], false];
        }
        $child = preg_match(self::CHILD, $sentence, $kin) === 1 && ! self::isAside($sentence, $kin[0]) ? $kin[0] : '';
        if (preg_match(self::YOUNG, $sentence, $m) === 1 && self::isSomebody($sentence, $m[0])) {
            $found[] = [
                self::number($m[1]) >= 24 && str_contains(mb_strtolower($m[0]), 'm')
                    ? Audience::Child2To6
                    : Audience::Infant,
                $m[0],
                false,
            ];
        }
        // "Good for 2 years" is no age: somebody has to be that old.
        $aged
            = (preg_match(self::AGE, $sentence, $m) === 1
                && ($child !== '' || preg_match('/(?:olds?|o\.?)$/iu', $m[0]) === 1))
            || preg_match(self::AGED, $sentence, $m) === 1
            || preg_match(self::IS, $sentence, $m) === 1;
        if ($aged && isset($m[1]) && self::number($m[1]) <= 12) {
            $found[] = [
                match (true) {
                    self::number($m[1]) < 2 => Audience::Infant,
                    self::number($m[1]) < 6 => Audience::Child2To6,
                    default => Audience::Child6To12,
                },
                $m[0],
                false,
            ];
        }
        if (! $aged && $child !== '') {
            // How old is not said, so the youngest that may have any of it is taken.
            $found[] = [Audience::Child2To6, $child, true];
        }
        if (preg_match(self::EXPECTING, $sentence, $m) === 1) {
            $found[] = [Audience::Pregnancy, $m[0], false];
        }

        return $found;
    }

    private static function number(string $written): int
    {
        return self::NUMBERS[mb_strtolower($written)] ?? (int) $written;
    }

    /** "8 months old", "my lo is 9m", "for my 8 month old": said of somebody; "keeps 8 months" is not. */
    private static function isSomebody(string $sentence, string $age): bool
    {
        $said = preg_quote($age, '/');

        return preg_match('/(?:olds?|o)$/iu', $age) === 1
            || preg_match(
                '/\b(?:lo|she|he|who|baby|son|daughter|aged?|girl|boy)\s+(?:is\s+)?(?:about\s+)?'.$said.'/iu',
                $sentence,
            ) === 1
            || preg_match('/\bfor\s+(?:my|a|our|an)\s+'.$said.'/iu', $sentence) === 1;
    }

    /** "Three kids, no time", "2 kids and a job so that is all" tell of the maker. */
    private static function isAside(string $sentence, string $child): bool
    {
        return preg_match(
            '/^\s*(?:i have\s+)?(?:two|three|four|five|six|\d)\s+'.preg_quote($child, '/')
                .'\s*(?:\band (?:a (?:job|dog|cat|house)|no (?:time|sleep)|work)\b.*)?$/iu',
            $sentence,
        ) === 1;
    }

    /** @return array{audience: string, words: string} */
    public function jsonSerialize(): array
    {
        return ['audience' => $this->audience->value, 'words' => $this->words];
    }
}
