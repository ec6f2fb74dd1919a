<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Catalogue\Catalogue;
use Crown\Measure\Kitchen;
use Crown\Reading\Grammar\Grammar;
use Crown\Reading\Grammar\Text;
use Crown\Reading\Grammar\Vocabulary;
use Crown\Reading\Internal\Draft;
use Crown\Reading\Internal\Entries;
use Crown\Reading\Internal\Items;
use Crown\Reading\Internal\Lexicon;
use Crown\Reading\Internal\Names;
use Crown\Reading\Internal\Plain;
use Crown\Reading\Internal\Row;
use Crown\Reading\Internal\Sentences;
use Crown\Reading\Internal\Spans;
use Crown\Reading\Internal\Tables;
use Crown\Reading\Internal\Together;
use Crown\Reading\Internal\Vessel;

/**
 * Reads a recipe as people scribble it. Every line comes back: as an ingredient line with how surely it was understood,
 * as steps, or as a note. The stages, in order: Source, Tables, Sentences, Vessel, Plain, Draft. Method page:
 * docs/methods/reading.md.
 */
final readonly class RecipeReader
{
    public const MOST_CHARACTERS = 60_000;

    public const MOST_LINES = 600;

    private Names $names;

    public function __construct(
        Catalogue $catalogue,
        private Kitchen $kitchen,
        Knowledge $knowledge = new Knowledge(),
    ) {
        $this->names = new Names($catalogue, $knowledge);
    }

    /**
     * @param  ReadAs  $as what the maker settled of this text
     *
     * @throws ReadingError when the text is empty, too long, or not text
     */
    public function read(string $text, ReadAs $as = new ReadAs()): Recipe
    {
        $this->names->forget();
        $source = Source::of($text);
        $whole = implode("\n", $source->rows);
        $vessel = Vessel::in($whole);
        $plain = new Plain(Lexicon::of($whole));

        $items = new Items($this->names);
        $listed = Tables::listed($source->rows);
        $rows = (new Sentences($plain, $items))->apart(Together::across(Vessel::shared($listed)));

        return (new Draft(
            $vessel->poured($rows),
            $plain,
            $vessel,
            $this->names,
            $items,
            new Entries($this->names, $this->kitchen, $as),
            new Spans($text, $source->placed, $plain),
        ))->recipe(new Text(self::numbered($listed), new Grammar($this->names), Vocabulary::of($whole)));
    }

    /**
     * @param  list<Row>  $rows
     * @return array<int, string> by their number in the source
     */
    private static function numbered(array $rows): array
    {
        $numbered = [];
        foreach ($rows as $row) {
            $numbered[$row->of] = isset($numbered[$row->of]) ? $numbered[$row->of].' / '.$row->text : $row->text;
        }

        return $numbered;
    }
}
