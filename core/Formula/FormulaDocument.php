<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Formula\Internal\FormulaFormat;
use Crown\Json\JsonError;
use Crown\Json\Node;
use Crown\Measure\WrittenAmount;
use Crown\Problem;
use Crown\Words\Message;

/** Formulas as open JSON, as they are kept and exchanged: $defs/Formula in docs/formats/crown.schema.json. */
final class FormulaDocument
{
    /** @return array<string, mixed> */
    public static function write(Formula $formula): array
    {
        return [
            ...FormulaFormat::latest()->head(),
            'title' => $formula->title,
            'kind' => $formula->kind->value,
            'audience' => $formula->audience->value,
            'wet_use' => $formula->wetUse,
            'for_sale' => $formula->forSale,
            'storage_c' => $formula->storageCelsius,
            'clear_glass' => $formula->clearGlass,
            'size' => self::writeSize($formula->size),
            'lines' => array_map(self::writeLine(...), $formula->lines),
            'steps' => array_map(self::writeStep(...), $formula->steps),
            'notes' => $formula->notes,
            'accepted' => array_map(self::writeAcceptance(...), $formula->accepted),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $json of today's format, or of any before
     *
     * @throws JsonError|FormulaError naming the field and what is allowed
     */
    public static function read(array $json): Formula
    {
        $node = Node::of(FormulaFormat::latest()->upcast($json));
        $size = $node->object('size');

        return new Formula(
            $node->text('title', 'Untitled', 200),
            $node->one('kind', ProductKind::class, ProductKind::HairOil),
            $node->one('audience', Audience::class, Audience::AdultLeaveOn),
            self::lines($node),
            self::steps($node),
            $size === null ? Size::asWritten() : self::size($size),
            $node->flag('wet_use'),
            $node->flag('for_sale'),
            $node->number('storage_c') ?? 20.0,
            $node->text('notes', '', Formula::LONGEST_NOTES),
            self::accepted($node),
            $node->flag('clear_glass'),
        );
    }

    /** @return array<string, mixed> */
    private static function writeSize(Size $size): array
    {
        return match ($size->mode) {
            'mass' => ['mode' => 'mass', 'grams' => $size->grams],
            'jars' => [
                'mode' => 'jars',
                'jars' => $size->jars,
                'millilitres' => $size->millilitres,
                'overfill' => $size->overfill,
                'loss' => $size->loss,
            ],
            default => ['mode' => 'as-written'],
        };
    }

    /** @return array<string, mixed> */
    private static function writeLine(Line $line): array
    {
        return [
            'id' => $line->id,
            // In the document "" stands for what was not placed.
            'ingredient' => $line->ingredient ?? '',
            'name' => $line->name,
            'amount' => $line->amount->text,
            'form' => $line->form,
            'phase' => $line->phase->value,
            'locked' => $line->locked,
            ...$line->doubt() === null ? [] : ['doubt' => $line->doubt()->toArray()],
        ];
    }

    /** @return array<string, mixed> */
    private static function writeStep(Step $step): array
    {
        return [
            'text' => $step->text,
            'act' => $step->act,
            // In the document 0 stands for a time that is not said.
            'minutes' => $step->minutes ?? 0.0,
            'celsius' => $step->celsius,
        ];
    }

    /** @return array<string, mixed> */
    private static function writeAcceptance(Acceptance $acceptance): array
    {
        return [
            'finding' => $acceptance->key->jsonSerialize(),
            'reason' => $acceptance->reason,
            ...$acceptance->sentence === null ? [] : ['sentence' => $acceptance->sentence],
        ];
    }

    private static function size(Node $size): Size
    {
        return match ($size->text('mode', 'as-written')) {
            'as-written' => Size::asWritten(),
            'mass' => Size::mass($size->number('grams') ?? 0.0),
            'jars' => Size::jars(
                (int) ($size->number('jars') ?? 0.0),
                $size->number('millilitres') ?? 0.0,
                $size->number('overfill') ?? Size::OVERFILL,
                $size->number('loss') ?? Size::LOSS,
            ),
            default => throw FormulaError::field('size.mode', new Message('formula.formula-document.size-modes')),
        };
    }

    /** @return list<Line> */
    private static function lines(Node $formula): array
    {
        $lines = [];
        foreach ($formula->objects('lines') as $i => $row) {
            $id = $row->text('id', 'l'.($i + 1), 40);
            if (isset($lines[$id])) {
                throw FormulaError::field('lines.'.$i.'.id', new Message('formula.formula-document.id-no-other-line'));
            }
            $ingredient = $row->text('ingredient', '', 80);
            $lines[$id] = new Line(
                $id,
                $ingredient ?: null,
                $row->text('name', $ingredient, Line::LONGEST_NAME),
                new WrittenAmount($row->text('amount', '', Line::LONGEST_AMOUNT)),
                $row->text('form', '', 20),
                $row->one('phase', Phase::class, Phase::Warm),
                $row->flag('locked'),
                self::doubt($row->object('doubt')),
            );
        }

        return array_values($lines);
    }

    private static function doubt(?Node $doubt): ?Doubt
    {
        return $doubt === null
            ? null
            : new Doubt(
                $doubt->text('written', '', Line::LONGEST_NAME),
                $doubt->text('ingredient', '', 80) ?: null,
                $doubt->text('amount', '', Line::LONGEST_AMOUNT) ?: null,
            );
    }

    /** @return list<Step> */
    private static function steps(Node $formula): array
    {
        $rows = $formula->objects('steps');
        if (count($rows) > Formula::MOST_STEPS) {
            throw FormulaError::field('steps', new Message('formula.formula-document.list-most-steps', [
                'most' => Formula::MOST_STEPS,
            ]));
        }

        return array_map(
            static fn (Node $row): Step => new Step(
                $row->text('text', '', 2_000),
                $row->text('act', 'other', 20),
                $row->number('minutes') ?: null,
                $row->number('celsius'),
            ),
            $rows,
        );
    }

    /** @return list<Acceptance> */
    private static function accepted(Node $formula): array
    {
        $rows = $formula->objects('accepted');
        if (count($rows) > Formula::MOST_ACCEPTED) {
            throw FormulaError::field(
                'accepted',
                new Message('formula.formula-document.list-most-accepted-findings', [
                    'most' => Formula::MOST_ACCEPTED,
                ]),
            );
        }
        $accepted = [];
        foreach ($rows as $i => $row) {
            $key = self::key($row->object('finding') ?? Node::of([]));
            $reason = $row->text('reason', '', Acceptance::LONGEST_REASON);
            $sentence = $row->has('sentence') ? $row->text('sentence', '', Acceptance::LONGEST_SENTENCE) : null;
            $accepted[] = Problem::within(
                "accepted.$i",
                static fn (): Acceptance => new Acceptance($key, $reason, $sentence),
            );
        }

        return $accepted;
    }

    private static function key(Node $finding): FindingKey
    {
        return new FindingKey(
            $finding->text('code', '', 60),
            $finding->text('severity', '', 10),
            array_map(static fn (string $about): string => mb_substr($about, 0, 500), $finding->texts('about')),
            $finding->object('figures')?->all() ?? [],
        );
    }
}
