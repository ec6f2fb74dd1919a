<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use Crown\Json\Node;
use Crown\Pantry\Trace;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** The picture of what came of a lot, and of what it came: asked of tables that lie in rooms of their own. */
final class TraceOf
{
    public function __construct(
        private readonly Ancestry $ancestry,
        private readonly CurrentStudio $studio,
        private readonly StudioCatalogue $catalogue,
    ) {
    }

    public function lot(Lot $lot): Trace
    {
        $lots = $this->lots($lot);
        $ahead = $this->ancestry->ahead($lot->id);
        $nodes = [
            ...$this->made('steep', 'steeps', 'name', [
                ...$ahead['steeps'],
                ...$lots->map(static fn (Lot $l): int => $l->steep_id ?? 0)->all(),
            ]),
            ...$this->made('batch', 'batches', 'title', [
                ...$ahead['batches'],
                ...$lots->map(static fn (Lot $l): int => $l->batch_id ?? 0)->all(),
            ]),
        ];
        $edges = [];
        foreach ($lots as $one) {
            $nodes['lot-'.$one->id] = [
                'kind' => 'lot',
                'id' => $one->id,
                'title' => LotWords::name($one, $this->catalogue->get()),
                'withdrawn' => $one->withdrawn !== '',
                'here' => $one->id === $lot->id,
            ];
            $edges[] = [
                'from' => $one->batch_id !== null ? 'batch-'.$one->batch_id : 'steep-'.$one->steep_id,
                'to' => 'lot-'.$one->id,
                'grams' => round($one->grams ?? 0.0, 2),
            ];
        }
        foreach ($this->moved($lots->modelKeys()) as $row) {
            $to = self::whither($row);
            $nodes += str_starts_with($to, 'person-') ? [$to => self::person($row->text('to_name'))] : [];
            $edges[] = [
                'from' => 'lot-'.$row->whole('lot_id'),
                'to' => $to,
                'grams' => round(-($row->number('grams') ?? 0.0), 2),
            ];
        }

        return Trace::of($nodes, $edges);
    }

    /** @return Collection<int, Lot> itself, what it came of, and what came of it */
    private function lots(Lot $lot): Collection
    {
        return Lot::query()->whereIn('id', [
            ...$this->ancestry->ahead($lot->id)['lots'],
            ...$lot->batch_id === null ? [] : $this->ancestry->lotsBehind('batch', $lot->batch_id),
            ...$lot->steep_id === null ? [] : $this->ancestry->lotsBehind('steep', $lot->steep_id),
        ])->get();
    }

    /** Where a movement went: to somebody, into a batch, or into a steep. */
    private static function whither(Node $row): string
    {
        return match (true) {
            $row->text('to_name') !== '' => 'person-'.$row->text('to_name'),
            $row->has('batch_id') => 'batch-'.$row->whole('batch_id'),
            default => 'steep-'.$row->whole('steep_id'),
        };
    }

    /** @return array<string, mixed> */
    private static function person(string $name): array
    {
        return ['kind' => 'person', 'id' => 0, 'title' => $name, 'withdrawn' => false, 'here' => false];
    }

    /**
     * @param  literal-string  $table
     * @param  literal-string  $title
     * @param  array<array-key, int>  $ids
     * @return array<string, array<string, mixed>>
     */
    private function made(string $kind, string $table, string $title, array $ids): array
    {
        $rows = DB::table($table)
            ->where('studio_id', $this->studio->get()->id)
            ->whereIn('id', array_unique($ids))
            ->get(['id', $title.' as title'])
            ->all();
        $nodes = [];
        foreach ($rows as $row) {
            $of = Node::of((array) $row);
            $nodes[$kind.'-'.$of->whole('id')] = [
                'kind' => $kind,
                'id' => (int) $of->whole('id'),
                'title' => $of->text('title'),
                'withdrawn' => false,
                'here' => false,
            ];
        }

        return $nodes;
    }

    /**
     * @param  array<array-key, mixed>  $lots
     * @return list<Node> what went out of them into something, or to somebody
     */
    private function moved(array $lots): array
    {
        return array_map(
            static fn (object $row): Node => Node::of((array) $row),
            array_values(DB::table('stock_movements')
                ->where('studio_id', $this->studio->get()->id)
                ->whereIn('lot_id', $lots)
                ->whereIn('kind', ['batch', 'steep', 'given', 'sold'])
                ->groupBy('lot_id', 'batch_id', 'steep_id', 'to_name')
                ->havingRaw('abs(sum(grams)) > 1e-9')
                ->selectRaw('lot_id, batch_id, steep_id, to_name, sum(grams) as grams')
                ->get()
                ->all()),
        );
    }
}
