<?php

declare(strict_types=1);

namespace Crown\Formula\Reading;

use Crown\Formula\Audience;
use JsonSerializable;

/**
 * Whom a pasted recipe says it is for, when that asks for more care than a grown head. It only ever tightens: "wash out" is not
 * taken to allow more. Insides of the room.
 */
final readonly class ForWhom implements JsonSerializable
{
    private const INFANT = '/\b(?:newborns?|infants?|toddlers?|bab(?:y|ies)(?!\s+(?:hairs?|oil|shampoo|fine|powder|bottle|edges)))\b/iu';

    private const AGE = '/\b(\d{1,2})[\s-]*(?:years?|yrs?|y\.?\/?o\.?)(?:[\s-]*olds?)?+\b(?!\s+(?:locs?|locks|dreads?|hair|braids?|scars?|recipe|oil|jar|bottle|batch))/iu';

    private const CHILD = '/\b(?:kids?|child(?:ren)?|sons?|daughters?|nieces?|nephews?|little (?:one|girl|boy)s?|grand(?:child|children|sons?|daughters?))\b/iu';

    private const EXPECTING = '/\b(?:pregnan\w+|nursing|breast[\s-]?feeding|post[\s-]?partum)\b/iu';

    /** "Not for children", "avoid in pregnancy": said of whom it is not for. */
    private const NOT_FOR = '/\b(?:not|no|never|avoid|don\'?t|without|unsafe|away|unless)\b/iu';

    private function __construct(
        public Audience $audience,
        public string $words,
    ) {
    }

    /** @return list<self> one, the most careful; empty when nobody in particular is named */
    public static function in(string $text): array
    {
        $found = [];
        foreach (preg_split('/[.!?;\n]+/u', $text) ?: [] as $sentence) {
            if (preg_match(self::NOT_FOR, $sentence) === 1) {
                continue;
            }
            foreach (self::named($sentence) as [$audience, $words]) {
                $found[] = new self($audience, $words);
            }
        }
        usort($found, static fn (self $a, self $b): int => $a->audience->essentialOilCeiling() <=> $b->audience->essentialOilCeiling());

        return array_slice($found, 0, 1);
    }

    /** @return list<array{Audience, string}> */
    private static function named(string $sentence): array
    {
        $found = [];
        if (preg_match(self::INFANT, $sentence, $m) === 1) {
            $found[] = [Audience::Infant, $m[0]];
        }
        // "Keeps 2 years" is no age: somebody has to be that old, or it has to be for one of that age.
        $aged = preg_match(self::AGE, $sentence, $m) === 1 && (preg_match('/olds?$|o\.?$/iu', $m[0]) === 1 || preg_match('/\bfor\b.{0,30}'.preg_quote($m[0], '/').'/iu', $sentence) === 1);
        if ($aged && (int) $m[1] <= 12) {
            $found[] = [match (true) {
                (int) $m[1] < 2 => Audience::Infant,
                (int) $m[1] < 6 => Audience::Child2To6,
                default => Audience::Child6To12,
            }, $m[0]];
        }
        if (! $aged && preg_match(self::CHILD, $sentence, $m) === 1) {
            // How old is not said, so the youngest that may have any of it is taken.
            $found[] = [Audience::Child2To6, $m[0]];
        }
        if (preg_match(self::EXPECTING, $sentence, $m) === 1) {
            $found[] = [Audience::Pregnancy, $m[0]];
        }

        return $found;
    }

    /** @return array{audience: string, words: string} */
    public function jsonSerialize(): array
    {
        return ['audience' => $this->audience->value, 'words' => $this->words];
    }
}
