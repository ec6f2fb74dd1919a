<?php

declare(strict_types=1);

namespace Tests\Core;

use Crown\Catalogue\Evidence;
use Crown\Catalogue\FattyAcids;
use Crown\Catalogue\Need;
use Crown\Make\MakeSheet;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Reading\ReadLine;
use Crown\Reading\RecipeReader;
use Crown\Reading\Understood;
use Crown\Steep\Charge;
use Crown\Steep\Herb;
use Crown\Steep\Pour;
use Crown\Steep\Preparation;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\Straining;
use Crown\Steep\StrainStep;
use Crown\Steep\Vessel;
use DateTimeImmutable;
use FilesystemIterator;
use PHPUnit\Framework\Attributes\DataProvider;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** Every rule has its page, every page its code, an example, and links that lead somewhere. */
final class MethodPagesTest extends CoreTestCase
{
    private const ROOT = __DIR__.'/../..';

    /** @return iterable<string, array{string, string}> */
    public static function pages(): iterable
    {
        foreach (glob(self::ROOT.'/docs/methods/*.md') ?: [] as $file) {
            yield basename($file, '.md') => [basename($file, '.md'), (string) file_get_contents($file)];
        }
    }

    #[DataProvider('pages')]
    public function test_a_page_has_a_title_its_code_and_a_worked_example(string $name, string $page): void
    {
        self::assertMatchesRegularExpression('/^# \S/', $page);
        self::assertMatchesRegularExpression('/Worked examples?\b/', $page, "$name has no worked example");
        preg_match_all('/`((?:core|app)\/[^`]+)`/', $page, $found);
        self::assertNotSame([], $found[1], "$name does not say where its code is");
        foreach ($found[1] as $path) {
            self::assertNotSame([], glob(self::ROOT.'/'.$path, GLOB_BRACE) ?: [], "$name names $path");
        }
    }

    #[DataProvider('pages')]
    public function test_tests_and_pages_that_a_page_names_are_there(string $name, string $page): void
    {
        preg_match_all('/`(\w+Test)(?:::(\w+))?`/', $page, $tests, PREG_SET_ORDER);
        self::assertNotSame([], $tests, "$name names no test that recomputes its example");
        foreach ($tests as $test) {
            $source = self::source($test[1]);
            self::assertNotSame('', $source, "$name names $test[1]");
            self::assertStringContainsString($test[2] ?? '', $source, "$name names $test[0]");
        }
        preg_match_all('/\]\(([a-z-]+)\.md\)/', $page, $links);
        foreach ($links[1] as $link) {
            self::assertFileExists(self::ROOT."/docs/methods/$link.md", "$name links to $link");
        }
    }

    public function test_every_page_that_the_code_names_is_there_and_none_is_named_by_nobody(): void
    {
        $code = '';
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator(self::ROOT.'/core', FilesystemIterator::SKIP_DOTS),
            ) as $file
        ) {
            $code
                .= $file instanceof SplFileInfo && $file->getExtension() === 'php'
                    ? (string) file_get_contents($file->getPathname())
                    : '';
        }
        preg_match_all('/docs\/methods\/([a-z-]+)/', $code, $named);
        $pages = array_keys([...self::pages()]);

        self::assertSame([], array_diff(array_unique($named[1]), $pages), 'pages that are named and are not there');
        foreach ($pages as $page) {
            self::assertMatchesRegularExpression("/docs\/methods\/$page\b|'$page'/", $code, "no code names $page");
        }
    }

    public function test_fatty_acids_as_worked_on_their_page(): void
    {
        $acids = new FattyAcids(['palmitic' => 10.0, 'oleic' => 70.0, 'linoleic' => 20.0], 'made up');

        self::assertEqualsWithDelta(94.84, $acids->iodineValue()->best, 0.005);
        self::assertEqualsWithDelta(87.25, $acids->iodineValue()->low, 0.01);
        self::assertEqualsWithDelta(102.43, $acids->iodineValue()->high, 0.01);
        self::assertSame(
            [10.0, 70.0, 20.0],
            [$acids->saturated(), $acids->monounsaturated(), $acids->polyunsaturated()],
        );
    }

    public function test_reading_as_worked_on_its_page(): void
    {
        $recipe = (new RecipeReader(self::catalogue(), new Kitchen()))->read(
            "2 heaped tbsp castr oil\na pinch of unicorn dust\nMethod\n"
                .'Cool in the fridge for 1 hour. Whip for 8-10 minutes.',
        );

        self::assertSame(
            ['castor-oil', ''],
            array_map(static fn (ReadLine $l): string => $l->ingredient(), $recipe->lines),
        );
        self::assertNotSame(Understood::No, $recipe->lines[0]->understood);
        self::assertSame('2 heaped tbsp', $recipe->lines[0]->amount);
        self::assertSame(Understood::No, $recipe->lines[1]->understood);
        self::assertSame([60.0, 9.0], array_map(static fn ($s): float => $s->minutes, $recipe->steps));
    }

    public function test_weighing_as_worked_on_its_page(): void
    {
        $sheet = new MakeSheet(self::assess(self::formula(['shea-butter' => '140 g', 'olive-oil' => '5 g'])));

        self::assertSame(
            [1.4, 0.5],
            array_map(static fn ($w): float => round($w->toleranceGrams, 9), $sheet->weighings()),
        );
    }

    public function test_evidence_as_worked_on_its_page(): void
    {
        $best = static fn (string $id): Evidence => self::catalogue()->get($id)->evidenceFor(Need::Shedding)[0];

        self::assertSame(
            [3, 1, 0.25],
            [
                $best('pumpkin-seed-oil')->grade,
                $best('pumpkin-seed-oil')->worth(),
                $best('pumpkin-seed-oil')->strength(),
            ],
        );
        self::assertSame([3, 0.75], [$best('rosemary-eo')->grade, $best('rosemary-eo')->strength()]);
    }

    public function test_straining_as_worked_on_its_page(): void
    {
        $plan = static fn (Preparation $preparation): SteepPlan => SteepPlan::begun(
            Charge::of(
                new Herb(
                    self::catalogue()->get('amla'),
                    'powder',
                    30,
                    new DateTimeImmutable('2027-03-10'),
                    $preparation,
                ),
                new Pour(self::catalogue()->get('olive-oil'), 300, new DateTimeImmutable('2027-03-10')),
            ),
            SteepMethod::ColdDark,
            vessel: new Vessel(500, 8, 7),
        );
        $does = static fn (Preparation $preparation): string => implode(
            ' ',
            array_map(static fn (StrainStep $s): string => $s->does->words(), Straining::steps($plan($preparation))),
        );

        self::assertSame(
            [36, 48],
            [
                Straining::steps($plan(Preparation::None))[1]->fewestHours,
                Straining::steps($plan(Preparation::None))[1]->mostHours,
            ],
        );
        self::assertStringContainsStringIgnoringCase('paper', $does(Preparation::None));
        self::assertStringContainsStringIgnoringCase('pour', $does(Preparation::None));
        self::assertStringContainsStringIgnoringCase('bag', $does(Preparation::Bagged));
    }

    public function test_phases_as_worked_on_their_page(): void
    {
        self::assertSame(40.0, self::catalogue()->get('rosemary-eo')->facts->best(Property::MaximumAddition, 0.0));
    }

    private static function source(string $class): string
    {
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator(self::ROOT.'/tests', FilesystemIterator::SKIP_DOTS),
            ) as $file
        ) {
            if ($file instanceof SplFileInfo && $file->getFilename() === $class.'.php') {
                return (string) file_get_contents($file->getPathname());
            }
        }

        return '';
    }
}
