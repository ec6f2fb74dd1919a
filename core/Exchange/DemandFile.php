<?php

declare(strict_types=1);

namespace Crown\Exchange;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Need;
use Crown\Json\Node;
use Crown\Problem;
use Crown\Solving\Answer;
use Crown\Solving\Candidate;
use Crown\Solving\Goal;
use Crown\Solving\Requirement;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Solving\Requirements;
use Crown\Solving\SolveError;
use Crown\Solving\Solver;
use Crown\Solving\Supply;

/** What is asked of the solver, as open JSON: $defs/Demands in docs/formats/crown.schema.json. */
final class DemandFile
{
    /** Points by which a share may move so that all become simple parts. */
    private const PARTS_WITHIN = 12.0;

    /**
     * Reads and solves it. In the document 0 stands for any share of a drop, any number of ingredients, and no batch.
     *
     * @param  array<array-key, mixed>  $json
     *
     * @throws Problem naming the field and what is allowed
     */
    public static function solve(array $json, Catalogue $catalogue): Answer
    {
        $asked = Node::of($json);
        $answer = Solver::solve(
            self::candidates($asked, $catalogue),
            self::requirements($asked),
            self::goals($asked),
            (int) $asked->number('most_ingredients') ?: null,
            $asked->number('batch_grams') ?: null,
            self::serves($asked),
            $asked->flag('parts') ? self::PARTS_WITHIN : null,
        );

        return $answer->simple ?? $answer;
    }

    /** @return list<Candidate> */
    private static function candidates(Node $asked, Catalogue $catalogue): array
    {
        $without = $asked->texts('without');
        $candidates = [];
        foreach ($asked->objects('ingredients') as $i => $row) {
            $id = $row->text('id');
            if (! $catalogue->has($id)) {
                throw SolveError::field("ingredients.$i.id", 'the id of an ingredient in the catalogue');
            }
            $ingredient = $catalogue->get($id);
            $shunned = array_filter($without, $ingredient->answersTo(...)) !== [];
            [$least, $most] = $shunned ? [0.0, 0.0] : [$row->number('min') ?? 0.0, $row->number('max') ?? 100.0];
            $now = $row->number('now') ?? 0.0;
            $supply = new Supply($row->number('price'), $row->number('stock'));
            $step = $row->number('step') ?: null;
            $candidates[] = Problem::within(
                "ingredients.$i",
                static fn (): Candidate => new Candidate($ingredient, $least, $most, $now, $supply, step: $step),
            );
        }

        return $candidates;
    }

    /** @return list<Requirement> */
    private static function requirements(Node $asked): array
    {
        $requirements = [];
        foreach ($asked->objects('demands') as $i => $row) {
            [$kind, $of, $at] = [$row->text('kind'), $row->text('of'), $row->number('at')];
            [$least, $most] = [$row->number('min'), $row->number('max')];
            $requirements[] = Problem::within("demands.$i", static fn (): Requirement => Requirements::written(
                $kind,
                $least,
                $most,
                $of,
                $at ?? EffectiveSolids::USUAL_CELSIUS,
            ));
        }

        return $requirements;
    }

    /** @return list<Goal> one may stand there by itself */
    private static function goals(Node $asked): array
    {
        return array_map(
            static fn (string $goal): Goal => Goal::tryFrom($goal)
                ?? throw SolveError::field('goal', implode(', ', array_column(Goal::cases(), 'value'))),
            $asked->isText('goal') ? [$asked->text('goal')] : $asked->texts('goal'),
        );
    }

    /** @return list<Need> */
    private static function serves(Node $asked): array
    {
        return array_map(
            static fn (string $need): Need => Need::tryFrom($need)
                ?? throw SolveError::field('serves', implode(', ', array_column(Need::cases(), 'value'))),
            $asked->texts('serves'),
        );
    }
}
