<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Catalogue\Internal\EntryReader;
use Crown\Catalogue\Internal\NameIndex;
use Crown\Catalogue\Internal\Shelf;
use JsonException;

/**
 * Reads data/catalogue/*.json and data/*.json: the only input and output in core. The format is in docs/catalogue.md.
 */
final readonly class CatalogueReader
{
    public function __construct(private string $directory)
    {
    }

    /**
     * Reads and checks every file, and every name against every other.
     *
     * @throws CatalogueError naming the file and the key
     */
    public function read(): Catalogue
    {
        $sources = array_map(
            static fn (mixed $s): string => is_string($s)
                ? $s
                : throw CatalogueError::wrong('sources.json', 'a source', 'a text in quotes'),
            $this->table('sources.json'),
        );
        $limits = [];
        foreach ($this->table('constituents.json') as $name => $row) {
            $entry = new Entry('constituents.json', is_array($row) ? $row : [], $name);
            $source = $entry->text('source');
            if (! isset($sources[$source]) && $source !== 'estimate') {
                throw CatalogueError::sourceless('constituents.json', $name, $source);
            }
            $limits[$name] = new ConstituentLimit(
                $name,
                $entry->number('leave_on'),
                $entry->number('rinse_off'),
                $source,
            );
        }
        $files = glob($this->directory.'/catalogue/*.json');
        if ($files === false || $files === []) {
            throw CatalogueError::unreadable($this->directory);
        }
        $reader = new EntryReader($sources);
        $ingredients = [];
        foreach ($files as $path) {
            $ingredient = $reader->ingredient(basename($path), $this->decode($path));
            $ingredients[$ingredient->id] = $ingredient;
        }

        return new Catalogue(Shelf::of($ingredients), new Shelf([]), $limits, $sources, NameIndex::of($ingredients));
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
