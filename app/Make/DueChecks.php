<?php

declare(strict_types=1);

namespace App\Make;

use App\Pantry\Lot;
use Crown\Make\Check;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/** Which finished batches are to be looked at today, and for which of their checks. */
final class DueChecks
{
    /** The last check is at six months; a month later nobody asks for it any more. */
    private const DAYS_BACK = 212;

    /** Nothing is looked at in its first week. */
    private const FIRST = 7;

    private const MOST_BATCHES = 40;

    /** No nagging: so many at once. */
    private const MOST = 3;

    /** @return list<DueCheck> the longest due first */
    public function on(Carbon $today): array
    {
        $batches = Batch::query()
            ->where('state', 'done')
            ->whereBetween('made_on', [
                $today->copy()->subDays(self::DAYS_BACK)->toDateString(),
                $today->copy()->subDays(self::FIRST)->toDateString(),
            ])
            ->orderByDesc('made_on')
            ->limit(self::MOST_BATCHES)
            ->get(['id', 'title', 'lot_code', 'made_on', 'best_before']);
        // What is all gone, or must not be used, is not looked at.
        $standing = Lot::query()
            ->whereIn('batch_id', $batches->modelKeys())
            ->where('withdrawn', '')
            ->whereNull('emptied_on')
            ->pluck('batch_id');
        $batches = $batches->whereIn('id', $standing->all());
        $looked = BatchFinding::query()
            ->whereIn('batch_id', $batches->modelKeys())
            ->get(['batch_id', 'on_date'])
            ->groupBy('batch_id');
        $due = [];
        foreach ($batches as $batch) {
            /** @var Collection<int, BatchFinding> $of */
            $of = $looked->get($batch->id) ?? new Collection();
            $check = self::last($batch, $of, $today);
            if ($check !== null) {
                $due[] = new DueCheck($batch, $check);
            }
        }
        usort($due, static fn (DueCheck $a, DueCheck $b): int => $a->check->due <=> $b->check->due);

        return array_slice($due, -self::MOST);
    }

    /**
     * The latest that is due: whoever looks late looks once.
     *
     * @param  Collection<int, BatchFinding>  $looked
     */
    private static function last(Batch $batch, Collection $looked, Carbon $today): ?Check
    {
        $checks = Check::of(
            $batch->made_on->toDateTimeImmutable(),
            array_values($looked->map(static fn (BatchFinding $f) => $f->on_date->toDateTimeImmutable())->all()),
            $batch->best_before?->toDateTimeImmutable(),
        );
        $came = array_filter(
            $checks,
            static fn (Check $c): bool => $c->due <= $today->toDateTimeImmutable(),
        );
        $last = end($came);

        return $last !== false && $last->isDue($today->toDateTimeImmutable()) ? $last : null;
    }
}
