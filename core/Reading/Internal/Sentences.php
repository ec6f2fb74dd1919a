<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

/**
 * A recipe told in one breath, taken apart: what stands before a colon ("Makes 2 jars: 300 g shea …"), and each of its
 * sentences. A row of a list, and one that names fewer than two things, stays whole.
 */
final readonly class Sentences
{
    /** Things in one row from which it is more than a line of a list. */
    private const SEVERAL = 2;

    /** A full stop that ends no sentence. */
    private const SHORT = '(?<!\bapprox)(?<!\bca)(?<!\boz)(?<!\bfl)(?<!\btsp)(?<!\btbsp)(?<!\btbs)(?<!\blb)(?<!\blbs)'
        .'(?<!\bnr)(?<!\bno)(?<!\bvit)(?<!\bbzw)(?<!\bess)(?<!\bc)(?<!\bs)(?<!\bàc)(?<!\bEL)(?<!\bTL)(?<!\bincl)'
        .'(?<!\bcucch)(?<!\bcda)(?<!\bcdta)(?<!\bäth)(?<!\bmin)(?<!\bstd)(?<!\bapp)(?<!\babt)(?<!\bct)(?<!\bpt)';

    private const ENDS = '/
        # a full stop that is none of an abbreviation, or before a verb of the method
        (?:
            (?:'.self::SHORT.'\.|[!?;])\)?\s+(?=[\p{L}\d(])
            |\.\s+(?=(?:heat|melt|mix|add|stir|cool|whip|strain|blend|pour|combine|steep|leave|let)\b)
        )
    /xiu';

    /** "Batch size 300 g. Melt …": what is done comes after it. */
    private const SIZE_FIRST = '/
        ^(?:
            (?:batch\ size|makes|yields?|fills|fits|total)\b[^.!?;]{2,40}
            |\d+(?:\.\d+)?\s*(?:g|ml|oz)\s+(?:in\ )?total
        )[.!;]\s+\p{L}
    /xiu';

    /** What belongs to the sentence before: "No, one teaspoon." */
    private const GOES_ON = '/^(?:'.Items::TAKEN_BACK.'|no,|nope|sorry|i meant?|or)(?!\p{L})/iu';

    private const BEFORE_COLON = '/^(?<before>(?=\P{L}{0,10}\p{L})[^:]{3,70}):\s+(?<rest>\S.*)$/su';

    /** "Scalp scrub - 1/2 cup of sugar, …". */
    private const BEFORE_DASH = '/^(?<before>\p{L}[^:\d]{3,60}?)\s(?<dash>[–—-])\s+(?<rest>'.Rows::START.'.*)$/siu';

    /** "Cocoa 35 / mango 15": a name with a figure and no unit. */
    private const BARE = '/\p{L}{3,}\s+\d+(?:[.,]\d+)?(?=\s*[\/,;.]|$)/u';

    public function __construct(private Plain $plain, private Items $items)
    {
    }

    /**
     * @param  list<Row>  $rows
     * @return list<Row>
     */
    public function apart(array $rows): array
    {
        return array_merge(...array_map($this->pieces(...), $rows));
    }

    /** @return non-empty-list<Row> */
    private function pieces(Row $row): array
    {
        if (preg_match('/^(?<heading>[^:]{4,24}:)\s+(?<rest>\S.*)$/su', $row->text, $m) === 1
            && Rows::heading($m['heading']) === 'method') {
            return [new Row($m['heading'], $row->of, true), new Row($m['rest'], $row->of, true)];
        }
        $sized = preg_match(self::SIZE_FIRST, $row->text) === 1;
        if (preg_match('/[:.!?;]\s|\s[–—-]\s/u', $row->text) !== 1 || (! $sized && ! $this->namesSeveral($row->text))) {
            return [$row];
        }
        $pieces = [];
        $rest = $row->text;
        if (preg_match(self::BEFORE_COLON, $rest, $m) === 1 && $this->isApart($m['before'], $m['rest'])) {
            $pieces[] = $m['before'].':';
            $rest = $m['rest'];
        }
        if (
            $pieces === []
            && preg_match(self::BEFORE_DASH, $rest, $m) === 1
            && ! $this->items->isOne($m['before'])
            && $this->isApart($m['before'], $m['rest'])
        ) {
            $pieces[] = $m['before'].' '.$m['dash'];
            $rest = $m['rest'];
        }
        foreach (self::sentences($rest) as $sentence) {
            $numbers = $pieces !== [] && preg_match('/^\W*\d{1,2}\.$/u', $pieces[count($pieces) - 1]) === 1;
            if ($pieces !== [] && ($numbers || preg_match(self::GOES_ON, $sentence) === 1)) {
                $pieces[] = array_pop($pieces).' '.$sentence;

                continue;
            }
            $pieces[] = $sentence;
        }

        return count($pieces) < 2
            ? [$row]
            : array_map(static fn (string $p): Row => new Row($p, $row->of, true), $pieces);
    }

    private function namesSeveral(string $text): bool
    {
        return count($this->items->in($this->plain->row(Rows::unbulleted($text)))) >= self::SEVERAL
            || preg_match_all(self::BARE, $text) > self::SEVERAL
            || Together::fractions($this->plain->row(preg_replace('/^[^:]*:\s+/u', '', $text) ?? $text)) !== [];
    }

    /** Whether what stands before a colon is about what follows and no part of it: no step, no amount of its own. */
    private function isApart(string $before, string $rest): bool
    {
        return preg_match('/^\W*step\b|[,;]/iu', $before) !== 1
            && $this->items->in($this->plain->row($before)) === []
            && $this->namesSeveral($rest);
    }

    /** @return list<string> with what ends them */
    private static function sentences(string $text): array
    {
        $sentences = [];
        $from = 0;
        preg_match_all(self::ENDS, $text, $m, PREG_OFFSET_CAPTURE);
        foreach ($m[0] as [$end, $at]) {
            $to = $at + strlen($end);
            $sentences[] = trim(substr($text, $from, $to - $from));
            $from = $to;
        }
        $sentences[] = trim(substr($text, $from));

        return array_values(array_filter($sentences, static fn (string $s): bool => $s !== ''));
    }
}
