<?php

declare(strict_types=1);

namespace Crown\Measure;

use Crown\Json\Format;
use Crown\Json\Node;
use Crown\Words\Message;

/**
 * What a maker works with, as she has written it down. What she has takes the place of what is usual, and the working
 * says so.
 */
final readonly class Kit
{
    public const MOST = 200;

    private const WATER = 'water';

    /** A usual amount, for what asks for one step of the scale: grams. */
    private const USUAL = 100.0;

    /**
     * @param  list<KitItem>  $items
     * @param  int  $last the highest id that was ever given
     */
    private function __construct(public array $items, private int $last)
    {
    }

    public static function format(): Format
    {
        return new Format('honest-crown/kit');
    }

    /** @param  array<array-key, mixed>  $document as document() wrote it; empty for none */
    public static function read(array $document): self
    {
        $node = Node::of(self::format()->upcast($document));

        return new self(array_map(KitItem::kept(...), $node->objects('items')), (int) ($node->whole('last') ?? 0));
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            ...self::format()->head(),
            'last' => $this->last,
            'items' => array_map(static fn (KitItem $i): array => $i->jsonSerialize(), $this->items),
        ];
    }

    /** @throws MeasureError about a field of it, or where there is no room */
    public function with(Node $said): self
    {
        if (count($this->items) >= self::MOST) {
            throw MeasureError::kit('name', Message::said('measure.kit.most-things-one-kitchen', [
                'most' => self::MOST,
            ]));
        }

        return new self([...$this->items, KitItem::from($this->last + 1, $said)], $this->last + 1);
    }

    /** @throws MeasureError about a field of it */
    public function changed(int $id, Node $said): self
    {
        return new self(array_map(
            static fn (KitItem $i): KitItem => $i->id === $id ? KitItem::from($id, $said) : $i,
            $this->items,
        ), $this->last);
    }

    public function without(int $id): self
    {
        $kept = array_filter($this->items, static fn (KitItem $i): bool => $i->id !== $id);

        return new self(array_values($kept), $this->last);
    }

    public function has(int $id): bool
    {
        return $this->item($id) !== null;
    }

    /** The thing of this number; null for none. */
    public function item(int $id): ?KitItem
    {
        foreach ($this->items as $item) {
            if ($item->id === $id) {
                return $item;
            }
        }

        return null;
    }

    /** @return list<KitItem> */
    public function of(KitKind $kind): array
    {
        return array_values(array_filter($this->items, static fn (KitItem $i): bool => $i->kind === $kind));
    }

    /** @return list<Place> her own, or what stands in most homes while she has named none */
    public function places(): array
    {
        $own = array_map(static fn (KitItem $i): Place => new Place(
            $i->name,
            $i->figure('summer_celsius'),
            $i->figure('winter_celsius'),
            $i->choice('wet') === 'wet',
            true,
        ), $this->of(KitKind::Place));

        return $own === [] ? Place::usual() : $own;
    }

    /**
     * What amounts are turned into grams with.
     *
     * @param  float  $scaleGrams where no scale is in the kit
     * @param  float|null  $bowlMillilitres where no bowl is; null when it is not known
     */
    public function kitchen(
        CupSize $cup,
        float $scaleGrams,
        ?float $bowlMillilitres,
        ?Ways $ways = null,
    ): Kitchen {
        $scales = array_map(
            static fn (KitItem $i): Scale => new Scale($i->figure('step_grams'), $i->figure('most_grams'), $i->name),
            $this->of(KitKind::Scale),
        );
        $ways ??= Ways::safer();
        $bare = new Kitchen($cup, $scaleGrams, [], $bowlMillilitres, $scales, ways: $ways);
        $drops = [];
        foreach ($this->of(KitKind::Dropper) as $i) {
            if ($i->isPump()) {
                continue;
            }
            $grams = $i->figure('grams');
            $step = $bare->stepFor($grams);
            $drops[$i->substance] = new DropCalibration((int) $i->figure('drops'), $grams, $step);
        }
        $spoons = array_map(static fn (KitItem $i): OwnSpoon => new OwnSpoon(
            Unit::from($i->choices['unit']),
            $i->substance,
            $i->figure('grams'),
            $bare->stepFor($i->figure('grams')),
            $i->ingredient === self::WATER,
        ), $this->of(KitKind::Spoon));
        $bowls = array_map(static fn (KitItem $i): float => $i->figure('millilitres'), $this->of(KitKind::Bowl));

        return new Kitchen(
            $cup,
            $scales === [] ? $scaleGrams : $bare->stepFor(self::USUAL),
            $drops,
            $bowls === [] ? $bowlMillilitres : max($bowls),
            $scales,
            $spoons,
            Tools::of($this),
            $ways,
        );
    }
}
