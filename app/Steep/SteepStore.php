<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\Lot;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Learning\Retention;
use Crown\Measure\Band;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Problem;
use Crown\Steep\Draw;
use Crown\Steep\Herb;
use Crown\Steep\Pour;
use Crown\Steep\Preparation;
use Crown\Steep\Quantity;
use Crown\Steep\Stay;
use Crown\Steep\SteepError;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use Crown\Steep\Vessel;
use Crown\Steep\WaterChoice;
use Crown\Steep\Weighing;
use DateTimeImmutable;
use Illuminate\Support\Carbon;

/** Turns rows into plans and back; all figures are the core's. */
final class SteepStore
{
    /**
     * The jar as it is by a day: its charge, and all that happened to it until then.
     */
    public static function plan(
        Steep $steep,
        Catalogue $catalogue,
        ?Carbon $until = null,
        ?Band $retention = null,
    ): SteepPlan {
        $d = $steep->document;
        $start = new DateTimeImmutable($steep->started_on->toDateString());
        $herbs = array_map(
            static fn (array $h): Herb => new Herb(
                $catalogue->get($h['ingredient']),
                $h['form'],
                (float) $h['grams'],
                $start,
                Preparation::from($h['preparation']),
                (int) $h['draw'],
            ),
            $d['herbs'],
        );
        $pours = array_map(
            static fn (array $o): Pour => new Pour($catalogue->get($o['ingredient']), (float) $o['grams'], $start),
            $d['oils'],
        );
        $stays = [new Stay(SteepMethod::from($d['method']), $start)];
        $draws = $weighings = [];
        foreach ($steep->exists ? $steep->events : [] as $event) {
            if ($until !== null && $event->on_date->greaterThan($until)) {
                continue;
            }
            $day = new DateTimeImmutable($event->on_date->toDateString());
            match ($event->kind) {
                'herb' => ($herbs[] = new Herb(
                    $catalogue->get($event->text('ingredient')),
                    $event->text('form'),
                    $event->grams(),
                    $day,
                    Preparation::from($event->text('preparation')),
                )),
                'oil' => ($pours[] = new Pour($catalogue->get($event->text('ingredient')), $event->grams(), $day)),
                'moved' => ($stays[] = new Stay(SteepMethod::from($event->text('method')), $day)),
                'drawn' => ($draws[] = new Draw($event->grams(), $day)),
                'bowl' => ($weighings[] = new Weighing((float) $event->data['before'], (float) $event->data['after'])),
                default => null,
            };
        }
        // What was strained stood as long as it truly stood.
        $end = $until ?? $steep->strained_on;
        $stood = $end === null ? (int) $d['days'] : max(1, (int) $steep->started_on->diffInDays($end, false));

        return new SteepPlan(
            $herbs,
            $pours,
            $stays,
            new Vessel((float) $d['jar_ml'], (float) $d['diameter_cm'], (float) $d['mouth_cm']),
            (bool) $d['shaken_daily'],
            (bool) $d['pressed'],
            (float) $d['celsius'],
            (float) $d['minutes'],
            min(400, $stood),
            (float) $d['water_grams'],
            $draws,
            $weighings,
            $retention,
        );
    }

    /**
     * A draft with its amounts turned into grams. An oil "to cover" is worked out from the jar.
     *
     * @param  array<string, mixed>  $draft as the request's rules have let it through
     * @return array<string, mixed> the steep's document
     *
     * @throws SteepError
     */
    public static function resolved(
        array $draft,
        Catalogue $catalogue,
        Kitchen $kitchen,
        DateTimeImmutable $start,
    ): array {
        $herbs = [];
        foreach ($draft['herbs'] as $i => $herb) {
            $herbs[] = Problem::within(
                "herbs.$i",
                static fn (): Herb => Herb::written(
                    $catalogue->get($herb['ingredient']),
                    $herb['form'],
                    $herb['amount'],
                    $kitchen,
                    $start,
                    Preparation::from($herb['preparation']),
                    (int) $herb['draw'],
                ),
            );
            $draft['herbs'][$i]['grams'] = $herbs[$i]->grams;
        }
        $vessel = new Vessel((float) $draft['jar_ml'], (float) $draft['diameter_cm'], (float) $draft['mouth_cm']);
        $pours = $covers = [];
        foreach ($draft['oils'] as $i => $oil) {
            $found = Problem::within("oils.$i", static fn (): Ingredient => $catalogue->get($oil['ingredient']));
            if (mb_strtolower(trim($oil['amount'])) === Quantity::COVER) {
                $covers[$i] = $found;

                continue;
            }
            $pours[] = $poured = Problem::within(
                "oils.$i",
                static fn (): Pour => Pour::written($found, $oil['amount'], $kitchen, $start),
            );
            $draft['oils'][$i]['grams'] = $poured->grams;
        }
        foreach ($covers as $i => $found) {
            if ($vessel->diameterCm <= 0.0) {
                throw SteepError::noWidth()->under("oils.$i");
            }
            // A drop stands for the oil itself, so that a jar can be asked what it lacks.
            $grams = (new SteepPlan(
                $herbs,
                [...$pours, new Pour($found, 0.001, $start)],
                [new Stay(SteepMethod::from($draft['method']), $start)],
                $vessel,
            ))->gramsToCover($found);
            $draft['oils'][$i]['grams'] = max(1.0, ceil($grams));
            $pours[] = new Pour($found, $draft['oils'][$i]['grams'], $start);
        }

        return $draft;
    }

    /** What past steeps of the same plant, form and strainer kept, if the studio has strained it twice. */
    public static function learned(Steep $steep, Catalogue $catalogue): ?Band
    {
        $herb = $steep->document['herbs'][0];
        $kept = [];
        $past = Steep::query()
            ->with(['events', 'lots'])
            ->where('state', 'strained')
            ->whereKeyNot($steep->id ?? 0)
            ->where('document', 'like', '%"ingredient":"'.$herb['ingredient'].'"%')
            ->orderByDesc('strained_on')
            ->limit(20)
            ->get();
        foreach ($past as $other) {
            $d = $other->document;
            $same
                = count($d['herbs']) === 1
                && $d['herbs'][0]['ingredient'] === $herb['ingredient']
                && $d['herbs'][0]['form'] === $herb['form']
                && $d['pressed'] === $steep->document['pressed']
                && $d['herbs'][0]['draw'] === 1;
            $lot = $other->lots->firstWhere('event_id', null);
            if ($same && $lot !== null) {
                $kept[] = $lot->yield(self::plan($other, $catalogue))->keptPerGram();
            }
        }

        return count($steep->document['herbs']) === 1 ? Retention::learned($kept) : null;
    }

    /** The oil that came out becomes a lot: all of it when it is strained, a part of it when some was drawn. */
    public static function lot(
        Steep $steep,
        SteepPlan $plan,
        float $grams,
        float $loss,
        WaterChoice $choice,
        Carbon $on,
        ?SteepEvent $event = null,
    ): Lot {
        $ingredient = (new SteepYield($plan, $grams, $loss, $choice))->ingredient('lot', $steep->name);
        $months = $ingredient->facts->has(Property::LifeMonths)
            ? $ingredient->facts->get(Property::LifeMonths)->band->low
            : 3.0;
        // Traces of water cap the life of the oil itself at three months.
        $months = $ingredient->waterShare > 0.0 ? min($months, 3.0) : $months;

        return Lot::query()->create([
            'steep_id' => $steep->id,
            'event_id' => $event?->id,
            'name' => $event === null ? $steep->name : sprintf('%s, drawn %s', $steep->name, $on->format('j M')),
            'grams' => $grams,
            'loss_grams' => $loss,
            'choice' => $choice->value,
            'made_on' => $on,
            'best_before' => $on->copy()->addDays((int) floor($months * SteepYield::DAYS_PER_MONTH)),
        ]);
    }
}
