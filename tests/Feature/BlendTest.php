<?php

declare(strict_types=1);

namespace Tests\Feature;

/** A ready blend from the shop: written down once, on the shelf as one bottle, judged by what is in it to the label. */
final class BlendTest extends StudioTestCase
{
    /**
     * @param  array<string, float|null>  $parts per cent by ingredient id
     * @return array<string, mixed> $defs/OwnDraft
     */
    private static function draft(string $name, array $parts): array
    {
        return [
            'name' => $name,
            'inci' => '',
            'kind' => 'unknown',
            'like' => '',
            'synonyms' => [],
            'allergens' => [],
            'vegan' => true,
            'figures' => [],
            'parts' => array_map(
                static fn (string $id, ?float $percent): array => ['ingredient' => $id, 'percent' => $percent],
                array_keys($parts),
                array_values($parts),
            ),
        ];
    }

    /**
     * @param  array<string, float|null>  $parts
     * @return array<string, mixed> $defs/OwnKept
     */
    private function blend(string $name, array $parts): array
    {
        return $this->got('OwnKept', 'POST', 'own-ingredients', self::draft($name, $parts));
    }

    public function test_from_the_bill_to_the_label_it_is_one_bottle_and_all_its_parts(): void
    {
        $blend = $this->blend('Moonflower scent', ['lavender-eo' => 70, 'tea-tree-eo' => 30]);
        self::assertSame('essential-oil', $blend['ingredient']['kind']);
        self::assertSame(['lavender-eo', 'tea-tree-eo'], array_column($blend['ingredient']['blend'], 'ingredient'));
        $id = $blend['ingredient']['id'];
        // Its parts are found where it is used.
        $uses = fn (string $of): array => array_column(
            $this->got('IngredientPage', 'GET', 'ingredients/'.$of)['used_in'],
            'title',
        );
        self::assertSame([], $uses('tea-tree-eo'));
        // A bill names it, and it stands on the shelf as one bottle with its own price.
        $read = $this->got('LotsRead', 'POST', 'pantry/read', ['text' => '50 g Moonflower scent, 15.00'])['items'][0];
        self::assertSame($id, $read['ingredient']);
        $lot = $this->got('ShelfList', 'POST', 'pantry/lots', [
            'lots' => [['ingredient' => $id, 'grams' => 50, 'cost' => 15]],
        ])['items'][0];
        $page = $this->got('LotPage', 'GET', 'pantry/lots/'.$lot['id']);
        self::assertSame([70, 30], array_map(static fn (array $p): int => (int) $p['percent']['best'], $page['blend']));
        self::assertSame('kept', $page['life']['by'], 'it keeps as long as its weakest part');
        // A recipe names it: its scents are over what a scalp bears, and each is called by its name.
        $formula = $this->formula("Scalp oil\n95 g jojoba oil\n5 g Moonflower scent");
        self::assertSame(['Scalp oil'], $uses('tea-tree-eo'));
        self::assertSame([], $uses('rosemary-eo'));
        $findings = $formula['assessment']['findings'];
        $total = array_values(array_filter($findings, static fn (array $f): bool => $f['code'] === 'load.total'))[0];
        self::assertSame('stop', $total['severity']);
        self::assertEqualsWithDelta(5.0, $total['figures']['essential-oils']['best'], 0.01);
        self::assertSame([$formula['assessment']['lines'][1]['id']], $total['lines']);
        self::assertEqualsWithDelta(1.5, $formula['assessment']['cost']['known']['best'], 1e-6);
        // Made all the same, for herself: what stands on the label is what is in it.
        $safe = $this->formula("Scalp oil\n99.2 g jojoba oil\n0.8 g Moonflower scent");
        $batch = $this->weighed($this->got('Batch', 'POST', 'batches', ['formula_id' => $safe['id']]));
        self::assertSame([$id], array_slice(array_column($batch['weighings'], 'ingredient'), 1));
        $done = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 3,
            'jar_ml' => 30,
            'net_grams' => 27,
            'note' => '',
        ]);
        self::assertStringContainsString('Lavandula', $done['label']['ingredients']);
        self::assertStringContainsString('Melaleuca', $done['label']['ingredients']);
        self::assertStringContainsString('Linalool', $done['label']['ingredients']);
        $left = $this->got('LotPage', 'GET', 'pantry/lots/'.$lot['id'])['left_grams'];
        self::assertEqualsWithDelta(50 - $batch['weighings'][1]['target_grams'], $left, 0.01);
    }

    public function test_what_it_is_made_of_is_asked_for_by_its_field(): void
    {
        $ask = fn (array $parts): \Illuminate\Testing\TestResponse => $this->ask(
            'POST',
            'own-ingredients',
            self::draft('Trial', $parts),
        );
        $ask(['lavender-eo' => 100])->assertStatus(422)->assertJsonValidationErrors('parts');
        $ask(['lavender-eo' => 60, 'tea-tree-eo' => 30])->assertStatus(422)->assertJsonValidationErrors('parts');
        $ask(['lavender-eo' => 60, 'no-such' => 40])->assertStatus(422)->assertJsonValidationErrors(
            'parts.1.ingredient',
        );
        $ask(['lavender-eo' => 160, 'tea-tree-eo' => 40])->assertStatus(422)->assertJsonValidationErrors(
            'parts.0.percent',
        );
        $blend = $this->blend('First', ['lavender-eo' => null, 'tea-tree-eo' => null]);
        $ask([$blend['ingredient']['id'] => 50, 'jojoba-oil' => 50])
            ->assertStatus(422)
            ->assertJsonFragment(['First is a blend itself: name what is in it.']);
    }

    public function test_it_may_hold_what_is_the_studios_own_which_then_stays(): void
    {
        $own = $this->got('OwnKept', 'POST', 'own-ingredients', [
            ...self::draft('Garden oil', []),
            'kind' => 'carrier-oil',
            'like' => 'olive-oil',
            'allergens' => ['sesame'],
        ]);
        $blend = $this->blend('Garden base', [$own['ingredient']['id'] => 40, 'jojoba-oil' => 60]);
        self::assertSame(['sesame'], $blend['ingredient']['allergens']);
        $this->ask('DELETE', 'own-ingredients/'.$own['id'])
            ->assertStatus(422)
            ->assertJsonFragment(['"Garden base" is made of it. Take it out there first.']);
        $this->ask('PUT', 'own-ingredients/'.$own['id'], [
            'revision' => 1,
            ...self::draft('Garden oil', ['olive-oil' => 50, 'jojoba-oil' => 50]),
        ])->assertStatus(422)->assertJsonValidationErrors('parts');
        $changed = $this->got('OwnKept', 'PUT', 'own-ingredients/'.$blend['id'], [
            'revision' => 1,
            ...self::draft('Garden base', ['argan-oil' => 40, 'jojoba-oil' => 60]),
        ]);
        self::assertSame('argan-oil', $changed['ingredient']['blend'][0]['ingredient']);
        $this->ask('DELETE', 'own-ingredients/'.$own['id'])->assertNoContent();
        $page = $this->got('IngredientPage', 'GET', 'ingredients/'.$blend['ingredient']['id']);
        self::assertEquals(40, $page['own']['parts'][0]['percent']);
    }

    public function test_what_was_paid_in_other_money_counts_at_its_rate_or_not_at_all(): void
    {
        $buy = fn (array $more): array => $this->got('ShelfList', 'POST', 'pantry/lots', [
            'lots' => [['ingredient' => 'olive-oil', 'grams' => 500, ...$more]],
        ])['items'][0];
        $this->ask('PUT', 'studio', [
            'name' => 'Studio', 'maker' => '', 'cup' => 'metric', 'scale_grams' => 1, 'southern' => false,
            'bowl_ml' => 0, 'time_zone' => 'Europe/London', 'currency' => 'GBP',
        ])->assertSuccessful();
        $cost = fn (): array => $this->got('Evaluation', 'POST', 'evaluate', [
            'formula' => $this->read("Oil\n100 g olive oil"),
        ])['assessment']['cost'];
        $lot = $buy(['cost' => 10, 'currency' => 'USD']);
        self::assertNull($lot['per_100g'], 'nobody has said what a dollar is');
        self::assertEquals(0, $cost()['known']['best']);
        $this->ask('PUT', 'pantry/lots/'.$lot['id'], ['rate' => 0])->assertStatus(422);
        $page = $this->got('LotPage', 'PUT', 'pantry/lots/'.$lot['id'], ['rate' => 0.8]);
        self::assertEqualsWithDelta(1.6, $page['per_100g'], 1e-9);
        self::assertEqualsWithDelta(1.6, $cost()['known']['best'], 1e-6);
        // The next that is paid for so begins with that.
        self::assertEqualsWithDelta(0.8, $buy(['cost' => 5, 'currency' => 'USD'])['rate'], 1e-9);
        self::assertNull($buy(['cost' => 5, 'currency' => 'GBP'])['rate']);
        self::assertNull($buy(['cost' => 5, 'currency' => 'EUR'])['per_100g']);
    }
}
