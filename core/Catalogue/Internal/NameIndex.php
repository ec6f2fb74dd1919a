<?php

declare(strict_types=1);

namespace Crown\Catalogue\Internal;

use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Name;

/** Finds ingredients by name, INCI name, synonym or slip of the pen. */
final class NameIndex
{
    /** Words that say what kind of thing it is, not which. */
    private const GENERIC = [
        'oil' => true,
        'butter' => true,
        'wax' => true,
        'seed' => true,
        'leaf' => true,
        'powder' => true,
        'essential' => true,
        'extract' => true,
        'of' => true,
        'flower' => true,
        'root' => true,
        'dried' => true,
        'fresh' => true,
        'water' => true,
    ];

    /** Below this a match is not worth offering. */
    private const FLOOR = 0.55;

    /** Likeness from which two words are partners, and from which two names are one but for their spaces. */
    private const PARTNERS = 0.6;

    private const JOINED = 0.85;

    /** Letters of a word from which a slip in it is looked for, and from which two are. */
    private const SHORTEST = 4;

    private const LONG = 7;

    /** Likeness up to which a name is listened to, and what one is like that only sounds so. */
    private const SOUNDS = 0.78;

    /** Share of the letters that may be written otherwise in what sounds alike. */
    private const OTHERWISE = 0.6;

    /** Signs of a sound from which it tells one name from another. */
    private const SOUND = 4;

    /** @var array<string, string>|null by the sound of a name, word by word and without its spaces: the name */
    private ?array $sounds = null;

    /** What is left of a likeness where each name has a word that the other has not. */
    private const ANOTHER = 0.85;

    /** What a word that says only the kind counts for each of its letters. */
    private const GENERIC_COUNTS = 0.33;

    /**
     * @var list<non-empty-list<string>> a studio's own, taken in when a name is first looked for: most requests name
     *     ids
     */
    private array $later = [];

    /**
     * @param  array<string, string>  $exact normalised name to id
     * @param  array<string, array<int, array<string, list<string>>>>  $byWord first letter to length to word to
     *     normalised names that hold it
     * @param  array<string, array<int, array<string, list<string>>>>  $joined first letter to length to name without
     *     spaces to normalised names
     */
    public function __construct(private array $exact, private array $byWord, private array $joined)
    {
    }

    /**
     * @param  array<string, Ingredient>  $ingredients
     *
     * @throws CatalogueError when two entries claim one name
     */
    public static function of(array $ingredients): self
    {
        return (new self([], [], []))->holding(self::entries($ingredients), true);
    }

    /**
     * @param  array<string, string>  $names of a studio's own makings, by id; a name that is taken stays with its
     *     holder
     */
    public function named(array $names): self
    {
        return $this->later(
            array_map(
                static fn (string $name, string $id): array => [$id, $name, '', $id],
                array_values($names),
                array_keys($names),
            ),
        );
    }

    /** @param  array<string, Ingredient>  $ingredients */
    public function with(array $ingredients): self
    {
        return $this->later(self::entries($ingredients));
    }

    /**
     * @param  array<string, Ingredient>  $ingredients
     * @return list<non-empty-list<string>> as holding() takes them
     */
    private static function entries(array $ingredients): array
    {
        return array_map(
            static fn (Ingredient $i): array => [$i->id, $i->name, $i->inci, $i->id, ...$i->synonyms],
            array_values($ingredients),
        );
    }

    /** @param  list<non-empty-list<string>>  $entries as holding() takes them */
    private function later(array $entries): self
    {
        $more = clone $this;
        $more->sounds = null;
        $more->later = [...$this->later, ...$entries];

        return $more;
    }

    private function takeIn(): void
    {
        if ($this->later !== []) {
            $whole = $this->holding($this->later, false);
            $this->sounds = null;
            [$this->exact, $this->byWord, $this->joined, $this->later] = [
                $whole->exact,
                $whole->byWord,
                $whole->joined,
                [],
            ];
        }
    }

    /** @param  list<non-empty-list<string>>  $entries each an id, then its names: common, INCI, id, synonyms */
    private function holding(array $entries, bool $strict): self
    {
        $exact = $this->exact;
        $byWord = $this->byWord;
        $joined = $this->joined;
        foreach ($entries as $names) {
            $own = array_shift($names);
            foreach ($names as $i => $name) {
                $key = Name::normalised($name);
                if ($key === '') {
                    continue;
                }
                $holder = $exact[$key] ?? $own;
                if ($holder !== $own) {
                    // Several grades of one oil share an INCI name; the plainest keeps it. A common name may be claimed
                    // only once.
                    if ($strict && $i !== 1) {
                        throw CatalogueError::claimedTwice($name, $holder, $own);
                    }
                    if ($strict && strlen($own) < strlen($holder)) {
                        $exact[$key] = $own;
                    }

                    continue;
                }
                if (! isset($exact[$key])) {
                    $exact[$key] = $own;
                    foreach (array_unique(explode(' ', $key)) as $word) {
                        $byWord[self::letter($word)][strlen($word)][$word][] = $key;
                    }
                    $together = str_replace(' ', '', $key);
                    $joined[self::letter($key)][strlen($together)][$together][] = $key;
                }
            }
        }

        return new self($exact, $byWord, $joined);
    }

    public function holds(string $name): bool
    {
        $this->takeIn();

        return isset($this->exact[Name::normalised(mb_substr($name, 0, 80))]);
    }

    /** The id of what is called just so; null for none. */
    public function called(string $name): ?string
    {
        $this->takeIn();

        return $this->exact[Name::normalised(mb_substr($name, 0, 80))] ?? null;
    }

    /** @return array<string, array{float, string}> id to score and matched name, best first */
    public function search(string $name, int $limit): array
    {
        $this->takeIn();
        $wanted = Name::normalised(mb_substr($name, 0, 80));
        if ($wanted === '') {
            return [];
        }
        $found = [];
        $offer = function (string $key, float $score) use (&$found): void {
            $id = $this->exact[$key];
            if ($score >= self::FLOOR && $score > ($found[$id][0] ?? 0.0)) {
                $found[$id] = [$score, $key];
            }
        };
        $isName = isset($this->exact[$wanted]);
        if ($isName) {
            $offer($wanted, 1.0);
        }
        $words = explode(' ', $wanted);
        foreach ($this->candidates($words, ! $isName) as $key) {
            $offer($key, self::score($wanted, $words, $key));
        }
        if (($found === [] ? 0.0 : max(array_column($found, 0))) < self::SOUNDS) {
            $heard = $this->heard($words);
            $heard === null || $offer($heard, self::SOUNDS);
        }
        uasort(
            $found,
            static fn (array $a, array $b): int => [$b[0], strlen($a[1]), $a[1]] <=> [$a[0], strlen($b[1]), $b[1]],
        );

        return array_slice($found, 0, $limit, true);
    }

    /**
     * A name that sounds as a wanted one is written: "kasta oyle", "seeder wood", "ho ho ba"; null for none.
     *
     * @param  list<string>  $words
     */
    private function heard(array $words): ?string
    {
        if ($this->sounds === null) {
            $this->sounds = [];
            foreach (array_keys($this->exact) as $name) {
                foreach (self::soundsOf(explode(' ', (string) $name)) as $sound) {
                    $this->sounds[$sound] ??= (string) $name;
                }
            }
        }
        foreach ([$words, str_replace('h', 'j', $words)] as $spoken) {
            foreach (self::soundsOf($spoken) as $sound) {
                $name = strlen($sound) >= self::SOUND ? $this->sounds[$sound] ?? '' : '';
                if ($name !== '' && self::isWrittenAlike(implode(' ', $words), $name)) {
                    return $name;
                }
            }
        }

        return null;
    }

    /** Whether at least a few of its letters stand where they are written: "toghurt" is no green tea. */
    private static function isWrittenAlike(string $wanted, string $name): bool
    {
        return levenshtein($wanted, $name) <= self::OTHERWISE * max(strlen($wanted), strlen($name));
    }

    /**
     * @param  list<string>  $words
     * @return list<string> how they sound word by word, and less loosely run together
     */
    private static function soundsOf(array $words): array
    {
        return [implode(' ', array_map(self::sound(...), $words)), metaphone(implode('', $words))];
    }

    /** The sound of a word as its consonants: "kasta" and "castor", "oyle" and "oil" are the same. */
    private static function sound(string $word): string
    {
        $sound = metaphone($word);
        $ends = strlen($sound) > 2 ? rtrim($sound, 'RS') : $sound;

        return preg_replace('/^[AEIOU]/', 'A', $ends) ?? $ends;
    }

    /**
     * @param  list<string>  $words
     * @param  bool  $slips whether it may be a slip of the pen: what is a name by the letter is none
     * @return list<string> normalised names that share a word, or nearly a word, with the wanted one
     */
    private function candidates(array $words, bool $slips): array
    {
        $lists = $slips ? $this->runTogether(substr(implode('', $words), 0, 60)) : [];
        // "Lavender oil" looks where lavender stands, not at every oil.
        $telling = array_filter($words, static fn (string $w): bool => ! isset(self::GENERIC[$w]));
        foreach ($telling === [] ? $words : $telling as $word) {
            // A slip in the first letter is not looked for: it would cost a look at every word.
            foreach ($this->byWord[self::letter($word)] ?? [] as $length => $known) {
                array_push($lists, ...self::near($word, $known, $length, $slips));
            }
        }
        $keys = [];
        foreach ($lists as $names) {
            foreach ($names as $name) {
                $keys[$name] = true;
            }
        }

        return array_map(strval(...), array_keys($keys));
    }

    /** @return list<list<string>> names that are nearly the wanted one but for their spaces */
    private function runTogether(string $wanted): array
    {
        $lists = [];
        $length = strlen($wanted);
        foreach (range(max(1, $length - 2), $length + 2) as $near) {
            foreach ($this->joined[self::letter($wanted)][$near] ?? [] as $joined => $names) {
                if (levenshtein((string) $joined, $wanted) <= 2) {
                    $lists[] = $names;
                }
            }
        }

        return $lists;
    }

    /**
     * @param  array<string, list<string>>  $known words of one length, with the names that hold them
     * @return list<list<string>> names of those that are nearly the word, begin it, or are begun by it
     */
    private static function near(string $word, array $known, int $length, bool $maySlip): array
    {
        $own = strlen($word);
        $itself = isset($known[$word]) ? [$known[$word]] : [];
        if ($own < self::SHORTEST) {
            return $itself;
        }
        $slips = $maySlip && abs($length - $own) <= 2 ? self::slips($own) : 0;
        $begins = $length >= self::SHORTEST && $length < $own ? substr($word, 0, $length) : '';

        return [
            ...$itself,
            ...isset($known[$begins]) ? [$known[$begins]] : [],
            ...$slips > 0 || $length > $own ? self::alike($word, $known, $slips) : [],
        ];
    }

    /** So many may be in a word of so many letters. */
    private static function slips(int $letters): int
    {
        return $letters >= self::LONG ? 2 : 1;
    }

    /**
     * @param  array<string, list<string>>  $known words of one length, with the names that hold them
     * @return list<list<string>> names of those that begin with the word, or are it but for so many slips
     */
    private static function alike(string $word, array $known, int $slips): array
    {
        $alike = [];
        foreach ($known as $other => $names) {
            $other = (string) $other;
            $is = $other !== $word
                && (str_starts_with($other, $word) || ($slips > 0 && self::distance($other, $word) <= $slips));
            if ($is) {
                $alike[] = $names;
            }
        }

        return $alike;
    }

    /**
     * Share of the letters of both names that find a partner, word by word; a word that says what kind of thing it is
     * ("oil", "butter") counts a third, so that "castor" still means castor oil.
     *
     * @param  list<string>  $words
     */
    private static function score(string $wanted, array $words, string $key): float
    {
        if ($wanted === $key) {
            return 1.0;
        }
        $known = explode(' ', $key);
        $matched = $total = 0.0;
        $alone = false;
        $left = $known;
        foreach ($known as $other) {
            $total += self::weight($other);
        }
        foreach ($words as $word) {
            $total += self::weight($word);
            $bestAt = -1;
            $best = 0.0;
            foreach ($left as $i => $other) {
                $likeness = self::likeness($word, $other, self::PARTNERS);
                if ($likeness > $best) {
                    [$best, $bestAt] = [$likeness, $i];
                }
            }
            if ($best >= self::PARTNERS) {
                $matched += $best * (self::weight($word) + self::weight($left[$bestAt]));
                unset($left[$bestAt]);
            } elseif (! isset(self::GENERIC[$word])) {
                $alone = true;
            }
        }
        $byWord = $total > 0 ? $matched / $total : 0.0;
        // Each names something that the other does not: "white tea" is no white camphor.
        if ($alone && array_filter($left, static fn (string $w): bool => ! isset(self::GENERIC[$w])) !== []) {
            $byWord *= self::ANOTHER;
        }
        // Words run together or torn apart: "sheabutter", "jo joba".
        $joined = self::likeness(str_replace(' ', '', $wanted), str_replace(' ', '', $key), self::JOINED);

        return min(0.98, max($byWord, $joined >= self::JOINED ? $joined - 0.02 : 0.0));
    }

    private static function weight(string $word): float
    {
        return strlen($word) * (isset(self::GENERIC[$word]) ? self::GENERIC_COUNTS : 1.0);
    }

    /** A key that PHP keeps a text, also for a digit. */
    private static function letter(string $word): string
    {
        return $word === '' ? '' : 'l'.$word[0];
    }

    /** @param  float  $least under which it does not matter how unlike they are: their lengths alone may say so */
    private static function likeness(string $a, string $b, float $least): float
    {
        if ($a === $b) {
            return 1.0;
        }
        [$one, $other] = [strlen($a), strlen($b)];
        $longest = max($one, $other);
        if ($longest < 4 || $longest > 80 || abs($one - $other) > $longest * (1 - $least) + 1e-9) {
            return 0.0;
        }

        return 1.0 - self::distance($a, $b) / $longest;
    }

    /** Letters to change, add or drop; two letters that changed places are one slip, not two. */
    private static function distance(string $a, string $b): int
    {
        $distance = levenshtein($a, $b);

        return $distance === 2 && strlen($a) === strlen($b) && count_chars($a, 1) === count_chars($b, 1)
            ? 1
            : $distance;
    }
}
