<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Composition;
use Crown\Assessment\Context;
use Crown\Assessment\Cost;
use Crown\Assessment\Finding;
use Crown\Assessment\Load;
use Crown\Assessment\Severity;
use Crown\Assessment\WaterPlan;
use Crown\Assessment\WithoutScale;
use Crown\Catalogue\Correction;
use Crown\Formula\Acceptance;
use Crown\Formula\Audience;
use Crown\Formula\Edits;
use Crown\Formula\Formula;
use Crown\Formula\FormulaDocument;
use Crown\Formula\FormulaError;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\Band;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\WrittenAmount;
use Crown\Reading\ReadingError;
use Crown\Reading\RecipeReader;
use Tests\Core\CoreTestCase;

/** What must hold of every formula, tried on formulas drawn at random from a fixed seed. */
final class PropertiesTest extends CoreTestCase
{
    private const AMOUNTS = [
        '50 g',
        '12.5 g',
        '1/2 cup',
        '3 tbsp',
        '1 heaped tsp',
        '20 drops',
        'a few drops',
        '5 %',
        '12 %',
        '2 parts',
        'to fill',
        'about 30 g',
        '2-3 tbsp',
        '1 leaf',
        'a pinch',
        '2 capsules of 500 mg',
        'oops',
        '',
        '-4 g',
        '0.3 g',
    ];

    /** @return iterable<int, Formula> */
    private static function drawn(int $count, int $seed): iterable
    {
        mt_srand($seed);
        $ids = array_keys(self::catalogue()->all());
        for ($n = 0; $n < $count; $n++) {
            $lines = [];
            for ($i = mt_rand(0, 14); $i > 0; $i--) {
                $id = mt_rand(0, 19) === 0 ? '' : $ids[mt_rand(0, count($ids) - 1)];
                $forms = $id === '' ? [''] : ['', 'melted', ...array_keys(self::catalogue()->get($id)->forms)];
                $lines[] = new Line(
                    'l'.$i,
                    $id ?: null,
                    $id === '' ? 'stranger' : $id,
                    new WrittenAmount(self::AMOUNTS[mt_rand(0, count(self::AMOUNTS) - 1)]),
                    $forms[mt_rand(0, count($forms) - 1)],
                    Phase::cases()[mt_rand(0, 4)],
                );
            }
            $sizes = [Size::asWritten(), Size::mass(mt_rand(1, 5000)), Size::jars(mt_rand(1, 40), mt_rand(5, 500))];
            yield new Formula(
                'Drawn '.$n,
                ProductKind::cases()[mt_rand(0, 9)],
                Audience::cases()[mt_rand(0, 6)],
                $lines,
                [],
                $sizes[mt_rand(0, 2)],
                mt_rand(0, 1) === 1,
                mt_rand(0, 1) === 1,
                (float) mt_rand(-18, 35),
            );
        }
    }

    public function test_every_assessment_is_sound(): void
    {
        foreach (self::drawn(400, 3) as $formula) {
            $assessment = self::assess($formula);
            $subject = $assessment->subject;
            $sum = $low = $high = 0.0;
            foreach ($subject->composition->portions as $portion) {
                $sum += $portion->share->best;
                $low += $portion->share->low;
                $high += $portion->share->high;
                self::assertGreaterThanOrEqual(0.0, $portion->share->low);
                self::assertLessThanOrEqual(1.0 + 1e-12, $portion->share->high);
                self::assertSame($portion->problem === null, $portion->counts());
            }
            if ($subject->composition->counted() !== []) {
                self::assertEqualsWithDelta(1.0, $sum, 1e-9, $formula->title);
                self::assertLessThanOrEqual(1.0 + 1e-9, $low);
                self::assertGreaterThanOrEqual(1.0 - 1e-9, $high);
                $json = $assessment->jsonSerialize();
                self::assertIsArray($json['lines']);
                self::assertSame(
                    1000,
                    (int) round(array_sum(array_column($json['lines'], 'shown_percent')) * 10),
                    'the shown column adds up',
                );
            }
            self::assertLessThanOrEqual(100.0 + 1e-9, $subject->water->percent->high);
            self::assertGreaterThan(0.0, $subject->life->months->low ?? INF);
            self::assertIsString(json_encode($assessment, JSON_THROW_ON_ERROR));
        }
    }

    public function test_solids_never_rise_with_warmth(): void
    {
        foreach (self::drawn(150, 5) as $formula) {
            $texture = self::assess($formula)->subject->texture;
            $last = INF;
            for ($celsius = 5.0; $celsius <= 45.0; $celsius += 2.5) {
                $now = $texture->solids($celsius)->best;
                self::assertLessThanOrEqual($last + 1e-9, $now, $formula->title);
                $last = $now;
            }
        }
    }

    public function test_cures_of_load_leave_nothing_over_the_ceiling(): void
    {
        $tried = 0;
        foreach (self::drawn(2400, 7) as $formula) {
            $assessment = self::assess($formula);
            $oils = $assessment->subject->load->oils;
            $ceiling = $formula->audience->essentialOilCeiling();
            $rest = array_filter(
                $assessment->subject->composition->counted(),
                static fn ($p): bool => ! in_array($p, $oils, true),
            );
            $relative = array_filter(
                $assessment->subject->composition->counted(),
                static fn ($p): bool => $p->amount?->unit->isRelative() ?? false,
            );
            // Where nothing else is weighed, or shares follow one another, taking less of one changes the whole.
            if (
                $oils === []
                || $ceiling <= 0.0
                || $rest === []
                || $relative !== []
                || $formula->size->mode !== 'as-written'
            ) {
                continue;
            }
            $cured = self::assess(
                $assessment->subject->load->reduceTo($ceiling, $oils)->applyTo($formula, self::catalogue()),
            );
            self::assertLessThanOrEqual(
                $ceiling + 1e-9,
                $cured->subject->load->percent()->high,
                json_encode(FormulaDocument::write($formula)) ?: '',
            );
            $tried++;
        }
        self::assertGreaterThan(30, $tried);
    }

    public function test_applying_a_cure_twice_changes_nothing_more(): void
    {
        foreach (self::drawn(120, 11) as $formula) {
            foreach (self::assess($formula)->findings as $finding) {
                foreach ($finding->cures as $cure) {
                    $once = $cure->change->applyTo($formula, self::catalogue());
                    self::assertNotEquals($formula, $once, $finding->code.' has a cure that does nothing');
                }
            }
        }
    }

    public function test_a_formula_file_is_the_same_after_a_journey(): void
    {
        foreach (self::drawn(200, 13) as $formula) {
            $written = FormulaDocument::write($formula);
            self::assertSame(
                $written,
                FormulaDocument::write(
                    FormulaDocument::read((array) json_decode((string) json_encode($written), true)),
                ),
            );
        }
    }

    public function test_where_it_falls_to_a_level_follows_from_its_curve(): void
    {
        foreach (self::drawn(150, 19) as $formula) {
            $texture = self::assess($formula)->subject->texture;
            $last = 40.0;
            foreach ([0.0, 2.0, 8.0, 15.0, 35.0, 80.0] as $level) {
                $at = $texture->fallsTo($level);
                self::assertLessThanOrEqual($last + 1e-9, $at, 'a higher level is reached no later');
                self::assertTrue($at >= 40.0 || $texture->solids($at)->best <= $level + 1e-6, $formula->title);
                $last = $at;
            }
            $pours = $texture->poursFrom();
            self::assertTrue($pours <= 10.0 || $texture->solids($pours - 0.5)->best >= 8.0 - 1e-6, $formula->title);
        }
    }

    public function test_what_is_said_to_lengthen_a_life_does(): void
    {
        $ways = 0;
        foreach (self::drawn(900, 23) as $formula) {
            $life = self::assess($formula)->subject->life;
            $last = INF;
            foreach ($life->longer as $way) {
                self::assertGreaterThan(
                    $life->months->best,
                    $way['months']->best,
                    $formula->title.': '.$way['words'],
                );
                self::assertLessThanOrEqual($last, $way['months']->best, 'the most first');
                $last = $way['months']->best;
                $ways++;
            }
        }
        self::assertGreaterThan(100, $ways);
    }

    public function test_a_fridge_lengthens_by_as_much_as_was_said(): void
    {
        $tried = 0;
        foreach (self::drawn(1500, 29) as $formula) {
            $said
                = array_column(self::assess($formula)->subject->life->longer, 'months', 'words')[
                    'Kept in the fridge, 5 °C'
                ] ?? null;
            if ($said === null) {
                continue;
            }
            $kept = self::assess($formula->withUse($formula->wetUse, $formula->forSale, 5.0))->subject->life;
            self::assertEqualsWithDelta($kept->months->best, $said->best, 1e-9, $formula->title);
            $tried++;
        }
        self::assertGreaterThan(30, $tried);
    }

    public function test_a_cost_is_the_sum_of_its_lines_and_no_line_is_lost(): void
    {
        mt_srand(31);
        $prices = array_map(
            static fn (string $id): Correction => new Correction(
                $id,
                '',
                Property::Price,
                Band::exact(mt_rand(1, 300)),
                'drawn',
            ),
            array_filter(array_keys(self::catalogue()->all()), static fn (): bool => mt_rand(0, 2) > 0),
        );
        $context = new Context(self::catalogue()->corrected(...array_values($prices)), new Kitchen());
        foreach (self::drawn(150, 31) as $formula) {
            $composition = Composition::of($formula, $context);
            $cost = Cost::of($composition);
            self::assertEqualsWithDelta(
                array_sum(array_map(static fn (Band $b): float => $b->best, $cost->byLine)),
                $cost->known->best,
                1e-9,
            );
            self::assertCount(count($composition->counted()), [...$cost->byLine, ...$cost->unpriced]);
            self::assertGreaterThanOrEqual(0.0, $cost->known->low);
        }
    }

    public function test_kitchen_measures_are_measures_and_keep_every_line(): void
    {
        $measured = 0;
        foreach (self::drawn(120, 37) as $formula) {
            $composition = Composition::of($formula, self::context());
            $without = WithoutScale::of($composition, new Kitchen());
            self::assertCount(count($formula->lines), $without->formula->lines);
            foreach (Composition::of($without->formula, self::context())->portions as $portion) {
                if ($without->measures[$portion->line->id] !== null) {
                    self::assertSame(
                        null,
                        $portion->problem,
                        $portion->line->amount->text.' of '.$portion->ingredient->name,
                    );
                    self::assertGreaterThan(0.0, $portion->grams->band->best);
                    $measured++;
                }
            }
        }
        self::assertGreaterThan(200, $measured);
    }

    public function test_accepting_loses_no_finding_and_no_stop_for_a_child(): void
    {
        foreach (self::drawn(150, 41) as $formula) {
            $open = self::assess($formula);
            $decided = self::assess(
                $formula->accepting(
                    ...array_map(
                        static fn (Finding $f): Acceptance => new Acceptance($f->key(), 'As it is.'),
                        $open->findings,
                    ),
                ),
            );
            self::assertCount(count($open->findings), $decided->findings);
            foreach ($decided->findings as $finding) {
                $decision = $decided->decision($finding);
                self::assertSame($decision->acceptable, ! $decision->isOpen());
                self::assertFalse(
                    $formula->audience->isChild() && $finding->severity === Severity::Stop && ! $decision->isOpen(),
                );
            }
        }
    }

    public function test_water_adds_up_and_only_what_fits_is_said_to_fit(): void
    {
        foreach (self::drawn(80, 43) as $formula) {
            $subject = self::assess($formula)->subject;
            $plan = (new WaterPlan($subject, self::catalogue()))->jsonSerialize();
            self::assertEqualsWithDelta(
                $subject->water->percent->best,
                min(100.0, array_sum(array_map(static fn (array $b): float => $b['percent']->best, $plan['bearers']))),
                1e-9,
            );
            foreach ($plan['choices'] as $choice) {
                self::assertSame($choice['fits'], $choice['against'] === []);
                self::assertGreaterThanOrEqual(
                    $choice['grams_on_base'],
                    $choice['grams'],
                    'a dose that counts itself is never the smaller',
                );
            }
        }
    }

    public function test_a_changed_line_is_always_said(): void
    {
        foreach (self::drawn(120, 47) as $formula) {
            self::assertSame([], Edits::between($formula, $formula));
            foreach ($formula->lines as $line) {
                self::assertCount(
                    1,
                    Edits::between(
                        $formula,
                        $formula->replacing($line->withAmount(new WrittenAmount($line->amount->text.' more'))),
                    ),
                );
            }
        }
    }

    public function test_scaling_keeps_the_best_shares(): void
    {
        foreach (self::drawn(150, 17) as $formula) {
            $plain = Composition::of($formula->withSize(Size::asWritten()), self::context(0.001));
            // Shares, parts and fills follow the size by themselves.
            $relative = array_filter(
                $plain->portions,
                static fn ($p): bool => $p->amount?->unit->isRelative() ?? false,
            );
            if ($plain->counted() === [] || $relative !== []) {
                continue;
            }
            $large = Composition::of($formula->withSize(Size::mass(2500)), self::context(0.001));
            self::assertEqualsWithDelta(2500.0, $large->totalGrams->best, 1e-6);
            foreach ($plain->portions as $i => $portion) {
                self::assertEqualsWithDelta($portion->share->best, $large->portions[$i]->share->best, 1e-9);
            }
        }
    }

    public function test_any_text_is_read_or_refused_with_a_sentence(): void
    {
        mt_srand(23);
        $pieces = [
            '2 tbsp',
            'castor oil',
            'shea',
            '½',
            '1/0',
            '%',
            "\n",
            "\n\n",
            ' and ',
            ',',
            '(',
            ')',
            'Melt',
            'for 20 min',
            '°C',
            '75 C',
            'équal parts of',
            'equal parts of',
            '🧴',
            '<b>',
            '-',
            '- ',
            '3)',
            'to fill',
            'q.s.',
            '99999999999999',
            'زيت',
            "\t",
            ':',
            'Method',
            'a few drops',
            '"',
            "'",
            '\\',
            '$1',
            'NaN',
            '1e9',
            '.',
            ';',
        ];
        $reader = new RecipeReader(self::catalogue(), new Kitchen());
        for ($n = 0; $n < 400; $n++) {
            $text = '';
            for ($i = mt_rand(1, 30); $i > 0; $i--) {
                $text .= $pieces[mt_rand(0, count($pieces) - 1)].(mt_rand(0, 1) === 1 ? ' ' : '');
            }
            try {
                $formula = $reader->read($text)->toFormula();
                self::assertIsString(json_encode(self::assess($formula), JSON_THROW_ON_ERROR));
                FormulaDocument::read(FormulaDocument::write($formula));
            } catch (ReadingError|FormulaError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    public function test_findings_are_whole_sentences_with_known_subjects(): void
    {
        foreach (self::drawn(150, 29) as $formula) {
            $ids = array_map(static fn (Line $l): string => $l->id, $formula->lines);
            foreach (self::assess($formula)->findings as $finding) {
                self::assertMatchesRegularExpression('/[.!]$/', $finding->message(), $finding->code);
                self::assertSame(
                    [],
                    array_diff(array_map(static fn ($p): string => $p->line->id, $finding->portions), $ids),
                );
                self::assertMatchesRegularExpression('/^[a-z]+(-[a-z]+)*(\.[a-z]+(-[a-z]+)*)?$/', $finding->code);
            }
        }
    }

    public function test_dermal_maximum_is_open_only_where_none_is_given(): void
    {
        $findings = static fn (string $id): array => array_filter(
            self::assess(self::formula(['olive-oil' => '50 g', $id => '50 %']), 0.01)->findings,
            static fn (Finding $f): bool => $f->code === 'load.oil',
        );
        foreach (self::catalogue()->all() as $id => $ingredient) {
            if ($ingredient->kind->value === 'essential-oil') {
                $portion = self::assess(self::formula(['olive-oil' => '50 g', $id => '50 %']))->subject->load->oils[0];
                self::assertSame(Load::dermalMax($portion) < 100.0, $findings($id) !== [], $id);
            }
        }
    }
}
