<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Formula\Formula;
use Crown\Make\Actuals;
use Crown\Make\MakeError;
use Crown\Make\MakeSheet;
use Crown\Make\Put;
use Crown\Make\PutHow;
use Crown\Make\Weighing;
use Crown\Measure\DropCalibration;
use Crown\Measure\Kitchen;
use Crown\Papers\Label;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What goes in at the counter: weighed, counted in drops, too little for the scale, left out. */
final class PutTest extends CoreTestCase
{
    private static function oil(): Formula
    {
        return self::formula(['jojoba-oil' => '100 g', 'lavender-eo' => '12 drops', 'menthol' => '0.4 g']);
    }

    /** @return array<string, Weighing> by ingredient */
    private static function lines(?Kitchen $kitchen = null): array
    {
        $kitchen ??= new Kitchen(scaleGrams: 1.0);
        $assessment = Assessor::standard()->assess(self::oil(), new Context(self::catalogue(), $kitchen));

        return array_column((new MakeSheet($assessment))->weighings(), null, 'ingredient');
    }

    public function test_a_line_in_drops_is_asked_for_in_whole_drops(): void
    {
        $lavender = self::lines()['lavender-eo'];

        self::assertSame(12, $lavender->drops);
        self::assertEqualsWithDelta($lavender->targetGrams / 12, $lavender->dropGrams, 1e-9);
        self::assertNull(self::lines()['jojoba-oil']->drops);
    }

    public function test_the_makers_own_bottle_says_what_a_drop_weighs(): void
    {
        $name = self::catalogue()->get('lavender-eo')->name;
        $lavender = self::lines(new Kitchen(
            scaleGrams: 1.0,
            calibrations: [$name => new DropCalibration(40, 1.0, 0.01)],
        ))['lavender-eo'];

        self::assertEqualsWithDelta(0.025, $lavender->dropGrams, 1e-9);
        self::assertEqualsWithDelta(0.3, Put::counted($lavender, 12)->grams, 1e-9);
    }

    public function test_drops_are_met_to_a_tenth_of_them(): void
    {
        $lavender = self::lines()['lavender-eo'];

        foreach ([10 => false, 11 => true, 12 => true, 13 => true, 14 => false] as $drops => $met) {
            self::assertSame($met, $lavender->isMetBy(Put::counted($lavender, $drops)), "$drops drops");
        }
        self::assertFalse($lavender->isMetBy(Put::leftOut()));
    }

    public function test_what_was_counted_stays_drops_on_the_record(): void
    {
        $lines = self::lines();
        $actual = Actuals::of(self::oil(), [
            'l1' => Put::weighed(100.0),
            'l2' => Put::counted($lines['lavender-eo'], 14),
        ]);

        self::assertSame('14 drops', $actual->line('l2')->amount->text);
        self::assertCount(2, $actual->lines, 'menthol was not put in');
    }

    public function test_too_little_for_the_scale_stays_in_it_and_on_the_label(): void
    {
        $menthol = self::lines()['menthol'];
        self::assertTrue($menthol->isTooLittle());
        self::assertTrue($menthol->isMetBy(Put::tooLittle($menthol)));

        $label = static fn (Put $put): string => (new Label(
            self::assess(Actuals::of(self::oil(), ['l1' => Put::weighed(100.0), 'l3' => $put])),
            'L1',
            50.0,
            new DateTimeImmutable('2027-03-01'),
            '',
        ))->ingredients();
        self::assertStringContainsString('Menthol', $label(Put::tooLittle($menthol)));
        self::assertStringNotContainsString('Menthol', $label(Put::leftOut()));
    }

    /** @return iterable<string, array{callable(array<string, Weighing>): Put, string, string}> */
    public static function refused(): iterable
    {
        yield 'nothing on the scale' => [static fn (): Put => Put::weighed(0.0), 'grams', 'nothing-shown'];
        yield 'no drops' => [static fn (array $l): Put => Put::counted($l['lavender-eo'], 0), 'grams', 'nothing-shown'];
        yield 'drops of what is weighed' => [
            static fn (array $l): Put => Put::counted($l['jojoba-oil'], 3),
            'drops',
            'no-drops',
        ];
        yield 'too little of what can be weighed' => [
            static fn (array $l): Put => Put::tooLittle($l['jojoba-oil']),
            'how',
            'can-be-weighed',
        ];
    }

    /** @param  callable(array<string, Weighing>): Put  $put */
    #[DataProvider('refused')]
    public function test_what_says_nothing_is_refused(callable $put, string $path, string $cause): void
    {
        try {
            $put(self::lines());
            self::fail('It was taken.');
        } catch (MakeError $e) {
            self::assertSame([$path, $cause], [$e->path, $e->cause]);
        }
    }

    public function test_what_was_kept_as_nothing_was_left_out(): void
    {
        self::assertSame(PutHow::LeftOut, Put::kept(PutHow::Weighed, 0.0, null)->how);
        self::assertSame(PutHow::Counted, Put::kept(PutHow::Counted, 0.3, 12)->how);
    }
}
