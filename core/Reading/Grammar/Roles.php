<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Formula\Phase;
use Crown\Reading\Fate;
use Crown\Reading\Internal\ForWhom;

/** What each sentence of a text is, by what it says and by where it stands. */
final class Roles
{
    private const LONGEST_TITLE = 120;

    /** Words of a row of its own that ends with a colon and heads what follows. */
    private const HEADING = 7;

    /** Words beside a size in a row that says nothing else. */
    private const BESIDE_SIZE = 4;

    private bool $inMethod = false;

    private bool $inUse = false;

    private bool $begun = false;

    /** Whether what follows is put in order, and not mixed. */
    private bool $ranked = false;

    private int $boughtRow = -1;

    private ?Phase $phase = null;

    /** @param  list<Sentence>  $sentences in their order */
    private function __construct(private readonly array $sentences, private readonly Versions $versions)
    {
    }

    /**
     * @param  list<Sentence>  $sentences in their order
     * @return list<Part>
     */
    public static function of(array $sentences, Versions $versions): array
    {
        $roles = new self($sentences, $versions);

        return array_map($roles->part(...), array_keys($sentences), $sentences);
    }

    private function part(int $n, Sentence $sentence): Part
    {
        $role = $this->role($n, $sentence);
        $this->begun = $this->begun || ! in_array($role, [Role::Remark, Role::Heading], true);
        $this->inMethod = $role === Role::Heading ? $sentence->heads(Kind::HeadMethod) : $this->inMethod;
        $doing = new Doing($sentence, $this->inMethod);
        $does = $role === Role::Content || $role === Role::Use;

        return new Part($sentence, $role, $does ? $doing->steps() : [], $does && $doing->isMethod(), $this->phase);
    }

    private function role(int $n, Sentence $sentence): Role
    {
        $this->ranked = ($this->ranked || $sentence->tells(Kind::Ranked)) && $sentence->measured() === [];
        if ($this->isHeading($n, $sentence) || ($this->versions->isHead($n) && $sentence->measured() === [])) {
            $this->inUse = $sentence->heads(Kind::HeadUse);
            $this->phase = self::phaseOf($sentence);

            return Role::Heading;
        }

        return match (true) {
            $this->inUse => Role::Use,
            $this->versions->leaves($n),
            $this->ranked => Role::Elsewhere,
            $this->isAside($sentence) => Role::Remark,
            $this->isElsewhere($sentence), $this->isOthers($sentence), $this->isRefused($n) => Role::Elsewhere,
            ! $this->begun && $this->isTitle($n, $sentence) => Role::Title,
            $this->isSize($sentence) => Role::Size,
            ! $this->begun && preg_match('/\p{L}{2}/u', $sentence->text) !== 1 => Role::Remark,
            default => Role::Content,
        };
    }

    private function isHeading(int $n, Sentence $sentence): bool
    {
        if ($sentence->isHeading(Kind::HeadList, Kind::HeadMethod, Kind::HeadUse)) {
            return true;
        }
        $chart = $sentence->chart;
        $last = $chart->length - 1;
        $says = $sentence->measured() !== [] || $sentence->cover->left !== [];
        $colon = $chart->isSign($last, ':') && $last <= self::HEADING && isset($this->sentences[$n + 1]);

        // "Phase C (cool down)": what follows tells more of it.
        $words = $sentence->headed(Kind::HeadList, Kind::HeadMethod, Kind::HeadUse);
        $isTold = $words > 0 && $chart->isSign($words, '(')
            && $chart->isSign($chart->isSign($last, ':') ? $last - 1 : $last, ')');

        $isOver = $colon && ($this->begun || $sentence->heads(Kind::HeadList, Kind::HeadMethod));

        return ! $says && ($isOver || ($isTold && $last <= self::HEADING));
    }

    /** A greeting, the head of a letter, a question: of the letter and not of the recipe. */
    private function isAside(Sentence $sentence): bool
    {
        $chart = $sentence->chart;
        if ($sentence->measured() !== []) {
            // "Would 45 % shea and 55 % olive be too hard?" is all that is told.
            return $chart->isSign($chart->length - 1, '?') && $chart->is(0, Kind::Question)
                && ! $this->isAll($sentence);
        }
        $mail = $chart->past(0, Kind::Mail);

        return ($mail > 0 && $chart->isSign($mail, ':'))
            || $chart->isSign($chart->length - 1, '?')
            || ($chart->is(0, Kind::Greeting) && ! $sentence->tells(Kind::Act));
    }

    /** "Next time more wax", "Things that did not work: rice water", "Bought the 120 ml castor oil". */
    private function isElsewhere(Sentence $sentence): bool
    {
        $first = $sentence->cover->taken[0][0] ?? 0;
        for ($place = 0; $place < $first; $place++) {
            if ($sentence->chart->is($place, Kind::Not) && ! $sentence->chart->is($place, Kind::Stop, Kind::Act)) {
                return true;
            }
        }

        // What follows a word of shopping in its row is of it.
        $this->boughtRow = $sentence->isBought() ? $sentence->row() : $this->boughtRow;

        return $sentence->row() === $this->boughtRow
            || ($sentence->tells(Kind::Variant) && ! $this->isAll($sentence));
    }

    /** "Ann wrote: 30 ml castor", where what is hers is told too. */
    private function isOthers(Sentence $sentence): bool
    {
        if ($sentence->measured() === [] || ! $sentence->tells(Kind::Others)) {
            return false;
        }
        $own = array_filter($this->sentences, static fn (Sentence $s): bool => $s->tells(Kind::Own));
        $rest = array_filter(
            $this->sentences,
            static fn (Sentence $s): bool => $s->measured() !== [] && ! $s->tells(Kind::Others),
        );

        return $own !== [] && $rest !== [];
    }

    /** "Anna said 50 g beeswax. NO. 5 g beeswax": what follows says nothing but no. */
    private function isRefused(int $n): bool
    {
        $next = $this->sentences[$n + 1]->chart ?? null;
        $not = $next?->past(0, Kind::Not) ?? 0;

        return $next !== null && $not > 0 && $next->skip($not, '!', '.', ',') === $next->length
            && ! $this->sentences[$n]->chart->isSign($this->sentences[$n]->chart->length - 1, '?')
            && $this->sentences[$n]->measured() !== [];
    }

    /** "Replace the olive in my old recipe: 60 g grapeseed, 30 g castor": the only amounts of the text. */
    private function isAll(Sentence $sentence): bool
    {
        $others = array_filter(
            $this->sentences,
            static fn (Sentence $s): bool => $s !== $sentence && count($s->measured()) > 1,
        );

        return (count($sentence->measured()) > 1 || count($sentence->cover->items()) > 2) && $others === [];
    }

    private function isSize(Sentence $sentence): bool
    {
        if ($sentence->chart->is(0, Kind::Lasting) && $sentence->cover->has(Fate::Time)
            && $sentence->measured() === [] && ! $sentence->actsAfter(1)) {
            return true;
        }

        return $sentence->cover->items() === []
            && $sentence->cover->left === []
            && $sentence->cover->has(Fate::Size)
            && count($sentence->cover->words) <= self::BESIDE_SIZE
            && ! $sentence->tells(Kind::Act);
    }

    /** What stands first over the rest, and is no thing that goes in. */
    private function isTitle(int $n, Sentence $sentence): bool
    {
        $chart = $sentence->chart;
        $next = $this->sentences[$n + 1] ?? null;
        $isAlone = $sentence->beginsRow() && ($next === null || $next->beginsRow()
            || $chart->isSign($chart->length - 1, ':'));
        $hasWord = preg_match('/\p{L}{2}/u', $sentence->text) === 1;
        if ($next === null || ! $hasWord || ! $isAlone || mb_strlen($sentence->text) > self::LONGEST_TITLE) {
            return false;
        }
        if ($sentence->cover->asides(Aside::SPOKEN) !== []) {
            return false;
        }
        $things = $sentence->cover->items();
        $sized = count($things) === 1 && $sentence->isSized($things[0]);
        if ($sentence->measured() !== [] && ! $sized) {
            return false;
        }

        return $sized || ! $this->isThing($sentence) && ! $this->isAct($sentence);
    }

    /** Whether a row without an amount names something that goes in, and not what is made. */
    private function isThing(Sentence $sentence): bool
    {
        $things = $sentence->mentioned();
        if (ForWhom::in($sentence->text) !== []) {
            // "Baby oil" over a list says whom it is for, and is no mineral oil.
            return false;
        }
        if (count($things) !== 1) {
            return count($things) > 2
                || (count($things) === 2 && ! $sentence->tells(Kind::Product) && $sentence->cover->words === []
                    && $this->isList($things, $sentence));
        }
        $isWhole = $sentence->cover->words === []
            && ! $sentence->chart->isSign($sentence->chart->length - 1, ':')
            && ! $sentence->tells(Kind::Number);

        return $isWhole && ! $this->isMade($things[0], $sentence);
    }

    /**
     * "Shea, castor" are two; "lavender in almond" is what is made of them.
     *
     * @param  non-empty-list<Item>  $things
     */
    private function isList(array $things, Sentence $sentence): bool
    {
        $between = $things[0]->name->to;

        return ! $sentence->chart->isWord($between) || $sentence->chart->is($between, Kind::Plus);
    }

    /** "Flaxseed gel" over its own list, "Rosemary oil" where rosemary goes in: what is made. */
    private function isMade(Item $thing, Sentence $sentence): bool
    {
        $last = $sentence->chart->length - 1;
        if ($sentence->chart->is($last, Kind::Mixture) || $sentence->tells(Kind::Product)) {
            return true;
        }
        $first = mb_strtolower(explode(' ', $thing->name->text)[0]);
        foreach ($this->sentences as $other) {
            foreach ($other === $sentence ? [] : $other->cover->items() as $item) {
                $name = mb_strtolower($item->name->text);
                if ($name !== mb_strtolower($thing->name->text) && str_contains($name, $first)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** "Melt the butters": something is done. "Whipped butter", "Leave-in" are things. */
    private function isAct(Sentence $sentence): bool
    {
        $last = $sentence->chart->length - 1;

        return $sentence->chart->is(0, Kind::Act)
            && ! $sentence->chart->is($last, Kind::Product, Kind::Mixture)
            && $sentence->chart->past(0, Kind::Product) <= $sentence->chart->past(0, Kind::Act)
            && ! $sentence->chart->isSign($last, ':');
    }

    /** When the lines under a heading go in, where it says so: "Phase C (cool down)", "Heated phase:". */
    private static function phaseOf(Sentence $heading): ?Phase
    {
        $words = English::of($heading->text, $heading->chart)->text;

        return match (true) {
            preg_match('/cool/iu', $words) === 1 => Phase::CoolDown,
            preg_match('/whip/iu', $words) === 1 => Phase::WhipIn,
            preg_match('/\bheat|\bhot\b|\bmelt/iu', $words) === 1 => Phase::Melt,
            preg_match('/\bwater\b/iu', $words) === 1 => Phase::Water,
            default => null,
        };
    }
}
