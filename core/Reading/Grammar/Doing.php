<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Formula\Step;
use Crown\Reading\Fate;
use Crown\Reading\Internal\Instructions;

/** What a sentence tells to do, step by step. */
final readonly class Doing
{
    /** Words from which a row of the method is no row of a list. */
    private const LISTED = 8;

    /** Tokens within which what it is called ends. */
    private const CALLED = 7;

    /** "Don't use if pregnant", "never heat it": a warning, and nothing to be done. */
    private const DENIED = '/^\W*(?:please\s+)?(?:do\s+not|don[\'’]?t|never|no|not)\b/iu';

    private const NUMBERED = '/^\s*(?:\(?\d{1,2}[.)]|[^\p{L}\p{N}\s(]+)\s+/u';

    private English $english;

    public function __construct(private Sentence $sentence, private bool $inMethod)
    {
        $this->english = English::of($sentence->text, $sentence->chart);
    }

    /** Whether it tells what is done, and names things only in passing. */
    public function isMethod(): bool
    {
        $text = self::unnumbered($this->english->text);
        // "Dry shampoo: 1/4 cup arrowroot", "Hot oil: warm 2 tbsp coconut": what it is called is no act.
        $rest = preg_replace('/^[^:\d]{2,40}:\s+(?=\S)/u', '', $text) ?? $text;
        $things = count($this->sentence->measured());
        $begins = Instructions::begins($rest);

        return match (true) {
            $begins => ! ($things > 1 && Instructions::tells($rest)),
            $this->inMethod => $things === 0 || $this->sentence->chart->length > self::LISTED,
            $things > 0 => count($this->actsAtEnds()) > 1,
            default => $this->acts() || Instructions::waits($rest),
        };
    }

    /** @return list<ToldStep> */
    public function steps(): array
    {
        $isMethod = $this->isMethod();
        $steps = $isMethod ? Instructions::steps($this->english->text) : Instructions::timed($this->english->text);
        // What says only what is in it, or what is left out, is nothing to be done.
        $isTold = count($steps) > 1 || $this->sentence->measured() !== [];
        $told = [];
        $behind = 0;
        foreach ($steps as $step) {
            $at = mb_strpos($this->english->text, $step->text, $behind);
            $from = $at === false ? $behind : $at;
            $behind = $from + mb_strlen($step->text);
            $isRemark = preg_match(self::DENIED, $step->text) === 1 && $step->minutes === null;
            $isRemark = $isRemark || $step->act === 'other' && $step->minutes === null && $step->celsius === null
                && ($isTold || (! $this->inMethod && ! $this->sentence->chart->is(0, Kind::Act))
                    || $this->sentence->tells(Kind::Not));
            if (! $isRemark) {
                $told[] = $this->told($step, $from, $behind);
            }
        }

        return $told;
    }

    private function told(Step $step, int $from, int $to): ToldStep
    {
        [$from, $to] = $this->english->written($from, $to);
        $from += preg_match(self::NUMBERED, mb_substr($this->sentence->text, $from, $to - $from), $m) === 1
            ? mb_strlen($m[0]) : 0;
        $words = mb_substr($this->sentence->text, $from, $to - $from);

        return new ToldStep($step, new Step($words, $step->act, $step->minutes, $step->celsius), $from, $to);
    }

    /** Whether it tells of something that is done. */
    private function acts(): bool
    {
        $chart = $this->sentence->chart;
        if ($chart->length < 2 || $chart->isSign($chart->length - 1, ':', '?')) {
            return false;
        }
        $isTimed = $this->sentence->cover->has(Fate::Time) || $this->sentence->cover->has(Fate::Temperature);

        return $this->actsAtEnds() !== [] || ($isTimed && $this->actsIn() !== []);
    }

    /** @return list<int> tokens of acts that are no part of a name, and of nothing that is made: "herb mix" */
    private function actsIn(): array
    {
        $chart = $this->sentence->chart;
        $taken = $this->sentence->taken();
        $first = 0;
        for ($place = 1; $place < min(self::CALLED, $chart->length - 1); $place++) {
            $first = $chart->isSign($place, ':') ? $place + 1 : $first;
        }
        $first = $chart->is($first, Kind::Yields) ? $first + 1 : $first;

        return array_values(array_filter(
            range(min($first, max(0, $chart->length - 1)), max(0, $chart->length - 1)),
            static fn (int $p): bool => $chart->is($p, Kind::Act) && ($taken[$p]->items ?? []) === []
                && ! ($p > 0 && $chart->is($p, Kind::Product)),
        ));
    }

    /**
     * Those that begin or end a clause: "melt it", "dann alles mischen"; and not "my big chop at 31".
     *
     * @return list<int>
     */
    private function actsAtEnds(): array
    {
        return array_values(array_filter($this->actsIn(), fn (int $p): bool => $this->isAtAnEnd($p)));
    }

    private function isAtAnEnd(int $place): bool
    {
        $chart = $this->sentence->chart;
        $before = $place - 1;
        while ($before >= 0 && $chart->isSmall($before) && ! $chart->is($before, Kind::Mine, Kind::Article)) {
            $before--;
        }
        $next = $chart->past($place, Kind::Act);

        return $before < 0
            || (! $chart->isWord($before) && $chart->tokens[$before]->number === null)
            || $next >= $chart->length
            || $chart->isSign($next, ',', '.', ';', '!', ')')
            || $chart->is($next, Kind::Plus);
    }

    private static function unnumbered(string $text): string
    {
        return preg_replace('/^(?:\d{1,2}[.)]\s+)?[^\p{L}\p{N}]*/u', '', $text) ?? $text;
    }
}
