<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\CurrentStudio;
use Crown\Json\Node;
use Illuminate\Support\Facades\DB;

/**
 * What came of what, by the movements there are: from a bottle to the steeps and batches it went into, to the oils and
 * jars that came of them and the people who have one; and back.
 */
final class Ancestry
{
    /** Steps at most: a chain of oils steeped in oils is never so long. */
    private const DEEPEST = 12;

    public function __construct(private readonly CurrentStudio $studio)
    {
    }

    /**
     * Everything that went into a batch or a steep, step by step.
     *
     * @param  'batch'|'steep'  $kind
     * @return list<int> ids of lots, the nearest first
     */
    public function lotsBehind(string $kind, int $id): array
    {
        $found = [];
        $next = [[$kind, [$id]]];
        for ($step = 0; $step < self::DEEPEST && $next !== []; $step++) {
            $lots = [];
            foreach ($next as [$of, $ids]) {
                array_push($lots, ...$this->lotsInto($of, $ids));
            }
            $lots = array_values(array_diff(array_unique($lots), $found));
            $found = [...$found, ...$lots];
            $next = $this->madeBy($lots);
        }

        return $found;
    }

    /**
     * Everything that these lots went into.
     *
     * @return array{lots: list<int>, steeps: list<int>, batches: list<int>} with themselves among the lots
     */
    public function ahead(int ...$of): array
    {
        $lots = array_values($of);
        $found = ['lots' => $lots, 'steeps' => [], 'batches' => []];
        for ($step = 0; $step < self::DEEPEST && $lots !== []; $step++) {
            $rows = $this->rows('select distinct batch_id, steep_id from stock_movements where lot_id in (%s)', $lots);
            $batches = array_values(array_diff(self::ids($rows, 'batch_id'), $found['batches']));
            $steeps = array_values(array_diff(self::ids($rows, 'steep_id'), $found['steeps']));
            $found['batches'] = [...$found['batches'], ...$batches];
            $found['steeps'] = [...$found['steeps'], ...$steeps];
            $lots = array_values(array_diff([
                ...self::ids($this->rows('select id from lots where batch_id in (%s)', $batches), 'id'),
                ...self::ids($this->rows('select id from lots where steep_id in (%s)', $steeps), 'id'),
            ], $found['lots']));
            $found['lots'] = [...$found['lots'], ...$lots];
        }

        return $found;
    }

    /**
     * Other batches into which something of the same bottles went.
     *
     * @return list<int>
     */
    public function sharing(int $batch): array
    {
        $bottles = $this->lotsInto('batch', [$batch]);
        $rows = $this->rows('select distinct batch_id from stock_movements where lot_id in (%s)', $bottles);

        return array_values(array_diff(self::ids($rows, 'batch_id'), [$batch]));
    }

    /**
     * Why nothing that these lots are in may be used: what was withdrawn of them.
     *
     * @param  list<int>  $lots
     * @return array<int, string> sentences by lot
     */
    public function withdrawn(array $lots): array
    {
        $found = [];
        if ($lots !== []) {
            foreach (Lot::query()->whereIn('id', $lots)->where('withdrawn', '!=', '')->get() as $lot) {
                $found[$lot->id] = (string) $lot->withdrawnWords();
            }
        }

        return $found;
    }

    /**
     * The jars and batches that must not be used, because they or something in them were withdrawn.
     *
     * @return array{lots: list<int>, batches: list<int>}
     */
    public function calledBack(): array
    {
        $bad = Lot::query()->where('withdrawn', '!=', '')->get(['id', 'studio_id', 'batch_id']);
        $ahead = $this->ahead(...array_values($bad->map(static fn (Lot $lot): int => $lot->id)->all()));

        return [
            'lots' => $ahead['lots'],
            'batches' => [
                ...$ahead['batches'],
                ...array_values(array_filter($bad->pluck('batch_id')->all(), is_int(...))),
            ],
        ];
    }

    /**
     * @param  list<int>  $ids
     * @return list<int>
     */
    private function lotsInto(string $kind, array $ids): array
    {
        $column = $kind === 'batch' ? 'batch_id' : 'steep_id';
        // What was given back again is in nothing.
        $rows = $this->rows("select lot_id from stock_movements where $column in (%s) and kind in ('batch', 'steep')"
            .' group by lot_id having abs(sum(grams)) > 1e-9', $ids);

        return self::ids($rows, 'lot_id');
    }

    /**
     * @param  list<int>  $lots
     * @return list<array{'batch'|'steep', list<int>}> what they came of
     */
    private function madeBy(array $lots): array
    {
        $rows = $this->rows('select batch_id, steep_id from lots where id in (%s)', $lots);
        $next = [];
        foreach (['batch' => self::ids($rows, 'batch_id'), 'steep' => self::ids($rows, 'steep_id')] as $kind => $ids) {
            if ($ids !== []) {
                $next[] = [$kind, $ids];
            }
        }

        return $next;
    }

    /**
     * @param  literal-string  $question with %s where the ids stand
     * @param  list<int>  $ids
     * @return list<Node>
     */
    private function rows(string $question, array $ids): array
    {
        if ($ids === []) {
            return [];
        }
        $asked = str_replace(
            [' where ', '%s'],
            [' where studio_id = ? and ', implode(', ', array_fill(0, count($ids), '?'))],
            $question,
        );

        return array_map(
            static fn (mixed $row): Node => Node::of((array) $row),
            array_values(DB::select($asked, [$this->studio->get()->id, ...$ids])),
        );
    }

    /**
     * @param  list<Node>  $rows
     * @return list<int>
     */
    private static function ids(array $rows, string $column): array
    {
        return array_values(array_unique(array_filter(
            array_map(static fn (Node $row): int => (int) ($row->whole($column) ?? 0), $rows),
        )));
    }
}
