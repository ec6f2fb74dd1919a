<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Finding;
use Crown\Assessment\LoadPlan;
use Crown\Assessment\Reshare;
use Crown\Assessment\Stock;
use Crown\Assessment\WaterPlan;
use Crown\Catalogue\Need;
use Crown\Exchange\FormulaText;
use Crown\Formula\Edits;
use Crown\Formula\Family;
use Crown\Formula\Formula;
use Crown\Formula\FormulaDocument;
use Crown\Formula\ProductKind;
use Crown\Head\CrownMap;
use Crown\Head\FirstFormula;
use Crown\Head\Fit;
use Crown\Head\Guide;
use Crown\Head\HeadCheck;
use Crown\Head\Mark;
use Crown\Head\Scalp;
use Crown\Head\Shortlist;
use Crown\Head\Zone;
use Crown\Learning\Batches;
use Crown\Learning\Observation;
use Crown\Learning\Predicted;
use Crown\Learning\TextureFound;
use Crown\Make\BatchClosing;
use Crown\Make\MakeSheet;
use Crown\Make\Put;
use Crown\Make\PutHow;
use Crown\Make\Task;
use Crown\Make\Weighing;
use Crown\Measure\MeasureError;
use Crown\Papers\Label;
use Crown\Problem;
use Crown\Reading\RecipeReader;
use Crown\Rhythm\DayState;
use Crown\Rhythm\PatchTest;
use Crown\Rhythm\RoutineState;
use Crown\Steep\Entry;
use Crown\Steep\EntryKind;
use Crown\Steep\JarState;
use Crown\Steep\MethodTable;
use Crown\Steep\NextAct;
use Crown\Steep\ShakeStrip;
use Crown\Steep\Signs;
use Crown\Steep\Standing;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepError;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use Crown\Steep\Straining;
use Crown\Steep\Timing;
use Crown\Steep\WaterChoice;
use DateTimeImmutable;

/**
 * What else follows from a drawn case: beside an earlier version, after it was made, from what was learned, as text.
 */
final class Wider
{
    private const DAY = '2027-03-10';

    private const STYLES = [
        "%2\$s\n%1\$s\n\nMethod\nMelt at 70 C for 10 minutes. Cool to 40 C and stir the rest in.",
        "# %2\$s\n\n- %1\$s\n\nSteep for 4 weeks, then strain.",
        "%2\$s\nIngredients:\n%1\$s\nfor my 8 year old, makes about 200 g",
        '%1$s',
    ];

    /** @return array<string, mixed> */
    public static function ofFormula(Draw $draw, int $n): array
    {
        $context = new Context($draw->catalogue, $draw->kitchen());
        $formula = $draw->formula();
        $before = (new Draw('formula', $n - 1, $draw->catalogue))->formula();
        $assessment = Assessor::standard()->assess($formula, $context);
        $changed = self::changed($formula);
        $taught = self::taught($assessment, $context, $draw);

        return [
            'whole' => $assessment->jsonSerialize(),
            'bands' => $assessment->bands(),
            'document' => FormulaDocument::write(FormulaDocument::read(FormulaDocument::write($formula))),
            'carried' => FormulaDocument::write($assessment->carried()),
            'before' => self::found($changed, $context->comparedWith($formula)),
            'other' => self::found($formula, $context->comparedWith($before)),
            'edits' => array_map(FiguresTest::numbersIn(...), Edits::between($formula, $changed)),
            'passed' => FormulaDocument::write(Family::pass($before, $changed, $formula)),
            'taught' => Assessor::standard()->assess($formula, $taught)->jsonSerialize(),
            'text' => FiguresTest::numbersIn(FormulaText::write($assessment)),
            'stock' => Stock::of($assessment->subject->composition, self::atHand($draw, $assessment)),
            'made' => self::made($draw, $assessment, $context),
            'moved' => self::moved($assessment, $context),
            'said' => self::said($assessment, $context, $changed),
            'damaged' => self::damaged($draw, $formula),
        ];
    }

    /** @return array<string, mixed> */
    public static function ofSteep(Draw $draw): array
    {
        $plan = $draw->steep();
        $today = new DateTimeImmutable(self::DAY);
        $standing = new Standing(
            $draw->one(JarState::cases()),
            $draw->one([[], [$today->modify('+2 days')], [$today->modify('+1 days'), $today->modify('+4 days')]]),
            $draw->one([true, false, false]),
            $draw->one([true, false]),
        );
        $days = [0, 3, 4, 5, 12, 25, 27, 28, 29, 31, 45];
        $yields = [];
        foreach (WaterChoice::cases() as $choice) {
            foreach ([[0.7, 0.0], [0.9, 3.0], [0.5, 12.0]] as [$share, $loss]) {
                $yields[] = self::yielded($plan, $share, $loss, $choice, $today);
            }
        }

        return [
            'standing' => array_map(
                static fn (int $day): array => array_diff_key(
                    NextAct::of($plan, $standing, $today->modify(sprintf('+%d days', $day)))->jsonSerialize(),
                    ['words' => 1],
                ),
                $days,
            ),
            'strip' => array_map(
                static fn (int $day): mixed => new ShakeStrip(
                    $plan->timeline,
                    $standing,
                    $today->modify(sprintf('+%d days', $day)),
                ),
                $days,
            ),
            'signs' => array_map(FiguresTest::numbersIn(...), array_map(strval(...), array_values(Signs::of($plan)))),
            'yields' => $yields,
            'timing' => array_map(static fn (int $day): array => self::timed($plan, $today, $day), [
                0,
                1,
                2,
                3,
                7,
                14,
                27,
                28,
                29,
                30,
                31,
                33,
                60,
            ]),
            'said' => self::marked([
                array_map(static fn (SteepAdvice $a): string => $a->message, SteepAdvice::on($plan, [])),
                Straining::steps($plan),
                Straining::inShort($plan),
                array_map(
                    static fn (int $day): string => NextAct::of(
                        $plan,
                        $standing,
                        $today->modify(sprintf('+%d days', $day)),
                    )->words(),
                    $days,
                ),
            ]),
            'entries' => self::marked(self::entries($draw, $today)),
        ];
    }

    /** @return array<string, mixed> of a head: its words, its crown on several days, and its routine as it is ticked */
    public static function ofHead(Draw $draw): array
    {
        $head = $draw->head();
        $today = new DateTimeImmutable(self::DAY);
        $marks = [];
        foreach ([0, 3, 3, 9] as $day) {
            $marks[] = new Mark(
                $draw->one(Zone::cases()),
                $draw->one(Scalp::cases()),
                $today->modify(sprintf('+%d days', $day)),
            );
        }
        $map = new CrownMap($marks);
        $assessment = Assessor::standard()
            ->with(new HeadCheck($head))
            ->assess($draw->formula(), new Context($draw->catalogue, $draw->kitchen()));
        $first = (new FirstFormula($draw->catalogue, $head))->make($draw->one(ProductKind::cases()), $draw->chosen());

        return [
            'crown' => array_map(
                static fn (int $day): array => [
                    array_map(
                        static fn (Zone $z): string => $map->at($z, $today->modify(sprintf('+%d days', $day)))->value,
                        Zone::cases(),
                    ),
                    $map->scalp($today->modify(sprintf('+%d days', $day)), $head->scalp)->value,
                ],
                [-1, 0, 2, 3, 4, 9, 12],
            ),
            'said' => self::marked([
                array_map(static fn (Finding $f): string => $f->message(), $assessment->findings),
                Guide::suggest($draw->answers()),
                $first->remarks,
                $first->reasons,
                $head->redFlags(),
                Fit::of($head, $assessment->subject),
                (new Shortlist($draw->catalogue, $head))->for($draw->one(Need::cases()), [], null, 6),
            ]),
            'ticked' => self::ticked($draw),
        ];
    }

    /** @return list<string> the state of a routine after each of ten ticks */
    private static function ticked(Draw $draw): array
    {
        $days = $draw->routine(new DateTimeImmutable(self::DAY))->days();
        $state = RoutineState::Patch;
        $states = [];
        for ($n = 0; $n < 10; $n++) {
            $test = new PatchTest($state, $draw->one([true, true, false]));
            try {
                $state = $test->ticked(
                    $draw->one(array_slice($days, 0, 6)),
                    $draw->one(DayState::cases()),
                    new DateTimeImmutable($draw->one(['2027-03-09', '2027-03-10', '2027-03-12', '2027-03-20'])),
                );
                $states[] = $state->value;
            } catch (Problem $e) {
                $states[] = $e->cause;
            }
        }

        return $states;
    }

    /** @return array<string, mixed> */
    private static function timed(SteepPlan $plan, DateTimeImmutable $today, int $day): array
    {
        $wanted = $today->modify(sprintf('+%d days', $day));
        $told = MethodTable::for($plan, $today, $wanted)->recommended();

        return [Timing::of($plan, $today, $wanted)['latest_start'], $told->method->value, self::marked([$told->why])];
    }

    /** @return list<string> */
    private static function entries(Draw $draw, DateTimeImmutable $on): array
    {
        $words = [];
        foreach (EntryKind::cases() as $kind) {
            $entry = new Entry($kind, $on, [
                'grams' => $draw->one([0.04, 12.5, 100.0]),
                'before' => 612.5,
                'after' => $draw->one([600.25, 612.5]),
                'method' => $draw->one(SteepMethod::cases())->value,
                'ingredient' => $draw->one(['rosemary', 'olive-oil', 'unicorn']),
                'form' => 'dried',
                'herb' => $draw->one(['kept', 'composted']),
                'sign' => 'clear',
                'colour' => $draw->one(['', 'green']),
                'smell' => $draw->one(['', 'fresh']),
            ]);
            $words[] = $entry->words($draw->catalogue);
        }

        return $words;
    }

    /** @return array<string, mixed> a recipe written out in one of several ways, as it is read back */
    public static function ofText(Draw $draw): array
    {
        $formula = $draw->formula();
        $style = $draw->one([0, 1, 2, 3]);
        $between = $style === 1 ? "\n- " : $draw->one(["\n", "\r\n", "\n\n", '; ']);
        $way = $draw->one(['%1$s %2$s', '%2$s: %1$s', '%2$s - %1$s', '%1$s of %2$s', '%2$s (%1$s)']);
        $lines = [];
        foreach ($formula->lines as $line) {
            $lines[] = sprintf($way, $line->amount->text, $draw->one([$line->name, mb_strtolower($line->name)]));
        }
        $text = sprintf(
            self::STYLES[$style],
            implode($between, $lines),
            $draw->one(['Sunday oil', 'My BEST balm', '']),
        );
        $recipe = (new RecipeReader($draw->catalogue, $draw->kitchen()))->read($text);

        return [
            'lines' => array_map(
                static fn ($line): array => [
                    $line->ingredient(),
                    str_replace(' ', '_', $line->amount),
                    $line->form,
                    $line->understood->value,
                    $line->grams,
                ],
                $recipe->lines,
            ),
            'steps' => array_map(static fn ($s): array => [$s->act, $s->minutes, $s->celsius], $recipe->steps),
            'formula' => FormulaDocument::write($recipe->toFormula()),
            'for' => $recipe->for,
        ];
    }

    /** Every sentence of it: a mended word moves these marks and no other. */
    private static function said(Assessment $assessment, Context $context, Formula $changed): string
    {
        $label = new Label($assessment, '270310-1', 50.0, new DateTimeImmutable(self::DAY), 'Here');

        return self::marked([
            $assessment,
            $label->ingredients(),
            $label->directions(),
            $label->cautions(),
            FormulaText::write($assessment),
            Edits::between($assessment->subject->formula(), $changed),
            new WaterPlan($assessment->subject, $context->catalogue),
            new LoadPlan($assessment->subject),
            array_map(
                static fn (Task $t): array => [$t->words(), $t->gate, $t->lines],
                (new MakeSheet($assessment))->tasks(),
            ),
        ]);
    }

    /** With its words; floats to seven digits, so that it is the same on every machine. */
    public static function marked(mixed $said): string
    {
        $plain = json_decode((string) json_encode($said), true);
        array_walk_recursive($plain, static function (mixed &$value): void {
            $value = is_float($value) ? sprintf('%.7g', $value) : $value;
        });

        return md5((string) json_encode($plain));
    }

    /** @return list<string> what is said of a document of which one thing is wrong */
    private static function damaged(Draw $draw, Formula $formula): array
    {
        $said = [];
        foreach (range(1, 6) as $_) {
            $document = FormulaDocument::write($formula);
            $wrong = $draw->one([null, true, -1, 0, '', 'x', [], ['x'], 1e12, str_repeat('long ', 60)]);
            $at = $draw->one(array_keys($document));
            if ($draw->one([true, false]) && is_array($document['lines'][0] ?? null)) {
                $document['lines'][0][$draw->one(array_keys($document['lines'][0]))] = $wrong;
            } else {
                $document[$at] = $wrong;
            }
            try {
                $said[] = md5((string) json_encode(FormulaDocument::write(FormulaDocument::read($document))));
            } catch (Problem $e) {
                $said[] = $e->path.' '.$e->cause;
            }
        }

        return $said;
    }

    /** @return list<mixed> */
    private static function found(Formula $formula, Context $context): array
    {
        return array_map(
            static fn (Finding $f): array => [
                $f->key(),
                FiguresTest::numbersIn($f->message()),
                array_map(static fn ($cure): mixed => $cure->change, $f->cures),
            ],
            Assessor::standard()->assess($formula, $context)->findings,
        );
    }

    /** One line less, and another ten times as much. */
    private static function changed(Formula $formula): Formula
    {
        $lines = array_slice($formula->lines, 1);

        return $formula->withLines([
            $lines[0]->withAmount(new \Crown\Measure\WrittenAmount('90 g')),
            ...array_slice($lines, 1),
        ]);
    }

    private static function taught(Assessment $assessment, Context $context, Draw $draw): Context
    {
        $predicted = Predicted::of($assessment);
        $seen = [];
        foreach ([4.0, 9.0, 14.0] as $months) {
            try {
                $seen[] = new Observation(
                    $predicted,
                    $draw->one([null, ...TextureFound::cases()]),
                    $draw->one([null, 40.0, 95.0]),
                    8.0,
                    $months,
                    $draw->one([true, false]),
                );
            } catch (Problem) {
                continue;
            }
        }

        return new Context($context->catalogue, $context->kitchen, Batches::teach(...$seen));
    }

    /** @return array<string, float|null> */
    private static function atHand(Draw $draw, Assessment $assessment): array
    {
        $atHand = [];
        foreach ($assessment->subject->composition->portions as $portion) {
            $atHand[$portion->ingredient->id] = $draw->one([null, 0.0, 12.0, 80.0, 400.0]);
        }
        array_pop($atHand);

        return $atHand;
    }

    /** @return array<string, mixed> */
    private static function made(Draw $draw, Assessment $assessment, Context $context): array
    {
        $asked = (new MakeSheet($assessment))->weighings();
        $grams = [];
        foreach ($asked as $weighing) {
            $grams[$weighing->line] = Put::kept(
                PutHow::Weighed,
                round($weighing->targetGrams * $draw->one([0.9, 1.0, 1.0, 1.02]), 2),
                null,
            );
        }
        try {
            $whole = array_sum(array_map(static fn (Put $p): float => $p->grams, $grams));
            $actual = BatchClosing::actual(
                $assessment->subject->formula(),
                $asked,
                $grams,
                4,
                $whole * $draw->one([0.2, 0.25, 0.26]),
                0.0,
                $context,
            );

            return [
                'shares' => array_column($actual->jsonSerialize()['lines'], 'share'),
                'within' => array_map(
                    static fn (Weighing $w): array => [
                        $w->isWithin($w->targetGrams * 1.01),
                        $w->isWithin($w->targetGrams - $w->toleranceGrams * 1.01),
                    ],
                    $asked,
                ),
            ];
        } catch (Problem $e) {
            return ['refused' => $e->getMessage() === '' ? '' : FiguresTest::numbersIn($e->getMessage())];
        }
    }

    private static function moved(Assessment $assessment, Context $context): mixed
    {
        [$from, $to] = $assessment->subject->formula()->lines;
        try {
            $then = Reshare::between($assessment->subject->formula(), $context, $from->id, $to->id, 2.5);
        } catch (Problem|MeasureError $e) {
            return FiguresTest::numbersIn($e->getMessage());
        }

        return FormulaDocument::write($then);
    }

    /** @return list<mixed> */
    private static function yielded(
        SteepPlan $plan,
        float $share,
        float $loss,
        WaterChoice $choice,
        DateTimeImmutable $on,
    ): array {
        try {
            $yield = new SteepYield($plan, $plan->oilLeftGrams() * $share, $loss, $choice);
        } catch (SteepError $e) {
            return [$e->cause];
        }
        $oil = $yield->ingredient('lot-1', 'x');

        return [
            $yield->waterLeftGrams(),
            $yield->water()->high,
            $yield->isDry(),
            $yield->bestBefore($on)->format('Y-m-d'),
            $yield->recovered(),
            $yield->keptPerGram(),
            $oil->composition->water?->high,
            $oil->freeWater($oil->usualForm()),
        ];
    }
}
