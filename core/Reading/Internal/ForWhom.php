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
    private const INFANT = '/\b(?:newborns?|infants?|toddlers?|bab(?:y|ies)(?!\s+(?:hairs?|oil|shampoo|fine|powder|bottle|edges)))\b/iu';

    private const AGE = '/\b(\d{1,2})[\s-]*(?:years?|yrs?|y\.?\/?o\.?)(?:[\s-]*olds?)?+\b(?!\s+(?:locs?|locks|dreads?|hair|braids?|scars?|recipe|oil|jar|bottle|batch))/iu';

    private const CHILD = '/\b(?:kids?|child(?:ren)?|sons?|daughters?|nieces?|nephews?|little (?:one|girl|boy)s?|grand(?:child|children|sons?|daughters?))\b/iu';

    private const EXPECTING = '/\b(?:pregnan\w+|nursing|breast[\s-]?feeding|post[\s-]?partum)\b/iu';

    /** "Not for children", "avoid in pregnancy": said of whom it is not for. "No nuts" says nothing of anybody. */
    private const NOT_FOR = '/\b(?:not|never|avoid|don\'?t|unsafe|unless|keep (?:away|out))\b/iu';

    private function __construct(public Audience $audience, public string $words)
    {
    }

    /** @return list<self> one, the most careful; empty when nobody in particular is named */
    public static function in(string $text): array
    {
        $found = [];
        // Each clause by itself: what is denied in one is not denied in the next. Rather once too often than once too
        // seldom.
        foreach (preg_split('/[.!?;,()\n]+/u', $text) ?: [] as $sentence) {
            if (preg_match(self::NOT_FOR, $sentence) === 1) {
                continue;
            }
            foreach (self::named($sentence) as [$audience, $words]) {
                $found[] = new self($audience, $words);
            }
        }
        usort(
            $found,
            static fn (self $a, self $b): int => $a->audience->essentialOilCeiling()
                <=> $b->audience->essentialOilCeiling(),
        );

        return array_slice($found, 0, 1);
    }

    /** @return list<array{Audience, string}> */
    private static function named(string $sentence): array
    {
        $found = [];
        if (preg_match(self::INFANT, $sentence, $m) === 1) {
            $found[] = [Audience::Infant, $m[0]];
        }
        $child = preg_match(self::CHILD, $sentence, $kin) === 1 ? $kin[0] : '';
        // "Good for 2 years" is no age: somebody has to be that old.
        $aged = preg_match(self::AGE, $sentence, $m) === 1
            && ($child !== ''
                || preg_match('/(?:olds?|o\.?)$/iu', $m[0]) === 1
                || preg_match('/\b(?:aged?|of)\s+(?:about\s+)?'.preg_quote($m[0], '/').'/iu', $sentence) === 1);
        if ($aged && (int) $m[1] <= 12) {
            $found[] = [
                match (true) {
                    (int) $m[1] < 2 => Audience::Infant,
                    (int) $m[1] < 6 => Audience::Child2To6,
                    default => Audience::Child6To12,
                },
                $m[0],
            ];
        }
        if (! $aged && $child !== '') {
            // How old is not said, so the youngest that may have any of it is taken.
            $found[] = [Audience::Child2To6, $child];
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
