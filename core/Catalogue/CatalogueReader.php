<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\MeasureError;
use Crown\Measure\Property;
use JsonException;

/** Reads data/catalogue/*.json and data/*.json: the only input and output in core. The format is in docs/catalogue.md. */
final readonly class CatalogueReader
{
    public function __construct(private string $directory)
    {
    }

    /** @throws CatalogueError naming the file and the key */
    public function read(): Catalogue
    {
        $sources = $this->table('sources.json');
        $limits = [];
        foreach ($this->table('constituents.json') as $name => $row) {
            $entry = new Entry('constituents.json', is_array($row) ? $row : []);
            $limits[$name] = new ConstituentLimit(
                $name,
                $entry->number('leave_on'),
                $entry->number('rinse_off'),
                $this->source($entry, 'source', $sources),
            );
        }
        $files = glob($this->directory.'/catalogue/*.json');
        if ($files === false || $files === []) {
            throw CatalogueError::unreadable($this->directory);
        }
        $ingredients = [];
        foreach ($files as $path) {
            $ingredient = $this->ingredient(basename($path), $this->decode($path), $sources);
            $ingredients[$ingredient->id] = $ingredient;
        }

        return Catalogue::of($ingredients, $limits, array_map(static fn (mixed $s): string => is_string($s) ? $s : '', $sources));
    }

    /**
     * One entry, from its decoded file.
     *
     * @param  array<array-key, mixed>  $json
     * @param  array<string, mixed>  $sources
     *
     * @throws CatalogueError
     */
    public function ingredient(string $file, array $json, array $sources): Ingredient
    {
        $entry = new Entry($file, $json);
        $id = $entry->text('id');
        if ($id.'.json' !== $file) {
            throw CatalogueError::wrong($file, 'id', 'the file\'s own name without .json');
        }
        $kind = IngredientKind::tryFrom($entry->text('kind'));
        if ($kind === null || $kind === IngredientKind::Unknown) {
            throw CatalogueError::wrong($file, 'kind', implode(', ', array_column(IngredientKind::cases(), 'value')));
        }
        $name = $entry->text('name');
        $cited = [];
        $facts = $this->facts($entry, 'facts', $name, $sources, $cited);
        $acids = $entry->child('fatty_acids');
        $solid = $entry->child('solid_fat');
        $preservation = $entry->child('preservation');
        $constituents = [];
        foreach ($entry->child('constituents')->children() as $constituent => $row) {
            $constituents[$constituent] = $this->fact($row, $sources, $cited);
        }
        $forms = [];
        foreach ($entry->child('forms')->children() as $form => $row) {
            $forms[$form] = new Form($form, $this->factsOf($row, $name, $sources, $cited));
        }
        $evidence = [];
        foreach ($entry->child('needs')->children() as $need => $row) {
            $evidence[] = new Evidence(
                Need::tryFrom($need) ?? throw CatalogueError::wrong($file, 'needs.'.$need, implode(', ', array_column(Need::cases(), 'value'))),
                $this->grade($row),
                $row->text('found'),
                $this->source($row, 'source', $sources, ['estimate', 'tradition']),
            );
        }

        return new Ingredient(
            $id,
            $name,
            $entry->text('inci'),
            $kind,
            $entry->texts('synonyms'),
            $facts,
            $acids->isEmpty() ? new FattyAcids([], '') : new FattyAcids($acids->child('percent')->numbers(), $cited[] = $this->source($acids, 'source', $sources)),
            $this->solidFat($kind, $solid, $sources, $cited),
            Solubility::tryFrom($entry->text('oil_soluble', 'yes')) ?? throw CatalogueError::wrong($file, 'oil_soluble', 'yes, no, dispersible, insoluble'),
            new Preservation(
                PreservationKind::tryFrom($preservation->text('kind', 'none')) ?? throw CatalogueError::wrong($file, 'preservation.kind', 'broad, partial, antioxidant'),
                Solubility::tryFrom($preservation->text('oil_soluble', 'no')) ?? throw CatalogueError::wrong($file, 'preservation.oil_soluble', 'yes, no, dispersible'),
            ),
            Advice::tryFrom($entry->text('pregnancy', 'ok')) ?? throw CatalogueError::wrong($file, 'pregnancy', 'ok, caution, avoid'),
            $entry->texts('allergens'),
            $entry->flag('vegan', true),
            $entry->flag('drying', false),
            $entry->flag('emulsifies', false),
            $forms,
            $constituents,
            $entry->text('dermal_max_reason', ''),
            $evidence,
            $entry->texts('cautions'),
            $entry->text('storage', ''),
            array_values(array_unique(array_filter($cited, static fn (string $s): bool => $s !== Fact::ESTIMATE))),
        );
    }

    /**
     * @param  array<string, mixed>  $sources
     * @param  list<string>  $cited
     */
    private function solidFat(IngredientKind $kind, Entry $solid, array $sources, array &$cited): SolidFat
    {
        if ($solid->isEmpty()) {
            return $kind->isMelted() ? new SolidFat([], 1.0, '') : SolidFat::liquid();
        }
        $percent = [];
        foreach ($solid->child('percent')->numbers() as $celsius => $value) {
            $percent[(int) $celsius] = $value;
        }
        if (array_keys($percent) !== SolidFat::TEMPERATURES) {
            throw CatalogueError::wrong($solid->file, 'solid_fat.percent', 'one number each at 10, 20, 25, 30, 35 and 40 °C, in that order');
        }

        return new SolidFat($percent, $solid->number('structure', 1.0), $cited[] = $this->source($solid, 'source', $sources));
    }

    /**
     * @param  array<string, mixed>  $sources
     * @param  list<string>  $cited
     */
    private function facts(Entry $entry, string $key, string $name, array $sources, array &$cited): FactSheet
    {
        return $this->factsOf($entry->child($key), $name, $sources, $cited);
    }

    /**
     * @param  array<string, mixed>  $sources
     * @param  list<string>  $cited
     */
    private function factsOf(Entry $table, string $name, array $sources, array &$cited): FactSheet
    {
        $facts = [];
        foreach ($table->children() as $key => $row) {
            if (Property::tryFrom($key) === null) {
                throw CatalogueError::wrong($table->file, $key, implode(', ', array_column(Property::cases(), 'value')));
            }
            $facts[$key] = $this->fact($row, $sources, $cited);
        }

        return new FactSheet($name, $facts);
    }

    /**
     * @param  array<string, mixed>  $sources
     * @param  list<string>  $cited
     */
    private function fact(Entry $row, array $sources, array &$cited): Fact
    {
        $best = $row->number('best');
        try {
            $band = Band::of($row->number('low', $best), $best, $row->number('high', $best));
        } catch (MeasureError) {
            throw CatalogueError::wrong($row->file, $row->path, 'low, best and high that rise');
        }

        return new Fact($band, $cited[] = $this->source($row, 'source', $sources));
    }

    private function grade(Entry $row): int
    {
        $grade = $row->number('grade');
        if ($grade < 0 || $grade > 4 || floor($grade) !== $grade) {
            throw CatalogueError::wrong($row->file, $row->path.'.grade', 'a whole number from 0 to 4');
        }

        return (int) $grade;
    }

    /**
     * @param  array<string, mixed>  $sources
     * @param  list<string>  $also
     */
    private function source(Entry $entry, string $key, array $sources, array $also = ['estimate']): string
    {
        $source = $entry->text($key);
        if (! isset($sources[$source]) && ! in_array($source, $also, true)) {
            throw CatalogueError::sourceless($entry->file, $entry->path === '' ? $key : $entry->path, $source);
        }

        return $source;
    }

    /** @return array<string, mixed> */
    private function table(string $file): array
    {
        $table = [];
        foreach ($this->decode($this->directory.'/'.$file) as $key => $value) {
            $table[(string) $key] = $value;
        }

        return $table;
    }

    /** @return array<array-key, mixed> */
    private function decode(string $path): array
    {
        $text = is_file($path) ? file_get_contents($path) : false;
        if ($text === false) {
            throw CatalogueError::unreadable($path);
        }
        try {
            $json = json_decode($text, true, 32, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw CatalogueError::notJson(basename($path), $e->getMessage());
        }

        return is_array($json) ? $json : throw CatalogueError::notJson(basename($path), 'an object was expected');
    }
}
