<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Checks\BowlSize;
use Crown\Assessment\Portion;
use Crown\Assessment\WaterCap;
use Crown\Assessment\WaterClass;
use Crown\Assessment\Whipping;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Measure\Amount;
use Crown\Measure\Converter;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\Unit;

/** What to gather, weigh and do, in order, generated from an assessed formula. Method page: docs/methods/making.md. */
final readonly class MakeSheet
{
    /** The usual limit of what is delicate, °C. */
    private const GATE = 40;

    /** A room, °C: what whips above it is not chilled. */
    private const ROOM = 21.0;

    /** Minutes of the short way of whipping, and from which it is meant to fall. */
    private const SHORT_MINUTES = 10.0;

    private const FALLS_AFTER = 20.0;

    /** A line is off by no more than this share of its target. */
    private const MOST = 0.1;

    /** A usual drop of an essential oil, g: 0.035 ml x 0.9 g/ml. */
    private const DROP_GRAMS = 0.032;

    private Kitchen $kitchen;

    public function __construct(private Assessment $assessment)
    {
        $this->kitchen = $assessment->subject->context->kitchen;
    }

    /**
     * Lines in the order in which they are weighed: phase by phase, each with its target and tolerance in grams.
     *
     * @return list<Weighing>
     */
    public function weighings(): array
    {
        $portions = $this->assessment->subject->composition->counted();
        usort(
            $portions,
            static fn (Portion $a, Portion $b): int => $a->line->phase->turn() <=> $b->line->phase->turn(),
        );

        return array_map($this->weighing(...), $portions);
    }

    private function weighing(Portion $portion): Weighing
    {
        $grams = $portion->grams->band->best;
        $one = $this->dropGrams($portion);

        return new Weighing(
            $portion->line->id,
            $portion->ingredient->id,
            $portion->ingredient->name,
            $portion->line->phase,
            $grams,
            $this->tolerance($grams, $portion->ingredient->kind === IngredientKind::EssentialOil),
            $one === null ? null : max(1, (int) round($grams / $one)),
            $one,
            $this->kitchen->stepFor($grams),
        );
    }

    /** Grams of one drop of a line that is written in drops; null for any other. */
    private function dropGrams(Portion $portion): ?float
    {
        $amount = $portion->line->amount->read;
        if ($amount === null || $amount->unit !== Unit::Drop || $amount->also !== []) {
            return null;
        }
        $converter = new Converter($this->assessment->subject->context->kitchen);
        $one = $converter->grams(Amount::drops(1), $portion->ingredient->substance($portion->form()));

        return $one->band->best;
    }

    /**
     * Within 1 % of the target, or what the scale can show; at most a tenth of the target, and of an essential oil one
     * drop.
     */
    public function tolerance(float $target, bool $essential = false): float
    {
        $most = $essential ? min(self::DROP_GRAMS, self::MOST * $target) : self::MOST * $target;

        return min($most, max($this->kitchen->stepFor($target), 0.01 * $target));
    }

    /** @return list<Task> */
    public function tasks(): array
    {
        $phases = array_map(static fn (Weighing $w): Phase => $w->phase, $this->weighings());
        $has = static fn (Phase $phase): bool => in_array($phase, $phases, true);
        $kind = $this->assessment->subject->formula()->kind;
        $tasks = [
            new Task(
                TaskKind::Clean,
                'Wash hands, wipe the bowl and the jars dry, put on an apron. Water drops are the enemy.',
                'Every tool is dry.',
            ),
        ];
        if ($has(Phase::Melt)) {
            $tasks[] = new Task(
                TaskKind::Melt,
                sprintf('Melt the melt phase in %s, foil or lid on.', $this->overWater()),
                sprintf(
                    'All clear at about %d °C, no grains left. Hot oil and steam burn; never leave it on heat.',
                    $this->meltCelsius(),
                ),
            );
        }
        if ($has(Phase::Water)) {
            $tasks[] = $this->water();
        }
        if ($has(Phase::Warm)) {
            $tasks[] = new Task(
                TaskKind::Combine,
                $has(Phase::Melt) ? 'Take it off the heat and stir the warm oils in.' : 'Stir the oils together.',
                'One clear liquid.',
            );
        }
        if ($has(Phase::CoolDown)) {
            $tasks[] = $this->coolDown($has(Phase::Melt) || $has(Phase::Water));
        }
        if ($kind === ProductKind::WhippedButter) {
            $tasks[] = $this->whip();
        }
        if ($has(Phase::WhipIn)) {
            $tasks[] = new Task(TaskKind::Sift, 'Sift in the powders and whip briefly.', 'No white specks.');
        }
        $tasks[] = $this->fill($kind);
        $tasks[] = new Task(
            TaskKind::Label,
            'Close, label with lot and date, keep one small jar back as the sample.',
            'Every jar has its label.',
        );

        return $tasks;
    }

    /** Her own bowl and pan where they are large enough, with what the bowl weighs empty. */
    private function overWater(): string
    {
        $tools = $this->kitchen->tools;
        $bowl = $tools->bowlFor(BowlSize::needed($this->assessment->subject)->best, true);
        $pan = $bowl === null ? null : $tools->panFor($bowl);
        $tare = $bowl->tareGrams ?? 0.0;
        $empty = $tare > 0.0 ? sprintf(', %s g empty', Amount::number($tare)) : '';

        return 'a bowl'
            .($bowl === null ? '' : sprintf(' (%s%s)', $bowl->name, $empty))
            .' over hot water'
            .($pan === null ? '' : sprintf(' (%s)', $pan->name));
    }

    /** A bar is poured into moulds, of which hers are counted out; all else into jars or bottles. */
    private function fill(ProductKind $kind): Task
    {
        $composition = $this->assessment->subject->composition;
        $millilitres = $composition->totalGrams->best / $composition->density();
        $mould = $kind === ProductKind::ConditionerBar ? $this->kitchen->tools->mouldFor($millilitres) : null;
        if ($mould === null) {
            return new Task(
                TaskKind::Fill,
                match (true) {
                    $kind === ProductKind::ConditionerBar => 'Pour it into the moulds before it sets.',
                    $kind->isSolid() => 'Fill the jars before it sets.',
                    default => 'Fill the bottles through a funnel.',
                },
                'Each container looked at: no chip, no crack, rim wiped.',
            );
        }
        $bars = (int) floor($millilitres / $mould->millilitres + 1e-9);

        return new Task(
            TaskKind::Fill,
            $bars < 1
                ? sprintf('Pour it into the mould (%s): it is less than one bar.', $mould->name)
                : sprintf(
                    'Pour it into the mould (%s) before it sets: %d %s of about %s g%s.',
                    $mould->name,
                    $bars,
                    $bars === 1 ? 'bar' : 'bars',
                    Amount::number(round($mould->millilitres * $composition->density())),
                    $bars > $mould->hollows ? sprintf(', in %d rounds', (int) ceil($bars / $mould->hollows)) : '',
                ),
            'Each hollow dry and clean. A bar comes out when it is cold through and its edge has let go.',
        );
    }

    /** Where a thermometer has to be under a limit: hers by name, read low by half of what it shows steps of. */
    private function atMost(float $celsius): string
    {
        $own = $this->kitchen->tools->thermometer;

        return $own === null
            ? sprintf('At or under %g °C on the probe.', $celsius)
            : sprintf(
                'At or under %s °C on the probe (%s%s).',
                Amount::number($own->atMost($celsius)),
                $own->name,
                $own->stepCelsius > 0.0 ? sprintf(', in steps of %s', Amount::number($own->stepCelsius)) : '',
            );
    }

    /** How long, with what. */
    private function whipped(): string
    {
        $minutes = Whipping::minutes($this->kitchen);
        $mixer = $this->kitchen->tools->mixer;

        return sprintf(
            'whip %s at medium speed%s',
            $minutes === self::SHORT_MINUTES
                ? '8 to 12 minutes'
                : sprintf('about %s minutes', Amount::number($minutes)),
            $mixer === null ? '' : sprintf(' (%s)', $mixer->name),
        );
    }

    /** Only an emulsion is joined hot; water that nothing holds stays apart whatever is done. */
    private function water(): Task
    {
        return $this->assessment->subject->water->class === WaterClass::Emulsion
            ? new Task(
                TaskKind::WarmWater,
                'Warm the water phase in its own vessel and bring both to 70 °C before you join them, stirring.',
                'Even, no oil floating.',
            )
            : new Task(
                TaskKind::WarmWater,
                'Mix the watery part by itself and add it last, cool. Nothing holds it in the oil: it stands apart, so '
                    .'shake before each use.',
                $this->assessment->subject->water->class === WaterClass::Free
                    ? sprintf(
                        'It keeps %d days in the fridge at most, or %d days frozen.',
                        WaterCap::FREE_DAYS,
                        WaterCap::FROZEN_DAYS,
                    )
                    : 'No flame and no heat near it where it holds alcohol.',
            );
    }

    /** In the same window as the bench says: by it a butter of much cocoa butter is whipped warm, not chilled. */
    private function whip(): Task
    {
        $whipping = $this->assessment->subject->whipping();
        $window = sprintf('%.0f to %.0f °C', $whipping->coldest, $whipping->warmest);

        return new Task(
            TaskKind::Whip,
            match (true) {
                ! $whipping->isPossible() => sprintf(
                    'Chill it, and %s; it is hardly one that takes air.',
                    $this->whipped(),
                ),
                $whipping->coldest >= self::ROOM => sprintf(
                    'Let it cool to %s, no colder, then %s.',
                    $window,
                    $this->whipped(),
                ),
                default => sprintf(
                    'Chill to %s, until the rim is firm and the middle gives to a finger, then %s.',
                    $window,
                    $this->whipped(),
                ),
            },
            Whipping::minutes($this->kitchen) > self::FALLS_AFTER
                ? 'Soft as a lotion: it has lost height again, and fills fewer jars.'
                : 'Soft peaks. Stop before it begins to fall.',
        );
    }

    /** Where it would set before 40 °C, the cool-down phase goes in just above that, and it is poured at once. */
    private function coolDown(bool $hot): Task
    {
        if (! $hot) {
            return new Task(
                TaskKind::CoolDown,
                'Stir in the cool-down phase; nothing here needs heat.',
                $this->atMost(self::GATE),
            );
        }
        $coolest = (int) ceil($this->assessment->subject->texture->coolestPour() + 1.0);

        return $coolest <= self::GATE
            ? new Task(
                TaskKind::CoolDown,
                'Let it cool, then stir in the cool-down phase.',
                $this->atMost(self::GATE),
            )
            : new Task(
                TaskKind::CoolDown,
                sprintf(
                    'Let it cool to about %d °C, just above where it sets; stir in the cool-down phase and pour at '
                        .'once.',
                    $coolest,
                ),
                sprintf(
                    'About %d °C on the probe. It sets before %d °C; some of the scent is lost.',
                    $coolest,
                    self::GATE,
                ),
            );
    }

    /** A little above the highest melting point there is, at most 90 °C. */
    private function meltCelsius(): int
    {
        $melting = 40.0;
        foreach ($this->assessment->subject->composition->counted() as $portion) {
            if ($portion->line->phase === Phase::Melt && $portion->ingredient->facts->has(Property::Melting)) {
                $melting = max($melting, $portion->ingredient->facts->get(Property::Melting)->band->high);
            }
        }

        return (int) min(90.0, ceil(($melting + 5) / 5) * 5);
    }
}
