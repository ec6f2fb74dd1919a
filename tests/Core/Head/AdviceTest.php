<?php

declare(strict_types=1);

namespace Tests\Core\Head;

use Crown\Assessment\Severity;
use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Need;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\ProductKind;
use Crown\Head\AgeBand;
use Crown\Head\CrownMap;
use Crown\Head\Dislike;
use Crown\Head\FirstFormula;
use Crown\Head\Fit;
use Crown\Head\Guide;
use Crown\Head\HeadCheck;
use Crown\Head\Mark;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Scalp;
use Crown\Head\Season;
use Crown\Head\Shortlist;
use Crown\Head\Sign;
use Crown\Head\Strand;
use Crown\Head\Style;
use Crown\Head\Suitability;
use Crown\Head\Zone;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class AdviceTest extends CoreTestCase
{
    public function test_what_is_not_known_widens_what_may_suit(): void
    {
        $target = (new Profile('Someone'))->weightTarget(false);
        self::assertEqualsWithDelta([1.2, 4.7], [$target->low, $target->high], 1e-9);
        self::assertSame(Audience::AdultRinseOff, (new Profile('Someone'))->audience(Audience::AdultRinseOff));
    }

    public function test_needs_come_from_wishes_then_scalp_then_style_each_once(): void
    {
        $head = new Profile('Imani', scalp: Scalp::Dry, wants: [Need::Sealing, Need::DryScalp], style: Style::Braids);
        self::assertSame([Need::Sealing, Need::DryScalp, Need::ProtectiveStyles], $head->needs());
    }

    /** @return iterable<string, array{string, bool, Season}> */
    public static function seasons(): iterable
    {
        yield 'January, north' => ['2027-01-15', false, Season::Cold];
        yield 'July, north' => ['2027-07-15', false, Season::Warm];
        yield 'July, south' => ['2027-07-15', true, Season::Cold];
        yield 'the last day of March' => ['2027-03-31', false, Season::Cold];
        yield 'the first day of April' => ['2027-04-01', false, Season::Warm];
    }

    #[DataProvider('seasons')]
    public function test_seasons(string $day, bool $southern, Season $season): void
    {
        self::assertSame($season, Season::on(new DateTimeImmutable($day), $southern));
    }

    public function test_crown_map_says_the_worst_zone_as_it_is_now(): void
    {
        $day = static fn (int $n): DateTimeImmutable => new DateTimeImmutable(sprintf('2027-01-%02d', $n));
        $map = new CrownMap([
            new Mark(Zone::Nape, Scalp::Calm, $day(20)),
            new Mark(Zone::Nape, Scalp::Flaking, $day(5)),
            new Mark(Zone::Top, Scalp::Oily, $day(10)),
        ]);

        self::assertSame(Scalp::Flaking, $map->scalp($day(12), Scalp::Calm));
        self::assertSame(Scalp::Oily, $map->scalp($day(21), Scalp::Calm));
        self::assertSame(Scalp::Dry, $map->scalp($day(1), Scalp::Dry), 'before anything was marked the whole speaks');
        self::assertSame(
            Scalp::Alarming,
            $map->scalp($day(21), Scalp::Alarming),
            'an alarm of the whole is not outvoted',
        );
        self::assertSame(Scalp::NotKnown, $map->at(Zone::Back, $day(21)));
        self::assertCount(3, $map->days());
    }

    public function test_everything_that_speaks_against_an_ingredient_in_its_order(): void
    {
        $head = new Profile(
            'Adaeze',
            age: AgeBand::From2To6,
            pregnant: true,
            allergies: ['rosemary'],
            dislikes: [new Dislike('rosemary', Season::Cold)],
            conditions: [Condition::Epilepsy],
        );
        $against = (new Suitability($head, Season::Cold))->against(self::catalogue()->get('rosemary-eo'));
        self::assertCount(5, $against);
        foreach (['allergic', 'Not under 10 years', 'pregnancy', 'epilepsy', 'cold months'] as $i => $word) {
            self::assertStringContainsString($word, $against[$i]);
        }
        self::assertCount(4, (new Suitability($head, Season::Warm))->against(self::catalogue()->get('rosemary-eo')));
        self::assertSame(
            ['No essential oil under 2 years.'],
            (new Suitability(new Profile('Baby', age: AgeBand::Under2)))->against(
                self::catalogue()->get('lavender-eo'),
            ),
        );
        self::assertSame([], (new Suitability(new Profile('Someone')))->against(self::catalogue()->get('olive-oil')));
    }

    public function test_shortlist_ranks_by_worth_and_leaves_out_what_has_no_basis(): void
    {
        $list = (new Shortlist(self::catalogue(), new Profile('Zuri', Strand::Fine, Porosity::Low)))->for(
            Need::Shedding,
            [],
            null,
            300,
        );
        $rank = array_flip(array_column($list->ranked, 'id'));
        self::assertLessThan($rank['peppermint-eo'], $rank['rosemary-eo'], 'a trial on people before mice');
        self::assertLessThan(
            $rank['pumpkin-seed'],
            $rank['peppermint-eo'],
            'mice rubbed in before people who swallowed',
        );
        $left = array_column($list->leftOut, 'reason', 'id');
        self::assertStringContainsString('No basis', $left['ginger-root']);
        $flaking = (new Shortlist(self::catalogue(), new Profile('Zuri', Strand::Fine, Porosity::Low)))->for(
            Need::Flaking,
            [],
            null,
            20,
        );
        self::assertSame('salicylic-acid', $flaking->ranked[0]['id']);
        self::assertStringContainsString('one new thing at a time', $flaking->first);
    }

    public function test_services_as_worked_on_the_method_page(): void
    {
        $formula = self::formula(['jojoba-oil' => '96 g', 'rosemary-eo' => '1 g', 'pumpkin-seed-oil' => '3 g']);
        $fit = Fit::of(
            new Profile('Zuri', Strand::Fine, Porosity::Low, wants: [Need::Shedding]),
            self::assess($formula)->subject,
        );
        // Rosemary: trials on people, 3/4 x sqrt(0.01); pumpkin: swallowed, so as tradition, 1/4 x sqrt(0.03).
        self::assertEqualsWithDelta(0.75 * 0.1 + 0.25 * sqrt(0.03), $fit->points(Need::Shedding), 1e-9);
        self::assertSame(Need::Shedding, $fit->services[0]->need);
        self::assertSame('Rosemary essential oil', $fit->services[0]->earned[0]->portion->ingredient->name);
        self::assertSame(0.0, $fit->points(Need::ChildGentle));
    }

    public function test_red_flags_conditions_and_seasons_are_found_in_a_formula(): void
    {
        $judge = static fn (Profile $head, Season $season) => \Crown\Assessment\Assessor::standard()
            ->with(new HeadCheck($head, $season))
            ->assess(self::formula(['coconut-oil' => '98 g', 'eucalyptus-globulus-eo' => '1 g']), self::context());
        $head = new Profile(
            'Zuri',
            dislikes: [new Dislike('coconut', Season::Cold)],
            conditions: [Condition::Asthma],
            signs: [Sign::SuddenLoss],
        );
        $cold = $judge($head, Season::Cold);
        self::assertStringContainsString('sudden loss', self::finding($cold, 'head.clinician')->message());
        self::assertSame(Severity::Caution, self::finding($cold, 'head.condition')->severity);
        self::assertContains('head.dislike', self::codes($cold));
        self::assertNotContains('head.dislike', self::codes($judge($head, Season::Warm)));
    }

    /** @return iterable<string, array{array<string, string>, array<string, string>}> */
    public static function answers(): iterable
    {
        yield 'agreement' => [['porosity-spray' => 'soak', 'porosity-treated' => 'yes'], ['porosity' => 'high']];
        yield 'two against one' => [
            ['porosity-spray' => 'stay', 'porosity-dry' => 'long', 'porosity-treated' => 'yes'],
            ['porosity' => 'low'],
        ];
        yield 'a tie' => [['porosity-spray' => 'stay', 'porosity-dry' => 'short'], ['porosity' => null]];
        yield 'an answer that speaks for nothing' => [['porosity-treated' => 'no'], ['porosity' => null]];
        yield 'itch is found, not outvoted' => [
            ['scalp-tissue' => 'faint', 'scalp-scratch' => 'nothing', 'scalp-itch' => 'yes'],
            ['scalp' => 'itchy'],
        ];
        yield 'nothing' => [[], []];
    }

    /**
     * @param  array<string, string>  $given
     * @param  array<string, string>  $proposes
     */
    #[DataProvider('answers')]
    public function test_guide(array $given, array $proposes): void
    {
        self::assertSame(
            $proposes,
            array_column(
                array_map(static fn ($s): array => ['t' => $s->trait, 'v' => $s->value], Guide::suggest($given)),
                'v',
                't',
            ),
        );
    }

    public function test_every_question_says_what_it_cannot_tell(): void
    {
        foreach (Guide::questions() as $question) {
            self::assertNotSame('', $question->limits);
            self::assertGreaterThanOrEqual(2, count($question->answers));
        }
    }

    /** @return iterable<string, array{ProductKind, Profile}> */
    public static function firsts(): iterable
    {
        $heads = [
            'fine' => new Profile(
                'Zuri',
                Strand::Fine,
                Porosity::Low,
                Scalp::Oily,
                AgeBand::Adult,
                allergies: ['tree nut'],
            ),
            'coarse' => new Profile('Imani', Strand::Coarse, Porosity::High, Scalp::Dry, AgeBand::Adult),
            'child' => new Profile('Tuma', age: AgeBand::From2To6, allergies: ['soy']),
            'pregnant' => new Profile('Adaeze', Strand::Medium, pregnant: true, conditions: [Condition::Asthma]),
            'baby' => new Profile('Baby', age: AgeBand::Under2),
        ];
        foreach (ProductKind::cases() as $kind) {
            foreach ($heads as $who => $head) {
                yield $kind->value.' for '.$who => [$kind, $head];
            }
        }
    }

    #[DataProvider('firsts')]
    public function test_a_first_version_is_whole_and_stops_at_nothing(ProductKind $kind, Profile $head): void
    {
        $first = (new FirstFormula(self::catalogue(), $head))->make($kind, [
            'sweet-almond-oil',
            'shea-butter',
            'lavender-eo',
            'calendula',
            'argan-oil',
        ]);
        $assessment = \Crown\Assessment\Assessor::standard()
            ->with(new HeadCheck($head))
            ->assess($head->judging($first->formula), self::context(0.01));

        self::assertSame(
            [],
            array_map(
                static fn ($f): string => $f->message(),
                array_filter($assessment->findings, static fn ($f): bool => $f->severity === Severity::Stop),
            ),
        );
        self::assertEqualsWithDelta(100.0, $assessment->subject->composition->totalGrams->best, 1e-6);
        self::assertSame(
            [],
            array_filter($assessment->subject->composition->portions, static fn ($p): bool => $p->problem !== null),
        );
        self::assertCount(count($first->formula->lines), $first->reasons);
        self::assertStringContainsString('steep it', implode(' ', $first->remarks), 'a plant is steeped first');
    }

    public function test_a_first_version_meets_the_weight_where_it_can(): void
    {
        foreach (
            [
                [Strand::Fine, Porosity::Low, ProductKind::ScalpOil, 'castor-oil'],
                [Strand::Coarse, Porosity::High, ProductKind::HairOil, 'grapeseed-oil'],
                [Strand::Medium, Porosity::Normal, ProductKind::SealingOil, 'squalane'],
            ] as [$strand, $porosity, $kind, $chosen]
        ) {
            $head = new Profile('Someone', $strand, $porosity);
            $formula = (new FirstFormula(self::catalogue(), $head))->make($kind, [$chosen])->formula;
            self::assertTrue(
                $head->weightTarget($kind->goesOnScalp())->contains(self::index($formula)),
                sprintf('%s: %.2f', $kind->value, self::index($formula)),
            );
        }
        $this->expectException(CatalogueError::class);
        (new FirstFormula(self::catalogue(), new Profile('Someone')))->make(ProductKind::HairOil, ['nothing-such']);
    }

    private static function index(Formula $formula): float
    {
        return (float) self::assess($formula)->subject->heaviness();
    }
}
