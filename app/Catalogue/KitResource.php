<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Measure\Kit;
use Crown\Measure\KitChoice;
use Crown\Measure\KitFigure;
use Crown\Measure\KitKind;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** What a studio works with, and what can be said of each kind of thing: $defs/Kit. */
final class KitResource extends JsonResource
{
    public function __construct(private readonly Kit $kit)
    {
        parent::__construct($kit);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        return [
            'items' => $this->kit->items,
            'places' => $this->kit->places(),
            'kinds' => array_map(self::kind(...), KitKind::cases()),
        ];
    }

    /** @return array<string, mixed> */
    private static function kind(KitKind $kind): array
    {
        return [
            'kind' => $kind->value,
            'label' => $kind->label(),
            'weighed_with' => $kind->wantsIngredient(),
            'figures' => array_map(static fn (string $field, KitFigure $of): array => [
                'field' => $field,
                'label' => $of->label,
                'unit' => $of->unit,
                'needed' => $of->needed,
            ], array_keys($kind->figures()), $kind->figures()),
            'choices' => array_map(static fn (string $field, KitChoice $of): array => [
                'field' => $field,
                'label' => $of->label,
                'allowed' => $of->allowed,
            ], array_keys($kind->choices()), $kind->choices()),
        ];
    }
}
