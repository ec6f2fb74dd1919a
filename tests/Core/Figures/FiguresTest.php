<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

use Crown\Assessment\Assessor;
use Crown\Assessment\Composition;
use Crown\Assessment\Context;
use Crown\Assessment\Cost;
use Crown\Assessment\CostPlan;
use Crown\Assessment\Decision;
use Crown\Assessment\Finding;
use Crown\Assessment\FindingFigure;
use Crown\Assessment\Keeping;
use Crown\Assessment\LoadPlan;
use Crown\Assessment\Portion;
use Crown\Assessment\WaterPlan;
use Crown\Assessment\WithoutScale;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Difference;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\NameMatch;
use Crown\Catalogue\Need;
use Crown\Catalogue\StandIn;
use Crown\Catalogue\StandIns;
use Crown\Exchange\IngredientFile;
use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\ProductKind;
use Crown\Head\FirstFormula;
use Crown\Head\Fit;
use Crown\Head\Guide;
use Crown\Head\Profile;
use Crown\Head\Shortlist;
use Crown\Head\Suggestion;
use Crown\Make\MakeSheet;
use Crown\Make\Task;
use Crown\Make\Weighing;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Crown\Papers\Label;
use Crown\Rhythm\Routine;
use Crown\Rhythm\RoutineDay;
use Crown\Solving\Design;
use Crown\Solving\Requirement;
use Crown\Solving\SolveError;
use Crown\Solving\Swap;
use Crown\Solving\Wish;
use Crown\Solving\Wished;
use Crown\Steep\MethodTable;
use Crown\Steep\NextAct;
use Crown\Steep\Standing;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepYield;
use Crown\Steep\Straining;
use Crown\Steep\StrainStep;
use Crown\Steep\Timing;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use ReflectionEnum;
use ReflectionMethod;
use Tests\Core\CoreTestCase;

/**
 * Every figure of drawn formulas, jars, heads, wishes and ingredients, as it was when it was last looked at. It does
 * not say which figure is right (the other tests do); it says which ones a change moves. After a change on purpose,
 * "CROWN_RECORD=1 vendor/bin/phpunit --filter FiguresTest" writes them anew: read the difference before you keep it.
 */
final class FiguresTest extends CoreTestCase
{
    use Recorded;

    private const DAY = '2027-03-10';

    private const CASES = [
        'formula' => 64,
        'steep' => 48,
        'head' => 28,
        'wish' => 40,
        'ingredient' => 40,
        'table' => 1,
    ];

    /** @return iterable<string, array{string, int}> */
    public static function cases(): iterable
    {
        foreach (self::CASES as $kind => $count) {
            for ($n = 1; $n <= $count; $n++) {
                yield "$kind $n" => [$kind, $n];
            }
        }
    }

    #[DataProvider('cases')]
    public function test_figures_are_as_they_were(string $kind, int $n): void
    {
        $draw = new Draw($kind, $n, self::catalogue());
        $figures = match ($kind) {
            'formula' => self::ofFormula($draw),
            'steep' => self::ofSteep($draw),
            'head' => self::ofHead($draw),
            'ingredient' => self::ofIngredient($draw),
            'table' => self::ofTables(),
            default => self::ofWish($draw),
        };

        self::same($kind, $n, self::plain($figures));
    }

    /** @return array<string, mixed> */
    private static function ofFormula(Draw $draw): array
    {
        $context = new Context($draw->catalogue, $draw->kitchen());
        $assessment = Assessor::standard()->assess($draw->formula(), $context);
        $subject = $assessment->subject;
        $composition = $subject->composition;
        $json = $assessment->jsonSerialize();
        $label = new Label($assessment, '270310-1', 50.0, new DateTimeImmutable(self::DAY), 'Here');
        $sheet = new MakeSheet($assessment);

        return [
            'lines' => array_map(
                static fn (Portion $p): array => [$p->grams->band, $p->share, $p->counts(), $p->freeWater()],
                $composition->portions,
            ),
            'whole' => [
                $composition->totalGrams,
                $composition->density(),
                $composition->density(60.0),
                $subject->heaviness(),
                $composition->blend()->life(),
                $composition->sharesPercent === null ? 0 : 1,
            ],
            'texture' => array_intersect_key($json, [
                'solids' => 1,
                'solids_band' => 1,
                'texture' => 1,
                'pours_from_c' => 1,
                'melts_at_c' => 1,
                'whipping' => 1,
            ]),
            'load' => [$subject->load->percent(), $json['essential_oil_ceiling']],
            'water' => [$subject->water->percent, $subject->water->class->value, $subject->water->emulsifierPercent],
            'life' => [$subject->life->months, $subject->life->capped, array_column($subject->life->longer, 'months')],
            'findings' => array_map(
                static fn (Finding $f): array => self::said($f, $assessment->subject->formula()),
                $assessment->findings,
            ),
            'keeps' => Keeping::of($subject, new DateTimeImmutable(self::DAY)),
            'cost' => [
                Cost::of($composition),
                array_map(
                    static fn (array $row): array => [$row['line'], $row['price_is'], $row['money']],
                    (new CostPlan($composition))->jsonSerialize()['rows'],
                ),
            ],
            'plans' => [new WaterPlan($subject, $draw->catalogue), new LoadPlan($subject)],
            'without_scale' => self::ofWithoutScale(WithoutScale::of($composition, $context->kitchen), $composition),
            'weighings' => array_map(
                static fn (Weighing $w): array => [$w->line, $w->targetGrams, $w->toleranceGrams],
                $sheet->weighings(),
            ),
            'tasks' => array_map(
                static fn (Task $t): string => self::numbersIn($t->words()),
                $sheet->tasks(),
            ),
            'label' => [
                str_replace(' ', '_', $label->ingredients()),
                $label->contains(),
                $label->keeping()->openedMonths,
                count($label->cautions()),
                $label->keeping()->bestBefore->format('Y-m-d'),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function ofSteep(Draw $draw): array
    {
        $plan = $draw->steep();
        $today = new DateTimeImmutable(self::DAY);
        $most = $plan->oilLeftGrams();
        $oil = $most > 0.0 ? (new SteepYield($plan, $most * 0.8, 1.0))->ingredient('lot-1', 'x') : null;

        return [
            'figures' => $plan->figures(),
            'more' => [
                $plan->charge->usualRatio(),
                $plan->recovery->keptGrams(),
                $plan->ageing->lifeLeftMonths(),
                $plan->water->leftGrams(),
                $plan->water->isDry(),
                $plan->oilLeftGrams(),
                $plan->geometry->gramsToCover($plan->charge->oil()),
                $plan->timeline->daysUntilReady(),
            ],
            'advice' => array_map(
                static fn (SteepAdvice $a): array => [$a->code, $a->severity->value, self::numbersIn($a->message())],
                SteepAdvice::on($plan, []),
            ),
            'strain' => array_map(
                static fn (StrainStep $s): array => [$s->id, $s->fewestHours, $s->mostHours],
                Straining::steps($plan),
            ),
            'methods' => array_map(
                static fn (array $row): array => array_diff_key($row, ['label' => 1, 'risk' => 1, 'watching' => 1]),
                MethodTable::for($plan, $today, $today->modify('+20 days'))->jsonSerialize()['rows'],
            ),
            'timing' => array_map(
                static fn (mixed $told): mixed => is_string($told) ? self::numbersIn($told) : $told,
                Timing::of($plan, $today, $today->modify('+20 days')),
            ),
            'next' => array_map(
                static fn (int $days): array => array_diff_key(
                    NextAct::of($plan, new Standing(), $today->modify(sprintf('+%d days', $days)))->jsonSerialize(),
                    ['words' => 1],
                ),
                [0, 1, 26, 27, 28, 35, 60],
            ),
            'oil' => $oil === null
                    ? null
                    : [
                        self::factsOf($oil),
                        $oil->composition->constituents,
                        $oil->composition->water?->high,
                        $oil->precautions->pregnancy->value,
                        $oil->precautions->allergens,
                    ],
        ];
    }

    /** @return array<string, mixed> */
    private static function ofHead(Draw $draw): array
    {
        $head = $draw->head();
        $shortlist = new Shortlist(self::catalogue(), $head);
        $chosen = $draw->chosen();
        $needs = array_slice([...$head->needs(), Need::Sealing, Need::Itch], 0, 3);

        return [
            'targets' => [$head->weightTarget(true), $head->weightTarget(false)],
            'audience' => $head->audience($draw->audience())->value,
            'needs' => array_column($head->needs(), 'value'),
            'shortlist' => array_map(
                static fn (Need $n): array => array_map(
                    static fn (array $row): array => [$row['id'], $row['score'], $row['evidence']],
                    $shortlist->for($n, [], null, 8)->ranked,
                ),
                $needs,
            ),
            'fit' => Fit::of($head, self::assess($draw->formula())->subject),
            'first' => array_map(
                static fn (ProductKind $kind): array => (new FirstFormula(self::catalogue(), $head))->make(
                    $kind,
                    $chosen,
                )->formula->lines,
                array_column(ProductKind::cases(), null, 'value'),
            ),
            'findings' => self::judged($head, $draw),
            'suggested' => array_map(
                static fn (Suggestion $s): array => [$s->trait, $s->value],
                Guide::suggest($draw->answers()),
            ),
            'routine' => self::ofRoutine($draw->routine(new DateTimeImmutable(self::DAY))),
        ];
    }

    /** @return array<string, mixed> */
    private static function ofRoutine(Routine $routine): array
    {
        return [
            'days' => array_map(
                static fn (RoutineDay $d): array => [$d->date->format('Y-m-d'), $d->act->value],
                $routine->days(),
            ),
            'uses' => $routine->usesInJar(),
            'empty' => $routine->emptyOn()?->format('Y-m-d'),
            'grams' => $routine->worthMaking(),
        ];
    }

    /** @return array<string, mixed> */
    private static function ofWithoutScale(WithoutScale $without, Composition $of): array
    {
        try {
            $strip = $without->strip(42.0);
        } catch (FormulaError $e) {
            $strip = $e->cause;
        }

        return ['lines' => $without->formula->lines, 'rows' => $without->rows($of), 'strip' => $strip];
    }

    /** @return array<string, mixed> */
    private static function ofIngredient(Draw $draw): array
    {
        $ingredient = $draw->one(self::catalogue()->all());
        $name = $ingredient->name;
        $slips = [
            $name,
            substr($name, 0, -2),
            substr($name, 0, 3).substr($name, 4),
            strrev(substr($name, 0, 4)).' oil',
        ];

        return [
            'id' => $ingredient->id,
            'written' => IngredientFile::write($ingredient, self::catalogue(), 1.0),
            'stand_ins' => array_map(
                static fn (StandIn $s): array => [
                    $s->ingredient->id,
                    $s->jsonSerialize()['nearness'],
                    array_map(
                        static fn (Difference $d): array => [$d->about, self::numbersIn($d->message)],
                        $s->changes,
                    ),
                ],
                (new StandIns(self::catalogue()))->for($ingredient),
            ),
            'found' => array_map(
                static fn (string $slip): array => array_map(
                    static fn (NameMatch $m): array => [$m->ingredient->id, $m->score],
                    self::catalogue()->search($slip, 3),
                ),
                $slips,
            ),
            'ranges' => array_map(
                static fn (Property $p): array => array_values((array) Correction::allowed($p)),
                Correction::ALLOWED,
            ),
        ];
    }

    /**
     * What every case of core's enumerations says of itself: speeds, temperatures, limits, orders.
     *
     * @return array<string, mixed> keyed by class, case and method
     */
    private static function ofTables(): array
    {
        $said = [];
        foreach (glob(dirname(__DIR__, 3).'/core/*/*.php') ?: [] as $file) {
            $name = 'Crown\\'.basename(dirname($file)).'\\'.basename($file, '.php');
            if (! enum_exists($name)) {
                continue;
            }
            foreach ((new ReflectionEnum($name))->getMethods(ReflectionMethod::IS_PUBLIC) as $method) {
                if ($method->isStatic() || $method->getNumberOfRequiredParameters() > 0) {
                    continue;
                }
                foreach ($name::cases() as $case) {
                    $said[$name][$case->name][$method->name] = $method->invoke($case);
                }
            }
        }

        return $said;
    }

    /** @return list<mixed> */
    private static function judged(Profile $head, Draw $draw): array
    {
        $assessor = Assessor::standard()->with(new \Crown\Head\HeadCheck($head));

        $formula = $draw->formula();

        return array_map(
            static fn (Finding $f): array => self::said($f, $formula),
            $assessor->assess($formula, self::context())->findings,
        );
    }

    /** @return array<string, mixed> */
    private static function ofWish(Draw $draw): array
    {
        $assessment = self::assess($draw->blend());
        $wishes = [
            new Wished($draw->one([Wish::Softer, Wish::Firmer, Wish::Lighter, Wish::Richer, Wish::KeepsLonger])),
        ];
        $design = new Design($assessment->subject, self::catalogue(), $wishes);
        try {
            $answer = $design->answer($design->requirements());
        } catch (SolveError $e) {
            return ['problem' => $e->cause];
        }
        $line = $assessment->subject->composition->counted()[0]->line->id;

        return [
            'asked' => array_map(
                static fn (Requirement $r): array => [$r->kind(), $r->between->least, $r->between->most],
                $design->requirements(),
            ),
            'answer' => [$answer->status, $answer->shares, $answer->parts, $answer->simple?->parts, $answer->relax],
            'formula' => $answer->shares === [] ? null : $design->formula($answer)->lines,
            'swaps' => array_map(
                static fn (Swap $s): array => [$s->standIn->ingredient->id, $s->standIn->nearness, $s->formula->lines],
                Swap::of($assessment, $line, self::catalogue(), Assessor::standard(), 3),
            ),
        ];
    }

    /** @return list<mixed> */
    private static function said(Finding $finding, Formula $of): array
    {
        return [
            $finding->key(),
            self::numbersIn($finding->message()),
            array_map(static fn (FindingFigure $f): Band => $f->band, $finding->figures),
            Decision::of($finding, $of)->acceptable,
            array_map(static fn ($cure): mixed => $cure->change, $finding->cures),
        ];
    }

    /** @return array<string, Band> */
    private static function factsOf(Ingredient $ingredient): array
    {
        $facts = [];
        foreach (Property::cases() as $property) {
            if ($ingredient->facts->has($property)) {
                $facts[$property->value] = $ingredient->facts->get($property)->band;
            }
        }

        return $facts;
    }

    /** The numbers in a sentence: its words are other tests' business. */
    public static function numbersIn(string $sentence): string
    {
        preg_match_all('/\d+(?:\.\d+)?/', $sentence, $found);

        return implode('_', $found[0]);
    }

    /**
     * As JSON would have it, without sentences: these are other tests' business. Numbers to seven digits: what a
     * processor does differently is no difference.
     */
    private static function plain(mixed $value): mixed
    {
        return self::short(json_decode((string) json_encode($value), true));
    }

    private static function short(mixed $plain): mixed
    {
        return match (true) {
            is_float($plain) || is_int($plain) => sprintf('%.7g', $plain),
            is_string($plain) => str_contains($plain, ' ') ? '' : $plain,
            is_array($plain) && array_keys($plain) === ['low', 'best', 'high'] => implode(
                '/',
                array_unique(array_map(self::short(...), $plain)),
            ),
            is_array($plain) => array_map(self::short(...), $plain),
            default => $plain,
        };
    }
}
