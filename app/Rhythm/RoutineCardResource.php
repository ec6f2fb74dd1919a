<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Studio\Studio;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** What a private link to a routine shows, and nothing else of the studio: $defs/RoutineCard. */
final class RoutineCardResource extends JsonResource
{
    /** Days ahead that are shown. */
    private const SHOWN = 60;

    /** What is shown of the routine as it is. */
    private const FIELDS = [
        'head',
        'product',
        'state',
        'per_week',
        'grams_per_use',
        'strokes',
        'way',
        'withdrawn',
        'ends_on',
        'ends_words',
        'best_before',
        'store',
        'cautions',
    ];

    /** @param  list<string>  $withdrawn why it must not be used any more */
    public function __construct(
        private readonly Routine $routine,
        private readonly Studio $studio,
        private readonly array $withdrawn,
    ) {
        parent::__construct($routine);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $tools = $this->studio->kitchen()->tools;
        $all = (new RoutineResource($this->routine, $this->withdrawn, null, $tools))->toArray();
        $days = is_array($all['days']) ? array_slice($all['days'], 0, self::SHOWN) : [];

        return [
            'studio' => $this->studio->name,
            ...array_intersect_key($all, array_flip(self::FIELDS)),
            'days' => array_map(
                static fn (mixed $day): array => array_diff_key(is_array($day) ? $day : [], ['id' => 0]),
                $days,
            ),
        ];
    }
}
