<?php

declare(strict_types=1);

namespace App\Pantry;

use Crown\Catalogue\Catalogue;
use Crown\Exchange\IngredientFile;
use Crown\Json\Node;
use Crown\Pantry\MovementKind;
use Crown\Pantry\OpenedLife;
use Crown\Pantry\Planned;
use Crown\Pantry\Trace;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\DB;

/** One lot with its life, what moved, and what came of it: $defs/LotPage. */
final class LotPageResource extends JsonResource
{
    private const MOVEMENTS = 100;

    public function __construct(
        private readonly Lot $lot,
        private readonly Catalogue $catalogue,
        private readonly Trace $trace,
        private readonly ?Planned $planned,
        private readonly bool $calledBack,
    ) {
        parent::__construct($lot);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $lot = $this->lot;

        return [
            ...(new ShelfRowResource($lot, $this->catalogue, LotWords::kinds([$lot]), $this->calledBack))->toArray(),
            'batch_number' => $lot->batch_number,
            'bought_on' => $lot->bought_on?->toDateString(),
            'printed_on' => $lot->printed_on?->toDateString(),
            'opened_months' => $lot->opened_months,
            'note' => $lot->note,
            'blend' => $this->catalogue->has($lot->ingredient)
                ? IngredientFile::blend($this->catalogue->get($lot->ingredient))
                : [],
            'pictures' => Picture::query()
                ->where('lot_id', $lot->id)
                ->orderBy('id')
                ->get()
                ->map(static fn (Picture $p): array => $p->row())
                ->all(),
            'foreign' => $lot->isForeign(),
            'planned' => $this->planned?->words() ?? '',
            'life' => LotWords::life($lot, $this->catalogue),
            'movements' => StockMovement::query()
                ->where('lot_id', $lot->id)
                ->orderByDesc('on_date')
                ->orderByDesc('id')
                ->limit(self::MOVEMENTS)
                ->get()
                ->map(fn (StockMovement $m): array => [
                    'id' => $m->id,
                    'kind' => $m->kind,
                    'words' => MovementKind::from($m->kind)->words(),
                    'grams' => round($m->grams, 3),
                    'on' => $m->on_date->toDateString(),
                    'by' => $m->by_name,
                    'to' => $m->to_name,
                    'jars' => $m->jars,
                    'price' => $m->price,
                    'note' => $m->note,
                    'use_by' => $m->kind === MovementKind::Opened->value ? $this->openedUntil($m) : null,
                    'ended_on' => $m->ended_on?->toDateString(),
                    'batch_id' => $m->batch_id,
                    'steep_id' => $m->steep_id,
                ])
                ->all(),
            'trace' => $this->trace,
        ];
    }

    /** Until when an opened jar is to be used: what stands on its label, and never longer than the jar itself. */
    private function openedUntil(StockMovement $opened): ?string
    {
        $label = DB::table('batches')->where('id', $this->lot->batch_id)->value('label');
        $node = Node::of(is_string($label) ? (array) json_decode($label, true) : []);
        $keeps = OpenedLife::days($node->text('opened'));
        if ($keeps === null) {
            return $this->lot->useBy();
        }
        $until = $opened->on_date->copy()->addDays($keeps)->toDateString();

        return min($until, $this->lot->useBy() ?? $until);
    }
}
