<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Severity;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Measure\WrittenAmount;
use Tests\Core\CoreTestCase;

final class ForgottenTest extends CoreTestCase
{
    private static function beside(Formula $now, Formula $before): Assessment
    {
        return Assessor::standard()->assess($now, self::context()->comparedWith($before));
    }

    public function test_a_line_that_was_there_and_is_not(): void
    {
        $before = self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g', 'vitamin-e' => '1 g']);
        $now = $before->withLines([$before->lines[0], $before->lines[1]]);
        $finding = self::finding(self::beside($now, $before), 'forgotten');

        self::assertSame(Severity::Note, $finding->severity);
        self::assertSame(
            'vitamin-e, 1 g, was in your last version and is not in this one. Left out on purpose?',
            $finding->message(),
        );
        $back = $finding->cures[0]->change->applyTo($now, self::catalogue());
        self::assertSame(['vitamin-e', '1 g'], [$back->lines[2]->ingredient, $back->lines[2]->amount->text]);
        self::assertNotContains('forgotten', self::codes(self::beside($back, $before)));
    }

    public function test_something_else_on_the_line_is_no_forgetting(): void
    {
        $before = self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g']);
        $now = $before->replacing($before->lines[1]->withIngredient('jojoba-oil', 'Jojoba oil', Phase::Warm));

        self::assertNotContains('forgotten', self::codes(self::beside($now, $before)));
    }

    public function test_moved_to_another_line_is_no_forgetting(): void
    {
        $before = self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g']);
        $now = self::formula(['a' => '', 'b' => '', 'olive-oil' => '40 g', 'shea-butter' => '60 g']);

        self::assertNotContains(
            'forgotten',
            self::codes(self::beside($now->withLines([$now->lines[2], $now->lines[3]]), $before)),
        );
    }

    public function test_what_is_not_in_the_catalogue_can_be_named_not_put_back(): void
    {
        $before = self::formula(['olive-oil' => '40 g', 'grandmother\'s paste' => '5 g']);
        $finding = self::finding(self::beside($before->withLines([$before->lines[0]]), $before), 'forgotten');

        self::assertStringStartsWith('grandmother\'s paste, 5 g,', $finding->message());
        self::assertSame([], $finding->cures);
        // It was in the catalogue once.
        $gone = new Line('l2', 'taken-out', 'Our old oil', new WrittenAmount('5 g'), '', Phase::Warm);
        $before = $before->withLines([$before->lines[0], $gone]);
        $finding = self::finding(self::beside($before->withLines([$before->lines[0]]), $before), 'forgotten');
        self::assertSame([], $finding->cures);
    }

    public function test_an_amount_of_another_order_is_a_slip_of_the_pen(): void
    {
        // 100 g with 1 g, then with 10 g: 0.99 % and 9.1 %, more than eight times.
        $before = self::formula(['olive-oil' => '100 g', 'rosemary-eo' => '1 g']);
        $now = $before->replacing($before->lines[1]->withAmount(new WrittenAmount('10 g')));
        $finding = self::finding(self::beside($now, $before), 'doubtful');

        self::assertSame(Severity::Caution, $finding->severity);
        self::assertSame(['l2'], array_map(static fn ($p): string => $p->line->id, $finding->portions));
        self::assertStringContainsString('is 9.1 % here and was 1.0 % in your last version (1 g)', $finding->message());
        self::assertSame('Back to 1 g', $finding->cures[0]->label);
        self::assertSame('1 g', $finding->cures[0]->change->applyTo($now, self::catalogue())->line('l2')->amount->text);
    }

    public function test_so_is_a_tenth(): void
    {
        $before = self::formula(['olive-oil' => '100 g', 'vitamin-e' => '10 g']);

        self::assertContains(
            'doubtful',
            self::codes(
                self::beside($before->replacing($before->lines[1]->withAmount(new WrittenAmount('1 g'))), $before),
            ),
        );
    }

    public function test_doubling_is_a_wish(): void
    {
        $before = self::formula(['olive-oil' => '100 g', 'vitamin-e' => '1 g']);

        self::assertNotContains(
            'doubtful',
            self::codes(
                self::beside($before->replacing($before->lines[1]->withAmount(new WrittenAmount('2 g'))), $before),
            ),
        );
    }

    public function test_the_same_written_otherwise_is_the_same(): void
    {
        // Everything ten times as much is another size, not a slip: shares are compared.
        $before = self::formula(['olive-oil' => '100 g', 'vitamin-e' => '1 g']);
        $now = $before
            ->replacing($before->lines[0]->withAmount(new WrittenAmount('1 kg')))
            ->replacing($before->lines[1]->withAmount(new WrittenAmount('10 g')));

        self::assertNotContains('doubtful', self::codes(self::beside($now, $before)));
    }

    public function test_without_an_earlier_version_nothing_is_said(): void
    {
        self::assertSame(
            [],
            array_intersect(
                ['forgotten', 'doubtful'],
                self::codes(self::assess(self::formula(['olive-oil' => '40 g']))),
            ),
        );
    }

    public function test_a_line_that_cannot_be_read_yet_is_no_slip(): void
    {
        $before = self::formula(['olive-oil' => '100 g', 'vitamin-e' => '1 g']);

        self::assertNotContains(
            'doubtful',
            self::codes(
                self::beside($before->replacing($before->lines[1]->withAmount(new WrittenAmount('1 tb sp'))), $before),
            ),
        );
    }
}
