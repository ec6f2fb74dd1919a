<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Studio\Day;
use App\Support\StaleWrite;
use Closure;
use Crown\Problem;
use Crown\Steep\EntryKind;

/** Strains a jar: its oil becomes a lot that formulas can use. */
final class StrainSteep
{
    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly FollowTheStrained $follow,
    ) {
    }

    /**
     * @param  Closure(Steep): array<string, mixed>  $present the newer state, for whoever comes too late
     *
     * @throws Problem|StaleWrite
     */
    public function __invoke(Steep $steep, StrainRequest $asked, Closure $present): void
    {
        $today = Day::today();
        KeepOil::strained(
            $steep,
            $steep->plan($this->catalogue->get(), $today),
            $asked->float('yield_grams'),
            $asked->float('loss_grams'),
            $asked->choice(),
            $today,
        );
        SteepEvent::query()->create([
            'steep_id' => $steep->id,
            'kind' => EntryKind::Strained->value,
            'on_date' => $today,
            'data' => ['herb' => $asked->herb()],
            'note' => $asked->string('note')->value(),
        ]);
        $steep->revise(
            $asked->integer('revision'),
            ['state' => 'strained', 'strained_on' => $today->toDateString()],
            $present,
        );
        ($this->follow)($steep, $asked->float('yield_grams'));
    }
}
