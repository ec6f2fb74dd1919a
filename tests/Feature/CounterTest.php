<?php

declare(strict_types=1);

namespace Tests\Feature;

/** At the counter: drops are counted, and what was left out is not what the scale could not show. */
final class CounterTest extends StudioTestCase
{
    /** @return array<string, mixed> a batch of 100 g jojoba, 6 drops of lavender and 0.2 g of menthol */
    private function begun(): array
    {
        $formula = $this->read("Drops\n100 g jojoba oil\n6 drops lavender essential oil\n0.2 g menthol");
        $page = $this->got('FormulaPage', 'POST', 'formulas', [
            'formula' => $formula,
            'head_id' => null,
            'hair' => null,
        ]);

        return $this->got('Batch', 'POST', 'batches', ['formula_id' => $page['id'], 'although' => 'For myself.']);
    }

    /**
     * @param  array<string, mixed>  $batch
     * @param  array<string, mixed>  $what
     * @return array<string, mixed>
     */
    private static function line(array $batch, int $line, array $what): array
    {
        return [
            'revision' => $batch['revision'],
            'line' => $batch['weighings'][$line]['line'],
            'gathered' => true,
            'grams' => null,
            ...$what,
        ];
    }

    public function test_drops_are_asked_for_counted_and_kept(): void
    {
        $batch = $this->begun();
        $at = array_search('lavender-eo', array_column($batch['weighings'], 'ingredient'), true);
        self::assertIsInt($at);
        self::assertSame(6, $batch['weighings'][$at]['target_drops']);

        $path = 'batches/'.$batch['id'].'/weighings';
        $batch = $this->got('Batch', 'PUT', $path, self::line($batch, $at, ['how' => 'counted', 'drops' => 7]));
        $line = $batch['weighings'][$at];
        self::assertSame(['counted', 7, false], [$line['how'], $line['actual_drops'], $line['within']]);
        self::assertEqualsWithDelta(7 * $line['drop_grams'], $line['actual_grams'], 0.002);

        $this->ask('PUT', $path, self::line($batch, 0, ['how' => 'counted', 'drops' => 7]))
            ->assertStatus(422)
            ->assertJsonPath('errors.drops.0', $batch['weighings'][0]['name'].' is not written in drops: weigh it.');
        $this->ask('PUT', $path, self::line($batch, $at, ['grams' => 0]))
            ->assertStatus(422)
            ->assertJsonStructure(['errors' => ['grams']]);
    }

    public function test_too_little_for_the_scale_stays_on_the_label_and_what_was_left_out_does_not(): void
    {
        foreach (['too-little' => true, 'left-out' => false] as $how => $named) {
            $batch = $this->begun();
            foreach ($batch['weighings'] as $i => $w) {
                $what = match ($w['ingredient']) {
                    'menthol' => ['how' => $how],
                    'lavender-eo' => ['how' => 'counted', 'drops' => 6],
                    default => ['grams' => $w['target_grams']],
                };
                $path = 'batches/'.$batch['id'].'/weighings';
                $batch = $this->got('Batch', 'PUT', $path, self::line($batch, $i, $what));
            }
            $done = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
                'revision' => $batch['revision'],
                'jars' => 1,
                'jar_ml' => 100,
                'net_grams' => 95,
                'note' => '',
                'although' => 'For myself.',
            ]);
            self::assertSame($named, str_contains($done['label']['ingredients'], 'Menthol'), $how);
            self::assertStringContainsString('Lavandula', $done['label']['ingredients']);
        }
    }
}
