<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Learning\TextureFound;
use Crown\Make\Sign;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** What was found on a finished batch: $defs/BatchFinding. */
final class BatchFindingResource extends JsonResource
{
    public function __construct(private readonly BatchFinding $finding)
    {
        parent::__construct($finding);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $f = $this->finding;

        return [
            'id' => $f->id,
            'on' => $f->on_date->toDateString(),
            'texture' => $f->texture,
            'texture_label' => TextureFound::tryFrom($f->texture)?->label() ?? '',
            'overrun_percent' => $f->overrun_percent,
            'whipped_minutes' => $f->whipped_minutes,
            'state' => $f->state,
            'months' => round($f->months(), 1),
            'signs' => array_map(static fn (Sign $s): string => $s->value, $f->signs()),
            'note' => $f->note,
        ];
    }
}
