<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessor;
use Crown\Assessment\Composition;
use Crown\Assessment\Context;
use Crown\Assessment\Load;
use Crown\Assessment\Portion;
use Crown\Assessment\Preservative;
use Crown\Assessment\Texture;
use Crown\Assessment\TextureFamily;
use Crown\Assessment\Whipping;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Compiled;
use Crown\Formula\Audience;
use Crown\Formula\ProductKind;
use Crown\Make\Gate;
use Crown\Make\Task;
use Crown\Make\TaskKind;
use Crown\Measure\Band;
use Crown\Measure\Kitchen;
use Crown\Measure\Mixer;
use Crown\Measure\Place;
use Crown\Measure\WrittenAmount;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** Figures at the very edge of a rule, and those that stand behind a choice nobody made. */
final class AtTheEdgeTest extends CoreTestCase
{
    /** @param  array<string, string>  $lines */
    private static function made(array $lines, float $scale = 0.000001): Composition
    {
        return Composition::of(self::formula($lines), new Context(self::catalogue(), new Kitchen(scaleGrams: $scale)));
    }

    /** @return iterable<string, array{array<string, string>, TextureFamily}> */
    public static function families(): iterable
    {
        yield 'two per cent of wax' => [['olive-oil' => '98 g', 'beeswax' => '2 g'], TextureFamily::Wax];
        yield 'less' => [['olive-oil' => '98.1 g', 'beeswax' => '1.9 g'], TextureFamily::Oil];
        yield 'a tenth of butter' => [['olive-oil' => '90 g', 'shea-butter' => '10 g'], TextureFamily::Butter];
        yield 'less of it' => [['olive-oil' => '90.1 g', 'shea-butter' => '9.9 g'], TextureFamily::Oil];
        yield 'two per cent of a conditioner' => [
            ['water' => '88 g', 'shea-butter' => '10 g', 'btms-25' => '2 g'],
            TextureFamily::Conditioner,
        ];
    }

    /** @param  array<string, string>  $lines */
    #[DataProvider('families')]
    public function test_what_holds_it_together_counts_from_its_share_on(array $lines, TextureFamily $family): void
    {
        self::assertSame($family, TextureFamily::of(self::made($lines)));
    }

    /** Phenoxyethanol 0.5 to 1 %: a tenth of slack on either side. */
    public function test_a_preservative_is_in_its_range_with_a_tenth_of_slack(): void
    {
        $of = static function (float $percent): bool {
            $made = self::made([
                'water' => sprintf('%.4F g', 100 - $percent),
                'phenoxyethanol-ehg' => sprintf('%.4F g', $percent),
            ]);
            $preservative = Preservative::of($made);

            return $preservative->inRange($preservative->lines[0]);
        };
        $range = Preservative::range(self::catalogue()->get('phenoxyethanol-ehg'), false);
        self::assertInstanceOf(Band::class, $range);
        self::assertTrue($of($range->low * 0.9 + 1e-3));
        self::assertFalse($of($range->low * 0.9 - 1e-3));
        self::assertTrue($of($range->high * 1.1 - 1e-3));
        self::assertFalse($of($range->high * 1.1 + 1e-3));
    }

    /** Ten minutes at medium speed are ten over 1.5 at high speed, and ten over 0.35 with a whisk. */
    public function test_the_ways_to_whip_are_as_long_as_the_mixer_is_slow(): void
    {
        $minutes = static function (?Mixer $mixer): array {
            $texture = Texture::of(self::made(['shea-butter' => '80 g', 'jojoba-oil' => '20 g']));
            $whipping = Whipping::of($texture, Band::exact(100.0), 0.9, null, $mixer);

            return array_column($whipping->jsonSerialize()['schools'], 'minutes');
        };
        self::assertSame([10.0, 30.0], $minutes(null));
        self::assertSame([6.7, 20.0], $minutes(new Mixer('fast', null, 'hand', 'high')));
        self::assertSame([28.6, 85.7], $minutes(new Mixer('whisk', null, 'whisk')));
    }

    public function test_what_is_under_a_ceiling_is_not_cut(): void
    {
        $formula = self::formula(['jojoba-oil' => '99 g', 'lavender-eo' => '1 g']);
        $load = Load::of(Composition::of($formula, self::context(0.01)), 0.01);
        $kept = $load->reduceTo(5.0, $load->oils)->applyTo($formula, self::catalogue());
        self::assertSame('1 g', $kept->lines[1]->amount->text);
        // Nothing but scent cannot be brought under anything: it goes.
        $only = self::formula(['lavender-eo' => '1 g']);
        $load = Load::of(Composition::of($only, self::context(0.01)), 0.01);
        self::assertSame([], $load->reduceTo(5.0, $load->oils)->applyTo($only, self::catalogue())->lines);
    }

    public function test_a_home_has_its_usual_places(): void
    {
        $places = [];
        foreach (Place::usual() as $place) {
            $places[$place->name] = [$place->summerCelsius, $place->winterCelsius, $place->wet];
        }
        self::assertSame([
            'Room' => [20.0, 20.0, false],
            'Warm kitchen' => [26.0, 21.0, false],
            'Cool cupboard' => [16.0, 12.0, false],
            'Bathroom shelf' => [26.0, 22.0, true],
            'Fridge' => [5.0, 5.0, false],
            'Freezer' => [-18.0, -18.0, false],
        ], $places);
        self::assertSame(26.0, Place::usual()[1]->celsius());
    }

    public function test_a_task_is_the_first_of_its_kind_until_it_is_said(): void
    {
        $task = new Task(TaskKind::Melt, 'Melt it.', new Gate('All clear.'));
        self::assertSame([1, 'melt'], [$task->round, $task->id()]);
        self::assertSame('melt-2', $task->inRound(2)->id());
    }

    public function test_the_catalogue_that_is_kept_as_code_is_the_one_that_was_read(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'crown-catalogue');
        file_put_contents($file, Compiled::file(self::catalogue()));
        $kept = include $file;
        unlink($file);
        self::assertInstanceOf(Catalogue::class, $kept);
        foreach (['shea-butter', 'lavender-eo', 'rosemary', 'phenoxyethanol-ehg', 'beeswax'] as $id) {
            self::assertEquals(self::catalogue()->get($id), $kept->get($id));
        }
        self::assertSame(count(self::catalogue()->all()), count($kept->all()));
        self::assertEquals(self::catalogue()->search('rosmary oil'), $kept->search('rosmary oil'));
    }

    /** Eight times what it was is a slip of the pen; a little less may be a wish. */
    public function test_a_slip_begins_at_eight_times(): void
    {
        $before = self::formula(['olive-oil' => '95 %', 'vitamin-e' => '5 %']);
        $found = static function (string $percent, string $rest) use ($before): bool {
            $now = $before->withLines([
                $before->lines[0]->withAmount(new WrittenAmount($rest)),
                $before->lines[1]->withAmount(new WrittenAmount($percent)),
            ]);
            $context = new Context(self::catalogue(), new Kitchen(), before: $before);

            $assessed = Assessor::standard()->assess($now, $context);

            return in_array('doubtful', self::codes($assessed), true);
        };
        self::assertTrue($found('40 %', '60 %'));
        self::assertFalse($found('39 %', '61 %'));
    }

    public function test_an_essential_oil_of_no_known_limit_has_all_of_it(): void
    {
        $made = self::made(['olive-oil' => '99 g', 'ylang-ylang-eo' => '1 g']);
        $portion = array_values(array_filter(
            $made->counted(),
            static fn (Portion $p): bool => $p->ingredient->id === 'olive-oil',
        ))[0];
        self::assertSame(100.0, Load::dermalMax($portion));
        self::assertSame(Audience::AdultLeaveOn, $made->formula->audience);
        self::assertSame(ProductKind::HairOil, $made->formula->kind);
    }
}
