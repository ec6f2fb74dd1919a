<?php

declare(strict_types=1);

namespace App\Make;

use App\Pantry\Lot;
use App\Pantry\MoveStock;
use App\Pantry\StockMovement;
use App\Studio\Day;
use App\Support\Refused;
use Crown\Pantry\MovementKind;
use Crown\Pantry\OrderPlan;
use Illuminate\Database\Eloquent\Collection;

/** Orders planned back from their day, and the jars that stand on the shelf. */
final class Orders
{
    /** Days over which what went is looked at. */
    private const LOOKED_BACK = 90;

    /** Open orders at most, and jars. */
    private const MOST = 200;

    public function __construct(private readonly MoveStock $move)
    {
    }

    /**
     * @param  string|null  $until only what is due by this day: what is due later takes nothing from it
     * @return list<PlannedOrder> the first to be due first; each takes what those before it left
     */
    public function planned(?string $until = null): array
    {
        $open = Order::query()
            ->where('state', 'open')
            ->when($until !== null, static fn ($q) => $q->where('due_on', '<=', $until))
            ->orderBy('due_on')
            ->orderBy('id')
            ->limit(self::MOST)
            ->get();
        $there = $open->isEmpty() ? [] : $this->jarsByFormula();
        $today = Day::today()->toDateTimeImmutable();
        $planned = [];
        foreach ($open as $one) {
            $formula = $one->formula_id ?? 0;
            $left = $there[$formula] ?? 0;
            $plan = OrderPlan::of($one->jars, $left, $one->due_on->toDateTimeImmutable(), $today);
            $there[$formula] = $left - $plan->fromShelf;
            $planned[] = new PlannedOrder($one, $plan);
        }

        return $planned;
    }

    /** @return list<array<string, mixed>> $defs/Order */
    public function open(): array
    {
        return array_map(
            static fn (PlannedOrder $of): array => (new OrderResource($of))->toArray(),
            $this->planned(),
        );
    }

    /** @return list<array<string, mixed>> finished jars that stand there, and by when to make them again */
    public function jars(): array
    {
        $today = Day::today();
        $lots = $this->lots();
        $gone = StockMovement::query()
            ->whereIn('lot_id', $lots->modelKeys())
            ->whereIn('kind', [MovementKind::Given->value, MovementKind::Sold->value])
            ->where('on_date', '>=', $today->copy()->subDays(self::LOOKED_BACK)->toDateString())
            ->groupBy('lot_id')
            ->selectRaw('lot_id, sum(grams) as grams')
            ->pluck('grams', 'lot_id');
        $batches = $this->batches($lots);
        $rows = [];
        foreach ($lots as $lot) {
            $batch = $batches->get($lot->batch_id);
            if ($batch === null || $batch->net_grams <= 0.0) {
                continue;
            }
            $out = $gone[$lot->id] ?? 0;
            $jars = self::whole($lot->left_grams, $batch->net_grams);
            $went = self::whole(is_numeric($out) ? -(float) $out : 0.0, $batch->net_grams);
            $again = OrderPlan::makeAgainBy(
                $jars,
                $went,
                self::LOOKED_BACK,
                $today->toDateTimeImmutable(),
                $lot->useBy() === null ? null : $lot->use_by->toDateTimeImmutable(),
            );
            $rows[] = [
                'lot_id' => $lot->id,
                'batch_id' => $batch->id,
                'title' => $batch->title,
                'lot_code' => $batch->lot_code,
                'jars' => $jars,
                'net_grams' => $batch->net_grams,
                'went' => $went,
                'use_by' => $lot->useBy(),
                'make_again_by' => $again?->format('Y-m-d'),
            ];
        }

        return $rows;
    }

    /** @throws Refused when not so many stand there as were ordered */
    public function demandJars(Order $order): void
    {
        $there = $this->jarsByFormula()[$order->formula_id ?? 0] ?? 0;
        if ($there < $order->jars) {
            throw Refused::now(
                'state',
                sprintf('%d of the %d jars stand there: make the rest first.', $there, $order->jars),
            );
        }
    }

    /** Hands the jars of an order over: they leave the shelf, the first to expire first. */
    public function give(Order $order, string $by): void
    {
        $order->update(['state' => 'given']);
        $missing = $order->jars;
        $lots = $this->lots();
        $batches = $this->batches($lots);
        foreach ($lots as $lot) {
            $batch = $batches->get($lot->batch_id);
            if ($batch === null || $batch->formula_id !== $order->formula_id || $missing <= 0) {
                continue;
            }
            $jars = min($missing, self::whole($lot->left_grams, $batch->net_grams));
            if ($jars > 0) {
                $this->move->out($lot, MovementKind::Sold, $jars * $batch->net_grams, Day::today(), [
                    'by_name' => $by,
                    'to_name' => $order->who,
                    'jars' => $jars,
                    'price' => $order->price === null ? null : $order->price * $jars / $order->jars,
                    'note' => $order->note,
                ]);
                $missing -= $jars;
            }
        }
    }

    /** @return array<int, int> whole jars on the shelf, by formula */
    private function jarsByFormula(): array
    {
        $lots = $this->lots();
        $batches = $this->batches($lots);
        $there = [];
        foreach ($lots as $lot) {
            $batch = $batches->get($lot->batch_id);
            if ($batch !== null && $batch->formula_id !== null) {
                $there[$batch->formula_id] = ($there[$batch->formula_id] ?? 0)
                    + self::whole($lot->left_grams, $batch->net_grams);
            }
        }

        return $there;
    }

    private static function whole(?float $grams, float $each): int
    {
        return $each > 0.0 ? (int) floor(($grams ?? 0.0) / $each + 1e-6) : 0;
    }

    /** @return Collection<int, Lot> finished jars that may be used, the first to expire first */
    private function lots(): Collection
    {
        return Lot::query()
            ->whereNotNull('batch_id')
            ->whereNull('emptied_on')
            ->where('withdrawn', '')
            ->where('use_by', '>=', Day::today()->toDateString())
            ->orderBy('use_by')
            ->orderBy('id')
            ->limit(self::MOST)
            ->get();
    }

    /**
     * @param  Collection<int, Lot>  $lots
     * @return Collection<int, Batch> by id
     */
    private function batches(Collection $lots): Collection
    {
        return Batch::query()
            ->whereIn('id', $lots->map(static fn (Lot $l): int => $l->batch_id ?? 0)->all())
            ->get(['id', 'formula_id', 'title', 'lot_code', 'net_grams'])
            ->keyBy('id');
    }
}
