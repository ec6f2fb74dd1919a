<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;

/**
 * What is known of one plant or oil is said wherever what was made of it stands: on the bench, for a head, at the
 * counter, on the label, in the passport of its jars, and where a routine is planned.
 */
final class CarriedTest extends StudioTestCase
{
    /**
     * @return iterable<string, array{
     *     plant: string, form: string, oil: string, whom: string, head: array<string, mixed>, bench: string,
     *     said: string,
     * }>
     */
    public static function parents(): iterable
    {
        $grown = ['age_band' => 'over-12'];
        yield 'an age' => [
            'plant' => 'saw-palmetto', 'form' => 'powder', 'oil' => 'olive-oil', 'whom' => 'child-6-12',
            'head' => ['age_band' => '6-12'], 'bench' => 'child.avoid', 'said' => '18',
        ];
        yield 'a pregnancy' => [
            'plant' => 'comfrey-leaf', 'form' => 'dried', 'oil' => 'olive-oil', 'whom' => 'pregnancy',
            'head' => [...$grown, 'pregnant' => true], 'bench' => 'pregnancy.avoid', 'said' => 'pregnan',
        ];
        yield 'the allergy of a plant' => [
            'plant' => 'fenugreek', 'form' => 'seed', 'oil' => 'olive-oil', 'whom' => 'adult-leave-on',
            'head' => [...$grown, 'allergies' => ['legume']], 'bench' => 'allergen', 'said' => 'legume',
        ];
        yield 'the allergy of an oil' => [
            'plant' => 'rosemary', 'form' => 'dried', 'oil' => 'sesame-oil', 'whom' => 'adult-leave-on',
            'head' => [...$grown, 'allergies' => ['sesame']], 'bench' => 'allergen', 'said' => 'sesame',
        ];
        yield 'a name that somebody bears nothing of' => [
            'plant' => 'rosemary', 'form' => 'dried', 'oil' => 'coconut-oil', 'whom' => 'adult-leave-on',
            'head' => [...$grown, 'allergies' => ['coconut']], 'bench' => '', 'said' => '',
        ];
    }

    /** @param  array<string, mixed>  $head */
    #[DataProvider('parents')]
    public function test_what_a_parent_bears_is_said_at_every_place(
        string $plant,
        string $form,
        string $oil,
        string $whom,
        array $head,
        string $bench,
        string $said,
    ): void {
        $formula = [
            'title' => 'Steeped oil',
            'kind' => 'hair-oil',
            'audience' => $whom,
            'lines' => [
                ['ingredient' => $this->steepedTwice($plant, $form, $oil), 'amount' => '60 g'],
                ['ingredient' => 'jojoba-oil', 'amount' => '40 g'],
            ],
        ];
        $person = $this->got('Head', 'POST', 'heads', [
            'name' => 'Imani',
            'strand' => 'coarse',
            'porosity' => 'high',
            'scalp' => 'dry',
            'pregnant' => false,
            'allergies' => [],
            'dislikes' => [],
            'wants' => ['sealing'],
            ...$head,
        ])['id'];

        if ($bench !== '') {
            self::assertContains($bench, self::codes($this->judged($formula)));
        }
        self::assertContains('stop', array_column($this->judged($formula, $person), 'severity'), 'on that head');

        // At the counter, for nobody in particular it may be made; on that head it wants a reason.
        $kept = $this->got('FormulaPage', 'POST', 'formulas', [
            'formula' => [...$formula, 'audience' => 'adult-leave-on'],
            'head_id' => null,
        ]);
        $batch = $this->batch(formula: $kept['id']);
        self::assertStringContainsString($said, strtolower((string) json_encode($batch['label'])), 'on its label');
        $token = substr((string) $this->ask('POST', "batches/{$batch['id']}/link")->json('link'), -22);
        self::assertStringContainsString($said, strtolower((string) $this->getJson("/api/jar/$token")->content()));
        $this->ask('POST', 'routines', [
            'head_id' => $person,
            'batch_id' => $batch['id'],
            'per_week' => 2,
            'grams_per_use' => 3,
            'starts_on' => today()->toDateString(),
            'way' => '',
        ])->assertStatus(422)->assertJsonValidationErrors('although');
    }

    /** An oil that was steeped, and steeped again with something plain: by its id. */
    private function steepedTwice(string $plant, string $form, string $oil): string
    {
        $first = $this->strained(self::steepDraft($plant, $form, over: [
            'oils' => [['ingredient' => $oil, 'amount' => '360 g', 'cost' => null]],
        ]));

        return $this->strained(self::steepDraft('nettle', over: [
            'oils' => [['ingredient' => $first, 'amount' => '250 g', 'cost' => null]],
        ]), 180.0);
    }

    /** @param  array<string, mixed>  $draft */
    private function strained(array $draft, float $grams = 290.0): string
    {
        $steep = $this->got('Steep', 'POST', 'steeps', $draft);
        $this->travel(29)->days();

        return $this->got('Steep', 'POST', "steeps/{$steep['id']}/strain", [
            'revision' => $this->got('Steep', 'GET', "steeps/{$steep['id']}")['revision'],
            'yield_grams' => $grams,
            'loss_grams' => 0,
        ])['lot']['ingredient'];
    }

    /**
     * @param  array<string, mixed>  $formula
     * @return list<array<string, mixed>> findings
     */
    private function judged(array $formula, ?int $head = null): array
    {
        return $this->got('Evaluation', 'POST', 'evaluate', ['formula' => $formula, 'head_id' => $head])['assessment'][
            'findings'
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $findings
     * @return list<string>
     */
    private static function codes(array $findings): array
    {
        return array_column($findings, 'code');
    }
}
