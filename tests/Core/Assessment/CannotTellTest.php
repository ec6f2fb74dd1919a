<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Keeping;
use Crown\Exchange\FormulaText;
use Crown\Head\Fit;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Strand;
use Crown\Measure\Kitchen;
use Crown\Papers\Label;
use Crown\Reading\RecipeReader;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

/** A jar of powder: nobody can tell how long it keeps, how heavy it lies on the hair, or how it stands. */
final class CannotTellTest extends CoreTestCase
{
    private const POWDER = ['rosemary' => '30 g'];

    public function test_what_nobody_can_tell_is_null_and_said_so(): void
    {
        $powder = self::assess(self::formula(self::POWDER));
        $said = json_decode((string) json_encode($powder), true);

        self::assertNull($powder->subject->life->months);
        self::assertSame([null, null, false], [
            $said['life_months'],
            $said['weight_index'],
            $said['texture_known'],
        ]);
        self::assertNull(Keeping::of($powder->subject, new DateTimeImmutable('2026-11-28')));
        self::assertSame(
            'How long it keeps cannot be told: no line has a known life. Make little, and look at it each time.',
            self::finding($powder, 'life.short')->message(),
        );
        $text = FormulaText::write($powder);
        self::assertStringContainsString('How long it keeps: cannot tell.', $text);
        self::assertStringContainsString('Texture: cannot tell.', $text);
    }

    public function test_from_half_of_it_on_powder_makes_a_paste(): void
    {
        $known = static fn (string $powder, string $oil): bool => self::assess(
            self::formula(['rosemary' => $powder, 'olive-oil' => $oil]),
        )->subject->texture->isKnown();

        self::assertTrue($known('49 g', '51 g'));
        self::assertFalse($known('50 g', '50 g'));
        self::assertFalse(self::assess(self::formula([]))->subject->texture->isKnown());
    }

    public function test_its_label_has_no_date_and_says_why(): void
    {
        $label = static fn (array $lines): Label => new Label(
            self::assess(self::formula($lines)),
            '261128-1',
            30.0,
            new DateTimeImmutable('2026-11-28'),
            'Made here',
        );
        $caution = 'How long it keeps is not known: use it up soon, throw it away if look or smell changes.';

        self::assertNull($label(self::POWDER)->keeping());
        self::assertContains($caution, $label(self::POWDER)->cautions());
        self::assertNotContains($caution, $label(self::POWDER)->cautions(true), 'a bottle has its day');
        self::assertNotNull($label(['olive-oil' => '30 g'])->keeping());
        self::assertNotContains($caution, $label(['olive-oil' => '30 g'])->cautions());
    }

    public function test_a_weight_that_is_not_known_neither_suits_nor_lies_outside(): void
    {
        $fine = Profile::hairType(Strand::Fine, Porosity::Low);
        $suits = static fn (array $lines): ?bool => Fit::of(
            $fine,
            self::assess(self::formula($lines))->subject,
        )->suits();

        self::assertNull($suits(self::POWDER));
        self::assertTrue($suits(['grapeseed-oil' => '30 g']));
        self::assertFalse($suits(['castor-oil' => '30 g']));
    }

    public function test_a_claim_is_not_held_against_what_nobody_can_tell(): void
    {
        $reader = new RecipeReader(self::catalogue(), new Kitchen());
        $recipe = $reader->read("Powder\n30 g rosemary powder\nKeeps for 9 months.");

        self::assertSame(9.0, $recipe->claims->life?->months);
        self::assertSame([], $recipe->claims->against(self::assess($recipe->toFormula())));
    }
}
