<?php

declare(strict_types=1);

namespace App\Head;

use App\Studio\Day;
use Crown\Formula\Audience;
use Crown\Head\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** A head, with what follows from what is known of it: $defs/Head. */
final class HeadResource extends JsonResource
{
    public function __construct(private readonly Head $head)
    {
        parent::__construct($head);
    }

    /** @return array<string, mixed> */
    public static function of(Head $head): array
    {
        return (new self($head))->toArray();
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $head = $this->head->loadMissing('marks');
        $profile = $head->profile();
        $map = $head->crownMap();
        $today = Day::today()->toDateTimeImmutable();

        return [
            'id' => $head->id,
            'touched' => $head->touched(),
            'revision' => $head->revision,
            'name' => $head->name,
            'strand' => $head->strand,
            'porosity' => $head->porosity,
            'density' => $head->density,
            'curl' => $head->curl,
            'scalp' => $head->scalp,
            'scalp_now' => $profile->scalp->value,
            'age_band' => $head->age_band,
            'pregnant' => $head->pregnant,
            'allergies' => $head->allergies,
            'dislikes' => $head->dislikes,
            'wants' => $head->wants,
            'conditions' => $head->conditions,
            'signs' => $head->signs,
            'style' => $head->style,
            'hardness' => $head->hardness,
            'wash_every_days' => $head->wash_every_days,
            'note' => $head->note,
            'weight_lengths' => $profile->weightTarget(false),
            'weight_scalp' => $profile->weightTarget(true),
            'audience' => $profile->audience(Audience::AdultLeaveOn)->value,
            'red_flags' => $profile->redFlags(),
            'needs' => array_map(
                static fn ($n): array => ['need' => $n->value, 'label' => $n->label()],
                $profile->needs(),
            ),
            'zones' => array_map(
                static fn (Zone $z): array => ['zone' => $z->value, 'state' => $map->at($z, $today)->value],
                Zone::cases(),
            ),
            'marks' => array_map(self::mark(...), $head->marks->all()),
        ];
    }

    /** @return array<string, mixed> */
    private static function mark(HeadMark $mark): array
    {
        return [
            'id' => $mark->id,
            'zone' => $mark->zone,
            'state' => $mark->state,
            'on' => $mark->on_date->toDateString(),
            'note' => $mark->note,
        ];
    }
}
