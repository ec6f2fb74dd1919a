<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;

final class IngredientTest extends StudioTestCase
{
    /** @return list<string> */
    private function ids(string $query): array
    {
        return array_column($this->got('IngredientList', 'GET', 'ingredients?'.$query)['items'], 'id');
    }

    public function test_filters_answer_a_practitioners_questions(): void
    {
        $light = $this->ids('action=sealing&heaviest=2.3&by=weight');
        self::assertContains('watermelon-seed-oil', $light);
        self::assertNotContains('castor-oil', $light);

        $itch = $this->got('IngredientList', 'GET', 'ingredients?need=itch&by=evidence')['items'];
        self::assertContains($itch[0]['id'], ['menthol', 'oatmeal']);
        self::assertSame(3, $itch[0]['serves'][0]['grade']);
        self::assertNotSame('', $itch[0]['serves'][0]['on']);

        $this->ask('PUT', 'ingredients/clove-bud-eo/cupboard')->assertNoContent();
        $this->ask('PUT', 'ingredients/olive-oil/cupboard')->assertNoContent();
        self::assertSame(['clove-bud-eo'], $this->ids('at_hand=1&pregnancy=advised-against'));
        $this->ask('DELETE', 'ingredients/clove-bud-eo/cupboard')->assertNoContent();
        self::assertSame(['olive-oil'], $this->ids('at_hand=1'));
        self::assertSame(
            [],
            $this->ask('GET', 'ingredients?at_hand=1', [], $this->stranger)->json('items'),
            'a cupboard is the studio\'s own',
        );

        self::assertNotContains('sweet-almond-oil', $this->ids('kind=carrier-oil&without=tree nut'));
        self::assertSame('jojoba-oil', $this->ids('kind=liquid-wax-ester&by=life')[0]);
        self::assertContains('sweet-almond-oil', $this->ids('q=almnd oil'));
    }

    /** @return iterable<array{string, string}> */
    public static function nonsense(): iterable
    {
        yield ['kind=potion', 'kind'];
        yield ['need=wealth', 'need'];
        yield ['action=magic', 'action'];
        yield ['heaviest=9', 'heaviest'];
        yield ['by=colour', 'by'];
    }

    #[DataProvider('nonsense')]
    public function test_a_filter_that_is_not_one_is_refused_by_name(string $query, string $field): void
    {
        $this->ask('GET', 'ingredients?'.$query)
            ->assertStatus(422)
            ->assertJsonValidationErrors($field);
    }

    public function test_a_page_says_where_it_is_used_and_what_could_stand_in(): void
    {
        $formula = $this->formula("Nutty\n80 g sweet almond oil\n20 g olive oil");
        $page = $this->got(
            'IngredientPage',
            'GET',
            'ingredients/sweet-almond-oil?without='.urlencode('tree nut'),
        );

        self::assertSame([$formula['id']], array_column($page['used_in'], 'id'));
        self::assertNotEmpty($page['stand_ins']);
        foreach ($page['stand_ins'] as $standIn) {
            self::assertContains(
                'Free of tree nut.',
                array_column($standIn['changes'], 'message'),
                $standIn['id'],
            );
        }
        $this->ask('GET', 'ingredients/nothing-such')->assertNotFound();
        self::assertSame(
            [],
            $this->ask('GET', 'ingredients/sweet-almond-oil', [], $this->stranger)->json('used_in'),
        );
    }

    public function test_up_to_four_stand_side_by_side(): void
    {
        $answer = $this->got('Comparison', 'GET', 'ingredients/compare?ids=shea-butter,mango-butter');
        self::assertSame([], $answer['differences'][0]);
        self::assertContains('weight', array_column($answer['differences'][1], 'about'));
        $this->ask('GET', 'ingredients/compare?ids=shea-butter')->assertStatus(422);
        $this->ask(
            'GET',
            'ingredients/compare?ids=olive-oil,castor-oil,argan-oil,jojoba-oil,sesame-oil',
        )->assertStatus(422);
        $this->ask('GET', 'ingredients/compare?ids=olive-oil,nothing')->assertNotFound();
    }

    public function test_ones_own_figure_lies_over_the_reference_and_goes_again(): void
    {
        $own = [
            'form' => '',
            'property' => 'density_20c',
            'low' => 0.93,
            'best' => 0.94,
            'high' => 0.95,
            'source' => 'our scale',
        ];
        $this->ask('PUT', 'ingredients/olive-oil/figures', $own)->assertNoContent();
        $page = $this->got('IngredientPage', 'GET', 'ingredients/olive-oil');
        self::assertSame(0.94, $page['ingredient']['density_20c']['best']);
        self::assertSame(['density at 20 °C'], $page['ingredient']['corrected']);
        $formula = $this->read("Oil\n100 ml olive oil");
        $grams = fn (): float => $this->got('Evaluation', 'POST', 'evaluate', [
            'formula' => $formula,
            'head_id' => null,
        ])['assessment']['total_grams']['best'];
        self::assertEqualsWithDelta(94.0, $grams(), 1e-6, 'a formula counts with it');

        $this->ask('DELETE', 'own-figures/'.$page['own_figures'][0]['id'])->assertNoContent();
        self::assertEqualsWithDelta(91.4, $grams(), 0.01);
    }

    public function test_nonsense_figures_and_safety_limits_are_refused(): void
    {
        $own = [
            'form' => '',
            'property' => 'density_20c',
            'low' => 1,
            'best' => 1,
            'high' => 1,
            'source' => 'our scale',
        ];
        $wrongs = ['low' => 2, 'best' => 40, 'source' => '', 'property' => 'dermal_max', 'form' => 'gaseous'];
        foreach ($wrongs as $field => $wrong) {
            $this->ask('PUT', 'ingredients/clove-bud-eo/figures', [...$own, $field => $wrong])->assertStatus(422);
        }
        $this->ask('PUT', 'ingredients/clove-bud-eo/figures', [
            'form' => '',
            'property' => 'density_20c',
            'low' => 40,
            'best' => 41,
            'high' => 42,
            'source' => 'x',
        ])->assertStatus(422);
        self::assertSame([], $this->ask('GET', 'ingredients/clove-bud-eo')->json('own_figures'));
    }

    public function test_an_ingredient_of_ones_own_is_found_used_changed_and_kept_while_it_is_used(): void
    {
        $draft = [
            'name' => 'Aunt\'s "special" oil',
            'inci' => '',
            'kind' => 'carrier-oil',
            'like' => 'olive-oil',
            'synonyms' => ['special'],
            'allergens' => ['sesame'],
            'vegan' => true,
            'figures' => [
                ['form' => '', 'property' => 'weight', 'low' => 2, 'best' => 2, 'high' => 2, 'source' => 'felt'],
            ],
        ];
        $own = $this->got('OwnKept', 'POST', 'own-ingredients', $draft);
        self::assertSame('own', $own['ingredient']['origin']);
        self::assertEquals(2.0, $own['ingredient']['weight']);
        self::assertSame(['sesame'], $own['ingredient']['allergens']);
        self::assertSame($own['ingredient']['id'], $this->ids('q=special')[0]);
        self::assertNotContains(
            $own['ingredient']['id'],
            array_column($this->ask('GET', 'ingredients', [], $this->stranger)->json('items'), 'id'),
        );

        $this->ask('POST', 'own-ingredients', $draft)->assertStatus(422)->assertJsonValidationErrors('name');
        $this->ask('POST', 'own-ingredients', [
            ...$draft,
            'name' => 'Other',
            'like' => 'shea-butter',
        ])->assertStatus(422);
        $this->ask('POST', 'own-ingredients', [
            ...$draft,
            'name' => 'Other',
            'kind' => 'ready-steep',
            'like' => '',
        ])->assertStatus(422);

        $changed = $this->got('OwnKept', 'PUT', 'own-ingredients/'.$own['id'], [
            'revision' => 1,
            ...$draft,
            'vegan' => false,
        ]);
        self::assertFalse($changed['ingredient']['vegan']);
        $this->ask('PUT', 'own-ingredients/'.$own['id'], ['revision' => 1, ...$draft])->assertStatus(409);

        $formula = $this->formula("Special\n100 g special");
        $this->ask('DELETE', 'own-ingredients/'.$own['id'])->assertStatus(422);
        $this->ask('DELETE', 'formulas/'.$formula['id'])->assertNoContent();
        $this->ask('DELETE', 'own-ingredients/'.$own['id'])->assertNoContent();
        self::assertNull(
            $this->got('FormulaPage', 'POST', 'formulas/'.$formula['id'].'/restore')['assessment']['lines'][0][
                'ingredient'
            ],
            'a formula that comes back asks about it',
        );
    }
}
