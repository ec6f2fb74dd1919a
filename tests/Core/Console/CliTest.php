<?php

declare(strict_types=1);

namespace Tests\Core\Console;

use Crown\Console\Cli;
use Crown\Console\Outcome;
use Crown\Formula\FormulaDocument;
use Crown\Problem;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class CliTest extends CoreTestCase
{
    private const RECIPE = "Test oil\n100 ml olive oil\n60 drops rosemary essential oil\n1/2 cup fresh hibiscus\n";

    /** @param  list<string>  $argv */
    private static function run_(array $argv, string $input = self::RECIPE): Outcome
    {
        return (new Cli(self::catalogue(), static fn (string $path): string => $input, '2027-01-04'))->run($argv);
    }

    /** @return iterable<string, array{list<string>, string, int}> */
    public static function commands(): iterable
    {
        yield 'convert' => [['convert', '2 tbsp', 'castor oil', '--json'], 'Conversion', 0];
        yield 'convert a powder' => [
            ['convert', '1 heaped tbsp', 'amla', '--form', 'powder', '--cup=metric', '--json'],
            'Conversion',
            0,
        ];
        yield 'ingredient' => [['ingredient', 'jojobba', '--json'], 'Ingredient', 0];
        yield 'ingredient with constituents' => [['ingredient', 'lemon essential oil', '--json'], 'Ingredient', 0];
        yield 'ingredient that preserves' => [['ingredient', 'potassium sorbate', '--json'], 'Ingredient', 0];
        yield 'need' => [
            ['ingredient', '--need', 'flaking', '--strand', 'fine', '--porosity', 'low', '--json'],
            'Shortlist',
            0,
        ];
        yield 'cool' => [
            ['cool', '--from', '75', '--to', '40', '--surroundings', '21', '--tau-minutes', '22', '--json'],
            'Cooling',
            0,
        ];
        yield 'cool by its readings' => [
            ['cool', '--reading', '0:75', '--reading', '10:60', '--surroundings', '21', '--json'],
            'Cooling',
            0,
        ];
        yield 'cool before anything was read' => [
            ['cool', '--grams', '300', '--vessel', 'glass-bowl', '--where', 'fridge', '--json'],
            'Cooling',
            0,
        ];
        yield 'read' => [['read', '-', '--json'], 'Reading', 0];
        yield 'assess' => [['assess', '-', '--json'], 'Assessment', 1];
        yield 'steep' => [
            [
                'steep',
                '--plant',
                'calendula',
                '--form',
                'dried',
                '--grams',
                '40',
                '--oil',
                'sunflower high oleic',
                '--oil-ml',
                '400',
                '--jar-ml',
                '900',
                '--diameter-cm',
                '9',
                '--json',
            ],
            'SteepPlan',
            0,
        ];
    }

    public function test_solve_prints_its_schema_and_refuses_nonsense(): void
    {
        $file = (string) json_encode([
            'ingredients' => [['id' => 'shea-butter', 'now' => 60], ['id' => 'jojoba-oil', 'now' => 40]],
            'demands' => [['kind' => 'solids', 'min' => 18, 'max' => 20]],
        ]);
        $outcome = self::run_(['solve', '-', '--json'], $file);
        self::assertSame(0, $outcome->exit, $outcome->error);
        self::assertSame('found', json_decode($outcome->output)->status);
        self::assertStringContainsString('bound by', self::run_(['solve', '-'], $file)->output);
        self::assertSame(2, self::run_(['solve', '-'], 'not json')->exit);
    }

    /** @param  list<string>  $argv */
    #[DataProvider('commands')]
    public function test_json_keeps_to_its_schema(array $argv, string $schema, int $exit): void
    {
        $outcome = self::run_($argv);
        self::assertSame([$exit, ''], [$outcome->exit, $outcome->error]);
        $validator = new Validator();
        $validator
            ->resolver()
            ?->registerFile(
                'https://honest-crown.example/crown.schema.json',
                dirname(__DIR__, 3).'/docs/formats/crown.schema.json',
            );
        $result = $validator->validate(
            json_decode($outcome->output),
            (object) ['$ref' => 'https://honest-crown.example/crown.schema.json#/$defs/'.$schema],
        );
        $error = $result->error();
        self::assertTrue(
            $result->isValid(),
            $error === null ? '' : (string) json_encode((new ErrorFormatter())->format($error)),
        );
    }

    /** @return iterable<string, array{list<string>, string, string}> */
    public static function mistakes(): iterable
    {
        yield 'no such command' => [['brew'], self::RECIPE, 'no command "brew"'];
        yield 'no amount' => [['convert'], self::RECIPE, 'an amount'];
        yield 'unreadable amount' => [['convert', 'lots', 'castor oil'], self::RECIPE, 'could not be read'];
        yield 'unknown ingredient' => [['ingredient', 'xyzzy'], self::RECIPE, 'Nothing in the catalogue'];
        yield 'bad option' => [['convert', '1 cup', 'olive oil', '--cup', 'roman'], self::RECIPE, '--cup'];
        yield 'scale of nothing' => [
            ['convert', '1 cup', 'olive oil', '--scale', '0'],
            self::RECIPE,
            'scale resolution',
        ];
        yield 'empty file' => [['assess', '-'], '', 'no text'];
        yield 'broken file' => [['assess', '-'], '{"title": 3', 'valid JSON'];
        yield 'wrong file' => [['assess', '-'], '{"kind": "potion"}', 'kind is not allowed'];
        yield 'bad audience' => [['assess', '-', '--audience', 'cats'], self::RECIPE, '--audience'];
        yield 'bad date' => [
            [
                'steep',
                '--plant',
                'calendula',
                '--oil',
                'olive',
                '--grams',
                '4',
                '--oil-ml',
                '40',
                '--start',
                '2027-02-30',
            ],
            '',
            '--start',
        ];
        yield 'no such need' => [['ingredient', '--need', 'world peace'], '', '--need'];
    }

    /** @param  list<string>  $argv */
    #[DataProvider('mistakes')]
    public function test_bad_input_is_one_clear_line(array $argv, string $input, string $says): void
    {
        $outcome = self::run_($argv, $input);

        self::assertSame([2, ''], [$outcome->exit, $outcome->output]);
        self::assertStringContainsString($says, $outcome->error);
        self::assertSame(1, substr_count($outcome->error, "\n"));
    }

    public function test_options_change_the_assessment(): void
    {
        $json = static fn (array $argv): array => (array) json_decode(
            self::run_(['assess', '-', '--json', ...$argv], "Oil\n100 g olive oil\n1 g vitamin e")->output,
            true,
        );

        self::assertSame('A', $json([])['water_class']);
        self::assertSame('B', $json(['--wet-use'])['water_class']);
        self::assertGreaterThan($json([])['life_months']['best'], $json(['--storage-c', '10'])['life_months']['best']);
    }

    public function test_a_formula_file_comes_back_as_it_went_out(): void
    {
        $formula = self::formula([
            'shea-butter' => '60 %',
            'fresh:rosemary' => '3 leaves',
            'olive-oil' => 'to fill',
        ])->withSize(\Crown\Formula\Size::jars(6, 120));
        $written = FormulaDocument::write($formula);

        self::assertSame(
            $written,
            FormulaDocument::write(FormulaDocument::read((array) json_decode((string) json_encode($written), true))),
        );
        self::assertSame(
            0,
            self::run_(
                ['assess', '-', '--json'],
                (string) json_encode(FormulaDocument::write(self::formula(['olive-oil' => '10 g']))),
            )->exit,
        );
    }

    public function test_a_wrong_formula_file_is_refused_by_field(): void
    {
        foreach (
            [
                ['lines', ['lines' => 3]],
                ['lines.0.phase', ['lines' => [['phase' => 'dawn']]]],
                ['lines.1.id', ['lines' => [['id' => 'a'], ['id' => 'a']]]],
                ['lines.1.amount', ['lines' => [['amount' => '5 g'], ['amount' => 5]]]],
                ['title', ['title' => str_repeat('x', 300)]],
                ['size.mode', ['size' => ['mode' => 'vast']]],
                ['storage_c', ['storage_c' => 'warm']],
                ['storage_c', ['storage_c' => 900]],
                ['accepted.0.reason', ['accepted' => [['finding' => ['code' => 'purpose'], 'reason' => ' ']]]],
                ['version', ['version' => 99]],
            ] as [$path, $bad]
        ) {
            try {
                FormulaDocument::read($bad);
                self::fail('Taken: '.json_encode($bad));
            } catch (Problem $e) {
                self::assertSame($path, $e->path);
            }
        }
    }
}
