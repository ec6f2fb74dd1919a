<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Assessment\Composition;
use Crown\Assessment\Examined;
use Crown\Assessment\Portion;
use Crown\Assessment\Reshare;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Name;
use Crown\Catalogue\Need;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\Size;
use Crown\Measure\Amount;
use Crown\Measure\WrittenAmount;
use Crown\Solving\Internal\Pool;
use Crown\Solving\Internal\Wishes;
use Crown\Solving\Requirement\CostOfHundredGrams;
use Crown\Solving\Requirement\PointsForNeed;
use Crown\Words\Message;

/**
 * Wishes in a maker's words, turned into requirements that are shown, solved near the present formula, and written as a
 * new one. Method page: docs/methods/solver.md.
 */
final readonly class Design
{
    /** How many more ingredients there may be than now, where the maker does not say. */
    private const NEWCOMERS = 2;

    /** Points by which shares may move at most to become simple parts: fewer than anybody feels. */
    private const PARTS_WITHIN = 4.0;

    /** Below this share a newcomer is not worth a line, per cent. */
    private const NOT_WORTH_A_LINE = 0.005;

    private Wishes $wishes;

    private Pool $pool;

    /**
     * @param  list<Wished>  $wishes
     * @param  array<string, float|null>  $stock grams at hand by ingredient id, null for "some"; what is not named is
     *     not there
     */
    public function __construct(
        private Examined $subject,
        private Catalogue $catalogue,
        array $wishes,
        array $stock = [],
    ) {
        $this->wishes = new Wishes($subject, $catalogue, $wishes);
        $this->pool = new Pool($subject, $catalogue, $this->wishes, $stock);
    }

    /**
     * @return list<Requirement> to be shown, and changed if need be
     *
     * @throws SolveError
     */
    public function requirements(): array
    {
        return $this->wishes->requirements();
    }

    /**
     * @param  list<Requirement>  $requirements
     * @param  int|null  $most ingredients there may be; null for as few as do it
     * @param  list<Goal>  $goals what is made best, the first counting most; between equals the nearest is taken
     * @param  list<Need>  $serves what "service" means; the needs among the requirements when empty
     * @return Answer with another in simple parts where those cost little
     *
     * @throws SolveError
     */
    public function answer(array $requirements, ?int $most = null, array $goals = [], array $serves = []): Answer
    {
        $serves = $serves !== [] ? $serves : self::needs($requirements);
        if (in_array(Goal::Service, $goals, true) && $serves === []) {
            throw SolveError::noNeed();
        }
        $candidates = $this->priced($this->pool->candidates($requirements), $requirements, $goals);
        $batch = $this->wishes->has(Wish::AtHand) ? $this->subject->composition->totalGrams->best : null;
        $short = self::short($candidates, $batch);
        if ($short !== []) {
            return self::notInCupboard($short);
        }
        $solve = static fn (?int $most): Answer => Solver::solve(
            $candidates,
            $requirements,
            in_array(Goal::Nearest, $goals, true) ? $goals : [...$goals, Goal::Nearest],
            $most,
            $batch,
            $serves,
            self::PARTS_WITHIN,
        );
        $fewer = max(1, count($this->subject->composition->weighed()) - 1);

        return match (true) {
            $most !== null => $solve($most),
            $this->wishes->has(Wish::Fewer) => $solve($fewer),
            default => $this->withFew($solve),
        };
    }

    /**
     * The formula that the answer is: lines that moved in the unit in which they stood, what came in by grams, or by
     * share where all is.
     */
    public function formula(Answer $answer): Formula
    {
        $formula = $this->subject->formula();
        $now = $this->subject->composition->percentages();
        $written = Reshare::written($this->subject, $formula, $answer->shares, $now);
        $total = Composition::of($formula->withSize(Size::asWritten()), $this->subject->context)->totalGrams->best;
        $byShare
            = array_filter(
                $this->subject->composition->weighed(),
                static fn (Portion $p): bool => $p->read()->unit->isRelative(),
            ) !== [];
        $lines = $written->lines;
        foreach (array_diff_key($answer->shares, $now) as $id => $share) {
            if ($share > self::NOT_WORTH_A_LINE) {
                $amount = $byShare ? Amount::percent(round($share, 2)) : self::grams(($share / 100) * $total);
                $lines[] = self::line([...$formula->lines, ...$lines], $this->catalogue->get($id), $amount);
            }
        }

        return $written->withLines($lines);
    }

    /**
     * Nobody wants a dozen oils for it. Where few do not do, many are better than nothing.
     *
     * @param  callable(int|null): Answer  $solve
     */
    private function withFew(callable $solve): Answer
    {
        $free = $solve(null);
        $few = count($this->subject->composition->percentages()) + self::NEWCOMERS;
        if (count($free->shares) <= $few) {
            return $free;
        }
        try {
            $answer = $solve($few);
        } catch (SolveError) {
            return $free;
        }

        return $answer->status === 'impossible'
            ? $free
            : $answer->boundBy(Message::said('solving.design.most-ingredients', ['few' => $few]));
    }

    /**
     * Whoever asks for points for a need has named it.
     *
     * @param  list<Requirement>  $requirements
     * @return list<Need>
     */
    private static function needs(array $requirements): array
    {
        $needs = [];
        foreach ($requirements as $requirement) {
            if ($requirement instanceof PointsForNeed) {
                $needs[$requirement->need->value] = $requirement->need;
            }
        }

        return array_values($needs);
    }

    /**
     * A stand-in whose price is not known must not pass for a cheap one.
     *
     * @param  list<Candidate>  $candidates
     * @param  list<Requirement>  $requirements
     * @param  list<Goal>  $goals
     * @return list<Candidate>
     *
     * @throws SolveError when a line of the formula itself has no price
     */
    private function priced(array $candidates, array $requirements, array $goals): array
    {
        $costs = array_filter($requirements, static fn (Requirement $r): bool => $r instanceof CostOfHundredGrams);
        if ($costs === [] && ! in_array(Goal::Cheapest, $goals, true)) {
            return $candidates;
        }
        $this->wishes->costNow();

        return array_values(array_filter($candidates, static fn (Candidate $c): bool => $c->supply->price !== null));
    }

    /**
     * @param  list<Candidate>  $candidates
     * @return list<Candidate> what has to stay in it, and of which there is not enough in the cupboard
     */
    private static function short(array $candidates, ?float $batch): array
    {
        return array_values(
            array_filter(
                $candidates,
                static fn (Candidate $c): bool => $batch !== null
                    && $batch > 0.0
                    && $c->least > 0.0
                    && $c->supply->stock !== null
                    && $c->supply->stock * 100 < $c->least * $batch,
            ),
        );
    }

    /** @param  non-empty-list<Candidate>  $short */
    private static function notInCupboard(array $short): Answer
    {
        $names = array_map(static fn (Candidate $c): string => Name::inSentence($c->ingredient->name), $short);

        return Answer::impossible(
            new Contradiction([
                Message::said('solving.design.only-from-cupboard'),
                Message::said('solving.design.stays', ['names' => implode(', the ', $names)]),
            ]),
        );
    }

    private static function grams(float $grams): Amount
    {
        return Amount::grams(round($grams, $grams >= 10.0 ? 1 : 2));
    }

    /** @param  list<Line>  $lines that there are already */
    private static function line(array $lines, Ingredient $ingredient, Amount $amount): Line
    {
        return new Line(
            Line::freeId(array_map(static fn (Line $l): string => $l->id, $lines)),
            $ingredient->id,
            $ingredient->name,
            new WrittenAmount($amount->written),
            $ingredient->usualForm(),
            Phase::usualFor($ingredient),
        );
    }
}
