<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\NameMatch;
use Crown\Reading\Knowledge;
use Crown\Reading\OwnOil;

/** The oils that were steeped here, by the way people name them: "my rosemary oil", "the clove oil from last month". */
final readonly class Own
{
    private const MINE = '/
        ^(?:my|our|mine)\s+(?:own\s+)?
        |\b(?:
            home[ -]?made|self[ -]?made
            |(?:that\ |which\ )?(?:i|we)\ (?:made|steeped|infused|strained)(?:\ (?:myself|ourselves))?
        )\b
    /xiu';

    private const WHEN = '/
        # "from last month", "made early March"
        [\s,(]*\b(?:from|of|made)\s+(?<when>
            (?:last|this)\ (?:week|month|year)
            |(?:early\ |late\ )?
            (?:january|february|march|april|may|june|july|august|september|october|november|december)
            |yesterday
        )\b\)?
    /xiu';

    private const MONTHS = [
        'january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november',
        'december',
    ];

    /** Words of a steeped oil that are no plant. */
    private const OIL = '/
        \b(?:
            the|oils?|infus(?:ed|ion)s?|steep(?:ed)?|macerat(?:ed|e)|jar\ of|bottle\ of|batch\ of|some|last
            |new|old|good|fresh
        )\b
    /xiu';

    public function __construct(private Catalogue $catalogue, private Knowledge $knowledge)
    {
    }

    /** Whether a name says that it was made here. */
    public static function says(string $name): bool
    {
        return preg_match(self::MINE, $name) === 1 || preg_match(self::WHEN, $name) === 1;
    }

    /**
     * @return list<NameMatch> the oils that a name may mean, the newest first; empty when it means none of them. One
     *     alone is sure; of several of the same kind it is asked
     */
    public function meant(string $name): array
    {
        return self::says($name) ? $this->steeped($name) : [];
    }

    /**
     * @return list<NameMatch> the oils that were steeped here of what a name says, as "rosemary in olive oil", the
     *     newest first
     */
    public function steeped(string $name): array
    {
        if ($this->knowledge->oils === []) {
            return [];
        }
        $words = $this->words($name);
        $oils = array_filter($this->knowledge->oils, fn (OwnOil $o): bool => $this->isCalled($o, $words));
        $then = array_filter($oils, fn (OwnOil $o): bool => $this->isFrom($o, $name));
        $oils = array_values($then === [] ? $oils : $then);
        usort($oils, static fn (OwnOil $a, OwnOil $b): int => [$b->madeOn, $b->id] <=> [$a->madeOn, $a->id]);

        return array_map(
            fn (OwnOil $o): NameMatch => new NameMatch(
                $this->catalogue->get($o->id),
                count($oils) === 1 ? 1.0 : Lines::SURE + 0.01,
                $o->title,
            ),
            array_slice($oils, 0, Names::MATCHES),
        );
    }

    /** @return list<string> that say what was steeped in what; empty for "my infused oil" */
    private function words(string $name): array
    {
        $bare = preg_replace([self::MINE, self::WHEN, self::OIL], ' ', mb_strtolower($name)) ?? '';

        return array_values(array_filter(
            preg_split('/[^\p{L}]+/u', $bare) ?: [],
            static fn (string $w): bool => mb_strlen($w) > 2 && ! in_array($w, ['and', 'with', 'from'], true),
        ));
    }

    /** @param  list<string>  $words */
    private function isCalled(OwnOil $oil, array $words): bool
    {
        $known = mb_strtolower($oil->title);
        foreach ([...$oil->plants, ...$oil->oils] as $id) {
            $part = $this->catalogue->has($id) ? $this->catalogue->get($id) : null;
            $known .= $part instanceof Ingredient
                ? ' '.mb_strtolower(implode(' ', [$part->name, $part->inci, ...$part->synonyms]))
                : '';
        }
        foreach ($words as $word) {
            if (preg_match('/\b'.preg_quote($word, '/').'s?\b/u', $known) !== 1) {
                return false;
            }
        }

        return $words !== [] || count($this->knowledge->oils) === 1;
    }

    /** Whether it is of the time that the name says; of no time, any is. */
    private function isFrom(OwnOil $oil, string $name): bool
    {
        $today = $this->knowledge->today;
        if ($today === null || preg_match(self::WHEN, $name, $m) !== 1) {
            return true;
        }
        $when = mb_strtolower($m['when']);
        $first = $today->modify('first day of this month');
        $month = array_search(trim(preg_replace('/^(?:early|late) /u', '', $when) ?? ''), self::MONTHS, true);

        return match (true) {
            $when === 'yesterday' => $oil->madeOn->format('Y-m-d') === $today->modify('-1 day')->format('Y-m-d'),
            $when === 'this week' => $oil->madeOn >= $today->modify('-7 days'),
            $when === 'last week' => $oil->madeOn >= $today->modify('-14 days'),
            $when === 'this month' => $oil->madeOn->format('Y-m') === $today->format('Y-m'),
            $when === 'last month' => $oil->madeOn->format('Y-m') === $first->modify('-1 month')->format('Y-m'),
            $when === 'this year' => $oil->madeOn->format('Y') === $today->format('Y'),
            $when === 'last year' => (int) $oil->madeOn->format('Y') === (int) $today->format('Y') - 1,
            default => is_int($month) && (int) $oil->madeOn->format('n') === $month + 1,
        };
    }
}
