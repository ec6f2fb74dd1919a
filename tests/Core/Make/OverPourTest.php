<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Context;
use Crown\Formula\Formula;
use Crown\Formula\ProductKind;
use Crown\Json\Node;
use Crown\Make\BatchYield;
use Crown\Make\MakeSheet;
use Crown\Make\OverPour;
use Crown\Make\Put;
use Crown\Make\Putting;
use Crown\Make\Weighing;
use Crown\Measure\CupSize;
use Crown\Measure\Kit;
use Tests\Core\CoreTestCase;

/** Too much of something went in: what it does, and what puts it right. */
final class OverPourTest extends CoreTestCase
{
    private Formula $formula;

    private Assessment $planned;

    private MakeSheet $sheet;

    protected function setUp(): void
    {
        $this->formula = self::formula(
            ['shea-butter' => '60 g', 'olive-oil' => '40 g', 'lavender-eo' => '20 drops'],
            ProductKind::WhippedButter,
        );
        $this->planned = self::assess($this->formula);
        $this->sheet = new MakeSheet($this->planned);
    }

    private function line(string $ingredient): Weighing
    {
        foreach ($this->sheet->weighings() as $weighing) {
            if ($weighing->ingredient === $ingredient) {
                return $weighing;
            }
        }
        self::fail($ingredient);
    }

    /**
     * @param  array<string, float>  $in grams by ingredient
     * @return array<string, mixed>
     */
    private function poured(array $in, string $line, float $grams, ?Context $context = null): array
    {
        $put = [];
        foreach ($in as $ingredient => $of) {
            $put[$this->line($ingredient)->line] = Put::weighed($of);
        }
        $putting = new Putting($this->formula, $this->sheet->weighings(), $put);
        $context ??= self::context();

        return (array) json_decode((string) json_encode(
            OverPour::of($putting, $this->line($line), Put::weighed($grams), $this->planned, $context),
        ), true);
    }

    /** 80 of olive instead of 40: of 100.6 g it was 39.7 %, of 140.6 it is 56.9 %. */
    public function test_what_accepting_it_does(): void
    {
        $said = $this->poured(['shea-butter' => 60.0], 'olive-oil', 80.0);

        self::assertEqualsWithDelta(40.0, $said['over_grams'], 1e-9);
        $drops = $this->line('lavender-eo')->targetGrams;
        self::assertEqualsWithDelta(100 * 40.0 / (100.0 + $drops), $said['planned']['share_percent'], 0.001);
        self::assertEqualsWithDelta(100 * 80.0 / (140.0 + $drops), $said['accepted']['share_percent'], 0.001);
        self::assertLessThan($said['planned']['solids_25c'], $said['accepted']['solids_25c'], 'it is softer');
        self::assertLessThan($said['planned']['load_percent'], $said['accepted']['load_percent'], 'and smells less');
    }

    /** Twice the olive wants twice of all: 60 g more of shea that is in, 40 drops of lavender that is not. */
    public function test_what_puts_the_shares_right(): void
    {
        $said = $this->poured(['shea-butter' => 60.0], 'olive-oil', 80.0)['rebalanced'];
        $targets = array_column($said['targets'], null, 'line');

        $shea = $targets[$this->line('shea-butter')->line];
        self::assertSame([120.0, 60.0], [(float) $shea['grams'], (float) $shea['more_grams']]);
        $lavender = $targets[$this->line('lavender-eo')->line];
        self::assertSame([40, null], [$lavender['drops'], $lavender['more_grams']]);
        self::assertNull($targets[$this->line('olive-oil')->line]['more_grams']);
        self::assertEqualsWithDelta(
            $this->planned->subject->composition->totalGrams->best * 2,
            $said['total_grams'] + 60.0,
            0.5,
            'what is wanting is not in yet',
        );
    }

    public function test_a_scent_poured_too_freely_is_stopped_and_more_of_all_cures_it(): void
    {
        $said = $this->poured(['shea-butter' => 60.0, 'olive-oil' => 40.0], 'lavender-eo', 6.0);

        self::assertNotSame([], $said['accepted']['stops']);
        self::assertGreaterThan(5.0, $said['accepted']['load_percent']);
        self::assertEqualsWithDelta(
            6.0 / $this->line('lavender-eo')->targetGrams * 60.0,
            $said['rebalanced']['targets'][0]['grams'],
            0.01,
        );
    }

    public function test_a_bowl_that_would_run_over_is_told(): void
    {
        self::assertNull($this->poured([], 'olive-oil', 80.0)['rebalanced']['fits_bowl'], 'nobody said how large');
        $bowl = static function (float $millilitres): Context {
            $kit = Kit::read([])->with(Node::of(['kind' => 'bowl', 'name' => 'Bowl', 'millilitres' => $millilitres]));

            return new Context(self::catalogue(), $kit->kitchen(CupSize::Metric, 1.0, null));
        };

        self::assertFalse($this->poured([], 'olive-oil', 80.0, $bowl(300.0))['rebalanced']['fits_bowl']);
        self::assertTrue($this->poured([], 'olive-oil', 80.0, $bowl(2000.0))['rebalanced']['fits_bowl']);
    }

    public function test_what_is_in_and_too_little_is_wanting(): void
    {
        $shea = $this->line('shea-butter');
        $putting = static fn (Formula $f, MakeSheet $s, float $grams): Putting => new Putting(
            $f,
            $s->weighings(),
            [$shea->line => Put::weighed($grams)],
        );

        self::assertSame([], $putting($this->formula, $this->sheet, 60.2)->wanting(), 'as near as the scale shows');
        self::assertEqualsWithDelta(5.0, $putting($this->formula, $this->sheet, 55.0)->wanting()[$shea->line], 1e-9);
        self::assertSame([], $putting($this->formula, $this->sheet, 70.0)->wanting(), 'there is more than enough');
        $left = new Putting($this->formula, $this->sheet->weighings(), [$shea->line => Put::leftOut()]);
        self::assertSame([], $left->wanting(), 'what was left out is not asked for again');
    }

    public function test_a_larger_batch_asks_for_more_and_is_no_less_exact(): void
    {
        $larger = new MakeSheet($this->planned, 1.5);
        foreach ($this->sheet->weighings() as $n => $weighing) {
            $now = $larger->weighings()[$n];
            self::assertEqualsWithDelta(1.5 * $weighing->targetGrams, $now->targetGrams, 1e-9);
            self::assertSame($weighing->toleranceGrams, $now->toleranceGrams);
            self::assertSame($weighing->drops === null ? null : 30, $now->drops);
        }
    }

    /** 100 g: two jars of 45, 4 left over: 6 g stayed in the bowl. */
    public function test_where_it_all_went(): void
    {
        self::assertSame([
            'weighed_grams' => 100.0,
            'filled_grams' => 90.0,
            'remainder_grams' => 4.0,
            'lost_grams' => 6.0,
            'lost_percent' => 6.0,
        ], (new BatchYield(100.0, 90.0, 4.0))->jsonSerialize());
        self::assertNull((new BatchYield(0.0, 0.0, 0.0))->jsonSerialize()['lost_percent']);
    }
}
