<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\Decision;
use Crown\Exchange\FormulaText;
use Crown\Formula\Acceptance;
use Crown\Formula\Audience;
use Crown\Formula\FindingKey;
use Crown\Formula\Formula;
use Crown\Formula\FormulaDocument;
use Crown\Formula\FormulaError;
use Crown\Formula\ProductKind;
use Crown\Measure\WrittenAmount;
use Tests\Core\CoreTestCase;

final class AcceptanceTest extends CoreTestCase
{
    private static function accepting(Formula $formula, string $code): Assessment
    {
        $finding = self::finding(self::assess($formula), $code);

        return self::assess($formula->accepting(new Acceptance($finding->key(), 'I make it to be used up in a week.')));
    }

    private static function decided(Assessment $of, string $code): Decision
    {
        return $of->decision(self::finding($of, $code));
    }

    public function test_what_is_accepted_goes_last_with_its_reason_and_no_longer_stops(): void
    {
        $formula = self::formula(['olive-oil' => '91.4 g', 'rosemary-eo' => '50 drops']);
        $assessment = self::accepting($formula, 'load.total');

        self::assertSame('I make it to be used up in a week.', self::decided($assessment, 'load.total')->reason);
        self::assertSame('load.total', $assessment->findings[count($assessment->findings) - 1]->code);
        self::assertTrue(self::assess($formula)->hasStop());
        self::assertFalse($assessment->hasStop());
        self::assertStringContainsString('(accepted: I make it', FormulaText::write($assessment));
    }

    public function test_it_is_open_again_as_soon_as_it_says_something_else(): void
    {
        $formula = self::accepting(
            self::formula(['olive-oil' => '91.4 g', 'rosemary-eo' => '50 drops']),
            'load.total',
        )->subject->formula();
        $more = self::assess($formula->replacing($formula->lines[1]->withAmount(new WrittenAmount('90 drops'))));

        self::assertNull(self::decided($more, 'load.total')->reason);
        self::assertTrue($more->hasStop());
    }

    public function test_two_of_one_code_are_told_apart_by_what_they_are_about(): void
    {
        $formula = self::formula(['sweet-almond-oil' => '50 g', 'argan-oil' => '50 g']);
        $keys = [];
        foreach (self::assess($formula)->findings as $finding) {
            $key = json_encode($finding->key());
            self::assertNotContains($key, $keys, $finding->message());
            $keys[] = $key;
        }
    }

    public function test_one_that_was_known_by_its_sentence_is_carried_over_and_a_mended_word_re_opens_nothing(): void
    {
        $formula = self::formula(['olive-oil' => '91.4 g', 'rosemary-eo' => '50 drops']);
        $finding = self::finding(self::assess($formula), 'load.total');
        $old = FormulaDocument::read([
            ...FormulaDocument::write($formula),
            'version' => 1,
            'accepted' => [
                ['code' => 'load.total', 'message' => $finding->message(), 'reason' => 'Rinsed out at once.'],
            ],
        ]);
        self::assertSame($finding->message(), $old->accepted[0]->sentence);
        $assessment = self::assess($old);
        self::assertSame('Rinsed out at once.', self::decided($assessment, 'load.total')->reason);

        $carried = $assessment->carried();
        self::assertNull($carried->accepted[0]->sentence);
        self::assertTrue($carried->accepted[0]->key->holdsFor($finding->key()));
        self::assertSame('Rinsed out at once.', self::decided(self::assess($carried), 'load.total')->reason);
        // Of another finding, or of what it no longer says, it is not.
        $other = new Acceptance(new FindingKey('load.total'), 'Rinsed out.', 'It said something else.');
        self::assertNull(self::decided(self::assess($formula->accepting($other)), 'load.total')->reason);
    }

    public function test_no_reason_outweighs_a_stop_for_a_child(): void
    {
        $assessment = self::accepting(
            self::formula(['olive-oil' => '85 g', 'lavender-eo' => '10 drops'], audience: Audience::Child2To6),
            'load.total',
        );

        self::assertFalse(self::decided($assessment, 'load.total')->acceptable);
        self::assertTrue($assessment->hasStop());
    }

    public function test_water_may_be_accepted_for_oneself_but_not_for_sale(): void
    {
        $formula = self::formula(['olive-oil' => '90 g', 'aloe-gel' => '10 g']);

        self::assertFalse(self::accepting($formula, 'water.free')->hasStop());
        self::assertTrue(self::accepting($formula->withUse(false, true, 20.0), 'water.free')->hasStop());
    }

    public function test_pregnancy_is_never_accepted_and_a_caution_always_can_be(): void
    {
        self::assertTrue(
            self::accepting(
                self::formula(['olive-oil' => '500 g', 'clove-bud-eo' => '1 drop'], audience: Audience::Pregnancy),
                'pregnancy.avoid',
            )->hasStop(),
        );
        self::assertTrue(
            self::accepting(
                self::formula(['olive-oil' => '91.4 g', 'lavender-eo' => '50 drops'], audience: Audience::Pregnancy),
                'load.total',
            )->hasStop(),
        );
        self::assertNotSame(
            '',
            self::decided(
                self::accepting(self::formula(['olive-oil' => '100 g'], ProductKind::Balm), 'texture.slump'),
                'texture.slump',
            )->reason,
        );
    }

    public function test_it_needs_a_reason_and_is_kept_in_the_file(): void
    {
        $formula = self::formula(['olive-oil' => '100 g'])->accepting(
            new Acceptance(
                new FindingKey('life.short', 'note', ['capped'], ['life, months' => '0.5']),
                'For one weekend.',
            ),
            new Acceptance(new FindingKey('allergen'), 'Known.', 'Holds nuts.'),
        );
        self::assertEquals($formula, FormulaDocument::read(FormulaDocument::write($formula)));
        $this->expectException(FormulaError::class);
        new Acceptance(new FindingKey('life.short'), '  ');
    }

    public function test_plain_text_has_the_grams_the_shares_and_the_method(): void
    {
        $text = FormulaText::write(
            self::assess(
                self::formula(
                    ['shea-butter' => '60 g', 'olive-oil' => '40 g', 'who knows' => ''],
                    ProductKind::Balm,
                )->withNotes('Rosa likes it.'),
            ),
        );
        $known = FormulaText::write(
            self::assess(self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g'], ProductKind::Balm)),
        );

        self::assertStringContainsString("Test\nPomade or balm, adult, stays in the hair.", $text);
        self::assertStringContainsString('    60.0 g   60.0 %  Shea butter (melt, weighed)', $text);
        self::assertStringContainsString('   100.0 g  100.0 %', $text);
        self::assertStringContainsString('cannot tell        who knows', $text);
        self::assertMatchesRegularExpression('/Method\n1\. Wash hands/', $text);
        self::assertStringContainsString('Texture: cannot tell.', $text);
        self::assertStringContainsString('effective solids', $known);
        self::assertStringEndsWith("Rosa likes it.\n", $text);
    }
}
