<?php

declare(strict_types=1);

namespace Tests\Core\Formula;

use Crown\Exchange\FormulaFile;
use Crown\Formula\Audience;
use Crown\Formula\Composition;
use Crown\Formula\Finding;
use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\Line;
use Crown\Formula\Load;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Reading\ReadingError;
use Crown\Formula\Reading\RecipeReader;
use Crown\Formula\Size;
use Crown\Measure\Kitchen;
use Tests\Core\CoreTestCase;

/** What must hold of every formula, tried on formulas drawn at random from a fixed seed. */
final class PropertiesTest extends CoreTestCase
{
    private const AMOUNTS = ['50 g', '12.5 g', '1/2 cup', '3 tbsp', '1 heaped tsp', '20 drops', 'a few drops', '5 %', '12 %', '2 parts', 'to fill', 'about 30 g', '2-3 tbsp', '1 leaf', 'a pinch', '2 capsules of 500 mg', 'oops', '', '-4 g', '0.3 g'];

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
                $lines[] = new Line('l'.$i, $id, $id === '' ? 'stranger' : $id, self::AMOUNTS[mt_rand(0, count(self::AMOUNTS) - 1)], $forms[mt_rand(0, count($forms) - 1)], Phase::cases()[mt_rand(0, 4)]);
            }
            $sizes = [Size::asWritten(), Size::mass(mt_rand(1, 5000)), Size::jars(mt_rand(1, 40), mt_rand(5, 500))];
            yield new Formula('Drawn '.$n, ProductKind::cases()[mt_rand(0, 9)], Audience::cases()[mt_rand(0, 6)], $lines, [], $sizes[mt_rand(0, 2)], mt_rand(0, 1) === 1, mt_rand(0, 1) === 1, (float) mt_rand(-18, 35));
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
                self::assertSame($portion->problem === '', $portion->counts());
            }
            if ($subject->composition->counted() !== []) {
                self::assertEqualsWithDelta(1.0, $sum, 1e-9, $formula->title);
                self::assertLessThanOrEqual(1.0 + 1e-9, $low);
                self::assertGreaterThanOrEqual(1.0 - 1e-9, $high);
                $json = $assessment->jsonSerialize();
                self::assertIsArray($json['lines']);
                self::assertSame(1000, (int) round(array_sum(array_column($json['lines'], 'shown_percent')) * 10), 'the shown column adds up');
            }
            self::assertLessThanOrEqual(100.0 + 1e-9, $subject->water->percent->high);
            self::assertGreaterThanOrEqual(0.0, $subject->life->months->low);
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
        foreach (self::drawn(1200, 7) as $formula) {
            $assessment = self::assess($formula);
            $oils = $assessment->subject->load->oils;
            $ceiling = $formula->audience->essentialOilCeiling();
            $rest = array_filter($assessment->subject->composition->counted(), static fn ($p): bool => ! in_array($p, $oils, true));
            $relative = array_filter($assessment->subject->composition->counted(), static fn ($p): bool => $p->amount[0]->unit->isRelative());
            // Where nothing else is weighed, or shares follow one another, taking less of one changes the whole.
            if ($oils === [] || $ceiling <= 0.0 || $rest === [] || $relative !== [] || $formula->size->mode !== 'as-written') {
                continue;
            }
            $cured = self::assess($assessment->subject->load->reduceTo($ceiling, $oils)->applyTo($formula, self::catalogue()));
            self::assertLessThanOrEqual($ceiling + 1e-9, $cured->subject->load->percent()->high, json_encode(FormulaFile::write($formula)) ?: '');
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
            $written = FormulaFile::write($formula);
            self::assertSame($written, FormulaFile::write(FormulaFile::read((array) json_decode((string) json_encode($written), true))));
        }
    }

    public function test_scaling_keeps_the_best_shares(): void
    {
        foreach (self::drawn(150, 17) as $formula) {
            $plain = Composition::of($formula->withSize(Size::asWritten()), self::context(0.001));
            // Shares, parts and fills follow the size by themselves.
            $relative = array_filter($plain->portions, static fn ($p): bool => $p->amount !== [] && $p->amount[0]->unit->isRelative());
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
        $pieces = ['2 tbsp', 'castor oil', 'shea', '½', '1/0', '%', "\n", "\n\n", ' and ', ',', '(', ')', 'Melt', 'for 20 min', '°C', '75 C', 'équal parts of', 'equal parts of', '🧴', '<b>', '-', '- ', '3)', 'to fill', 'q.s.', '99999999999999', 'زيت', "\t", ':', 'Method', 'a few drops', '"', "'", '\\', '$1', 'NaN', '1e9', '.', ';'];
        $reader = new RecipeReader(self::catalogue(), new Kitchen);
        for ($n = 0; $n < 400; $n++) {
            $text = '';
            for ($i = mt_rand(1, 30); $i > 0; $i--) {
                $text .= $pieces[mt_rand(0, count($pieces) - 1)].(mt_rand(0, 1) === 1 ? ' ' : '');
            }
            try {
                $formula = $reader->read($text)->toFormula();
                self::assertIsString(json_encode(self::assess($formula), JSON_THROW_ON_ERROR));
                FormulaFile::read(FormulaFile::write($formula));
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
                self::assertMatchesRegularExpression('/[.!]$/', $finding->message, $finding->code);
                self::assertSame([], array_diff(array_map(static fn ($p): string => $p->line->id, $finding->portions), $ids));
                self::assertMatchesRegularExpression('/^[a-z]+(-[a-z]+)*(\.[a-z]+(-[a-z]+)*)?$/', $finding->code);
            }
        }
    }

    public function test_dermal_maximum_is_open_only_where_none_is_given(): void
    {
        $findings = static fn (string $id): array => array_filter(self::assess(self::formula(['olive-oil' => '50 g', $id => '50 %']), 0.01)->findings, static fn (Finding $f): bool => $f->code === 'load.oil');
        foreach (self::catalogue()->all() as $id => $ingredient) {
            if ($ingredient->kind->value === 'essential-oil') {
                $portion = self::assess(self::formula(['olive-oil' => '50 g', $id => '50 %']))->subject->load->oils[0];
                self::assertSame(Load::dermalMax($portion) < 100.0, $findings($id) !== [], $id);
            }
        }
    }
}
