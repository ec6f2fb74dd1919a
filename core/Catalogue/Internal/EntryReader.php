<?php

declare(strict_types=1);

namespace Crown\Catalogue\Internal;

use Crown\Catalogue\Advice;
use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Caution;
use Crown\Catalogue\CautionKind;
use Crown\Catalogue\Composition;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Entry;
use Crown\Catalogue\Evidence;
use Crown\Catalogue\FattyAcids;
use Crown\Catalogue\Form;
use Crown\Catalogue\HairAction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Job;
use Crown\Catalogue\LegalLimit;
use Crown\Catalogue\Microbes;
use Crown\Catalogue\Need;
use Crown\Catalogue\OnHair;
use Crown\Catalogue\Precautions;
use Crown\Catalogue\Preservation;
use Crown\Catalogue\PreservationKind;
use Crown\Catalogue\Provenance;
use Crown\Catalogue\Route;
use Crown\Catalogue\SolidFat;
use Crown\Catalogue\Solubility;
use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\MeasureError;
use Crown\Measure\Property;

/** Makes an Ingredient of one decoded file. The format is in docs/catalogue.md. */
final readonly class EntryReader
{
    /** @param  array<string, string>  $sources in words, keyed by id */
    public function __construct(private array $sources)
    {
    }

    /**
     * One entry, from its decoded file.
     *
     * @param  array<array-key, mixed>  $json
     *
     * @throws CatalogueError
     */
    public function ingredient(string $file, array $json): Ingredient
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
        $facts = $this->facts($entry, 'facts', $name, $cited);
        $acids = $entry->child('fatty_acids');
        $solid = $entry->child('solid_fat');
        $preservation = $entry->child('preservation');
        $constituents = [];
        foreach ($entry->child('constituents')->children() as $constituent => $row) {
            $constituents[$constituent] = $this->fact($row, $cited);
        }
        $forms = [];
        foreach ($entry->child('forms')->children() as $form => $row) {
            $forms[$form] = new Form($form, $this->factsOf($row, $name, $cited));
        }

        $composition = new Composition(
            $acids->isEmpty()
                ? new FattyAcids([], '')
                : new FattyAcids($acids->child('percent')->numbers(), ($cited[] = $this->source($acids, 'source'))),
            $this->solidFat($kind, $solid, $facts, $cited),
            $constituents,
            Solubility::tryFrom($entry->text('oil_soluble', 'yes'))
                ?? throw CatalogueError::wrong($file, 'oil_soluble', 'yes, no, dispersible, insoluble'),
            drying: $entry->flag('drying', false),
            emulsifies: $entry->flag('emulsifies', false),
            solubilises: $entry->flag('solubilises', false),
        );
        $preserving = new Preservation(
            PreservationKind::tryFrom($preservation->text('kind', 'none'))
                ?? throw CatalogueError::wrong($file, 'preservation.kind', 'broad, partial, antioxidant'),
            Solubility::tryFrom($preservation->text('oil_soluble', 'no'))
                ?? throw CatalogueError::wrong($file, 'preservation.oil_soluble', 'yes, no, dispersible'),
            $this->law($preservation->child('law'), $cited),
            $this->against($preservation),
        );
        $sources = array_filter($cited, static fn (string $s): bool => $s !== Fact::ESTIMATE);

        return new Ingredient(
            $id,
            $name,
            $entry->text('inci'),
            $kind,
            $facts,
            $composition,
            $forms,
            $entry->texts('synonyms'),
            $entry->flag('vegan', true),
            $preserving,
            $this->precautions($entry),
            $this->onHair($entry),
            $this->evidence($entry),
            $entry->text('storage', '') ?: null,
            new Provenance(sources: array_values(array_unique($sources))),
            (int) $entry->number('common', 1.0),
            $this->parts($entry),
        );
    }

    /** @return list<Microbes> */
    private function against(Entry $preservation): array
    {
        return $preservation->text('kind', 'none') === PreservationKind::Broad->value
            ? Microbes::cases()
            : array_map(
                static fn (string $what): Microbes => Microbes::tryFrom($what)
                    ?? throw CatalogueError::wrong(
                        $preservation->file,
                        'preservation.covers',
                        implode(', ', array_column(Microbes::cases(), 'value')),
                    ),
                $preservation->texts('covers'),
            );
    }

    /** @return array<string, float> */
    private function parts(Entry $entry): array
    {
        $parts = $entry->child('parts');
        if ($parts->isEmpty()) {
            return [];
        }
        $shares = $parts->child('share')->numbers();
        if (implode(', ', array_keys($shares)) !== $entry->text('inci') || array_sum($shares) > 1.001) {
            throw CatalogueError::wrong(
                $entry->file,
                'parts.share',
                'the names of "inci" in their order, with shares that come to no more than 1',
            );
        }
        $this->source($parts, 'source');

        return $shares;
    }

    private function onHair(Entry $entry): OnHair
    {
        $action = $entry->child('action');

        return new OnHair(
            HairAction::tryFrom($action->text('is', 'none'))
                ?? throw CatalogueError::wrong(
                    $entry->file,
                    'action.is',
                    implode(', ', array_column(HairAction::cases(), 'value')),
                ),
            $action->isEmpty() ? Fact::ESTIMATE : $this->source($action, 'source'),
            $entry->text('feel', '') ?: null,
            array_map(
                static fn (string $job): Job => Job::tryFrom($job) ?? throw CatalogueError::wrong(
                    $entry->file,
                    'jobs',
                    implode(', ', array_column(Job::cases(), 'value')),
                ),
                $entry->texts('jobs'),
            ),
        );
    }

    private function precautions(Entry $entry): Precautions
    {
        return new Precautions(
            Advice::tryFrom($entry->text('pregnancy', 'ok'))
                ?? throw CatalogueError::wrong($entry->file, 'pregnancy', 'ok, caution, avoid'),
            $entry->text('pregnancy_reason', '') ?: null,
            $entry->texts('allergens'),
            $entry->text('dermal_max_reason', '') ?: null,
            $entry->text('age_reason', '') ?: null,
            array_map(
                static fn (string $c): Condition => Condition::tryFrom($c)
                    ?? throw CatalogueError::wrong(
                        $entry->file,
                        'ask_first',
                        implode(', ', array_column(Condition::cases(), 'value')),
                    ),
                $entry->texts('ask_first'),
            ),
            $this->cautions($entry),
        );
    }

    /** @return list<Caution> */
    private function cautions(Entry $entry): array
    {
        return array_map(
            static fn (Entry $row): Caution => new Caution(
                CautionKind::tryFrom($row->text('is'))
                    ?? throw CatalogueError::wrong(
                        $entry->file,
                        'cautions.is',
                        implode(', ', array_column(CautionKind::cases(), 'value')),
                    ),
                $row->text('says'),
            ),
            array_values($entry->child('cautions')->children()),
        );
    }

    /** @return list<Evidence> */
    private function evidence(Entry $entry): array
    {
        $evidence = [];
        foreach ($entry->child('needs')->children() as $need => $row) {
            $evidence[] = new Evidence(
                Need::tryFrom($need)
                    ?? throw CatalogueError::wrong(
                        $entry->file,
                        'needs.'.$need,
                        implode(', ', array_column(Need::cases(), 'value')),
                    ),
                $this->grade($row),
                $row->text('found'),
                $row->text('on', '') ?: null,
                Route::tryFrom($row->text('route', 'applied'))
                    ?? throw CatalogueError::wrong(
                        $entry->file,
                        'needs.'.$need.'.route',
                        implode(', ', array_column(Route::cases(), 'value')),
                    ),
                $this->source($row, 'source', ['estimate', 'tradition']),
                $row->flag('elsewhere', false),
            );
        }

        return $evidence;
    }

    /**
     * @param  list<string>  $cited
     * @return list<LegalLimit>
     */
    private function law(Entry $law, array &$cited): array
    {
        return $law->isEmpty()
            ? []
            : [
                new LegalLimit(
                    $law->number('max'),
                    $law->text('as'),
                    $law->number('share'),
                    ($cited[] = $this->source($law, 'source')),
                    $law->number('rinse_off_max', 0.0) ?: null,
                ),
            ];
    }

    /**
     * @param  list<string>  $cited
     */
    private function solidFat(IngredientKind $kind, Entry $solid, FactSheet $facts, array &$cited): SolidFat
    {
        if ($solid->isEmpty()) {
            return $kind->isMelted() ? new SolidFat([], 1.0, '') : SolidFat::liquid();
        }
        $percent = [];
        foreach ($solid->child('percent')->numbers() as $celsius => $value) {
            $percent[(int) $celsius] = $value;
        }
        if (array_keys($percent) !== SolidFat::TEMPERATURES) {
            throw CatalogueError::wrong(
                $solid->file,
                'solid_fat.percent',
                'one number each at 10, 20, 25, 30, 35 and 40 °C, in that order',
            );
        }

        return new SolidFat(
            $percent,
            $solid->number('structure', 1.0),
            ($cited[] = $this->source($solid, 'source')),
            $facts->has(Property::Melting) ? $facts->get(Property::Melting)->band->high : null,
        );
    }

    /**
     * @param  list<string>  $cited
     */
    private function facts(Entry $entry, string $key, string $name, array &$cited): FactSheet
    {
        return $this->factsOf($entry->child($key), $name, $cited);
    }

    /**
     * @param  list<string>  $cited
     */
    private function factsOf(Entry $table, string $name, array &$cited): FactSheet
    {
        $facts = [];
        foreach ($table->children() as $key => $row) {
            if (Property::tryFrom($key) === null) {
                throw CatalogueError::wrong(
                    $table->file,
                    $key,
                    implode(', ', array_column(Property::cases(), 'value')),
                );
            }
            $facts[$key] = $this->fact($row, $cited);
        }

        return new FactSheet($name, $facts);
    }

    /**
     * @param  list<string>  $cited
     */
    private function fact(Entry $row, array &$cited): Fact
    {
        $best = $row->number('best');
        try {
            $band = Band::of($row->number('low', $best), $best, $row->number('high', $best));
        } catch (MeasureError) {
            throw CatalogueError::wrong($row->file, $row->path, 'low, best and high that rise');
        }

        return new Fact($band, ($cited[] = $this->source($row, 'source')));
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
     * @param  list<string>  $also
     */
    private function source(Entry $entry, string $key, array $also = ['estimate']): string
    {
        $source = $entry->text($key);
        if (! isset($this->sources[$source]) && ! in_array($source, $also, true)) {
            throw CatalogueError::sourceless($entry->file, $entry->path === '' ? $key : $entry->path, $source);
        }

        return $source;
    }
}
