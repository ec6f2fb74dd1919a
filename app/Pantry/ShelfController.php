<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\StudioCatalogue;
use App\Catalogue\StudioStock;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Studio\User;
use App\Support\ListRequest;
use App\Support\Pages;
use App\Support\Speaks;
use Crown\Catalogue\Catalogue;
use Crown\Pantry\LotReader;
use Crown\Pantry\MovementKind;
use Illuminate\Http\JsonResponse;

/** The shelf over HTTP: every bottle and jar that stands there, what is to be used first before the rest. */
final class ShelfController
{
    private const SIZE = 60;

    /** Containers that one line may put there. */
    private const MOST_OF_ONE = 50;

    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly LotPages $pages,
        private readonly Ancestry $ancestry,
    ) {
    }

    #[Speaks('ShelfList', does: 'What stands on the shelf, what is to be used first before the rest')]
    public function index(ListRequest $request): JsonResponse
    {
        $all = $this->catalogue->get();
        $gone = $request->string('state')->value() === 'gone';
        $cursor = Pages::cursor(
            $request->string('cursor')->value(),
            [...$gone ? ['emptied_on'] : [], 'use_by', 'id'],
        );
        $page = Lot::query()
            ->when(
                $gone,
                // What went last stands first.
                static fn ($q) => $q->whereNotNull('emptied_on')
                    ->orderByDesc('emptied_on')
                    ->orderByDesc('use_by')
                    ->orderByDesc('id'),
                static fn ($q) => $q->whereNull('emptied_on')->orderBy('use_by')->orderBy('id'),
            )
            ->cursorPaginate(self::SIZE, ['*'], 'cursor', $cursor);

        return new JsonResponse([
            'items' => $this->rows(array_values($page->items()), $all),
            'next' => $page->nextCursor()?->encode(),
        ]);
    }

    #[Speaks('LotsRead', 'LotsText', does: 'Read what was bought, as it was typed or stands on a bill')]
    public function read(LotsTextRequest $request, CurrentStudio $studio): JsonResponse
    {
        $kit = $studio->get()->ownKit();
        $reader = new LotReader(
            $this->catalogue->get(),
            $studio->get()->kitchen(),
            $kit->places(),
            Day::today()->toDateTimeImmutable(),
            $studio->get()->date_style === 'month-first',
        );

        return new JsonResponse(['items' => $reader->read($request->string('text')->value())]);
    }

    #[Speaks('ShelfList', 'LotsDraft', 201, 'Put what was bought on the shelf')]
    public function store(LotsRequest $request, PutOnShelf $put): JsonResponse
    {
        $lots = [];
        foreach ($request->lots() as $n => $said) {
            for ($i = min(self::MOST_OF_ONE, (int) ($said->whole('count') ?? 1)); $i > 0; $i--) {
                $lots[] = $put->new($said, 'lots.'.$n, User::nameIn($request));
            }
        }
        $all = $this->catalogue->get();

        return new JsonResponse([
            'items' => $this->rows($lots, $all),
            'next' => null,
        ], 201);
    }

    #[Speaks('LotPage', does: 'One lot: its life, what moved, and what came of it')]
    public function show(int $lot): JsonResponse
    {
        return $this->pages->answer(Lot::query()->findOrFail($lot));
    }

    #[Speaks('LotPage', 'LotChange', does: 'Change what is said of a bottle')]
    public function update(int $lot, LotRequest $request, PutOnShelf $put): JsonResponse
    {
        return $this->pages->answer($put->changed(Lot::query()->lockForUpdate()->findOrFail($lot), $request->said()));
    }

    #[Speaks('LotPage', 'MovementDraft', 201, 'Say what happened to a lot, or what the scale shows of it')]
    public function move(int $lot, MovementRequest $request, RecordMovement $record): JsonResponse
    {
        $row = Lot::query()->lockForUpdate()->findOrFail($lot);
        $record($row, $request, User::nameIn($request));

        return $this->pages->answer($row, 201);
    }

    #[Speaks('LotPage', 'JarEnd', does: 'Say that an opened jar is empty, or take that back')]
    public function end(int $lot, int $movement, JarEndRequest $request): JsonResponse
    {
        $row = Lot::query()->findOrFail($lot);
        StockMovement::query()
            ->where('lot_id', $row->id)
            ->where('kind', MovementKind::Opened->value)
            ->findOrFail($movement)
            ->update(['ended_on' => $request->on()]);

        return $this->pages->answer($row);
    }

    #[Speaks('LotPage', 'WithdrawAsk', does: 'Say that it must not be used any more, and why, or take that back')]
    public function withdraw(int $lot, WithdrawRequest $request): JsonResponse
    {
        $reason = $request->reason();
        $row = Lot::query()->lockForUpdate()->findOrFail($lot);
        $row->update([
            'withdrawn' => $reason,
            'withdrawn_on' => $reason === '' ? null : Day::today()->toDateString(),
        ]);

        return $this->pages->answer($row);
    }

    #[Speaks('UseUps', does: 'Formulas of hers that would use up what is left of a lot')]
    public function useUp(int $lot, StudioStock $stock): JsonResponse
    {
        $row = Lot::query()->findOrFail($lot);

        return new JsonResponse(['items' => FormulasThatUse::up($row, $this->catalogue, $stock)]);
    }

    /**
     * @param  list<Lot>  $lots
     * @return list<array<string, mixed>>
     */
    private function rows(array $lots, Catalogue $all): array
    {
        $kinds = LotWords::kinds($lots);
        $bad = array_fill_keys($this->ancestry->calledBack()['lots'], true);

        return array_map(static fn (Lot $l): array => (new ShelfRowResource(
            $l,
            $all,
            $kinds,
            isset($bad[$l->id]),
        ))->toArray(), $lots);
    }
}
