<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Formula\Edits;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** The base of a formula and its variants, each with what waits to be passed on: $defs/Family. */
final class FamilyResource extends JsonResource
{
    public function __construct(private readonly Formula $formula)
    {
        parent::__construct($formula);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $isBase = $this->formula->base_id === null;
        $base = $isBase ? $this->formula : Formula::query()->find($this->formula->base_id);

        return [
            'base' => $isBase || $base === null ? null : ['id' => $base->id, 'title' => $base->title],
            'variants' => array_map(
                static fn (Formula $variant): array => [
                    'id' => $variant->id,
                    'title' => $variant->title,
                    'bands' => $variant->summary['bands'] ?? [],
                    'stops' => $variant->summary['stops'] ?? 0,
                    'cautions' => $variant->summary['cautions'] ?? 0,
                    'waiting' => $base === null
                        ? []
                        : Edits::between($variant->composed(), $variant->passedOnFrom($base)),
                ],
                $base?->variants() ?? [],
            ),
        ];
    }
}
