<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use App\Catalogue\StudioStock;
use App\Formula\Formula;
use App\Pantry\KnowsPlans;
use App\Pantry\Lot;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Assessment\Composition;
use Crown\Formula\Size;
use Crown\Pantry\LotSource;
use Crown\Pantry\Pack;
use Crown\Pantry\Shopping;
use Illuminate\Http\JsonResponse;

/** What has to be bought for what is to be made. */
final class ShoppingController
{
    /** Bottles of each thing that are remembered as packs. */
    private const REMEMBERED = 6;

    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly StudioStock $stock,
        private readonly KnowsPlans $plans,
    ) {
    }

    #[Speaks('ShoppingList', 'ShoppingAsk', does: 'What has to be bought for formulas that are to be made')]
    public function __invoke(ShoppingRequest $request): JsonResponse
    {
        $context = $this->catalogue->context();
        $wanted = $request->boolean('open') ? $this->plans->wanted($context) : [];
        foreach ($request->wanted() as $id => $grams) {
            $formula = Formula::query()->find($id)
                ?? throw Refused::missing('wanted', 'There is no such formula in this studio.');
            $composed = $formula->composed();
            $sized = $grams === null ? $composed : $composed->withSize(Size::mass($grams));
            $wanted[] = Composition::of($sized, $context);
        }

        return new JsonResponse(Shopping::of($wanted, $this->stock->grams(), self::packs()));
    }

    /** @return array<string, list<Pack>> sizes in which things were bought before, by ingredient */
    private static function packs(): array
    {
        $packs = [];
        $lots = Lot::query()
            ->where('source', LotSource::Bought->value)
            ->where('grams', '>', 0)
            ->orderByDesc('id')
            ->limit(2000)
            ->get(['ingredient', 'grams', 'cost', 'currency', 'rate']);
        foreach ($lots as $lot) {
            $known = $packs[$lot->ingredient] ?? [];
            $size = (string) $lot->grams;
            if (! isset($known[$size]) && count($known) < self::REMEMBERED) {
                $packs[$lot->ingredient][$size] = new Pack($lot->grams ?? 1.0, $lot->paid());
            }
        }

        return array_map(array_values(...), $packs);
    }
}
