<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\KnowsBottles;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use Crown\Catalogue\Bottle;
use DateTimeImmutable;

/**
 * The bottle of each thing that is used next: the first to expire of those that have not, as at the counter. Where all
 * are past their day it is the one that was it last.
 */
final class LotBottles implements KnowsBottles
{
    /** What stands there and may be used. */
    private const STANDING = 'and emptied_on is null and withdrawn = \'\'';

    public function __construct(private readonly CurrentStudio $studio)
    {
    }

    public function bottles(): array
    {
        $rows = $this->studio->rows(
            'lots',
            'ingredient, max(use_by) as last, min(case when use_by >= ? then use_by end) as next',
            self::STANDING.' and source = \'bought\' group by ingredient',
            [Day::today()->toDateString()],
        );
        $bottles = [];
        foreach ($rows as $row) {
            $day = $row->has('next') ? $row->text('next') : $row->text('last');
            if ($day !== '' && $row->has('ingredient')) {
                $bottles[$row->text('ingredient')] = self::bottle($day, ! $row->has('next'));
            }
        }

        return $bottles;
    }

    /** What was strained at once goes by the name of its jar too. */
    public function ofOils(): array
    {
        $today = Day::today()->toDateString();
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
     * @param  array<array-key, mixed>  $days the earliest printed day of each, by ingredient, where one was written down
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
