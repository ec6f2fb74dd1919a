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

    public const HOT = 'Hot oil and steam burn; never leave it on heat.';

    public const GRAINS = 'Cooled slowly it can set in grains.';

    private Kitchen $kitchen;

    /** @param  bool  $heated whether her own method heats it, whatever is melted */
    public function __construct(private Assessment $assessment, private bool $heated = false)
    {
        $this->kitchen = $assessment->subject->context->kitchen;
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
                'Wipe every rim and container, and close them.',
                new Gate(
                    'Dry outside and on the rim.',
                    reason: 'What sticks to a rim draws dust; no label holds on fat.',
                ),
            ),
            new Task(
                TaskKind::Label,
                'Label with lot and date, keep one small jar back as the sample.',
                new Gate('Every jar has its label.'),
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
            'Wash hands, wipe the bowl and the jars dry, put on an apron.',
            new Gate('Every tool is dry.', reason: 'Water drops are the enemy: what grows needs them.'),
        );
    }

    private function melt(): Task
    {
        $celsius = $this->meltCelsius();

        return new Task(
            TaskKind::Melt,
            sprintf('Melt the melt phase in %s, foil or lid on.', $this->overWater()),
            new Gate(
                sprintf('All clear at about %d °C, no grains left.', (int) $celsius),
                Band::of($celsius - 5.0, $celsius, min(self::HOTTEST, $celsius + 5.0)),
                reason: 'What is left as a grain is felt as one for ever; hotter than it needs, a fat ages.',
            ),
            $this->lines(Phase::Melt),
            self::HOT,
        );
    }

    /** Her own bowl and pan where they are large enough, with what the bowl weighs empty. */
    private function overWater(): string
    {
        $bowl = $this->bowl();
        $pan = $bowl === null ? null : $this->kitchen->tools->panFor($bowl);
        $tare = $bowl?->tareGrams;
        $empty = $tare === null ? '' : sprintf(', %s g empty', Amount::number($tare));

        return 'a bowl'
            .($bowl === null ? '' : sprintf(' (%s%s)', $bowl->name, $empty))
            .' over hot water'
            .($pan === null ? '' : sprintf(' (%s)', $pan->name));
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
                'Warm the water phase in its own vessel and bring both to 70 °C before you join them, stirring.',
                new Gate('Even, no oil floating.', Band::of(68.0, 70.0, 75.0)),
                $this->lines(Phase::Water),
                'Steam burns.',
            )
            : new Task(
                TaskKind::WarmWater,
                'Mix the watery part by itself and add it last, cool. Nothing holds it in the oil: it stands apart, so '
                    .'shake before each use.',
                new Gate($this->assessment->subject->water->class === WaterClass::Free
                    ? sprintf(
                        'It keeps %d days in the fridge at most, or %d days frozen.',
                        WaterCap::FREE_DAYS,
                        WaterCap::FROZEN_DAYS,
                    )
                    : 'No flame and no heat near it where it holds alcohol.'),
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
                $cold => sprintf(
                    'Warm the oils to %.0f °C too, and stir them in off the heat.',
                    $warm,
                ),
                $melted => 'Take it off the heat and stir the oils in.',
                default => 'Stir the oils together.',
            },
            new Gate('One clear liquid.', reason: $cold ? sprintf(
                'Oils at %.0f °C would set it in lumps, at about %.0f °C.',
                self::ROOM,
                $mixed,
            ) : null),
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

        return $mixed === null ? null : sprintf(
            'Oils at %.0f °C would set it in lumps, at about %.0f °C: warm them to %.0f °C first.',
            self::ROOM,
            $mixed,
            $this->coolest() + self::TO_SPARE,
        );
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
            $this->isWhipped() => 'Stir in the cool-down phase, then whip.',
            ! $warm => 'Stir in the cool-down phase; nothing here needs heat.',
            $bears => 'Stir in the cool-down phase: all of it bears the heat.',
            $this->isSoft() => 'Stir in the cool-down phase.',
            default => 'Stir in the cool-down phase and pour at once.',
        };
        $stir = new Task(
            TaskKind::CoolDown,
            $act,
            $bears ? new Gate('Off the heat, one clear liquid.') : $this->delicate($hot),
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
                sprintf('At the warmth at which it is whipped, %s.', self::between($window)),
                $window->atMost(self::GATE),
            ),
            $this->isWhipped() || $this->isSoft() || ! $hot => new Gate($this->atMost(self::GATE)),
            default => new Gate(
                sprintf('About %d °C on the probe.', (int) $this->coolest()),
                reason: sprintf('It sets before %d °C; some of the scent is lost.', (int) self::GATE),
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
                ? 'Let it cool.'
                : sprintf('Let it cool to about %d °C, just above where it sets.', (int) $gate->best),
            new Gate(
                $soft ? $this->atMost(self::GATE) : sprintf('About %d °C on the probe.', (int) $gate->best),
                $gate,
                $this->cooling($hot, Surroundings::Air)->minutesTo($gate->high),
                $soft
                    ? 'What is delicate bears no more.'
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
                'Chill it.',
                new Gate('The rim is firm.', reason: 'It is hardly one that takes air.'),
            );
        }
        $chilled = $this->assessment->subject->whipping()->chilled;
        $fast = $this->turnsGrainy();
        $where = $chilled->low >= self::ROOM && ! $fast ? Surroundings::Air : Surroundings::Fridge;
        $from = $this->lines(Phase::Melt) === [] ? self::ROOM : $this->joined();

        return new Task(
            TaskKind::Chill,
            sprintf(match (true) {
                $fast => 'Chill it fast, in the fridge or a cold bath, stirring: to %s.',
                $where === Surroundings::Air => 'Let it cool to %s, no colder.',
                default => 'Chill to %s.',
            }, self::between($chilled)),
            new Gate(
                'The rim is firm and the middle gives to a finger.',
                $chilled,
                $chilled->high < $from ? $this->cooling($from, $where)->minutesTo($chilled->high) : null,
                'Warmer it takes no air, colder it breaks'.($fast ? '; cooled slowly it sets in grains.' : '.'),
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
            sprintf(
                'Whip %s %s%s%s.',
                $short ? '8 to 12 minutes' : sprintf('about %s minutes', Amount::number(round($liked))),
                $mixer?->way() ?? 'at medium speed',
                $mixer === null ? '' : sprintf(' (%s)', $mixer->name),
                $goes > 1 ? sprintf(', in %d bowlfuls one after the other', $goes) : '',
            ),
            new Gate(
                $worth > self::FALLS_AFTER
                    ? 'Soft as a lotion: it has lost height again, and fills fewer jars.'
                    : 'Soft peaks. Stop before it begins to fall.',
                $window,
                $short ? Band::of(...self::SHORT_MINUTES) : Band::within($liked, self::ABOUT),
                sprintf(
                    'It takes in the most air at about %s minutes; beaten on, it loses it.',
                    Amount::number(round(self::SHORT_MINUTES[1] / Whipping::paceOf($mixer))),
                ),
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
            'Sift in the powders and whip briefly.',
            new Gate('No white specks.'),
            $this->lines(Phase::WhipIn),
            'Fine powder in the air is breathed in: sift it low over the bowl.',
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
                    $bar => 'Pour it into the moulds before it sets.',
                    $kind->isSolid() => 'Fill the jars before it sets.',
                    default => 'Fill the bottles through a funnel.',
                },
                new Gate('Each container looked at: no chip, no crack.'),
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
            new Gate('Each hollow dry and clean.'),
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
                $bar => 'Let the bars cool in the room until they are firm, then in the fridge.',
                $fast => 'Cool the jars fast: open, into the fridge or a cold bath at once, until they have set.',
                default => 'Leave the jars open and still until they have set.',
            },
            new Gate('Cold through, no warm middle.', null, $minutes, match (true) {
                $bar => 'A bar that is taken out warm bends, and its skin tears.',
                $fast => self::GRAINS,
                default => 'A lid on a warm jar gathers drops of water; one that is moved sets with a dent.',
            }),
        );

        return $bar
            ? [
                $set,
                new Task(
                    TaskKind::Unmould,
                    'Take the bars out.',
                    new Gate('The edge has let go of the mould.'),
                ),
                new Task(
                    TaskKind::Wrap,
                    'Wrap each bar when it is dry.',
                    new Gate('No drop of water on it.', reason: 'A bar that is wrapped damp grows spots.'),
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
            ? sprintf('At or under %g °C on the probe.', $celsius)
            : sprintf(
                'At or under %s °C on the probe (%s%s).',
                Amount::number($own->atMost($celsius)),
                $own->name,
                $own->stepCelsius === null ? '' : sprintf(', in steps of %s', Amount::number($own->stepCelsius)),
            );
    }
}
