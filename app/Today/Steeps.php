<?php

declare(strict_types=1);

namespace App\Today;

use App\Catalogue\StudioCatalogue;
use App\Steep\Steep;
use Crown\Steep\NextAct;
use Crown\Steep\NextKind;
use Crown\Steep\SteepPlan;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/** Jars of herbs: what they need, and how far they are. */
final class Steeps implements NeedsHands
{
    /** Days after straining in which it is asked for that it is clear and ready. */
    private const ASKED_FOR = 30;

    private const MOST_RUNNING = 200;

    private const MOST_STRAINED = 50;

    public function __construct(private readonly StudioCatalogue $catalogue)
    {
    }

    public function on(Carbon $today): Work
    {
        $all = $this->catalogue->get();
        $items = $shelf = [];
        foreach ([...$this->running(), ...$this->strained($today)] as $steep) {
            $plan = $steep->plan($all);
            $next = NextAct::of($plan, $steep->standing(), $today->toDateTimeImmutable());
            if ($next->isForHands() && $next->on <= $today->toDateTimeImmutable()) {
                $items[] = self::item($steep, $next);
            }
            if ($steep->state === 'running') {
                $shelf[] = self::jar($steep, $plan, $today);
            }
        }

        return new Work($items, $shelf);
    }

    /** @return Collection<int, Steep> */
    private function running(): Collection
    {
        return Steep::query()
            ->with(['shakes', 'lots', 'events', 'poured'])
            ->where('state', 'running')
            ->orderBy('started_on')
            ->limit(self::MOST_RUNNING)
            ->get();
    }

    /** @return Collection<int, Steep> of which nobody has said yet that they are ready */
    private function strained(Carbon $today): Collection
    {
        return Steep::query()
            ->with(['shakes', 'lots', 'events', 'poured'])
            ->where('state', 'strained')
            ->where('strained_on', '>=', $today->copy()->subDays(self::ASKED_FOR)->toDateString())
            ->whereDoesntHave('events', static fn ($q) => $q->where('kind', 'ready'))
            ->orderBy('strained_on')
            ->limit(self::MOST_STRAINED)
            ->get();
    }

    private static function item(Steep $steep, NextAct $next): TodayItem
    {
        return new TodayItem(
            $next->kind->value,
            $steep->id,
            $next->on->format('Y-m-d'),
            $next->isOverdue(),
            sprintf('%s: %s', $steep->name, lcfirst($next->words())),
            '/steeps/'.$steep->id.($next->kind === NextKind::Strain ? '/strain' : ''),
            self::tick($next->kind, $steep->id),
        );
    }

    private static function jar(Steep $steep, SteepPlan $plan, Carbon $today): ShelfJar
    {
        $day = max(0, (int) $steep->started_on->diffInDays($today, false));
        $stands = $plan->timeline->standsDays();

        return new ShelfJar(
            $steep->name,
            '/steeps/'.$steep->id,
            $steep->started_on->toDateString(),
            $plan->timeline->strainDay()->format('Y-m-d'),
            min(1.0, $day / max(1, $stands)),
            sprintf('day %d of %d', min($day, $stands), $stands),
            'plant',
        );
    }

    private static function tick(NextKind $kind, int $steep): ?Tick
    {
        $does = match ($kind) {
            NextKind::Shake => 'shake',
            NextKind::StopShaking => 'settling',
            NextKind::Ready => 'ready',
            default => null,
        };

        return $does === null ? null : new Tick($does, $steep);
    }
}
