<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\BringsOils;
use App\Catalogue\KnowsStock;
use App\Pantry\Lot;
use App\Studio\CurrentStudio;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Making;
use Crown\Json\Node;
use Crown\Reading\OwnOil;
use Crown\Steep\SteepYield;
use DateTimeImmutable;

/** The oils that were steeped here, as ingredients and as stock. */
final class SteepedOils implements BringsOils, KnowsStock
{
    public function __construct(private readonly CurrentStudio $studio)
    {
    }

    public function oils(array $corrections): array
    {
        $oils = $jars = [];
        $lots = new SteepedLots();
        foreach ($this->jars('steeps.id as steep, steeps.name as jar, steeps.state, lots.id as lot, lots.name, '
            .'lots.event_id, lots.made_on') as $row) {
            $steep = (int) $row->whole('steep');
            $lot = (int) ($row->whole('lot') ?? 0);
            if ($lot > 0) {
                $oils[] = new Making(
                    'lot-'.$lot,
                    Lot::titled($row->text('name'), $row->has('event_id'), $row->text('made_on')),
                    static fn (Catalogue $all): Ingredient => self::oil($lots->get($lot), $all, $corrections),
                );
            }
            $strained = $lot > 0 && ! $row->has('event_id') ? 'lot-'.$lot : ($jars[$steep][1] ?? '');
            $jars[$steep] = [$row->text('jar'), $strained];
        }
        foreach ($jars as $steep => [$name, $strained]) {
            $oils[] = new Making(
                Steep::OIL.$steep,
                // What was strained goes by its own name.
                $strained === '' ? $name : null,
                static fn (Catalogue $all): Ingredient => $strained === ''
                    ? self::awaited($steep, $all)
                    : $all->get($strained),
            );
        }

        return $oils;
    }

    public function own(): array
    {
        $own = [];
        foreach ($this->jars(
            'steeps.id as steep, steeps.name as jar, steeps.document, steeps.started_on, steeps.state, '
            .'steeps.deleted_at, lots.id as lot, lots.name, lots.made_on, lots.event_id, lots.withdrawn',
        ) as $row) {
            $strained = $row->has('lot');
            $standing = $row->text('state') === 'running' && ! $row->has('deleted_at');
            if ($strained ? $row->text('withdrawn') !== '' : ! $standing) {
                continue;
            }
            $document = json_decode($row->text('document'), true);
            $document = Node::of(is_array($document) ? $document : []);
            $named = static fn (string $part): array => array_map(
                static fn (Node $one): string => $one->text('ingredient'),
                $document->objects($part),
            );
            $own[] = new OwnOil(
                $strained ? 'lot-'.$row->whole('lot') : Steep::OIL.$row->whole('steep'),
                $strained
                    ? Lot::titled($row->text('name'), $row->has('event_id'), $row->text('made_on'))
                    : $row->text('jar'),
                $named('herbs'),
                $named('oils'),
                new DateTimeImmutable($row->text($strained ? 'made_on' : 'started_on')),
            );
        }

        return $own;
    }

    public function grams(): array
    {
        $grams = [];
        foreach (SteepedLot::query()->where('withdrawn', '')->orderBy('id')->get(['id', 'left_grams']) as $lot) {
            $grams[$lot->ingredientId()] = $lot->left_grams;
        }

        return $grams;
    }

    /**
     * Jars with what came of them: a row for each oil, and one for a jar of which nothing was had yet.
     *
     * @param  literal-string  $columns
     * @return list<Node>
     */
    private function jars(string $columns): array
    {
        return $this->studio->rows(
            "steeps left join lots on lots.steep_id = steeps.id and lots.source = 'steeped'",
            $columns,
            'order by lots.id, steeps.id',
        );
    }

    /** The oil that a jar will give: reckoned, until it is strained. */
    private static function awaited(int $number, Catalogue $all): Ingredient
    {
        $steep = Steep::query()->withTrashed()->with(['events', 'poured'])->findOrFail($number);

        return SteepYield::awaited($steep->plan($all), $steep->reason ?: null)
            ->ingredient(Steep::OIL.$number, $steep->name);
    }

    /** @param  list<Correction>  $corrections */
    private static function oil(SteepedLot $lot, Catalogue $all, array $corrections): Ingredient
    {
        $plan = $lot->steep->plan($all, $lot->made_on);
        $oil = $lot->yield($plan)->ingredient($lot->ingredientId(), $lot->title());
        foreach ($corrections as $correction) {
            $oil = $correction->ingredient === $oil->id ? $oil->corrected($correction) : $oil;
        }

        return $oil;
    }
}
