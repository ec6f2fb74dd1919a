<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Formula\FormulaDocument;
use Crown\Solving\Swap;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** What could take one line's place, and the formula with it there: $defs/Swap. */
final class SwapResource extends JsonResource
{
    public function __construct(private readonly Swap $swap)
    {
        parent::__construct($swap);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $ingredient = $this->swap->standIn->ingredient;

        return [
            'id' => $ingredient->id,
            'name' => $ingredient->name,
            'matter' => $ingredient->kind->matter(),
            'nearness' => round($this->swap->standIn->nearness, 3),
            'rebalanced' => $this->swap->rebalanced,
            'words' => $this->swap->words(),
            'formula' => FormulaDocument::write($this->swap->formula),
            'assessment' => $this->swap->assessment,
        ];
    }
}
