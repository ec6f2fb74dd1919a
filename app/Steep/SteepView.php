<?php

declare(strict_types=1);

namespace App\Steep;

use App\Formula\Formula;
use App\Make\Batch;
use App\Pantry\Lot;
use App\Studio\Day;
use Crown\Catalogue\Catalogue;
use Crown\Measure\Band;
use Crown\Measure\Number;
use Crown\Steep\Herb;
use Crown\Steep\MethodTable;
use Crown\Steep\Pour;
use Crown\Steep\Signs;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\Straining;
use Crown\Steep\StrainStep;
use DateTimeImmutable;
use Illuminate\Support\Carbon;

/** What is shown of a steep. */
final class SteepView
{
    /** @return array<string, mixed> a row of the shelf */
    public static function row(Steep $steep, Catalogue $catalogue): array
    {
        $plan = SteepStore::plan($steep, $catalogue);
        $today = Day::today();
        $days = $plan->standsDays();
        $day = (int) max(0, $steep->started_on->diffInDays($steep->strained_on ?? $today, false));
        $next = self::next($steep, $plan, $today);

        return [
            'id' => $steep->id,
            'revision' => $steep->revision,
            'name' => $steep->name,
            'plant' => $plan->plant()->name,
            'oil' => $plan->oil()->name,
            'herbs' => array_map(
                static fn (Herb $h): array => [
                    'ingredient' => $h->plant->id,
                    'name' => $h->plant->name,
                    'form' => $h->form,
                    'preparation' => $h->preparation->value,
                    'grams' => round($h->grams, 2),
                    'draw' => $h->draw,
                    'since' => $h->since->format('Y-m-d'),
                ],
                $plan->herbs,
            ),
            'oils' => array_map(
                static fn (Pour $p): array => [
                    'ingredient' => $p->oil->id,
                    'name' => $p->oil->name,
                    'grams' => round($p->grams, 2),
                    'since' => $p->since->format('Y-m-d'),
                ],
                $plan->pours,
            ),
            'method' => $plan->method->value,
            'method_label' => $plan->method->label(),
            'jar_ml' => $plan->vessel->millilitres,
            'diameter_cm' => $plan->vessel->diameterCm,
            'shaken_daily' => $plan->shakenDaily,
            'state' => $steep->state === 'running' && $today->toDateString() >= $plan->strainDay()->format('Y-m-d')
                    ? 'due'
                    : $steep->state,
            'reason' => $steep->reason,
            'plan' => self::figures($plan),
            'day' => min($day, $days),
            'days' => $days,
            'drawn_now_percent' => $plan->extractionOn(
                new DateTimeImmutable(min($today->toDateString(), $plan->strainDay()->format('Y-m-d'))),
            ),
            'oil_left_grams' => round($plan->oilLeftGrams(), 2),
            'next' => $next,
            'shakes' => self::shakes($steep, $plan, $today),
            'lot' => $steep->lots->firstWhere('event_id', null)?->view($plan),
            'lots' => array_values(
                $steep->lots
                    ->map(static fn (Lot $l): array => $l->view(SteepStore::plan($steep, $catalogue, $l->made_on)))
                    ->all(),
            ),
        ];
    }

    /** @return array<string, mixed> the whole page */
    public static function page(Steep $steep, Catalogue $catalogue): array
    {
        $learned = SteepStore::learned($steep, $catalogue);
        $plan = SteepStore::plan($steep, $catalogue, null, $learned);
        $lot = $steep->lots->firstWhere('event_id', null);
        $ids = $steep->lots->map(static fn (Lot $l): string => $l->ingredientId())->all();

        return [
            ...self::row($steep, $catalogue),
            'plan' => self::figures($plan),
            'usual_ratio' => $plan->usualRatio(),
            'learned' => $learned,
            'water_left_grams' => $plan->waterLeftGrams(),
            'dry' => $plan->isDry(),
            'signs' => Signs::of($plan),
            'strain_steps' => array_map(
                static fn (StrainStep $s): array => [
                    'id' => $s->id,
                    'does' => $s->does,
                    'why' => $s->why,
                    'fewest_hours' => $s->fewestHours,
                    'most_hours' => $s->mostHours,
                ],
                Straining::steps($plan),
            ),
            'events' => array_values(
                $steep->events->map(static fn (SteepEvent $e): array => self::event($e, $catalogue))->all(),
            ),
            'photos' => array_values(
                $steep->photos
                    ->map(
                        static fn (SteepPhoto $p): array => [
                            'id' => $p->id,
                            'on' => $p->on_date->toDateString(),
                            'width' => $p->width,
                            'height' => $p->height,
                        ],
                    )
                    ->all(),
            ),
            'measured' => $lot === null
                    ? null
                    : [
                        'yield_grams' => $lot->grams,
                        'kept_per_gram' => round($lot->yield($plan)->keptPerGram(), 3),
                        'recovered_percent' => round($lot->yield($plan)->recovered(), 1),
                        'foretold_grams' => SteepStore::plan($steep, $catalogue)->yieldGrams(),
                    ],
            'cost' => self::cost($steep),
            'used_in' => self::usedIn($ids),
            'draft' => [
                ...$steep->document,
                'name' => $steep->name,
                'started_on' => $steep->started_on->toDateString(),
            ],
        ];
    }

    /** @return array<string, mixed> as $defs/SteepPlan */
    public static function figures(SteepPlan $plan): array
    {
        return [
            'oil_grams' => Band::exact($plan->oilGrams()),
            'ratio' => round($plan->ratio(), 3),
            'oil_above_plant_cm' => $plan->oilAbovePlantCm(),
            'headspace_cm' => $plan->headspaceCm(),
            'extraction_percent' => $plan->extractionPercent(),
            'yield_grams' => $plan->yieldGrams(),
            'water_in_grams' => $plan->waterInGrams(),
            'age_spent_days' => $plan->ageSpentDays(),
            'dates' => [
                'start' => $plan->start->format('Y-m-d'),
                'stop_shaking' => $plan->stopShaking()->format('Y-m-d'),
                'strain' => $plan->strainDay()->format('Y-m-d'),
                'ready' => $plan->readyDay()->format('Y-m-d'),
                'best_before' => $plan->bestBefore()->format('Y-m-d'),
            ],
            'straining' => Straining::inShort($plan),
            'signs' => Signs::of($plan),
            'methods' => MethodTable::for($plan, new DateTimeImmutable(Day::today()->toDateString()), null),
            'findings' => SteepAdvice::on($plan),
        ];
    }

    /**
     * What a jar needs next, in words; overdue says by how much.
     *
     * @return array{kind: string, on: string, overdue: bool, words: string}
     */
    public static function next(Steep $steep, SteepPlan $plan, Carbon $today): array
    {
        $now = $today->toDateString();
        $strain = $plan->strainDay()->format('Y-m-d');
        $stop = $plan->stopShaking()->format('Y-m-d');
        $ready = $plan->readyDay()->format('Y-m-d');
        $late = static fn (string $on): string => $on < $now
            ? sprintf(
                ', %d %s late',
                (int) Carbon::parse($on)->diffInDays($today),
                (int) Carbon::parse($on)->diffInDays($today) === 1 ? 'day' : 'days',
            )
            : '';
        $did = static fn (string $kind): bool => $steep->events->contains('kind', $kind);
        [$kind, $on, $words] = match (true) {
            $steep->state === 'spoiled' => ['spoiled', $now, 'Spoiled: throw it away.'],
            $steep->state === 'strained' && $did('ready') => ['done', $now, 'Strained and put away.'],
            $steep->state === 'strained' => [
                'ready',
                $ready,
                $now >= $ready ? 'Ready: put it away'.$late($ready).'.' : 'Clearing until it is ready.',
            ],
            $now >= $strain => ['strain', $strain, 'Strain it'.$late($strain).'.'],
            ! $plan->method->isHeated() && $now >= $stop && ! $did('settling') => [
                'stop-shaking',
                $stop,
                'Leave it to settle: no more shaking'.$late($stop).'.',
            ],
            ! $plan->method->isHeated() && $now >= $stop => [
                'settling',
                $strain,
                'Settling, untouched, until it is strained.',
            ],
            $plan->shakenDaily && ! $plan->method->isHeated() => self::shakeNext($steep, $today),
            default => ['waiting', $strain, 'Nothing until it is strained.'],
        };

        return ['kind' => $kind, 'on' => $on, 'overdue' => $on < $now, 'words' => $words];
    }

    /** @return array{string, string, string} */
    private static function shakeNext(Steep $steep, Carbon $today): array
    {
        $last = $steep->shakes->last();
        $since = $last instanceof SteepShake ? $last->date : $steep->started_on;
        $missed = (int) $since->diffInDays($today) - 1;

        return match (true) {
            $last instanceof SteepShake && $last->date->isSameDay($today) => [
                'waiting',
                $today->copy()->addDay()->toDateString(),
                'Shaken today.',
            ],
            $missed >= 2 => [
                'shake',
                $since->copy()->addDay()->toDateString(),
                sprintf('Shake it: not shaken for %d days.', $missed + 1),
            ],
            default => ['shake', $today->toDateString(), 'Shake it today.'],
        };
    }

    /** @return array<string, mixed> */
    private static function event(SteepEvent $event, Catalogue $catalogue): array
    {
        $name = $event->text('ingredient');
        $name = $name !== '' && $catalogue->has($name) ? $catalogue->get($name)->name : $name;
        $grams = Number::shown($event->grams(), 1);
        $words = match ($event->kind) {
            'note' => trim(
                implode(
                    '; ',
                    array_filter([
                        $event->text('colour') === '' ? '' : 'Colour '.$event->text('colour'),
                        $event->text('smell') === '' ? '' : 'smell '.$event->text('smell'),
                    ]),
                ),
            ),
            'weighed' => sprintf('The jar weighs %s g.', $grams),
            'moved' => sprintf('Moved: %s.', mb_strtolower(SteepMethod::from($event->text('method'))->label())),
            'herb' => sprintf('Added %s g of %s.', $grams, mb_strtolower($name)),
            'oil' => sprintf('Topped up with %s g of %s.', $grams, mb_strtolower($name)),
            'drawn' => sprintf('Took %s g out; the rest goes on.', $grams),
            'bowl' => sprintf(
                'The bowl: %s g before heating, %s g after; %s g of water driven off.',
                (string) $event->data['before'],
                (string) $event->data['after'],
                rtrim(
                    rtrim(
                        number_format((float) $event->data['before'] - (float) $event->data['after'], 1, '.', ''),
                        '0',
                    ),
                    '.',
                ),
            ),
            'sign' => 'Seen: '.$event->text('sign'),
            'settling' => 'Left to settle.',
            default => 'Put away.',
        };

        return [
            'id' => $event->id,
            'kind' => $event->kind,
            'on' => $event->on_date->toDateString(),
            'words' => $words === '' ? 'Looked at.' : $words,
            'note' => $event->note,
        ];
    }

    /**
     * The last fortnight of shakes, done or not, up to the day on which it is left to settle.
     *
     * @return list<array{date: string, done: bool}>
     */
    private static function shakes(Steep $steep, SteepPlan $plan, Carbon $today): array
    {
        if (! $plan->shakenDaily || $plan->method->isHeated()) {
            return [];
        }
        $done = [];
        foreach ($steep->shakes as $shake) {
            $done[substr((string) $shake->getRawOriginal('date'), 0, 10)] = true;
        }
        $last = new DateTimeImmutable(
            min($today->toDateString(), $plan->stopShaking()->modify('-1 day')->format('Y-m-d')),
        );
        $days = [];
        for (
            $date = max(new DateTimeImmutable($steep->started_on->toDateString()), $last->modify('-13 days'));
            $date <= $last;
            $date = $date->modify('+1 day')
        ) {
            $day = $date->format('Y-m-d');
            $days[] = ['date' => $day, 'done' => isset($done[$day])];
        }

        return $days;
    }

    /** What went into it, where every part has a price; null when one has none. */
    private static function cost(Steep $steep): ?float
    {
        $costs = [
            ...array_column($steep->document['herbs'], 'cost'),
            ...array_column($steep->document['oils'], 'cost'),
        ];
        $parts = count($steep->document['herbs']) + count($steep->document['oils']);

        return $parts === count(array_filter($costs, is_numeric(...)))
            && ! $steep->events->contains(static fn (SteepEvent $e): bool => in_array($e->kind, ['herb', 'oil'], true))
            ? round((float) array_sum($costs), 2)
            : null;
    }

    /**
     * Formulas and batches that use an oil of this steep.
     *
     * @param  list<string>  $ids
     * @return list<array{kind: string, id: int, title: string}>
     */
    public static function usedIn(array $ids): array
    {
        if ($ids === []) {
            return [];
        }
        $bearing = static fn ($query) => $query
            ->where(static function ($q) use ($ids): void {
                foreach ($ids as $id) {
                    $q->orWhere('document', 'like', '%"ingredient":"'.$id.'"%');
                }
            })
            ->orderByDesc('id')
            ->limit(30)
            ->get(['id', 'title']);

        return [
            ...array_values(
                $bearing(Formula::query())
                    ->map(static fn (Formula $f): array => ['kind' => 'formula', 'id' => $f->id, 'title' => $f->title])
                    ->all(),
            ),
            ...array_values(
                $bearing(Batch::query())
                    ->map(static fn (Batch $b): array => ['kind' => 'batch', 'id' => $b->id, 'title' => $b->title])
                    ->all(),
            ),
        ];
    }
}
