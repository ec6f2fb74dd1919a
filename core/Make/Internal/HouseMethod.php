<?php

declare(strict_types=1);

namespace Crown\Make\Internal;

use Crown\Assessment\Assessment;
use Crown\Assessment\Checks\BowlSize;
use Crown\Assessment\Portion;
use Crown\Assessment\WaterCap;
use Crown\Assessment\WaterClass;
use Crown\Assessment\Whipping;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Make\Cooling;
use Crown\Make\Gate;
use Crown\Make\Surroundings;
use Crown\Make\Task;
use Crown\Make\TaskKind;
use Crown\Measure\Amount;
use Crown\Measure\Band;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\Vessel;
use Crown\Words\Message;

/** How a formula is made where its maker has not said: phase by phase, with her own kit. */
final readonly class HouseMethod
{
    /** The usual limit of what is delicate, °C. */
    public const GATE = 40.0;

    /** A fat is not heated beyond this, °C. */
    public const HOTTEST = 90.0;

    /** A room, °C: what whips above it is not chilled. */
    private const ROOM = 21.0;

    /** Minutes of the short way of whipping, with what is as good, and from which it is meant to fall. */
    private const SHORT_MINUTES = [8.0, 10.0, 12.0];

    private const FALLS_AFTER = 20.0;

    /** What is said as "about so many minutes", as a share of them. */
    private const ABOUT = 0.1;

    /** What is as good as cold where it stands, K over it. */
    private const COLD = 3.0;

    /** How far above where it still pours oils and melt come together, °C. */
    private const TO_SPARE = 5.0;

    private Kitchen $kitchen;

    /** @param  bool  $heated whether her own method heats it, whatever is melted */
    public function __construct(private Assessment $assessment, private bool $heated = false)
    {
        $this->kitchen = $assessment->subject->context->kitchen;
    }

    public static function hot(): string
    {
        return Message::said('make.house-method.hot');
    }

    public static function grains(): string
    {
        return Message::said('make.house-method.grains');
    }

    /** @return list<Task> */
    public function tasks(): array
    {
        $melts = $this->lines(Phase::Melt) !== [];
        $hot = $melts || $this->heated || $this->isEmulsion();
        $whipped = $this->isWhipped();
        $tasks = [
            $this->clean(),
            $melts ? $this->melt() : null,
            $this->lines(Phase::Water) === [] ? null : $this->water(),
            $this->lines(Phase::Warm) === [] ? null : $this->combine($melts),
            ...$whipped ? [$this->chill()] : [],
            ...$this->coolDown($hot),
            ...$whipped ? [$this->whisk($this->window())] : [],
            $this->lines(Phase::WhipIn) === [] ? null : $this->sift(),
            $this->fill(),
            ...$this->setting($hot),
            new Task(
                TaskKind::Wipe,
                Message::said('make.house-method.wipe-every-rim-container'),
                new Gate(
                    Message::said('make.house-method.dry-outside-on-rim'),
                    reason: Message::said('make.house-method.what-sticks-rim-draws'),
                ),
            ),
            new Task(
                TaskKind::Label,
                Message::said('make.house-method.label-with-lot-date'),
                new Gate(Message::said('make.house-method.every-jar-has-its')),
            ),
        ];

        return array_values(array_filter($tasks));
    }

    /** Where the cool-down phase goes in, °C: 40, or just above where it sets when that is warmer. */
    public function gate(): Band
    {
        $coolest = $this->coolest();

        return $coolest <= self::GATE
            ? Band::of(min($coolest, self::GATE), self::GATE, self::GATE)
            : Band::of($coolest, $coolest, $coolest + 2.0);
    }

    /** The coolest at which it still pours, with a degree to spare, °C. */
    public function coolest(): float
    {
        return ceil($this->assessment->subject->texture->coolestPour() + 1.0);
    }

    /** A little above the highest melting point there is, at most 90 °C. */
    public function meltCelsius(): float
    {
        $melting = 40.0;
        foreach ($this->assessment->subject->composition->weighed() as $portion) {
            if ($this->phaseOf($portion) === Phase::Melt) {
                $melting = max($melting, self::melting($portion) ?? 0.0);
            }
        }

        return min(self::HOTTEST, ceil(($melting + 5) / 5) * 5);
    }

    /** At which the last of it melts, °C; null where that is not known. */
    public static function melting(Portion $portion): ?float
    {
        return $portion->ingredient->facts->has(Property::Melting)
            ? $portion->ingredient->facts->get(Property::Melting)->band->high
            : null;
    }

    private function kind(): ProductKind
    {
        return $this->assessment->subject->formula()->kind;
    }

    private function isWhipped(): bool
    {
        return $this->kind() === ProductKind::WhippedButter;
    }

    private function isEmulsion(): bool
    {
        return $this->lines(Phase::Water) !== []
            && $this->assessment->subject->water->class === WaterClass::Emulsion;
    }

    /** @return list<string> ids of the lines of a phase that have a mass */
    private function lines(Phase $phase): array
    {
        $of = array_filter(
            $this->assessment->subject->composition->weighed(),
            fn (Portion $p): bool => $this->phaseOf($p) === $phase,
        );

        return array_values(array_map(static fn (Portion $p): string => $p->line->id, $of));
    }

    /** The phase it stands in; the cool-down for what would be put in hotter than it bears. */
    private function phaseOf(Portion $portion): Phase
    {
        $phase = $portion->line->phase;

        return $phase !== Phase::Melt && ! $this->isHeated() || ! self::isShy($portion) ? $phase : Phase::CoolDown;
    }

    /** Whether anything is melted, or joined hot. */
    private function isHeated(): bool
    {
        foreach ($this->assessment->subject->composition->weighed() as $portion) {
            if ($portion->line->phase === Phase::Melt && ! self::isShy($portion)) {
                return true;
            }
        }

        return $this->assessment->subject->water->class === WaterClass::Emulsion;
    }

    private static function isShy(Portion $portion): bool
    {
        return self::limit($portion) < $portion->line->phase->celsius();
    }

    /** At which it may go in at most, °C: its own limit, else that of the cool-down where it stands in that. */
    public static function limit(Portion $portion): float
    {
        $facts = $portion->ingredient->facts;

        return $facts->has(Property::MaximumAddition)
            ? $facts->get(Property::MaximumAddition)->band->best
            : ($portion->line->phase === Phase::CoolDown ? self::GATE : INF);
    }

    private function clean(): Task
    {
        return new Task(
            TaskKind::Clean,
            Message::said('make.house-method.wash-hands-wipe-bowl'),
            new Gate(
                Message::said('make.house-method.every-tool-dry'),
                reason: Message::said('make.house-method.water-drops-are-enemy'),
            ),
        );
    }

    private function melt(): Task
    {
        $celsius = $this->meltCelsius();

        return new Task(
            TaskKind::Melt,
            Message::said('make.house-method.melt-melt-phase-foil', [
                'over_water' => $this->overWater(),
            ]),
            new Gate(
                Message::said('make.house-method.all-clear-about-c', [
                    'celsius' => (int) $celsius,
                ]),
                Band::of($celsius - 5.0, $celsius, min(self::HOTTEST, $celsius + 5.0)),
                reason: Message::said('make.house-method.what-left-as-grain'),
            ),
            $this->lines(Phase::Melt),
            self::hot(),
        );
    }

    /** Her own bowl and pan where they are large enough, with what the bowl weighs empty. */
    private function overWater(): string
    {
        $bowl = $this->bowl();
        $pan = $bowl === null ? null : $this->kitchen->tools->panFor($bowl);
        $tare = $bowl?->tareGrams;

        return Message::said('make.house-method.bowl-over-water', [
            'bowl' => $bowl->name ?? 'none',
            'empty' => $tare === null ? 'none' : Amount::number($tare),
            'pan' => $pan->name ?? 'none',
        ]);
    }

    private function bowl(): ?Vessel
    {
        return $this->kitchen->tools->bowlFor(BowlSize::needed($this->assessment->subject)->best, true);
    }

    /** Only an emulsion is joined hot; water that nothing holds stays apart whatever is done. */
    private function water(): Task
    {
        return $this->isEmulsion()
            ? new Task(
                TaskKind::WarmWater,
                Message::said('make.house-method.warm-water-phase-its'),
                new Gate(Message::said('make.house-method.even-no-oil-floating'), Band::of(68.0, 70.0, 75.0)),
                $this->lines(Phase::Water),
                Message::said('make.house-method.steam-burns'),
            )
            : new Task(
                TaskKind::WarmWater,
                Message::said('make.house-method.mix-watery-part-by'),
                new Gate($this->assessment->subject->water->class === WaterClass::Free
                    ? Message::said('make.house-method.keeps-days-fridge-most', [
                        'freedays' => WaterCap::FREE_DAYS,
                        'frozendays' => WaterCap::FROZEN_DAYS,
                    ])
                    : Message::said('make.house-method.no-flame-no-heat')),
                $this->lines(Phase::Water),
            );
    }

    /** Oils as cold as the room would set a melt in lumps where together they come below what still pours. */
    private function combine(bool $melted): Task
    {
        $mixed = $melted ? $this->tooCold() : null;
        $cold = $mixed !== null;
        $warm = $this->coolest() + self::TO_SPARE;

        return new Task(
            TaskKind::Combine,
            match (true) {
                $cold => Message::said('make.house-method.warm-oils-c-too', [
                    'warm' => sprintf('%.0f', $warm),
                ]),
                $melted => Message::said('make.house-method.take-off-heat-stir'),
                default => Message::said('make.house-method.stir-oils-together'),
            },
            new Gate(
                Message::said('make.house-method.one-clear-liquid'),
                reason: $cold
                    ? Message::said('make.house-method.oils-set', [
                        'room' => sprintf('%.0f', self::ROOM),
                        'mixed' => sprintf('%.0f', $mixed),
                    ])
                    : null,
            ),
            $this->lines(Phase::Warm),
        );
    }

    /** Where oils as cold as the room would bring the melt, °C, when it sets in lumps there; null when it pours. */
    private function tooCold(): ?float
    {
        $mixed = $this->mixedCelsius();

        return $mixed !== null && $mixed < $this->coolest() + self::TO_SPARE ? $mixed : null;
    }

    /** How warm oils and melt are together when they are joined as it says, °C. */
    private function joined(): float
    {
        return $this->tooCold() === null
            ? $this->mixedCelsius() ?? $this->meltCelsius()
            : $this->coolest() + self::TO_SPARE;
    }

    /** A word on oils that she adds as cold as the room, when the melt would set of them; null when it pours. */
    public function warmsOils(): ?string
    {
        $mixed = $this->lines(Phase::Melt) === [] ? null : $this->tooCold();

        return $mixed === null ? null : Message::said('make.house-method.oils-set-warm', [
            'room' => sprintf('%.0f', self::ROOM),
            'mixed' => sprintf('%.0f', $mixed),
            'coolest' => sprintf('%.0f', $this->coolest() + self::TO_SPARE),
        ]);
    }

    /**
     * What the melt and oils as cold as the room come to together, °C: T = sum of m c T over sum of m c, with the same
     * c for all fats. Null where nothing of them has a mass.
     */
    private function mixedCelsius(): ?float
    {
        $melt = $oils = 0.0;
        foreach ($this->assessment->subject->composition->weighed() as $portion) {
            $phase = $this->phaseOf($portion);
            $melt += $phase === Phase::Melt ? $portion->grams->band->best : 0.0;
            $oils += $phase === Phase::Warm ? $portion->grams->band->best : 0.0;
        }

        return $melt + $oils > 0.0
            ? ($melt * $this->meltCelsius() + $oils * self::ROOM) / ($melt + $oils)
            : null;
    }

    /** @return list<Task> where it would set before 40 °C it is let cool to just above that, and poured at once */
    private function coolDown(bool $hot): array
    {
        $lines = $this->lines(Phase::CoolDown);
        if ($lines === []) {
            return [];
        }
        $warm = $hot && ! $this->isWhipped();
        $bears = $warm && $this->bears($lines, max($this->meltCelsius(), Phase::Water->celsius()));
        $act = match (true) {
            $this->isWhipped() => Message::said('make.house-method.cool-down-whip'),
            ! $warm => Message::said('make.house-method.cool-down-cold'),
            $bears => Message::said('make.house-method.cool-down-bears'),
            $this->isSoft() => Message::said('make.house-method.cool-down'),
            default => Message::said('make.house-method.cool-down-pour'),
        };
        $stir = new Task(
            TaskKind::CoolDown,
            $act,
            $bears ? new Gate(Message::said('make.house-method.off-heat-one-clear')) : $this->delicate($hot),
            $lines,
        );

        return $warm && ! $bears ? [$this->cool(), $stir] : [$stir];
    }

    /**
     * Whether all of some lines may go in as warm as that.
     *
     * @param  list<string>  $lines
     */
    private function bears(array $lines, float $celsius): bool
    {
        foreach ($this->assessment->subject->composition->weighed() as $portion) {
            if (in_array($portion->line->id, $lines, true) && self::limit($portion) < $celsius) {
                return false;
            }
        }

        return true;
    }

    /** When what bears little heat may go in: of what is whipped, at the warmth of its bowl. */
    public function delicate(bool $hot = true): Gate
    {
        $window = $this->isWhipped() ? $this->window() : null;

        return match (true) {
            $window !== null => new Gate(
                Message::said('make.house-method.warmth-which-whipped', [
                    'window' => self::between($window),
                ]),
                $window->atMost(self::GATE),
            ),
            $this->isWhipped() || $this->isSoft() || ! $hot => new Gate($this->atMost(self::GATE)),
            default => new Gate(
                Message::said('make.house-method.probe-coolest', [
                    'coolest' => (int) $this->coolest(),
                ]),
                reason: Message::said('make.house-method.sets-before-c-some', [
                    'gate' => (int) self::GATE,
                ]),
            ),
        };
    }

    /** Whether it still pours at 40 °C. */
    private function isSoft(): bool
    {
        return $this->coolest() <= self::GATE;
    }

    /** Let it cool to the gate, with the time that it is likely to take in the room. */
    public function cool(): Task
    {
        $gate = $this->gate();
        $soft = $this->isSoft();
        $hot = $this->lines(Phase::Melt) === [] ? Phase::Water->celsius() : $this->meltCelsius();

        return new Task(
            TaskKind::Cool,
            $soft
                ? Message::said('make.house-method.let-cool')
                : Message::said('make.house-method.let-cool-about-c', [
                    'gate_best' => (int) $gate->best,
                ]),
            new Gate(
                $soft ? $this->atMost(self::GATE) : Message::said('make.house-method.probe-gate', [
                    'gate_best' => (int) $gate->best,
                ]),
                $gate,
                $this->cooling($hot, Surroundings::Air)->minutesTo($gate->high),
                $soft
                    ? Message::said('make.house-method.what-delicate-bears-no')
                    : sprintf('It sets before %d °C.', (int) self::GATE),
            ),
        );
    }

    private function cooling(float $from, Surroundings $where, ?float $grams = null): Cooling
    {
        $composition = $this->assessment->subject->composition;

        return Cooling::estimated(
            $grams ?? $composition->totalGrams->best,
            $grams === null ? $this->bowl() : null,
            $where,
            $where->celsius(),
            $from,
            $composition,
        );
    }

    /**
     * To where it holds air by what the bench says of it: by that a butter of much cocoa butter is whipped warm, and
     * not chilled; one that turns grainy is cooled fast all the same.
     */
    private function chill(): Task
    {
        if ($this->window() === null) {
            return new Task(
                TaskKind::Chill,
                Message::said('make.house-method.chill'),
                new Gate(
                    Message::said('make.house-method.rim-firm'),
                    reason: Message::said('make.house-method.hardly-one-takes-air'),
                ),
            );
        }
        $chilled = $this->assessment->subject->whipping()->chilled;
        $fast = $this->turnsGrainy();
        $where = $chilled->low >= self::ROOM && ! $fast ? Surroundings::Air : Surroundings::Fridge;
        $from = $this->lines(Phase::Melt) === [] ? self::ROOM : $this->joined();

        return new Task(
            TaskKind::Chill,
            match (true) {
                $fast => Message::said('make.house-method.chill-fast', ['to' => self::between($chilled)]),
                $where === Surroundings::Air => Message::said('make.house-method.cool-in-room', [
                    'to' => self::between($chilled),
                ]),
                default => Message::said('make.house-method.chill-to', ['to' => self::between($chilled)]),
            },
            new Gate(
                Message::said('make.house-method.rim-firm-middle-gives'),
                $chilled,
                $chilled->high < $from ? $this->cooling($from, $where)->minutesTo($chilled->high) : null,
                $fast
                    ? Message::said('make.house-method.window-grains')
                    : Message::said('make.house-method.window'),
            ),
        );
    }

    /** °C of the bowl in which it takes air; null where it takes none. */
    private function window(): ?Band
    {
        $whipping = $this->assessment->subject->whipping();

        return $whipping->isPossible()
            ? Band::of($whipping->coldest, ($whipping->coldest + $whipping->warmest) / 2, $whipping->warmest)
            : null;
    }

    private static function between(Band $celsius): string
    {
        $ends = [sprintf('%.0f', $celsius->low), sprintf('%.0f', $celsius->high)];

        return $ends[0] === $ends[1] ? "$ends[0] °C" : "$ends[0] to $ends[1] °C";
    }

    /** Whether the bench says that it sets in grains when it cools slowly. */
    public function turnsGrainy(): bool
    {
        foreach ($this->assessment->findings as $finding) {
            if ($finding->code === 'texture.grainy') {
                return true;
            }
        }

        return false;
    }

    private function whisk(?Band $window): Task
    {
        $liked = Whipping::minutes($this->kitchen);
        $mixer = $this->kitchen->tools->mixer;
        $worth = $liked * Whipping::paceOf($mixer);
        $short = abs($liked - self::SHORT_MINUTES[1]) < 0.5 && abs($worth - $liked) < 0.5;
        $goes = $this->bowlfuls();

        return new Task(
            TaskKind::Whip,
            Message::said('make.house-method.whip', [
                'minutes' => $short ? 'short' : Amount::number(round($liked)),
                'way' => $mixer?->way() ?? 'none',
                'mixer' => $mixer->name ?? 'none',
                'goes' => $goes,
            ]),
            new Gate(
                $worth > self::FALLS_AFTER
                    ? Message::said('make.house-method.soft-as-lotion-has')
                    : Message::said('make.house-method.soft-peaks-stop-before'),
                $window,
                $short ? Band::of(...self::SHORT_MINUTES) : Band::within($liked, self::ABOUT),
                Message::said('make.house-method.takes-most-air-about', [
                    'shortminutes' => Amount::number(round(self::SHORT_MINUTES[1] / Whipping::paceOf($mixer))),
                ]),
            ),
        );
    }

    /** How many goes it takes where her largest bowl is too small for all of it. */
    public function bowlfuls(): int
    {
        $largest = $this->kitchen->bowlMillilitres;

        return $largest === null
            ? 1
            : (int) ceil(BowlSize::needed($this->assessment->subject)->best / $largest - 1e-9);
    }

    private function sift(): Task
    {
        return new Task(
            TaskKind::Sift,
            Message::said('make.house-method.sift-powders-whip-briefly'),
            new Gate(Message::said('make.house-method.no-white-specks')),
            $this->lines(Phase::WhipIn),
            Message::said('make.house-method.fine-powder-air-breathed'),
        );
    }

    /** A bar is poured into moulds, of which hers are counted out; all else into jars or bottles. */
    private function fill(): Task
    {
        $composition = $this->assessment->subject->composition;
        $millilitres = $composition->totalGrams->best / $composition->density();
        $kind = $this->kind();
        $bar = $kind === ProductKind::ConditionerBar;
        $mould = $bar ? $this->kitchen->tools->mouldFor($millilitres) : null;
        if ($mould === null) {
            return new Task(
                TaskKind::Fill,
                match (true) {
                    $bar => Message::said('make.house-method.pour-into-moulds-before'),
                    $kind->isSolid() => Message::said('make.house-method.fill-jars-before-sets'),
                    default => Message::said('make.house-method.fill-bottles-through-funnel'),
                },
                new Gate(Message::said('make.house-method.each-container-looked-no')),
            );
        }
        $bars = (int) floor($millilitres / $mould->millilitres + 1e-9);

        return new Task(
            TaskKind::Fill,
            $bars < 1
                ? Message::said('make.house-method.pour-into-mould-less', [
                    'mould' => $mould->name,
                ])
                : Message::said('make.house-method.pour-into-mould', [
                    'mould' => $mould->name,
                    'bars' => $bars,
                    'grams' => Amount::number(round($mould->millilitres * $composition->density())),
                    'rounds' => max(1, (int) ceil($bars / $mould->hollows)),
                ]),
            new Gate(Message::said('make.house-method.each-hollow-dry-clean')),
        );
    }

    /**
     * What was poured warm stands until it is cold through, one container by itself: a thick one longer.
     *
     * @return list<Task>
     */
    private function setting(bool $hot): array
    {
        $kind = $this->kind();
        if (! $hot || ! $kind->isSolid() || $this->isWhipped()) {
            return [];
        }
        $bar = $kind === ProductKind::ConditionerBar;
        $fast = ! $bar && $this->turnsGrainy();
        $where = $bar || $fast ? Surroundings::Fridge : Surroundings::Air;
        $from = max($this->coolest(), $where->celsius() + 2 * self::COLD);
        $minutes = $this->cooling($from, $where, $this->oneOf($bar))->minutesTo($where->celsius() + self::COLD);
        $set = new Task(
            TaskKind::Set,
            match (true) {
                $bar => Message::said('make.house-method.let-bars-cool-room'),
                $fast => Message::said('make.house-method.cool-jars-fast-open'),
                default => Message::said('make.house-method.leave-jars-open-still'),
            },
            new Gate(Message::said('make.house-method.cold-through-no-warm'), null, $minutes, match (true) {
                $bar => Message::said('make.house-method.bar-taken-out-warm'),
                $fast => self::grains(),
                default => Message::said('make.house-method.lid-on-warm-jar'),
            }),
        );

        return $bar
            ? [
                $set,
                new Task(
                    TaskKind::Unmould,
                    Message::said('make.house-method.take-bars-out'),
                    new Gate(Message::said('make.house-method.edge-has-let-go')),
                ),
                new Task(
                    TaskKind::Wrap,
                    Message::said('make.house-method.wrap-each-bar-when'),
                    new Gate(
                        Message::said('make.house-method.no-drop-water-on'),
                        reason: Message::said('make.house-method.bar-wrapped-damp-grows'),
                    ),
                ),
            ]
            : [$set];
    }

    /** Grams in one jar or hollow. */
    private function oneOf(bool $bar): float
    {
        $composition = $this->assessment->subject->composition;
        $total = $composition->totalGrams->best;
        $millilitres = $total / $composition->density();
        $size = $this->assessment->subject->formula()->size;
        $one = $bar
            ? $this->kitchen->tools->mouldFor($millilitres)->millilitres ?? 0.0
            : $size->millilitres;

        return $one > 0.0 ? min($total, $one * $composition->density()) : $total;
    }

    /** Where a thermometer has to be under a limit: hers by name, read low by half of what it shows steps of. */
    private function atMost(float $celsius): string
    {
        $own = $this->kitchen->tools->thermometer;

        return $own === null
            ? Message::said('make.house-method.under-c-on-probe', [
                'celsius' => sprintf('%g', $celsius),
            ])
            : Message::said('make.house-method.under-c-on-own', [
                'celsius' => Amount::number($own->atMost($celsius)),
                'probe' => $own->name,
                'step' => $own->stepCelsius === null ? 'none' : Amount::number($own->stepCelsius),
            ]);
    }
}
