<?php

declare(strict_types=1);

namespace Tests\Core\Papers;

use Crown\Formula\Audience;
use Crown\Formula\ProductKind;
use Crown\Papers\Passport;
use Crown\Papers\Region;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class PassportTest extends CoreTestCase
{
    /** @param  list<string>  $cautions */
    private static function answer(
        string $question,
        ProductKind $kind = ProductKind::HairOil,
        Audience $audience = Audience::AdultLeaveOn,
        array $cautions = [],
    ): string {
        $passport = new Passport($kind, $audience, '2027-05-01', '6 M', 'Keep it cool.', $cautions);

        return array_column($passport->questions(), 'answer', 'question')[$question];
    }

    public function test_it_keeps_as_its_label_says(): void
    {
        $keeps = self::answer('How long does it keep?');
        self::assertStringContainsString('Until 2027-05-01; once opened, 6 months.', $keeps);
        self::assertStringStartsWith('Keep it cool. Dark', self::answer('Where do I keep it?'));
        $short = new Passport(ProductKind::HairOil, Audience::AdultLeaveOn, '2027-05-01', '7 days', null, []);
        self::assertStringContainsString('once opened, 7 days.', $short->questions()[0]['answer']);
        self::assertStringStartsWith('Dark', $short->questions()[1]['answer']);
        $sealed = new Passport(ProductKind::HairOil, Audience::AdultLeaveOn, '2027-05-01', null, null, []);
        self::assertStringStartsWith('Until 2027-05-01. Throw', $sealed->questions()[0]['answer']);
        $never = new Passport(ProductKind::HairOil, Audience::AdultLeaveOn, null, null, null, []);
        self::assertStringStartsWith('Nobody can tell. Throw', $never->questions()[0]['answer']);
    }

    public function test_nothing_is_promised_before_it_can_be_told(): void
    {
        $when = self::answer('When would I see anything?');
        self::assertStringContainsString('6 to 12 weeks', $when);
        self::assertStringContainsString('before 3 months', $when);
    }

    /** @return iterable<string, array{ProductKind, string, string}> */
    public static function uses(): iterable
    {
        yield 'scalp oil' => [ProductKind::ScalpOil, 'One to three times a week', 'until the next wash'];
        yield 'hot oil' => [ProductKind::HotOil, 'before washing', '20 to 60 minutes'];
        yield 'bar' => [ProductKind::ConditionerBar, 'After each wash', 'Rinse it out'];
        yield 'rinse-out balm' => [ProductKind::RinseOutBalm, 'After each wash', 'Rinse it out'];
        yield 'balm' => [ProductKind::Balm, 'edges or ends', 'until the next wash'];
        yield 'butter' => [ProductKind::WhippedButter, 'a fingertip', 'until the next wash'];
    }

    #[DataProvider('uses')]
    public function test_each_kind_says_how_often_and_whether_it_stays(
        ProductKind $kind,
        string $often,
        string $in,
    ): void {
        self::assertStringContainsString($often, self::answer('How often?', $kind));
        self::assertStringContainsString($in, self::answer('Do I leave it in or wash it out?', $kind));
    }

    public function test_of_children_it_says_no_more_than_the_label(): void
    {
        $asked = 'May a child use it?';
        self::assertStringContainsString('made for adults', self::answer($asked));
        self::assertStringContainsString('6 to 12', self::answer($asked, audience: Audience::Child6To12));
        self::assertStringContainsString('2 to 6', self::answer($asked, audience: Audience::Child2To6));
        self::assertStringStartsWith(
            'Not for children under 10.',
            self::answer($asked, ProductKind::HairOil, Audience::Child6To12, ['Not for children under 10.']),
        );
    }

    /** 100 g / 28.349523125 = 3.527 oz. */
    public function test_net_contents_and_names_are_written_as_where_it_is_labelled(): void
    {
        self::assertSame('100 g net', Region::Eu->net(100.0));
        self::assertSame('27.5 g net', Region::Other->net(27.46));
        self::assertSame('Net wt 3.53 oz (100 g)', Region::Us->net(100.0));
        self::assertSame(['Water', 'Beeswax', 'Olea Europaea Fruit Oil'], array_map(
            Region::Us->inci(...),
            ['Aqua', 'Cera Alba', 'Olea Europaea Fruit Oil'],
        ));
        self::assertSame('Aqua', Region::Uk->inci('Aqua'));
        self::assertSame(
            [Region::Us, Region::Uk, Region::Eu, Region::Other, Region::Other],
            array_map(Region::of(...), ['US', 'GB', 'FR', 'NG', '']),
        );
        foreach (Region::cases() as $region) {
            self::assertStringContainsString('Ask the authority', $region->beforeSelling());
        }
    }
}
