<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Composition;
use Crown\Assessment\Context;
use Crown\Assessment\Stock;
use Crown\Assessment\WithoutScale;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Crown\Catalogue\OwnEntry;
use Crown\Catalogue\Shunned;
use Crown\Catalogue\Sought;
use Crown\Catalogue\StandIn;
use Crown\Catalogue\StandIns;
use Crown\Catalogue\Wanted;
use Crown\Exchange\DemandFile;
use Crown\Exchange\IngredientFile;
use Crown\Formula\Audience;
use Crown\Formula\Change;
use Crown\Formula\Formula;
use Crown\Formula\FormulaDocument;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Formula\Step;
use Crown\Make\CoolingTrace;
use Crown\Make\MakeSheet;
use Crown\Make\OverPour;
use Crown\Make\ProbeReading;
use Crown\Make\Procedure;
use Crown\Make\Put;
use Crown\Make\PutHow;
use Crown\Make\Putting;
use Crown\Make\Surroundings;
use Crown\Make\Task;
use Crown\Make\Weighing;
use Crown\Measure\Bounds;
use Crown\Measure\Converter;
use Crown\Measure\CupSize;
use Crown\Measure\Duration;
use Crown\Measure\Kit;
use Crown\Measure\Kitchen;
use Crown\Measure\Place;
use Crown\Measure\WrittenAmount;
use Crown\Pantry\JarCost;
use Crown\Pantry\LotDraft;
use Crown\Pantry\LotLife;
use Crown\Pantry\LotReader;
use Crown\Pantry\OrderPlan;
use Crown\Pantry\Pack;
use Crown\Pantry\Shopping;
use Crown\Pantry\UseUp;
use Crown\Pantry\WrittenDate;
use Crown\Papers\Label;
use Crown\Papers\Passport;
use Crown\Problem;
use Crown\Reading\Knowledge;
use Crown\Reading\Recipe;
use Crown\Reading\RecipeReader;
use Crown\Solving\SolveError;
use Crown\Solving\Swap;
use Crown\Steep\Entry;
use Crown\Steep\EntryKind;
use Crown\Steep\SteepDocument;
use Crown\Steep\SteepDraft;
use Crown\Steep\SteepMethod;
use DateTimeImmutable;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What the drawn cases do not come to: recipes as they were told, formulas whose shares lie on the edges of the rules,
 * amounts in every way of writing, the counter, the shelf, and what comes in as a document.
 */
final class Further
{
    private const DAY = '2027-03-10';

    /** Shares of which rules speak, so that both sides of an edge are met. */
    private const EDGES = [0.1, 0.2, 0.5, 1.0, 2.0, 3.0, 5.0, 8.0, 10.0, 14.0, 15.0, 20.0, 25.0, 30.0, 40.0, 50.0];

    private const NUMBERS = [
        '1', '2', '3', '5', '10', '12', '0.5', '2.5', '1,5', '1 1/2', '1/2', '3/4', '½', '1 ½', '2-3', '2 to 3',
        '2 or 3', 'about 2', '~ 4', 'a', 'one', 'half a', 'two and a half', 'a few', 'a couple of', 'up to 3',
        'at least 2', '1 heaped', '2 level', '1 scant', '3 generous', '2 x 5', '2 + 1', '412 - 180', '-1', '0',
        '1000000', '1,000', '0.04', 'some of the bowl in that far blue corner',
    ];

    private const UNITS = [
        'g', 'gr', 'grams', 'kg', 'mg', 'oz', 'fl oz', 'fluid ounces', 'lb', 'pounds', 'ml', 'cl', 'dl', 'l',
        'litres', 'tsp', 'teaspoons', 'tbsp', 'Tbsp', 'cup', 'cups', 'pint', 'quart', 'drops', 'pinch', 'dash',
        'capsules', 'capsules of 400 mg', 'parts', '%', 'per cent', 'pieces', 'handful', 'sticks', 'shot', 'EL', 'TL',
        'cuillères à soupe', 'cm', 'inches', '',
    ];

    private const DATES = [
        '3/4/27', '31/12/27', '12/31/27', '2027-06-01', 'June 2027', '1 June', 'tomorrow', '30.2.2027', '06/28',
    ];

    private const SOLVED = [
        'shea-butter', 'cocoa-butter', 'coconut-oil', 'jojoba-oil', 'olive-oil', 'beeswax', 'rosemary-eo', 'castor-oil',
    ];

    /** What each amount is of, and its form. */
    private const MEASURED = ['castor-oil' => '', 'rosemary' => 'dried', 'shea-butter' => '', 'arrowroot' => 'powder'];

    /** @return array<string, mixed> a recipe of ToldTest, read whole */
    public static function ofTold(int $n, Catalogue $catalogue): array
    {
        static $all = null;
        $all ??= json_decode((string) file_get_contents(dirname(__DIR__).'/Reading/told.json'), true);
        $text = $all[$n]['text'];
        $recipe = self::read($text, $catalogue);

        return [
            'whole' => $recipe->jsonSerialize(),
            'formula' => FormulaDocument::write($recipe->toFormula()),
            'said' => self::judged($recipe, $catalogue),
            'asked' => (new Answers($catalogue))->of($recipe, ...$recipe->lines),
            // The same run together, or with what a letter brings along.
            'again' => self::read(match ($n % 3) {
                0 => str_replace("\n", '; ', $text),
                1 => "Hi! As promised:\n\n".$text."\n\nLove, M.\nPS: enjoy",
                default => "1. Oil\n".$text."\n\n2. Butter\n40 g shea butter\n10 g jojoba oil",
            }, $catalogue)->jsonSerialize(),
        ];
    }

    /** @return array<string, mixed> what a maker may write in one row, as a line, as a sentence, and of a bottle */
    public static function ofExample(int $n, Catalogue $catalogue): array
    {
        static $all = null;
        $all ??= json_decode((string) file_get_contents(__DIR__.'/examples.json'), true);
        $row = $all[$n];
        $lots = new LotReader($catalogue, new Kitchen(), Place::usual(), new DateTimeImmutable(self::DAY));

        return [
            'line' => self::read("Oil\n$row\n10 g jojoba oil\n2 tsp vitamin e", $catalogue),
            'sentence' => self::read("Oil\n40 g shea butter\n10 g olive oil\n\nMelt it. $row. Stir.", $catalogue),
            'alone' => self::read($row, $catalogue),
            'bottle' => $lots->read($row),
        ];
    }

    private static function read(string $text, Catalogue $catalogue): Recipe
    {
        return (new RecipeReader($catalogue, new Kitchen(), new Knowledge([])))->read($text);
    }

    /** @return array<string, mixed> what it claims against what it is, and the steep in it */
    private static function judged(Recipe $recipe, Catalogue $catalogue): array
    {
        $assessment = Assessor::standard()->assess($recipe->toFormula(), new Context($catalogue, new Kitchen()));
        try {
            $draft = $recipe->steep?->draft($recipe->lines, new DateTimeImmutable(self::DAY));
        } catch (Problem $e) {
            $draft = [$e->path, $e->cause];
        }

        return [
            'claims' => $recipe->claims->against($assessment),
            'draft' => $draft,
            'strained' => $recipe->steep === null ? null : FormulaDocument::write(
                $recipe->steep->strained($recipe->toFormula(), 'steep-1', 'Its oil', 180.0),
            ),
        ];
    }

    /** A formula of shares that lie on edges and come to a hundred. */
    public static function onEdges(int $n, Catalogue $catalogue): Formula
    {
        $random = new Randomizer(new Mt19937(7_000 + $n));
        $one = static fn (array $of): mixed => array_values($of)[$random->getInt(0, count($of) - 1)];
        $groups = [
            ['coconut-oil', 'babassu-oil', 'murumuru-butter', 'shea-butter', 'mango-butter'],
            ['cocoa-butter', 'kokum-butter', 'beeswax', 'candelilla-wax', 'cetyl-alcohol'],
            ['olive-oil', 'jojoba-oil', 'flaxseed-oil', 'rosehip-oil', 'squalane', 'castor-oil'],
            ['rosemary-eo', 'lemon-expressed-eo', 'peppermint-eo', 'clove-bud-eo', 'bergamot-eo', 'vitamin-e'],
            ['water', 'aloe-gel', 'glycerine', 'panthenol', 'phenoxyethanol-ehg', 'emulsifying-wax', 'arrowroot'],
        ];
        $left = 100.0;
        $lines = [];
        foreach ($groups as $g => $group) {
            $id = $one(array_values(array_filter($group, $catalogue->has(...))));
            $share = min($left, $one($g === 3 ? array_slice(self::EDGES, 0, 7) : self::EDGES));
            if ($share > 0.0 && $random->getInt(0, 3) > 0) {
                $left = round($left - $share, 3);
                $lines[] = self::line('l'.count($lines), $catalogue->get($id), $share.' g');
            }
        }
        $lines[] = self::line('rest', $catalogue->get($one(['olive-oil', 'sunflower-oil', 'shea-butter'])), $left.' g');

        return new Formula(
            'On edges',
            $one(ProductKind::cases()),
            $one(Audience::cases()),
            $lines,
            [],
            $one([Size::asWritten(), Size::mass(50.0), Size::jars(4, 100.0)]),
            $random->getInt(0, 1) === 1,
            $random->getInt(0, 2) === 1,
            $one([5.0, 20.0, 25.0, 30.0]),
        );
    }

    private static function line(string $id, Ingredient $of, string $amount): Line
    {
        return new Line($id, $of->id, $of->name, new WrittenAmount($amount), '', Phase::usualFor($of));
    }

    /** @return array<string, mixed> */
    public static function ofEdges(int $n, Catalogue $catalogue): array
    {
        $formula = self::onEdges($n, $catalogue);
        $context = new Context($catalogue, new Kitchen(scaleGrams: [1.0, 0.1, 0.01][$n % 3]));
        $assessment = Assessor::standard()->assess($formula, $context);
        $label = new Label($assessment, '270310-1', 50.0, new DateTimeImmutable(self::DAY), 'Here');
        $without = WithoutScale::of($assessment->subject->composition, $context->kitchen);

        return [
            'whole' => $assessment->withWorkings(),
            'cured' => self::cured($assessment, $catalogue),
            'changed' => self::changes($formula, $catalogue),
            'without' => [
                FormulaDocument::write($without->formula),
                $without->rows(Composition::of($without->formula, $context)),
                self::tried(static fn (): array => $without->strip(40.0)),
            ],
            'label' => [$label->ingredients(), $label->directions(), $label->cautions()],
            'passport' => new Passport($formula->kind, $formula->audience, self::DAY, '6 M', '', $label->cautions()),
            'stock' => Stock::of($assessment->subject->composition, ['olive-oil' => 40.0, 'shea-butter' => null]),
            'asked' => self::askedOf($assessment, $catalogue),
            'swaps' => $n % 3 > 0 ? [] : self::tried(static fn (): array => array_map(
                static fn (Swap $s): array => [$s->standIn->ingredient->id, $s->words(), $s->rebalanced, $s->formula],
                Swap::of($assessment, $formula->lines[0]->id, $catalogue, Assessor::standard()),
            )),
        ];
    }

    /** @return list<mixed> what each part of an assessment says of itself */
    private static function askedOf(Assessment $assessment, Catalogue $catalogue): array
    {
        $subject = $assessment->subject;
        $first = $subject->composition->portions[0];

        return (new Answers($catalogue))->of(
            $assessment,
            $subject,
            $subject->composition,
            $subject->texture,
            $subject->load,
            $subject->water,
            $subject->life,
            $subject->family,
            $subject->composition->formula,
            $subject->context->kitchen,
            $first->ingredient,
            ...$subject->composition->portions,
            ...$subject->composition->present(),
            ...$assessment->findings,
            ...array_map($assessment->decision(...), $assessment->findings),
        );
    }

    /** @return array<string, mixed> an ingredient by itself, and a little of it in an oil */
    public static function ofAlone(int $n, Catalogue $catalogue): array
    {
        $all = array_values($catalogue->all());
        $ingredient = $all[$n % count($all)];
        $context = new Context($catalogue, new Kitchen());
        $judged = static fn (Line ...$lines): mixed => Assessor::standard()->assess(new Formula(
            'Alone',
            ProductKind::cases()[$n % count(ProductKind::cases())],
            Audience::cases()[$n % count(Audience::cases())],
            array_values($lines),
            [],
            Size::asWritten(),
        ), $context)->withWorkings();

        return [
            'alone' => $judged(self::line('l1', $ingredient, '100 g')),
            'little' => $judged(
                self::line('l1', $ingredient, '5 g'),
                self::line('l2', $catalogue->get('olive-oil'), '95 g'),
            ),
            'asked' => (new Answers($catalogue))->of(
                $ingredient,
                $ingredient->composition,
                $ingredient->composition->solidFat,
                $ingredient->composition->fattyAcids,
                $ingredient->precautions,
                $ingredient->facts,
                $ingredient->substance($ingredient->usualForm()),
            ),
            'like' => array_map(
                static fn (StandIn $s): array => [$s->ingredient->id, $s->nearness],
                (new StandIns($catalogue))->for($ingredient),
            ),
        ];
    }

    /** @return array<string, mixed> what a jar, its parts and its journal say of themselves */
    public static function ofJars(Draw $draw): array
    {
        $plan = $draw->steep();
        $on = new DateTimeImmutable(self::DAY);
        $entries = [];
        foreach (EntryKind::cases() as $kind) {
            $entries[] = new Entry($kind, $on, [
                'grams' => $draw->one([0.04, 12.5, 100.0]),
                'before' => 612.5,
                'after' => $draw->one([600.25, 612.5]),
                'method' => $draw->one(SteepMethod::cases())->value,
                'ingredient' => $draw->one(['rosemary', 'olive-oil', 'unicorn']),
                'form' => $draw->one(['dried', '']),
                'herb' => $draw->one(['kept', 'composted']),
                'days' => $draw->one([null, 12]),
                'celsius' => $draw->one([null, 45.0]),
            ]);
        }

        return ['asked' => (new Answers($draw->catalogue))->of(
            $plan,
            $plan->charge,
            $plan->journal,
            $plan->way,
            $plan->vessel,
            $plan->timeline,
            $plan->extraction,
            $plan->ageing,
            $plan->geometry,
            $plan->water,
            $plan->recovery,
            ...$plan->charge->herbs,
            ...$plan->charge->pours,
            ...$entries,
        )];
    }

    /** @return list<mixed> each cure that is offered, applied */
    private static function cured(Assessment $assessment, Catalogue $catalogue): array
    {
        $after = [];
        foreach ($assessment->findings as $finding) {
            foreach ($finding->cures as $cure) {
                $after[] = [$cure->label, self::tried(static fn (): array => FormulaDocument::write(
                    $cure->change->applyTo($assessment->subject->formula(), $catalogue),
                ))];
            }
        }

        return $after;
    }

    /** @return list<mixed> */
    private static function changes(Formula $formula, Catalogue $catalogue): array
    {
        $first = $formula->lines[0]->id;
        $changes = [
            Change::amounts([$first => '12.5 g']),
            Change::phase(Phase::CoolDown, $first, 'nobody'),
            Change::form($first, 'powder'),
            Change::ingredient($first, 'jojoba-oil'),
            Change::remove($first),
            Change::add('vitamin-e', '0.5 %'),
            Change::add('vitamin-e', '60 %'),
            Change::add('jojoba-oil', '2 g'),
            Change::keptDry(),
            Change::mass(250.0),
        ];

        return array_map(static fn (Change $change): mixed => [
            $change,
            self::tried(static fn (): array => FormulaDocument::write($change->applyTo($formula, $catalogue))),
            self::tried(static fn (): Change => Change::fromArray((array) json_decode(
                (string) json_encode($change),
                true,
            ))),
        ], $changes);
    }

    /** @return array<string, mixed> one way of writing a number, in every unit, of four things */
    public static function ofAmounts(int $n, Catalogue $catalogue): array
    {
        $number = self::NUMBERS[$n];
        $converter = new Converter(new Kitchen());
        $parts = [];
        foreach (self::UNITS as $unit) {
            $written = new WrittenAmount(trim($number.' '.$unit));
            $read = $written->read;
            $of = [];
            foreach (self::MEASURED as $id => $as) {
                $substance = $catalogue->get($id)->substance($as);
                $of[] = $read === null
                    ? null
                    : self::tried(static fn (): mixed => $converter->grams($read, $substance));
            }
            $parts[$unit] = [
                $written->problem,
                $read?->written,
                $read?->unit->value,
                $of,
                (new Answers($catalogue))->of($read),
            ];
        }
        $parts['times'] = array_map(
            static fn (string $unit): mixed => self::tried(static fn (): mixed => Duration::minutes($number.' '.$unit)),
            ['minutes', 'min', 'h', 'hours', 'days', 'weeks', 'months', 'overnight', 'seconds'],
        );

        return $parts;
    }

    /** @return array<string, mixed> */
    public static function ofCounter(int $n, Draw $draw): array
    {
        $context = new Context($draw->catalogue, $n % 3 === 0 ? $draw->kitchen() : self::equipped($draw));
        $formula = $n % 2 === 0 ? self::onEdges($n, $draw->catalogue) : $draw->formula();
        $steps = array_map(static fn (array $of): Step => new Step(...$of), $draw->one([
            [],
            [['Melt the butters and waxes.', 'melt', 10.0, 75.0], ['Chill for 30 minutes.', 'chill', 30.0]],
            [
                ['Stir everything together.', 'mix'],
                ['Whip until it is fluffy.', 'whip', 8.0],
                ['Fill the jars.', 'fill'],
            ],
            [['Heat the oils.', 'heat', null, 60.0], ['Add the rest below 40 C.', 'add', null, 40.0]],
        ]));
        $assessment = Assessor::standard()->assess(self::with($formula, array_values($steps)), $context);
        $asked = (new MakeSheet($assessment))->weighings();

        return [
            'tasks' => array_map(
                static fn (Task $t): array => [$t, $t->kind->value, $t->words(), $t->gate],
                Procedure::of($assessment)->tasks,
            ),
            'over' => self::overPoured($assessment, $asked, $context, $draw),
            'asked' => (new Answers($draw->catalogue))->of(
                ...$asked,
                ...array_map(static fn (Weighing $w): Put => $w->asAsked(), $asked),
                ...Procedure::of($assessment)->tasks,
                ...[$context->kitchen, $context->kitchen->tools, ...$context->kitchen->tools->bowls],
            ),
            'cooling' => self::cooling($assessment, $draw),
        ];
    }

    /** A kitchen with some of everything, as it is kept. */
    private static function equipped(Draw $draw): Kitchen
    {
        $items = [
            ['kind' => 'scale', 'name' => 'Fine scale', 'step_grams' => 0.01, 'most_grams' => 200],
            ['kind' => 'scale', 'name' => 'Large scale', 'step_grams' => $draw->one([1, 5]), 'most_grams' => 5000],
            ['kind' => 'thermometer', 'name' => 'Probe', 'step_celsius' => $draw->one([0.1, 1]), 'sort' => 'probe'],
            ['kind' => 'bowl', 'name' => 'Steel bowl', 'millilitres' => $draw->one([150, 800]), 'material' => 'steel'],
            ['kind' => 'bowl', 'name' => 'Glass', 'millilitres' => 2000, 'tare_grams' => 640, 'material' => 'glass'],
            ['kind' => 'pan', 'name' => 'Pan', 'millilitres' => $draw->one([1500, 3000])],
            ['kind' => 'mould', 'name' => 'Six', 'hollows' => 6, 'millilitres' => $draw->one([20, 80])],
            [
                'kind' => 'dropper',
                'name' => 'Pipette',
                'drops' => 100,
                'grams' => $draw->one([2.1, 2.75]),
                'ingredient' => 'rosemary-eo',
                'substance' => 'Rosemary essential oil',
            ],
            [
                'kind' => 'spoon',
                'name' => 'My spoon',
                'grams' => $draw->one([11.2, 13.5]),
                'unit' => 'tbsp',
                'ingredient' => 'castor-oil',
                'substance' => 'Castor oil',
            ],
            ['kind' => 'strainer', 'name' => 'Cloth', 'weave' => $draw->one(['cloth', 'coarse', 'fine'])],
            [
                'kind' => 'mixer',
                'name' => 'Whisk',
                'minutes' => $draw->one([4, 9.6, 10, 10.4, 10.6, 25]),
                ...$draw->one([[], ['sort' => 'hand'], ['sort' => 'stand'], ['speed' => 'low'], ['speed' => 'high']]),
            ],
        ];
        $kept = [];
        foreach ($items as $id => $item) {
            // Some of it is not there.
            if ($draw->one([true, true, false])) {
                $kept[] = ['id' => $id + 1, ...$item];
            }
        }

        return Kit::read(['last' => 20, 'items' => $kept])->kitchen($draw->one(CupSize::cases()), 1.0, 500.0);
    }

    /** @param  list<Step>  $steps */
    private static function with(Formula $formula, array $steps): Formula
    {
        return new Formula(
            $formula->title,
            $formula->kind,
            $formula->audience,
            $formula->lines,
            $steps,
            $formula->size,
            $formula->wetUse,
        );
    }

    /** @param  list<Weighing>  $asked */
    private static function overPoured(Assessment $planned, array $asked, Context $context, Draw $draw): mixed
    {
        if (count($asked) < 2) {
            return null;
        }
        $put = [];
        foreach (array_slice($asked, 0, intdiv(count($asked), 2)) as $weighing) {
            $put[$weighing->line] = Put::kept(PutHow::Weighed, round($weighing->targetGrams, 2), null);
        }
        $line = $asked[count($asked) - 1];
        $much = Put::kept(PutHow::Weighed, round($line->targetGrams * $draw->one([0.8, 1.1, 1.5, 3.0]), 2), null);

        return self::tried(static fn (): mixed => OverPour::of(
            new Putting($planned->subject->formula(), $asked, $put),
            $line,
            $much,
            $planned,
            $context,
        ));
    }

    /** @return list<mixed> */
    private static function cooling(Assessment $assessment, Draw $draw): array
    {
        $gate = null;
        foreach (Procedure::of($assessment)->tasks as $task) {
            $gate = $task->gate?->celsius === null ? $gate : $task->gate;
        }
        $of = [];
        foreach (
            [
                [],
                [[0.0, 75.0]],
                [[0.0, 75.0], [5.0, 66.5]],
                [[0.0, 75.0], [5.0, 66.5], [12.0, 57.0], [20.0, 49.5]],
                [[0.0, 40.0], [5.0, 40.0]],
                [[0.0, 40.0], [5.0, 21.2]],
            ] as $readings
        ) {
            $of[] = self::tried(static fn (): mixed => CoolingTrace::of(
                array_map(static fn (array $r): ProbeReading => new ProbeReading(...$r), $readings),
                $gate,
                $draw->one(Surroundings::cases()),
                $draw->one([5.0, 18.0, 21.0]),
                $assessment->subject,
            ));
        }

        return $of;
    }

    /** @return array<string, mixed> */
    public static function ofShelf(int $n, Draw $draw): array
    {
        $today = new DateTimeImmutable(self::DAY);
        $in = static fn (?int $days): ?DateTimeImmutable => $days === null
            ? null
            : $today->modify(sprintf('%+d days', $days));
        $what = $draw->one([
            null,
            ...array_map($draw->catalogue->get(...), ['rosehip-oil', 'jojoba-oil', 'aloe-gel', 'lemon-expressed-eo']),
        ]);
        $life = LotLife::of(
            $what,
            $in($draw->one([null, -400, -90, -1, 0])),
            $in($draw->one([null, -1, 0, 1, 45, 400])),
            $in($draw->one([null, null, -200, -30, 0])),
            $draw->one([null, null, 3.0, 12.0]),
            $draw->one([5.0, 15.0, 20.0, 25.0, 30.0]),
        );
        $made = LotLife::made($today, $today->modify('+180 days'), 20.0, $draw->one([5.0, 20.0, 20.5, 25.0, 30.0]));
        $assessment = Assessor::standard()->assess(
            self::onEdges($n, $draw->catalogue),
            new Context($draw->catalogue, $draw->kitchen()),
        );
        $composition = $assessment->subject->composition;
        $atHand = ['olive-oil' => $draw->one([null, 0.0, 5.0, 500.0]), 'shea-butter' => 20.0];
        $packs = ['olive-oil' => [new Pack(250.0, 6.0, 'A'), new Pack(1000.0, 19.0, 'B')], 'jojoba-oil' => []];
        $shopping = Shopping::of([$composition, $composition], $atHand, $packs);

        return [
            'life' => [
                $life,
                $life->daysLeft($today),
                $made,
                array_map(LotLife::isSoon(...), [null, -1, 0, 14, 30, 60]),
            ],
            'orders' => self::orders($draw, $today, $in),
            'shopping' => [$shopping, $shopping->text(), $shopping->csv()],
            'used up' => array_map(
                static fn (string $id): mixed => UseUp::of($composition, $id, 120.0, $atHand),
                ['olive-oil', 'shea-butter', 'jojoba-oil'],
            ),
            'cost' => self::cost($draw),
            'lots' => self::lots($draw, $today),
        ];
    }

    /**
     * @param  callable(int|null): (DateTimeImmutable|null)  $in
     * @return list<mixed>
     */
    private static function orders(Draw $draw, DateTimeImmutable $today, callable $in): array
    {
        $plans = [];
        foreach ([-1, 0, 1, 2, 3, 4, 10] as $due) {
            $plans[] = OrderPlan::of(
                $draw->one([1, 2, 6]),
                $draw->one([0, 1, 2, 9]),
                $today->modify(sprintf('%+d days', $due)),
                $today,
                $in($draw->one([null, 0, 2, 8])),
            );
        }
        $again = [];
        foreach ([[0, 1, 90], [1, 90, 90], [9, 3, 90], [40, 1, 90], [4, 0, 90], [2, 7, 30]] as [$left, $out, $days]) {
            $again[] = OrderPlan::makeAgainBy($left, $out, $days, $today, $in($draw->one([null, 3, 40])))
                ?->format('Y-m-d');
        }

        return [$plans, $again];
    }

    private static function cost(Draw $draw): mixed
    {
        $materials = [];
        foreach (['Shea butter', 'Olive oil', 'Lavender'] as $name) {
            $materials[] = [
                'name' => $name,
                'grams' => $draw->one([0.0, 12.5, 200.0]),
                'money' => $draw->one([null, 0.0, 1.25, 18.4]),
                'from' => $draw->one(['a bottle', '']),
            ];
        }
        $jar = $draw->one([0.0, 0.4]);
        $minutes = $draw->one([0.0, 35.0]);
        $hourly = $draw->one([0.0, 18.0]);
        $margin = $draw->one([0.0, 40.0, 95.0]);
        $jars = $draw->one([1, 4]);
        $rise = $draw->one([-100.0, 5.0]);

        $cost = new JarCost($materials, $jars, $jar, $minutes, $hourly, $margin, $rise);

        return [
            $cost,
            new JarCost($materials, 3),
            $cost->known(),
            $cost->unknown(),
            $cost->perJar(),
            $cost->price(),
            $cost->whatIf('Olive oil', 20.0),
        ];
    }

    /** @return list<mixed> what a bill or a scribble says of bottles */
    private static function lots(Draw $draw, DateTimeImmutable $today): array
    {
        $rows = [];
        foreach (['jojoba oil', 'Shea butter, raw', 'rosemary essential oil', 'rose hip oil', 'moon dust'] as $name) {
            $rows[] = implode(', ', array_filter([
                $draw->one(['', '2 x ']).$draw->one(['250 ml', '500 g', '1 kg', '1 l', '10 ml', '']).' '.$name,
                $draw->one(['', '€ 12.50', '12,50 EUR', '$9.99', '4 gbp']),
                $draw->one(['', 'best before 31.12.2027', 'exp 06/2028', 'use by 2027-05', 'bb 1 June 2027']),
                $draw->one(['', 'opened 2 March', 'bought 14.2.2027', 'from the mill', 'lot A-113', 'tare 310 g']),
                $draw->one(['', 'in the fridge', 'cool cellar']),
            ]));
        }
        $read = (new LotReader($draw->catalogue, new Kitchen(), Place::usual(), $today, $draw->one([true, false])))
            ->read(implode("\n", $rows));

        return [
            array_map(static fn (LotDraft $d): mixed => [$d, $d->landed(0.5)], $read),
            array_map(static fn (string $date): array => [
                WrittenDate::read($date, $today)?->format('Y-m-d'),
                WrittenDate::read($date, $today, true)?->format('Y-m-d'),
            ], self::DATES),
        ];
    }

    /** @return array<string, mixed> */
    public static function ofFiles(int $n, Draw $draw): array
    {
        $catalogue = $draw->catalogue;
        $all = array_values($catalogue->all());

        return [
            'ingredients' => array_map(
                static fn (Ingredient $i): array => IngredientFile::write($i, $catalogue, 0.91),
                array_slice($all, ($n * 13) % (count($all) - 12), 13),
            ),
            'own' => self::own($draw),
            'steep' => self::steeped($draw),
            'demands' => self::demanded($draw),
            'wanted' => array_map(static fn (Ingredient $i): string => $i->id, self::wanted($draw)->in($catalogue)),
        ];
    }

    private static function wanted(Draw $draw): Wanted
    {
        $kinds = $draw->one([[], [IngredientKind::CarrierOil], [IngredientKind::Butter, IngredientKind::Wax]]);
        $need = $draw->one([null, Need::Flaking, Need::Sealing]);
        $evidence = $draw->one([0, 1, 2, 3]);
        $lightest = $draw->one([1.0, 2.0]);

        return new Wanted(
            $kinds,
            $need === null ? null : new Sought($need, $evidence),
            new Bounds($lightest, $draw->one([2.5, 3.0, 5.0])),
            without: new Shunned($draw->one([[], ['tree nut'], ['sesame', 'soy']])),
        );
    }

    private static function own(Draw $draw): mixed
    {
        $parts = [];
        foreach ($draw->one([[40, 60], [25, 25, 50], [5, null], [null, null], [30, 30]]) as $k => $percent) {
            $parts[] = [
                'ingredient' => ['jojoba-oil', 'lavender-eo', 'shea-butter'][$k],
                'percent' => $percent,
                'name' => '',
            ];
        }
        $document = [
            'name' => 'Our mixture',
            'inci' => '',
            'kind' => 'carrier-oil',
            'like' => $draw->one(['', 'jojoba-oil', 'unicorn']),
            'synonyms' => ['the mix'],
            'allergens' => $draw->one([[], ['tree nut']]),
            'vegan' => true,
            'figures' => $draw->one([[], [
                ['form' => '', 'property' => 'life_months', 'low' => 6, 'best' => 9, 'high' => 12, 'source' => 'ours'],
            ]]),
            'parts' => $draw->one([[], $parts]),
        ];

        return self::tried(static fn (): array => IngredientFile::write(
            OwnEntry::read('own-1', $document, $draw->catalogue)->ingredient(),
            $draw->catalogue,
            1.0,
        ));
    }

    private static function steeped(Draw $draw): mixed
    {
        $start = new DateTimeImmutable(self::DAY);
        $herb = [
            'ingredient' => $draw->one(['rosemary', 'calendula', 'aloe-leaf']),
            'form' => $draw->one(['dried', 'fresh']),
        ];
        $draft = [
            'herbs' => [[...$herb, 'preparation' => 'none', 'amount' => $draw->one(['40 g', '1 cup', '3 tbsp'])]],
            'oils' => [['ingredient' => 'olive-oil', 'amount' => $draw->one(['to cover', '300 ml', '412 - 180 g'])]],
            'method' => $draw->one(['cold-dark', 'water-bath', 'hot-jar', 'leave-in', 'blend-heat']),
            ...$draw->one([
                [],
                ['jar_ml' => 750, 'diameter_cm' => 9],
                ['jar_ml' => 250, 'diameter_cm' => 6, 'mouth_cm' => 4],
            ]),
            ...$draw->one([
                [],
                ['held_for' => '45 to 60 minutes'],
                ['celsius' => 65],
                ['days' => 30],
                ['pressed' => true],
            ]),
            ...$draw->one([[], ['water_grams' => 12], ['shaken_daily' => false]]),
            ...$draw->one([[], [], ['diameter_cm' => 9]]),
        ];

        return self::tried(static function () use ($draft, $draw, $start): array {
            $kept = (new SteepDraft($draw->catalogue, new Kitchen(), $start))->resolved($draft);
            $document = new SteepDocument($kept, $start);

            return [$kept, $document->plan($draw->catalogue)->figures(), $document->cost([]), $document->single()];
        });
    }

    private static function demanded(Draw $draw): mixed
    {
        $file = [
            'ingredients' => array_map(static fn (string $id): array => [
                'id' => $id,
                'max' => $draw->one([100, 60, 30]),
                'now' => $draw->one([0, 12.5]),
                'price' => $draw->one([null, 8, 25]),
                ...$draw->one([[], [], ['stock' => 40], ['step' => 5]]),
            ], self::SOLVED),
            'demands' => [
                [
                    'kind' => 'solids',
                    'min' => $draw->one([5, 15]),
                    'max' => $draw->one([30, 45]),
                    ...$draw->one([[], ['at' => 30]]),
                ],
                ['kind' => 'weight', 'max' => $draw->one([2.8, 3.4])],
                ['kind' => 'life', 'min' => $draw->one([9, 14])],
                ...$draw->one([[], [['kind' => 'load', 'max' => 1], ['kind' => 'dermal']]]),
                ...$draw->one([[], [['kind' => 'need', 'of' => 'sealing', 'min' => 10]]]),
            ],
            'goal' => $draw->one(['nearest', 'cheapest', 'lightest', ['lasting', 'cheapest'], ['service']]),
            ...$draw->one([[], ['most_ingredients' => 4], ['parts' => true], ['batch_grams' => 100]]),
            ...$draw->one([[], ['without' => ['tree nut']], ['serves' => ['frizz']]]),
        ];

        return self::tried(static fn (): mixed => DemandFile::solve($file, $draw->catalogue));
    }

    /** What comes of it, or why nothing does. */
    private static function tried(callable $work): mixed
    {
        try {
            return $work();
        } catch (Problem|SolveError $e) {
            return ['refused' => $e->path.' '.$e->cause, 'words' => $e->getMessage()];
        }
    }
}
