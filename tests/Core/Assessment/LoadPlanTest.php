<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\Finding;
use Crown\Assessment\LoadPlan;
use Crown\Assessment\Severity;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Measure\WrittenAmount;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class LoadPlanTest extends CoreTestCase
{
    /** @return array<string, array<string, mixed>> the plan's oils by name */
    private static function oils(Formula $formula): array
    {
        return array_column((new LoadPlan(self::assess($formula)->subject))->jsonSerialize()['oils'], null, 'name');
    }

    /** @return list<string> what is stopped about a line's load */
    private static function stops(Assessment $assessment, string $line): array
    {
        return array_values(
            array_map(
                static fn (Finding $f): string => $f->code,
                array_filter(
                    $assessment->findings,
                    static fn (Finding $f): bool => $f->severity === Severity::Stop
                        && $f->method === 'load'
                        && in_array($line, array_map(static fn ($p): string => $p->line->id, $f->portions), true),
                ),
            ),
        );
    }

    /**
     * A drop is 0.05 x 0.92 = 0.046 g at worst; 2/98 of the 90.9 g that the rest is at least are 1.855 g: 40.3 drops.
     */
    public function test_the_largest_whole_number_of_drops(): void
    {
        $oil = self::oils(self::formula(['olive-oil' => '91.4 g', 'rosemary-eo' => '50 drops']))[
            'Rosemary essential oil'
        ];

        self::assertSame(
            [50.0, 40, 'all scents together are over'],
            [$oil['drops'], $oil['most_drops'], $oil['held_by']],
        );
    }

    /** @return iterable<string, array{array<string, string>, Audience}> */
    public static function scented(): iterable
    {
        yield 'one, little of it' => [['olive-oil' => '100 g', 'lavender-eo' => '5 drops'], Audience::AdultLeaveOn];
        yield 'three' => [
            [
                'shea-butter' => '2 cups',
                'olive-oil' => '1/2 cup',
                'lavender-eo' => '20 drops',
                'rosemary-eo' => '1 g',
                'peppermint-eo' => '0.2 %',
            ],
            Audience::AdultLeaveOn,
        ];
        yield 'clove, by its eugenol' => [
            ['olive-oil' => '200 g', 'clove-bud-eo' => '3 drops', 'lavender-eo' => '3 drops'],
            Audience::AdultLeaveOn,
        ];
        yield 'bergamot, by the sun' => [
            ['olive-oil' => '200 g', 'bergamot-expressed-eo' => '3 drops'],
            Audience::AdultLeaveOn,
        ];
        yield 'rinsed off' => [
            ['olive-oil' => '200 g', 'bergamot-expressed-eo' => '3 drops', 'tea-tree-eo' => '5 drops'],
            Audience::AdultRinseOff,
        ];
        yield 'a child' => [['olive-oil' => '60 ml', 'lavender-eo' => '1 drop'], Audience::Child2To6];
        yield 'to fill' => [
            ['olive-oil' => 'to make 50 ml', 'castor-oil' => '10 g', 'tea-tree-eo' => '12 drops'],
            Audience::Face,
        ];
    }

    /**
     * With so many drops no stop that this oil has a part in; with one more there is one.
     *
     * @param  array<string, string>  $lines
     */
    #[DataProvider('scented')]
    public function test_one_drop_more_would_be_too_many(array $lines, Audience $audience): void
    {
        $formula = self::formula($lines, audience: $audience);
        foreach (self::oils($formula) as $oil) {
            $with = static fn (int $drops): Assessment => self::assess(
                $formula->replacing($formula->line($oil['line'])->withAmount(new WrittenAmount($drops.' drops'))),
            );
            self::assertGreaterThan(0, $oil['most_drops'], $oil['name']);
            self::assertSame([], self::stops($with($oil['most_drops']), $oil['line']), $oil['name']);
            self::assertNotSame(
                [],
                self::stops($with($oil['most_drops'] + 1), $oil['line']),
                $oil['name'].' '.$oil['held_by'],
            );
        }
    }

    public function test_what_holds_it_is_said(): void
    {
        $held = static fn (array $lines, Audience $audience = Audience::AdultLeaveOn): string => array_values(
            self::oils(self::formula($lines, audience: $audience)),
        )[0]['held_by'];

        self::assertSame('its own maximum is over', $held(['clove-bud-eo' => '1 drop', 'olive-oil' => '200 g']));
        self::assertSame(
            'sunlight may burn the skin',
            $held(['bergamot-expressed-eo' => '1 drop', 'olive-oil' => '200 g']),
        );
        self::assertSame(
            'its own maximum is over',
            $held(['bergamot-expressed-eo' => '1 drop', 'olive-oil' => '200 g'], Audience::AdultRinseOff),
        );
        self::assertSame('all scents together are over', $held(['lavender-eo' => '1 drop', 'olive-oil' => '200 g']));
    }

    public function test_nobody_is_told_a_number_where_it_must_not_be_at_all(): void
    {
        $most = static function (string $id, Audience $audience): array {
            $oil = array_values(
                self::oils(self::formula([$id => '1 drop', 'olive-oil' => '200 g'], audience: $audience)),
            )[0];

            return [$oil['most_drops'], $oil['held_by']];
        };

        self::assertSame([0, 'not for children under 10'], $most('rosemary-eo', Audience::Child2To6));
        self::assertSame([0, 'to be avoided in pregnancy and nursing'], $most('clove-bud-eo', Audience::Pregnancy));
        self::assertSame([0, 'not for children under 2'], $most('lavender-eo', Audience::Infant));
    }

    public function test_others_that_are_over_alone_leave_no_room(): void
    {
        $oils = self::oils(self::formula(['olive-oil' => '100 g', 'lavender-eo' => '4 g', 'rosemary-eo' => '1 drop']));

        self::assertSame(
            [0, 'all scents together are over'],
            [$oils['Rosemary essential oil']['most_drops'], $oils['Rosemary essential oil']['held_by']],
        );
        self::assertNull($oils['Lavender essential oil']['drops'], 'weighed, not counted');
    }

    public function test_constituents_are_summed_over_all_that_bear_them_also_under_their_limit(): void
    {
        $subject = self::assess(
            self::formula([
                'olive-oil' => '1000 g',
                'clove-bud-eo' => '2 g',
                'rosemary-eo' => '2 g',
                'lavender-eo' => '2 g',
            ]),
        )->subject;
        $rows = array_column((new LoadPlan($subject))->jsonSerialize()['constituents'], null, 'name');

        self::assertArrayHasKey('eugenol', $rows);
        foreach ($rows as $name => $row) {
            $sum = $subject->load->constituent($name, $row['limit_percent']);
            self::assertEqualsWithDelta($sum->ofLimit * 100, $row['of_limit'], 0.006, $name);
            self::assertCount(count($sum->bearers), $row['bearers'], $name);
        }
        self::assertSame(
            array_column($rows, 'of_limit'),
            (static function (array $v): array {
                rsort($v);

                return $v;
            })(array_column($rows, 'of_limit')),
            'the nearest to its limit first',
        );
    }

    public function test_without_essential_oils_there_is_nothing_to_count(): void
    {
        $plan = (new LoadPlan(self::assess(self::formula(['olive-oil' => '100 g']))->subject))->jsonSerialize();

        self::assertSame([[], [], 2.0], [$plan['oils'], $plan['constituents'], $plan['ceiling']]);
    }
}
