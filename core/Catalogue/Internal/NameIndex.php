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
        'oil',
        'butter',
        'wax',
        'seed',
        'leaf',
        'powder',
        'essential',
        'extract',
        'of',
        'flower',
        'root',
        'dried',
        'fresh',
        'water',
    ];

    /** Below this a match is not worth offering. */
    private const FLOOR = 0.55;

    /**
     * @var list<non-empty-list<string>> a studio's own, taken in when a name is first looked for: most requests name
     *     ids
     */
    private array $later = [];

    /**
     * @param  array<string, string>  $exact normalised name to id
     * @param  array<string, array<string, list<string>>>  $byWord first letter to word to normalised names that hold it
     * @param  array<string, array<string, list<string>>>  $joined first letter to name without spaces to normalised
     *     names
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
        $more->later = [...$this->later, ...$entries];

        return $more;
    }

    private function takeIn(): void
    {
        if ($this->later !== []) {
            $whole = $this->holding($this->later, false);
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
                        $byWord[self::letter($word)][$word][] = $key;
                    }
                    $joined[self::letter($key)][str_replace(' ', '', $key)][] = $key;
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
        if (isset($this->exact[$wanted])) {
            $offer($wanted, 1.0);
        }
        $words = explode(' ', $wanted);
        foreach ($this->candidates($words) as $key) {
            $offer($key, self::score($wanted, $words, $key));
        }
        uasort(
            $found,
            static fn (array $a, array $b): int => [$b[0], strlen($a[1]), $a[1]] <=> [$a[0], strlen($b[1]), $b[1]],
        );

        return array_slice($found, 0, $limit, true);
    }

    /**
     * @param  list<string>  $words
     * @return list<string> normalised names that share a word, or nearly a word, with the wanted one
     */
    private function candidates(array $words): array
    {
        $keys = [];
        // "Lavender oil" looks where lavender stands, not at every oil.
        $telling = array_diff($words, self::GENERIC);
        foreach ($telling === [] ? $words : $telling as $word) {
            $length = strlen($word);
            // A slip in the first letter is not looked for: it would cost a look at every word.
            foreach ($this->byWord[self::letter($word)] ?? [] as $known => $names) {
                $known = (string) $known;
                $near = $known === $word
                    || ($length >= 4
                        && abs(strlen($known) - $length) <= 2
                        && self::distance($known, $word) <= ($length >= 7 ? 2 : 1))
                    || ($length >= 4
                        && (str_starts_with($known, $word) || (str_starts_with($word, $known) && strlen($known) >= 4)));
                if ($near) {
                    foreach ($names as $name) {
                        $keys[$name] = true;
                    }
                }
            }
        }
        $wanted = substr(implode('', $words), 0, 60);
        foreach ($this->joined[self::letter($wanted)] ?? [] as $joined => $names) {
            $joined = (string) $joined;
            if (abs(strlen($joined) - strlen($wanted)) <= 2 && levenshtein($joined, $wanted) <= 2) {
                foreach ($names as $name) {
                    $keys[$name] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($keys));
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
        $weight = static fn (string $w): float => strlen($w) * (in_array($w, self::GENERIC, true) ? 0.33 : 1.0);
        $matched = 0.0;
        $left = $known;
        foreach ($words as $word) {
            $bestAt = -1;
            $best = 0.0;
            foreach ($left as $i => $other) {
                $likeness = self::likeness($word, $other);
                if ($likeness > $best) {
                    [$best, $bestAt] = [$likeness, $i];
                }
            }
            if ($best >= 0.6) {
                $matched += $best * ($weight($word) + $weight($left[$bestAt]));
                unset($left[$bestAt]);
            }
        }
        $total = array_sum(array_map($weight, $words)) + array_sum(array_map($weight, $known));
        $byWord = $total > 0 ? $matched / $total : 0.0;
        // Words run together or torn apart: "sheabutter", "jo joba".
        $joined = self::likeness(str_replace(' ', '', $wanted), str_replace(' ', '', $key));

        return min(0.98, max($byWord, $joined >= 0.85 ? $joined - 0.02 : 0.0));
    }

    /** A key that PHP keeps a text, also for a digit. */
    private static function letter(string $word): string
    {
        return $word === '' ? '' : 'l'.$word[0];
    }

    private static function likeness(string $a, string $b): float
    {
        if ($a === $b) {
            return 1.0;
        }
        $longest = max(strlen($a), strlen($b));
        if ($longest < 4 || $longest > 80) {
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
