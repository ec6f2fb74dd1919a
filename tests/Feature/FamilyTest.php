<?php

declare(strict_types=1);

namespace Tests\Feature;

/** One base, several scents. */
final class FamilyTest extends StudioTestCase
{
    /**
     * @return array{array<string, mixed>, array<string, mixed>} the base's page and a variant's, with lavender of its
     *     own
     */
    private function family(): array
    {
        $base = $this->formula("Braid butter\n60 g shea butter\n39 g olive oil\n1 g vitamin e");
        $variant = $this->got('FormulaPage', 'POST', 'formulas/'.$base['id'].'/variants', [
            'title' => 'Braid butter, lavender',
        ]);
        $variant = $this->saved($variant, [
            'lines' => [
                ...$variant['formula']['lines'],
                [
                    'id' => 'l4',
                    'ingredient' => 'lavender-eo',
                    'name' => 'Lavender essential oil',
                    'amount' => '8 drops',
                    'form' => '',
                    'phase' => 'cool-down',
                    'locked' => false,
                ],
            ],
        ]);

        return [$base, $variant];
    }

    /**
     * @param  array<string, mixed>  $page
     * @param  array<string, mixed>  $over
     * @return array<string, mixed>
     */
    private function saved(array $page, array $over): array
    {
        return $this->got('FormulaPage', 'PUT', 'formulas/'.$page['id'], [
            'revision' => $page['revision'],
            'formula' => $over + $page['formula'],
            'head_id' => $page['head_id'],
        ]);
    }

    /**
     * @param  array<string, mixed>  $page
     * @return list<array<string, mixed>>
     */
    private static function shea(array $page, string $amount): array
    {
        return array_map(
            static fn (array $l): array => $l['ingredient'] === 'shea-butter' ? ['amount' => $amount] + $l : $l,
            $page['formula']['lines'],
        );
    }

    public function test_a_change_of_the_base_waits_is_passed_on_and_says_what_it_did(): void
    {
        [$base, $variant] = $this->family();
        self::assertSame(
            ['id' => $base['id'], 'title' => 'Braid butter'],
            $this->got('Family', 'GET', 'formulas/'.$variant['id'].'/family')['base'],
        );
        self::assertSame(
            [],
            $this->got('Family', 'GET', 'formulas/'.$base['id'].'/family')['variants'][0]['waiting'],
        );

        $base = $this->saved($base, ['lines' => self::shea($base, '50 g')]);
        $seen = $this->got('Family', 'GET', 'formulas/'.$base['id'].'/family');
        self::assertNull($seen['base']);
        self::assertSame(['Shea butter 50 g instead of 60 g.'], $seen['variants'][0]['waiting']);
        self::assertSame(
            '60 g',
            $this->got('FormulaPage', 'GET', 'formulas/'.$variant['id'])['formula']['lines'][0]['amount'],
            'nothing moves before it is passed on',
        );

        $passed = $this->got('FamilyPassed', 'POST', 'formulas/'.$base['id'].'/family/pass')['passed'];
        self::assertSame(
            [$variant['id'], ['Shea butter 50 g instead of 60 g.']],
            [$passed[0]['id'], $passed[0]['changes']],
        );
        self::assertSame('60 g', $passed[0]['before']['lines'][0]['amount']);
        $after = $this->got('FormulaPage', 'GET', 'formulas/'.$variant['id']);
        self::assertSame(['50 g', '39 g', '1 g', '8 drops'], array_column($after['formula']['lines'], 'amount'));
        self::assertSame('Braid butter, lavender', $after['formula']['title']);
        self::assertSame($passed[0]['revision'], $after['revision']);
        self::assertSame(
            [],
            $this->got('FamilyPassed', 'POST', 'formulas/'.$base['id'].'/family/pass')['passed'],
            'once is enough',
        );
    }

    public function test_it_is_taken_back_by_saving_what_was_before(): void
    {
        [$base, $variant] = $this->family();
        $this->saved($base, ['lines' => self::shea($base, '50 g')]);
        $passed = $this->got('FamilyPassed', 'POST', 'formulas/'.$base['id'].'/family/pass')['passed'][0];
        $back = $this->got('FormulaPage', 'PUT', 'formulas/'.$variant['id'], [
            'revision' => $passed['revision'],
            'formula' => $passed['before'],
            'head_id' => $passed['head_id'],
        ]);

        self::assertSame('60 g', $back['formula']['lines'][0]['amount']);
    }

    public function test_whoever_has_the_variant_open_is_asked_not_overwritten(): void
    {
        [$base, $variant] = $this->family();
        $this->saved($base, ['lines' => self::shea($base, '50 g')]);
        $this->got('FamilyPassed', 'POST', 'formulas/'.$base['id'].'/family/pass');

        $this->ask('PUT', 'formulas/'.$variant['id'], [
            'revision' => $variant['revision'],
            'formula' => $variant['formula'],
            'head_id' => null,
        ])
            ->assertStatus(409)
            ->assertJsonPath('current.formula.lines.0.amount', '50 g');
    }

    public function test_a_stop_that_the_base_brings_to_a_variant_is_counted(): void
    {
        [$base] = $this->family();
        $strong = [
            'id' => 'l9',
            'ingredient' => 'rosemary-eo',
            'name' => 'Rosemary essential oil',
            'amount' => '9 g',
            'form' => '',
            'phase' => 'cool-down',
            'locked' => false,
        ];
        $this->saved($base, ['lines' => [...$base['formula']['lines'], $strong]]);
        $passed = $this->got('FamilyPassed', 'POST', 'formulas/'.$base['id'].'/family/pass')['passed'][0];

        self::assertSame(0, $passed['stops_before']);
        self::assertGreaterThan(0, $passed['stops']);
    }

    public function test_a_variant_has_a_name_and_is_no_base_itself(): void
    {
        [$base, $variant] = $this->family();
        self::assertStringContainsString(
            'needs a name',
            (string) $this->ask('POST', 'formulas/'.$base['id'].'/variants', ['title' => ''])
                ->assertStatus(422)
                ->json('errors.title.0'),
        );
        self::assertStringContainsString(
            'Make the new one from its base',
            (string) $this->ask('POST', 'formulas/'.$variant['id'].'/variants', ['title' => 'x'])
                ->assertStatus(422)
                ->json('message'),
        );
    }

    public function test_a_variant_may_go_its_own_way(): void
    {
        [$base, $variant] = $this->family();
        $alone = $this->got('Family', 'POST', 'formulas/'.$variant['id'].'/leave');
        self::assertSame(['base' => null, 'variants' => []], $alone);
        $this->saved($base, ['lines' => self::shea($base, '50 g')]);
        self::assertSame([], $this->got('FamilyPassed', 'POST', 'formulas/'.$base['id'].'/family/pass')['passed']);
    }

    public function test_a_base_that_was_put_away_leaves_its_variants_as_they_are(): void
    {
        [$base, $variant] = $this->family();
        $this->ask('DELETE', 'formulas/'.$base['id'])->assertStatus(204);
        self::assertSame(
            ['base' => null, 'variants' => []],
            $this->got('Family', 'GET', 'formulas/'.$variant['id'].'/family'),
        );
        self::assertCount(4, $this->got('FormulaPage', 'GET', 'formulas/'.$variant['id'])['formula']['lines']);
    }
}
