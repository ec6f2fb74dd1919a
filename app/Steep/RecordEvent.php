<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use App\Studio\User;
use App\Support\Refused;
use Crown\Problem;
use Crown\Steep\EntryKind;
use Crown\Steep\Quantity;
use Crown\Steep\SteepError;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepStart;

/** Records what happened to a jar, and works everything out anew. */
final class RecordEvent
{
    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
        private readonly SteepStock $stock,
    ) {
    }

    /** @throws Problem */
    public function __invoke(Steep $steep, EventRequest $asked): void
    {
        $kind = $asked->kind();
        if ($asked->day()->lessThan($steep->started_on)) {
            throw Refused::because('on', 'It was not started yet on that day.');
        }
        if ($steep->state !== 'running' && ! $kind->isForAfterwards()) {
            throw Refused::now('kind', 'This jar is not running any more.');
        }
        $before = $steep->plan($this->catalogue->get());
        $event = SteepEvent::query()->create([
            'steep_id' => $steep->id,
            'kind' => $kind->value,
            'on_date' => $asked->day()->toDateString(),
            'note' => $asked->string('note')->value(),
            'data' => (object) [...$asked->contents(), ...$kind->adds() ? ['grams' => $this->grams($asked)] : []],
        ]);
        $steep->load('events');
        // A plan that cannot be worked out any more is refused, and nothing of it is kept.
        if ($steep->plan($this->catalogue->get())->oilLeftGrams() <= 0.0) {
            throw SteepError::notSoMuchOil();
        }
        $water = $steep->plan($this->catalogue->get())->water;
        if ($water->lostGrams() > $water->mostLossGrams()) {
            throw SteepError::moreLostThanThereWas($water->mostLossGrams());
        }
        if ($kind->adds()) {
            $this->mayStand($steep, $before, $asked->string('note')->value());
        }
        if ($kind === EntryKind::Drawn && $asked->boolean('keep', true)) {
            KeepOil::drawn($steep, $steep->plan($this->catalogue->get(), $event->on_date), $event);
        }
        $this->stock->added($event, User::nameIn($asked));
        KeepOil::refresh($steep, $this->catalogue->get());
        $steep->keepUses();
        $steep->touch();
    }

    /**
     * @param  string  $note the reason for which it stands all the same, which stays with the entry
     *
     * @throws SteepError about "note"
     */
    private function mayStand(Steep $steep, SteepPlan $before, string $note): void
    {
        $all = $this->catalogue->get();
        try {
            SteepStart::decide($steep->plan($all), $all->limits(), $note, $before);
        } catch (SteepError $stopped) {
            throw $stopped->of('note');
        }
    }

    private function grams(EventRequest $asked): float
    {
        return Quantity::grams(
            $asked->string('amount')->value(),
            $this->catalogue->get()->get($asked->string('ingredient')->value()),
            $asked->string('form')->value(),
            $this->studio->get()->kitchen(),
        );
    }
}
