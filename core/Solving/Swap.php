<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Reshare;
use Crown\Assessment\Severity;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\StandIn;
use Crown\Catalogue\StandIns;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Solving\Requirement\Heaviness;
use Crown\Words\Message;

/**
 * One line of a formula with something else in its place, the other shares moved as little as keeps texture and weight
 * as they are. Method page: docs/methods/substitution.md.
 */
final readonly class Swap
{
    /** Effective solids may differ by this part of what they were, and by 1 at least; the weight index by this much. */
    private const SOLIDS = 0.1;

    private const WEIGHT = 0.15;

    /** @param  bool  $rebalanced whether other shares had to move */
    private function __construct(
        public StandIn $standIn,
        public Formula $formula,
        public Assessment $assessment,
        public bool $rebalanced,
        private Assessment $before,
    ) {
    }

    /**
     * @param  Assessment  $now of the formula as it is
     * @param  string  $line id of a line whose ingredient is in the catalogue
     * @param  list<string>  $held ids of what the maker has
     * @return list<self> stand-ins that she has, then the nearest
     */
    public static function of(
        Assessment $now,
        string $line,
        Catalogue $catalogue,
        Assessor $assessor,
        int $most = 5,
        array $held = [],
    ): array {
        $subject = $now->subject;
        $old = $subject->formula()->line($line);
        if ($old->ingredient === null || ! $catalogue->has($old->ingredient)) {
            throw SolveError::field('line', new Message('solving.swap.line-whose-ingredient-catalogue'));
        }
        $swaps = [];
        foreach ((new StandIns($catalogue))->for($catalogue->get($old->ingredient), [], $most, $held) as $standIn) {
            [$formula, $moved] = self::balanced($subject, $old, $standIn->ingredient);
            $swaps[] = new self($standIn, $formula, $assessor->assess($formula, $subject->context), $moved, $now);
        }

        return $swaps;
    }

    /** @return list<string> what it would change, in sentences */
    public function words(): array
    {
        [$was, $is] = [$this->before->subject, $this->assessment->subject];
        $said = [];
        $a = $was->texture->solids(25.0)->best;
        $b = $is->texture->solids(25.0)->best;
        if (abs($a - $b) >= 1.0) {
            $said[] = Message::said('solving.swap.effective-solids-c-instead', [
                'b' => sprintf('%.0f', $b),
                'a' => sprintf('%.0f', $a),
            ]);
        }
        [$heavy, $heavier] = [$was->heaviness(), $is->heaviness()];
        if ($heavy !== null && $heavier !== null && abs($heavy - $heavier) >= 0.1) {
            $said[] = Message::said('solving.swap.weight-on-hair-instead', [
                'heavier' => sprintf('%.1f', $heavier),
                'heavy' => sprintf('%.1f', $heavy),
            ]);
        }
        [$long, $longer] = [$was->life->months?->best, $is->life->months?->best];
        if ($long !== null && $longer !== null && abs($long - $longer) >= 1.0) {
            $said[] = Message::said('solving.swap.keeps-instead', [
                'longer' => $longer,
                'long' => sprintf('%.0f', $long),
            ]);
        }
        [$lost, $won] = [self::allergens($was), self::allergens($is)];
        foreach (array_diff($won, $lost) as $allergen) {
            $said[] = Message::said('solving.swap.brings-allergen', ['allergen' => $allergen]);
        }
        foreach (array_diff($lost, $won) as $allergen) {
            $said[] = Message::said('solving.swap.no-any-more', ['allergen' => $allergen]);
        }
        foreach (self::graver($this->assessment, $this->before) as $finding) {
            $said[] = sprintf('New %s: %s', $finding->severity->value, $finding->message());
        }

        return $said === [] ? [Message::said('solving.swap.nothing-can-be-told')] : $said;
    }

    /** @return array{Formula, bool} */
    private static function balanced(Examined $subject, Line $old, Ingredient $standIn): array
    {
        $plain = $subject
            ->formula()
            ->replacing($old->withIngredient($standIn->id, $standIn->name, Phase::usualFor($standIn)));
        // Beside a line that does not count no share is known, and none is moved.
        if (array_filter($subject->composition->portions, static fn (Portion $p): bool => ! $p->counts()) !== []) {
            return [$plain, false];
        }
        $now = [];
        foreach ($subject->composition->weighed() as $portion) {
            $id = $portion->line->id === $old->id ? $standIn->id : $portion->ingredient->id;
            $ingredient = $portion->line->id === $old->id ? $standIn : $portion->ingredient;
            if (! $ingredient->isPlaced()) {
                return [$plain, false];
            }
            $now[$id] ??= ['ingredient' => $ingredient, 'share' => 0.0, 'moves' => true];
            $now[$id]['share'] += $portion->percent();
            $now[$id]['moves'] = $now[$id]['moves'] && ! $portion->line->locked && $ingredient->kind->isFat();
        }
        $candidates = array_map(
            static fn (array $n): Candidate => new Candidate(
                $n['ingredient'],
                // What takes a place keeps at least half of it: else it would be a leaving out, not a swap.
                $n['ingredient']->id === $standIn->id && $n['moves']
                    ? $n['share'] / 2
                    : ($n['moves']
                        ? 0.0
                        : $n['share']),
                $n['moves'] ? 100.0 : $n['share'],
                $n['share'],
                firmness: $subject->texture->learned->factor,
            ),
            array_values($now),
        );
        $requirements = self::asked($subject);
        // What gives way to the stand-in are the fats; everything else keeps its share.
        foreach ($requirements as $asked) {
            $answer = Solver::solve($candidates, $asked, [Goal::Nearest]);
            if ($answer->status !== 'impossible') {
                $written = Reshare::written(
                    $subject,
                    $plain,
                    $answer->shares,
                    array_map(static fn (array $n): float => $n['share'], $now),
                );

                return [$written, $written->lines != $plain->lines];
            }
        }

        return [$plain, false];
    }

    /** @return list<list<Requirement>> what it is to keep: texture and weight, else texture alone */
    private static function asked(Examined $subject): array
    {
        $solids = $subject->texture->solids(25.0)->best;
        $heaviness = $subject->heaviness();
        $may = max(1.0, $solids * self::SOLIDS);
        $near = new EffectiveSolids(new Between(max(0.0, $solids - $may), $solids + $may));

        return $heaviness === null
            ? [[$near]]
            : [[$near, new Heaviness(new Between($heaviness - self::WEIGHT, $heaviness + self::WEIGHT))], [$near]];
    }

    /** @return list<string> */
    private static function allergens(Examined $subject): array
    {
        $names = [];
        foreach ($subject->composition->counted() as $portion) {
            foreach ($portion->ingredient->precautions->allergens as $allergen) {
                $names[$allergen] = true;
            }
        }

        return array_keys($names);
    }

    /** @return list<Finding> stops and cautions that were not there before */
    private static function graver(Assessment $is, Assessment $was): array
    {
        $known = array_map(static fn (Finding $f): string => $f->code, $was->findings);

        return array_values(
            array_filter(
                $is->findings,
                static fn (Finding $f): bool => $f->severity !== Severity::Note
                    && $f->code !== 'allergen'
                    && ! in_array($f->code, $known, true),
            ),
        );
    }
}
