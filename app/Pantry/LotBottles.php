<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\Bought;
use App\Catalogue\KnowsBottles;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use Crown\Catalogue\Bottle;
use Crown\Catalogue\Correction;
use Crown\Json\Node;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Crown\Pantry\Paid;
use DateTimeImmutable;

/**
 * The bottle of each thing that is used next: the first to expire of those that have not, as at the counter. Where all
 * are past their day it is the one that was it last.
 */
final class LotBottles implements KnowsBottles
{
    /** What stands there and may be used. */
    private const STANDING = 'and emptied_on is null and withdrawn = \'\'';

    public function __construct(private readonly CurrentStudio $studio, private readonly Day $day)
    {
    }

    public function bought(): Bought
    {
        $today = $this->day->date();
        $own = $this->studio->get()->currency;
        // From the last to expire to the first, which is the first to be used: what comes last counts.
        $rows = $this->studio->rows(
            'lots',
            'ingredient, cost, grams, currency, rate, use_by',
            self::STANDING.' and source = \'bought\' order by use_by desc, id desc',
        );
        $prices = $next = $last = [];
        foreach ($rows as $row) {
            $ingredient = $row->text('ingredient');
            $day = substr($row->text('use_by'), 0, 10);
            $last[$ingredient] ??= $day;
            $next[$ingredient] = $day >= $today ? $day : $next[$ingredient] ?? null;
            $prices[$ingredient] = self::price($row, $own) ?? $prices[$ingredient] ?? null;
        }
        $bottles = [];
        foreach ($last as $ingredient => $day) {
            $bottles[$ingredient] = self::bottle($next[$ingredient] ?? $day, $next[$ingredient] === null);
        }

        return new Bought(array_values(array_filter($prices)), $bottles);
    }

    /** What was paid for a kilogram; null where nobody said, or in money of which no rate is known. */
    private static function price(Node $row, string $currency): ?Correction
    {
        $grams = $row->number('grams') ?? 0.0;
        $cost = $row->number('cost');
        $paid = $cost === null || $grams <= 0.0
            ? null
            : (new Paid($cost, $row->text('currency'), $row->number('rate')))->in($currency);

        return $paid === null ? null : new Correction(
            $row->text('ingredient'),
            '',
            Property::Price,
            Band::exact(1000.0 * $paid / $grams),
            Correction::BOUGHT,
        );
    }

    /** What was strained at once goes by the name of its jar too. */
    public function ofOils(): array
    {
        $today = $this->day->date();
        $rows = $this->studio->rows(
            'lots',
            'id, steep_id, event_id, use_by',
            self::STANDING.' and source = \'steeped\'',
        );
        $bottles = [];
        foreach ($rows as $row) {
            $day = substr($row->text('use_by'), 0, 10);
            $bottle = self::bottle($day, $day < $today);
            $bottles[Lot::OF_LOT.$row->whole('id')] = $bottle;
            if (! $row->has('event_id')) {
                $bottles[Lot::OF_STEEP.$row->whole('steep_id')] = $bottle;
            }
        }

        return $bottles;
    }

    /** @param  string  $day as Lot::use_by has it: NEVER where nothing tells */
    public static function bottle(string $day, bool $past): Bottle
    {
        return new Bottle($day === Lot::NEVER ? null : new DateTimeImmutable($day), $past);
    }

    /**
     * Out of which bottles a jar was filled, as it was written down then.
     *
     * @param  list<string>  $ingredients that went in
     * @param  array<array-key, mixed>  $days the earliest printed day of each, by ingredient, where there is one
     * @return array<string, Bottle> one for each of them, with no day where none was written down
     */
    public static function poured(array $ingredients, array $days): array
    {
        $bottles = [];
        foreach ($ingredients as $ingredient) {
            $day = $days[$ingredient] ?? null;
            $bottles[$ingredient] = self::bottle(is_string($day) ? $day : Lot::NEVER, false);
        }

        return $bottles;
    }
}
