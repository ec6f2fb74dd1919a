<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Refused;
use Crown\Json\Node;
use Crown\Measure\Place;
use Crown\Pantry\LotSource;
use Crown\Pantry\MovementKind;

/** Puts what was bought on the shelf, and changes what is said of it. */
final class PutOnShelf
{
    private const WORDS = ['supplier', 'batch_number', 'currency', 'place', 'note'];

    private const DAYS = ['bought_on', 'printed_on', 'opened_on'];

    private const FIGURES = ['opened_months', 'tare_grams', 'cost', 'rate'];

    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
        private readonly MoveStock $move,
    ) {
    }

    /** @throws Refused when there is no such ingredient, or no such place */
    public function new(Node $said, string $field, string $by): Lot
    {
        $ingredient = $said->text('ingredient');
        if (! $this->catalogue->get()->has($ingredient) || str_starts_with($ingredient, Lot::OF_LOT)) {
            throw Refused::because($field.'.ingredient', 'Choose which ingredient it is.');
        }
        $lot = Lot::query()->make(['source' => LotSource::Bought->value, 'ingredient' => $ingredient, 'name' => '']);
        $lot->fill($this->columns($said, $field));
        $lot->bought_on ??= Day::today();
        if (($lot->getAttribute('currency') ?? '') === '') {
            $lot->currency = $this->studio->get()->currency;
        }
        $lot->rate ??= $lot->isForeign() ? self::lastRate($lot->currency) : null;
        $grams = $said->number('grams');
        $lot->grams = $grams;
        $lot->save();
        if ($grams !== null) {
            $this->move->begin($lot, $grams, $lot->bought_on, $by, MovementKind::Bought);
        }

        return $this->dated($lot);
    }

    public function changed(Lot $lot, Node $said): Lot
    {
        $lot->update($this->columns($said, ''));

        return $this->dated($lot);
    }

    /** What money of another country was worth when it was last paid with; null where nobody said. */
    private static function lastRate(string $currency): ?float
    {
        return Lot::query()
            ->where('currency', $currency)
            ->whereNotNull('rate')
            ->orderByDesc('id')
            ->first(['rate'])
            ?->rate;
    }

    /** The day by which it is to be used, worked out anew. */
    private function dated(Lot $lot): Lot
    {
        $lot->update(['use_by' => LotWords::life($lot, $this->catalogue->get())->useBy ?? Lot::NEVER]);

        return $lot->refresh();
    }

    /**
     * @return array<string, mixed> only what was said
     *
     * @throws Refused
     */
    private function columns(Node $said, string $field): array
    {
        $columns = [];
        foreach (self::WORDS as $key) {
            if ($said->names($key)) {
                $columns[$key] = trim($said->text($key));
            }
        }
        foreach (self::DAYS as $key) {
            if ($said->names($key)) {
                $columns[$key] = $said->text($key) ?: null;
            }
        }
        foreach (self::FIGURES as $key) {
            if ($said->names($key)) {
                $columns[$key] = $said->number($key);
            }
        }
        if (isset($columns['place'])) {
            $columns['place_celsius'] = $this->celsius($columns['place'], $field);
        }

        return $columns;
    }

    /** @throws Refused */
    private function celsius(string $name, string $field): ?float
    {
        $places = $this->studio->get()->ownKit()->places();
        foreach ($places as $place) {
            if ($place->name === $name) {
                return $place->celsius();
            }
        }

        return $name === '' ? null : throw Refused::because(
            ltrim($field.'.place', '.'),
            'Allowed: '.implode(', ', array_map(static fn (Place $p): string => $p->name, $places)).'.',
        );
    }
}
