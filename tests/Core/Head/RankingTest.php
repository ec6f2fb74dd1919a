<?php

declare(strict_types=1);

namespace Tests\Core\Head;

use Crown\Assessment\Assessor;
use Crown\Catalogue\Bottle;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Crown\Head\AgeBand;
use Crown\Head\Dislike;
use Crown\Head\HeadCheck;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Season;
use Crown\Head\Shortlist;
use Crown\Head\Sign;
use Crown\Head\Strand;
use Crown\Head\Suitability;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** The shortlist goes by what an ingredient can do for a head, and the age of a head is held to. */
final class RankingTest extends CoreTestCase
{
    /**
     * @param  list<string>  $atHand
     * @return array<string, int> place by id
     */
    private static function places(Need $need, Profile $head, array $atHand = []): array
    {
        $result = (new Shortlist(self::catalogue(), $head, Season::Warm, $atHand))->for($need, [], null, 400);

        return array_flip(array_column($result->ranked, 'id'));
    }

    /** @return iterable<string, array{Need}> */
    public static function needsOfLengths(): iterable
    {
        foreach ([Need::DryLengths, Need::Sealing, Need::Dullness, Need::Frizz] as $need) {
            yield $need->value => [$need];
        }
    }

    #[DataProvider('needsOfLengths')]
    public function test_no_wax_stands_before_an_oil_that_is_known_as_well(Need $need): void
    {
        $result = (new Shortlist(self::catalogue(), new Profile('Ada')))->for($need, [], null, 400);
        $seen = [];
        foreach ($result->ranked as $row) {
            if ($row['kind'] === IngredientKind::Wax->value) {
                $seen[(string) $row['score']] = $row['id'];
            } elseif ($row['kind'] === IngredientKind::CarrierOil->value) {
                self::assertArrayNotHasKey((string) $row['score'], $seen, $row['id']);
            }
        }
        self::assertNotSame([], $result->ranked);
    }

    public function test_what_stands_in_the_cupboard_comes_first_among_equals_and_then_what_is_common(): void
    {
        $head = new Profile('Imani', Strand::Coarse, Porosity::High);
        $without = self::places(Need::Sealing, $head);
        self::assertLessThan($without['illipe-butter'], $without['cocoa-butter'], 'common before rare');

        $with = self::places(Need::Sealing, $head, ['illipe-butter']);
        self::assertLessThan($with['cocoa-butter'], $with['illipe-butter'], 'at hand before common');
    }

    public function test_for_a_child_what_is_strong_by_the_drop_comes_last(): void
    {
        $child = new Profile('Nia', age: AgeBand::From6To12);
        $asked = [[Need::ChildGentle, new Profile('Ada')], [Need::Itch, $child], [Need::Flaking, $child]];
        foreach ($asked as [$need, $head]) {
            $kinds = array_column((new Shortlist(self::catalogue(), $head))->for($need, [], null, 400)->ranked, 'kind');
            $oils = array_keys($kinds, IngredientKind::EssentialOil->value, true);
            self::assertSame($oils === [] ? [] : range(count($kinds) - count($oils), count($kinds) - 1), $oils);
        }
    }

    public function test_weight_counts_as_much_as_a_step_of_evidence(): void
    {
        $fine = self::places(Need::DryLengths, new Profile('Ada', Strand::Fine, Porosity::Low));
        $coarse = self::places(Need::DryLengths, new Profile('Ada', Strand::Coarse, Porosity::Low));
        self::assertLessThan($fine['olive-oil'], $fine['canola-oil'], 'a light one for fine hair');
        self::assertLessThan($coarse['canola-oil'], $coarse['olive-oil']);
    }

    public function test_what_is_past_its_day_is_left_out_with_the_reason(): void
    {
        $all = self::catalogue();
        $id = 'canola-oil';
        $past = new Bottle(new DateTimeImmutable('2026-01-01'), true);
        foreach ([[[], false], [[$id => $past], true]] as [$bottles, $out]) {
            $with = $all->outOf($bottles);
            $result = (new Shortlist($with, new Profile('Ada')))->for(Need::DryLengths, [], null, 400);
            self::assertSame($out, in_array($id, array_column($result->leftOut, 'id'), true));
            self::assertSame(! $out, in_array($id, array_column($result->ranked, 'id'), true));
        }
    }

    public function test_a_need_that_nothing_serves_is_said(): void
    {
        $said = 0;
        foreach (Need::cases() as $need) {
            $result = (new Shortlist(self::catalogue(), new Profile('Ada')))->for($need, [], null, 400);
            if ($result->ranked === []) {
                $said++;
                self::assertStringContainsString('Nothing in the catalogue is known', $result->first, $need->value);
            }
        }
        self::assertGreaterThan(0, $said);
    }

    public function test_what_is_disliked_in_another_season_comes_later(): void
    {
        $coconut = static fn (Dislike ...$dislikes): int => self::places(
            Need::DryScalp,
            new Profile('Imani', Strand::Coarse, Porosity::High, dislikes: array_values($dislikes)),
        )['coconut-oil'];

        self::assertLessThan($coconut(new Dislike('coconut', Season::Cold)), $coconut());
    }

    public function test_porosity_decides_between_what_goes_in_and_what_stays_on(): void
    {
        $low = self::places(Need::DryLengths, new Profile('Zuri', porosity: Porosity::Low));
        $high = self::places(Need::DryLengths, new Profile('Zuri', porosity: Porosity::High));

        self::assertLessThan($low['shea-butter'], $low['avocado-oil']);
        self::assertLessThan($high['babassu-oil'] ?? PHP_INT_MAX, $high['shea-butter']);
    }

    public function test_what_is_used_in_drops_weighs_nothing_on_a_head(): void
    {
        $places = self::places(Need::Shedding, new Profile('Imani', Strand::Coarse, Porosity::High));

        self::assertLessThan($places['bhringraj'], $places['rosemary-eo'], 'a trial on people before tradition');
    }

    public function test_from_twelve_to_eighteen_what_is_for_grown_ups_is_a_stop(): void
    {
        $comfrey = self::catalogue()->get('comfrey-leaf');
        foreach (['12-18' => false, 'over-12' => false, 'adult' => true, 'not-known' => true] as $age => $may) {
            $head = new Profile('Ada', age: AgeBand::from($age));
            self::assertSame($may, (new Suitability($head))->against($comfrey) === [], $age);

            $codes = self::codes(
                Assessor::standard()
                    ->with(new HeadCheck($head))
                    ->assess(self::formula(['olive-oil' => '90 g', 'comfrey-leaf' => '10 g']), self::context()),
            );
            self::assertSame(! $may, in_array('head.age', $codes, true), $age);
        }
    }

    public function test_the_age_of_a_head_is_said_once_where_the_whole_is_for_a_child(): void
    {
        $head = new Profile('Tuma', age: AgeBand::From6To12);
        $formula = self::formula(['olive-oil' => '90 g', 'comfrey-leaf' => '10 g']);
        $assessment = Assessor::standard()
            ->with(new HeadCheck($head))
            ->assess($head->judging($formula), self::context());

        self::assertContains('child.avoid', self::codes($assessment));
        self::assertNotContains('head.age', self::codes($assessment));
    }

    public function test_a_clinician_comes_before_every_other_stop(): void
    {
        $head = new Profile('Ada', allergies: ['sesame'], signs: [Sign::cases()[0]]);
        $assessment = Assessor::standard()
            ->with(new HeadCheck($head))
            ->assess(self::formula(['sesame-oil' => '50 g', 'clove-bud-eo' => '50 g']), self::context());

        self::assertSame('head.clinician', self::codes($assessment)[0]);
    }

    public function test_a_trial_on_patchy_loss_is_no_evidence_for_thin_edges(): void
    {
        $result = (new Shortlist(self::catalogue(), new Profile('Ada')))->for(Need::ThinEdges, [], null, 400);

        self::assertSame([], array_intersect(
            ['rosemary-eo', 'thyme-thymol-eo', 'garlic', 'cedarwood-atlas-eo', 'onion-juice'],
            array_column($result->ranked, 'id'),
        ));
        self::assertContains('garlic', array_column($result->leftOut, 'id'), 'and it is said why');
        self::assertStringStartsWith('First loosen the style', $result->first);
        self::assertStringContainsString('see a clinician', $result->first);
    }

    public function test_a_family_is_offered_once(): void
    {
        $result = (new Shortlist(self::catalogue(), new Profile('Ada', Strand::Coarse, Porosity::High)))
            ->for(Need::Breakage, ['coconut'], null, 400);
        $ids = array_column($result->ranked, 'id');
        $proteins = array_filter($ids, static fn (string $id): bool => str_starts_with($id, 'hydrolysed-'));

        self::assertCount(1, $proteins);
        $row = $result->ranked[(int) array_key_first($proteins)];
        self::assertStringContainsString('one of them is enough', implode(' ', $row['reasons']));
        self::assertStringContainsString('hydrolysed silk', implode(' ', $row['reasons']));
        self::assertNotSame([], array_intersect(['btms-25', 'btms-50'], $ids), 'what lowers the force of combing');
        $flaking = (new Shortlist(self::catalogue(), new Profile('Ada')))->for(Need::Flaking, [], null, 400);
        self::assertContains('honey', array_column($flaking->ranked, 'id'), 'another finding is another row');
    }

    public function test_what_cannot_be_used_by_itself_or_spoils_in_a_day_comes_later(): void
    {
        $coarse = new Profile('Ada', Strand::Coarse);
        self::assertLessThan(
            self::places(Need::Sealing, $coarse)['cocoa-butter'],
            self::places(Need::Sealing, $coarse)['shea-butter'],
        );
        self::assertLessThan(
            self::places(Need::Dullness, $coarse)['beer'],
            self::places(Need::Dullness, $coarse)['argan-oil'],
        );
        $flaking = self::places(Need::Flaking, $coarse);
        self::assertLessThan($flaking['lemongrass-eo'], $flaking['black-seed-oil']);
    }
}
