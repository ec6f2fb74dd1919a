<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use App\Pantry\Ancestry;
use App\Pantry\Lot;
use App\Support\Refused;
use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Finding;
use Crown\Make\MakeSheet;
use Crown\Make\Putting;
use Crown\Make\Stops;
use Crown\Make\Task;
use Crown\Make\Weighing;
use Crown\Pantry\LotSource;
use WeakMap;

/** What a batch was planned to be: its formula never changes, so it is assessed once. */
final class BatchPlan
{
    private const MOST_SHARING = 50;

    /** @var WeakMap<Batch, Assessment> */
    private readonly WeakMap $planned;

    /** @var WeakMap<Batch, MakeSheet> */
    private readonly WeakMap $sheets;

    public function __construct(private readonly StudioCatalogue $catalogue, private readonly Ancestry $ancestry)
    {
        $this->planned = new WeakMap();
        $this->sheets = new WeakMap();
    }

    public function of(Batch $batch): Assessment
    {
        return $this->planned[$batch] ??= Assessor::standard()->assess(
            $batch->composed(),
            $this->catalogue->context(),
        );
    }

    /**
     * Why a batch must not be used: something in it, or in what is in it, went bad or was called back since.
     *
     * @return list<string>
     */
    public function withdrawn(Batch $batch): array
    {
        $found = array_filter(
            $this->of($batch)->findings,
            static fn (Finding $f): bool => $f->code === 'lot.withdrawn',
        );

        // What she said at the scale that she took is in it, before the record is closed as well.
        $chosen = array_filter($batch->weighIns->map(static fn (WeighIn $w): ?int => $w->lot_id)->all());
        $behind = $this->ancestry->withdrawn([
            ...$this->ancestry->lotsBehind('batch', $batch->id),
            ...array_values($chosen),
        ]);

        return [
            ...array_values(array_map(static fn (Finding $f): string => $f->message(), $found)),
            ...$this->bottles($behind),
            ...self::jars($batch),
        ];
    }

    /** @return list<string> what was found on its own jars */
    private static function jars(Batch $batch): array
    {
        $jars = Lot::query()->where('batch_id', $batch->id)->where('withdrawn', '!=', '')->get();

        return array_values($jars->map(static fn (Lot $lot): string => (string) $lot->withdrawnWords())->all());
    }

    /**
     * @param  array<int, string>  $behind why, by lot
     * @return list<string> of what was bought: an oil steeped here is told by its own finding
     */
    private function bottles(array $behind): array
    {
        $bought = Lot::query()->whereIn('id', array_keys($behind))->where('source', LotSource::Bought->value)->get();

        return array_values($bought
            ->map(fn (Lot $lot): string => sprintf(
                'In it is %s that must not be used: %s',
                $this->catalogue->get()->has($lot->ingredient)
                    ? $this->catalogue->get()->get($lot->ingredient)->name
                    : $lot->name,
                $behind[$lot->id],
            ))
            ->all());
    }

    /** @return list<array{id: int, title: string, lot_code: string}> others into which something of its bottles went */
    public function sharing(Batch $batch): array
    {
        return array_values(Batch::query()
            ->whereIn('id', $this->ancestry->sharing($batch->id))
            ->orderByDesc('id')
            ->limit(self::MOST_SHARING)
            ->get(['id', 'title', 'lot_code'])
            ->map(static fn (Batch $b): array => ['id' => $b->id, 'title' => $b->title, 'lot_code' => $b->lot_code])
            ->all());
    }

    public function sheet(Batch $batch): MakeSheet
    {
        $sheet = $this->sheets[$batch] ?? null;
        if ($sheet === null || $sheet->factor !== $batch->factor) {
            $sheet = new MakeSheet($this->of($batch), $batch->factor);
            $this->sheets[$batch] = $sheet;
        }

        return $sheet;
    }

    /** The task of an id; null where the batch has none such. */
    public function task(Batch $batch, string $id): ?Task
    {
        foreach ($this->sheet($batch)->tasks() as $task) {
            if ($task->id() === $id) {
                return $task;
            }
        }

        return null;
    }

    /** @throws Refused when the batch has no such line */
    public function weighing(Batch $batch, string $line): Weighing
    {
        foreach ($this->sheet($batch)->weighings() as $weighing) {
            if ($weighing->line === $line) {
                return $weighing;
            }
        }

        throw Refused::because('line', 'This batch has no such line.');
    }

    /** What is in, and what is still to be weighed. */
    public function putting(Batch $batch): Putting
    {
        return new Putting($batch->composed(), $this->sheet($batch)->weighings(), $batch->put());
    }

    /** What it will be if all of it goes in as it is asked for, what is counted in whole drops. */
    public function asAsked(Batch $batch): Assessment
    {
        return $this->putting($batch)->judged($this->catalogue->context());
    }

    /**
     * What the bench stops at in what was weighed so far, with the rest as it is asked for, and did not when it was
     * planned.
     *
     * @return list<string>
     */
    public function stopsNow(Batch $batch): array
    {
        if ($batch->put() === []) {
            return [];
        }
        $now = $this->putting($batch)->judged($this->catalogue->context());

        return array_map(static fn (Finding $f): string => $f->message(), Stops::anew($now, $this->of($batch)));
    }
}
