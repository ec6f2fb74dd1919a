<?php

declare(strict_types=1);

namespace Crown\Make\Internal;

use Crown\Assessment\Assessment;
use Crown\Assessment\Checks\ScentsInHeat;
use Crown\Assessment\Named;
use Crown\Assessment\Portion;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Step;
use Crown\Make\Gate;
use Crown\Make\Hers;
use Crown\Make\Task;
use Crown\Make\TaskKind;
use Crown\Measure\Band;
use Crown\Reading\PlainWords;
use Crown\Words\Message;

/** The maker's own method as tasks: her order and her times, and the safe way where hers would do harm. */
final class HerMethod
{
    private const KINDS = [
        'melt' => TaskKind::Melt,
        'heat' => TaskKind::Melt,
        'steep' => TaskKind::Steep,
        'strain' => TaskKind::Strain,
        'cool' => TaskKind::Cool,
        'chill' => TaskKind::Chill,
        'whip' => TaskKind::Whip,
        'pour' => TaskKind::Fill,
        'add' => TaskKind::Add,
        'shake' => TaskKind::Shake,
        'wait' => TaskKind::Wait,
        'label' => TaskKind::Label,
        'prepare' => TaskKind::Prepare,
    ];

    /** What is done to a plant, or to the bowl, by the verb that says so. */
    private const BY_VERB = [
        // What was toasted, roasted or crushed before is a name, and nothing to be done.
        '/\b(?:toast|roast|dry-?fry)(?:ing)?\b/iu' => TaskKind::Toast,
        '/\b(?:crush|grind|crack|bruise)(?:ing)?\b|\b(?:pestle|mortar)\b/iu' => TaskKind::Crush,
        '/
            \bblender\b|\b(?:liquidi[sz]e|pur[eé]e)\s+(?:the|it|them)\b
            |\bblend\b.*\b(?:leaves|seeds?|herbs?|onions?|aloe|paste)\b
        /xiu' => TaskKind::Blend,
        '/\bscrap(?:e|ing)\b.*\b(?:side|bowl|down)/iu' => TaskKind::Scrape,
        '/\bwrap\b/iu' => TaskKind::Wrap,
        '/\bwip(?:e|ing)\b/iu' => TaskKind::Wipe,
        '/
            # out of the mould
            \b(?:unmould|unmold|take\ (?:them|the\ bars)\ out\ of\ the\ mou?ld|pop\ (?:them\ )?out)\b
        /xiu' => TaskKind::Unmould,
    ];

    private const WHIPS = '/\b(?:whip|beat|whisk)/iu';

    private const TOGETHER = '/
        # stirred until it is one
        \b(?:stir|mix|blend|combine|shake)\b.*\b(?:
            together|well|all|zusammen|gut|alles|ensemble|bien|tout|todo|junt[oa]s|bem|tudo|insieme|bene
            |tutto|samen|goed
        )\b
    /xiu';

    /** In the bottle that it stays in. */
    private const LID_ON = '/\b(?:shake|shaking)\b|\b(?:lid|cap|stopper)\s+on\b/iu';

    private const COLD = '/\b(?:fridge|refrigerator|freezer)\b/iu';

    /** Where a step leaves it, °C, when nothing is said of it. */
    private const LEAVES = ['cool' => 40.0, 'chill' => 15.0, 'whip' => 20.0];

    /** A typed time is meant to a tenth of itself. */
    private const ABOUT = 0.1;

    /** And a typed temperature to so many degrees. */
    private const OFF = 2.0;

    private const ROOM = 21.0;

    /** How warm it is by now, °C. */
    private float $celsius = self::ROOM;

    /** @var array<string, true> lines that went in */
    private array $placed = [];

    private bool $filled = false;

    /** @var array<string, string> her sentences in plain words */
    private array $plain = [];

    private Named $named;

    /** @var array<string, Task> by kind, the first of each */
    private readonly array $ours;

    /** @param  list<Task>  $tasks of the house's method */
    public function __construct(
        private readonly Assessment $assessment,
        private readonly HouseMethod $house,
        array $tasks,
    ) {
        $this->named = new Named([], []);
        $ours = [];
        foreach ([...$tasks, $house->cool()] as $task) {
            $ours[$task->kind->value] ??= $task;
        }
        $this->ours = $ours;
    }

    /** @return list<Task> what is no making (how it is used, where it stands) is left out */
    public function tasks(Step ...$steps): array
    {
        $texts = array_values(array_map(static fn (Step $s): string => $s->text, $steps));
        $this->plain = array_combine($texts, PlainWords::of(...$texts));
        $this->named = new Named(
            $this->assessment->subject->composition->weighed(),
            $texts,
        );
        $acts = array_map(static fn (Step $s): ?TaskKind => self::KINDS[$s->act] ?? null, $steps);
        if (isset($this->ours['melt']) && ! in_array(TaskKind::Melt, $acts, true)) {
            // She did not say that it is melted: it is, before all that she said.
            $this->celsius = $this->house->meltCelsius();
        }
        $tasks = [];
        $hottestAfter = $this->hottestAfter($steps);
        foreach (array_values($steps) as $n => $step) {
            $kind = $this->kindOf($step);
            if ($kind !== null) {
                array_push($tasks, ...$this->task($kind, $step, $hottestAfter[$n]));
            }
        }

        return $tasks;
    }

    private function kindOf(Step $step): ?TaskKind
    {
        if ($step->act === 'store' && $step->minutes !== null && $this->celsius > self::ROOM) {
            return TaskKind::Hold;
        }
        $kind = $this->byVerb($step) ?? self::KINDS[$step->act] ?? null;

        return match ($kind) {
            TaskKind::Wait => $this->waiting($step),
            TaskKind::Add, TaskKind::Shake => $this->adding($step),
            // "Whip" of what is no whipped butter is stirring.
            TaskKind::Whip => $this->isWhipped() ? $kind : TaskKind::Add,
            default => $kind,
        };
    }

    /** What is rather done to a plant, to the bowl or to the jars, where no more than that is said. */
    private function byVerb(Step $step): ?TaskKind
    {
        $may = in_array($step->act, ['prepare', 'heat', 'add', 'other', 'whip', 'cool'], true);
        foreach ($may ? self::BY_VERB : [] as $pattern => $kind) {
            // "Whip, scraping down the sides" is whipping.
            $passing = $kind === TaskKind::Scrape && $step->minutes !== null;
            if (! $passing && preg_match($pattern, $this->plain($step)) === 1) {
                return $kind;
            }
        }

        return null;
    }

    /** Her sentence with its verbs in English, in whatever language she wrote it. */
    private function plain(Step $step): string
    {
        return $this->plain[$step->text] ?? $step->text;
    }

    /** What stands in its jars sets; what is cool and has no time waits for nothing. */
    private function waiting(Step $step): ?TaskKind
    {
        return match (true) {
            $this->filled => TaskKind::Set,
            $this->celsius <= HouseMethod::GATE && $step->minutes === null => null,
            default => TaskKind::Wait,
        };
    }

    /** "Put it in the fridge" chills; "add and whip" is a round of whipping. */
    private function adding(Step $step): TaskKind
    {
        $plain = $this->plain($step);

        return match (true) {
            // "Combine everything and boil": it is the heat that counts.
            ScentsInHeat::heats($step) => TaskKind::Hold,
            preg_match(self::COLD, $plain) === 1 => TaskKind::Chill,
            $this->named->in($step->text) === [] && preg_match(self::LID_ON, $plain) === 1 => TaskKind::Shake,
            $this->isWhipped() && preg_match(self::WHIPS, $plain) === 1 => TaskKind::Whip,
            // "Stir together": what is not named is what has no other place.
            $this->named->in($step->text) === [] && preg_match(self::TOGETHER, $plain) === 1 => TaskKind::Combine,
            default => TaskKind::Add,
        };
    }

    private function isWhipped(): bool
    {
        return $this->kind() === ProductKind::WhippedButter;
    }

    private function kind(): ProductKind
    {
        return $this->assessment->subject->formula()->kind;
    }

    /**
     * The heat that still comes after each step, °C.
     *
     * @param  array<Step>  $steps
     * @return list<float>
     */
    private function hottestAfter(array $steps): array
    {
        $hottest = 0.0;
        $after = [];
        foreach (array_reverse(array_values($steps)) as $step) {
            $after[] = $hottest;
            if (ScentsInHeat::heats($step)) {
                $hottest = max($hottest, $step->celsius ?? $this->house->meltCelsius());
            }
        }

        return array_reverse($after);
    }

    /** @return list<Task> */
    private function task(TaskKind $kind, Step $step, float $hottestAfter): array
    {
        $was = $this->celsius;
        $doubts = $this->warmth($kind, $step);
        $before = [];
        $this->filled = $this->filled || $kind === TaskKind::Fill;
        [$lines, $tooHot, $later] = $this->lines($step, $hottestAfter, $kind);
        if ($later !== []) {
            $doubts[] = Message::said('make.her-method.heated-with-rest', [
                'names' => self::names($later),
                'count' => count($later),
                'limits' => self::limits($later),
            ]);
        }
        if ($tooHot !== []) {
            $before[] = $this->house->cool()->doubting(Message::said('make.her-method.too-hot', [
                'step' => rtrim($step->text, '.'),
                'celsius' => (int) $this->celsius,
                'names' => self::names($tooHot),
                'count' => count($tooHot),
                'limits' => self::limits($tooHot),
            ]));
            $this->celsius = $this->house->gate()->high;
        }
        $task = $this->built($kind, $step, $lines, [...$doubts, ...$this->cautions($kind, $step, $lines)]);

        return [...$before, $kind === TaskKind::Cool && $was <= $this->celsius ? $task->atOnce() : $task];
    }

    /** @return list<string> what is wrong with the heat that she wrote; how warm it is then is kept */
    private function warmth(TaskKind $kind, Step $step): array
    {
        $said = $step->celsius;
        $doubts = [];
        if ($this->isHeat($kind, $step)) {
            [$this->celsius, $doubts] = $this->heated($said);
        } elseif ($kind === TaskKind::Cool) {
            [$this->celsius, $doubts] = $this->cooled($said);
        } elseif (isset(self::LEAVES[$kind->value])) {
            $this->celsius = min($this->celsius, $said ?? self::LEAVES[$kind->value]);
        } elseif ($said !== null) {
            $this->celsius = min($this->celsius, max($said, self::ROOM));
        }

        return $doubts;
    }

    /**
     * What would go wrong though no heat is: oils that set the melt, jars that cool slowly.
     *
     * @param  list<string>  $lines that go in
     * @return list<string>
     */
    private function cautions(TaskKind $kind, Step $step, array $lines): array
    {
        $cold = $kind !== TaskKind::Melt && $this->bringsOils($lines) ? $this->house->warmsOils() : null;
        $slow = $kind === TaskKind::Set
            && $this->house->turnsGrainy()
            && preg_match(self::COLD, $this->plain($step)) !== 1;

        $goes = $kind === TaskKind::Whip ? $this->house->bowlfuls() : 1;

        return array_values(array_filter([
            $cold,
            $slow ? HouseMethod::grains() : null,
            $goes > 1 ? Message::said('make.her-method.bowl-holds-goes-whip', ['goes' => $goes]) : null,
        ]));
    }

    private function isHeat(TaskKind $kind, Step $step): bool
    {
        return $kind === TaskKind::Melt || ($kind === TaskKind::Hold && ScentsInHeat::heats($step));
    }

    /**
     * Which lines go in at a step, which of them would find it too hot, and which are to wait for a heat to come.
     *
     * @return array{list<string>, list<Portion>, list<Portion>}
     */
    private function lines(Step $step, float $hottestAfter, TaskKind $kind): array
    {
        $lines = $tooHot = $later = [];
        if (in_array($kind, [TaskKind::Fill, TaskKind::Label, TaskKind::Shake], true)) {
            return [[], [], []];
        }
        foreach ($this->named->in($step->text) as $portion) {
            $limit = HouseMethod::limit($portion);
            if (isset($this->placed[$portion->line->id])) {
                continue;
            }
            if ($hottestAfter > $limit || ($this->isHeat($kind, $step) && $this->celsius > $limit)) {
                $later[] = $portion;

                continue;
            }
            if ($this->celsius > max($limit, $this->house->gate()->high)) {
                $tooHot[] = $portion;
            }
            $lines[] = $portion->line->id;
            $this->placed[$portion->line->id] = true;
        }

        return [$lines, $tooHot, $later];
    }

    /** @return array{float, list<string>} °C that it has then, and what is wrong with what she wrote */
    private function heated(?float $said): array
    {
        $wanted = $this->house->meltCelsius();
        if ($said === null) {
            return [$wanted, []];
        }
        if ($said > HouseMethod::HOTTEST) {
            return [$wanted, [Message::said('make.her-method.you-wrote-c-fat', [
                'said' => (int) $said,
                'hottest' => (int) HouseMethod::HOTTEST,
                'wanted' => (int) $wanted,
            ])]];
        }
        $stays = array_filter(
            $this->assessment->subject->composition->weighed(),
            static fn (Portion $p): bool => $p->line->phase === Phase::Melt
                && (HouseMethod::melting($p) ?? -INF) > $said,
        );

        return $stays === [] ? [$said, []] : [$wanted, [Message::said('make.her-method.you-wrote-c-does', [
            'said' => (int) $said,
            'stays' => self::names(array_values($stays)),
            'wanted' => (int) $wanted,
        ])]];
    }

    /** @return array{float, list<string>} */
    private function cooled(?float $said): array
    {
        $coolest = $this->house->coolest();
        $gate = $this->house->gate();
        if ($said === null || $said >= $coolest || $this->isWhipped()) {
            return [$said ?? $gate->high, []];
        }

        return [$gate->high, [Message::said('make.her-method.you-wrote-c-sets', [
            'said' => (int) $said,
            'gate_best' => (int) $gate->best,
        ])]];
    }

    /**
     * @param  list<string>  $lines
     * @param  list<string>  $doubts
     */
    private function built(TaskKind $kind, Step $step, array $lines, array $doubts): Task
    {
        $ours = $this->ours[$kind->value] ?? null;
        $plain = $kind === TaskKind::Add && $this->isDelicate($lines) ? $this->house->delicate() : new Gate('');
        $gate = ($ours->gate ?? $plain)
            ->lasting($step->minutes === null ? null : Band::within($step->minutes, self::ABOUT))
            ->at($step->celsius !== null && $doubts === [] ? self::meant($kind, $step->celsius) : null);

        return new Task(
            $kind,
            $doubts === [] || $ours === null ? $step->text : $this->safe($ours, $lines),
            $gate,
            $lines,
            $ours->caution ?? ($this->isHeat($kind, $step) ? HouseMethod::hot() : null),
            new Hers($step->text, implode(' ', $doubts)),
        );
    }

    /** A heat is meant to two degrees; what is let cool, or goes in, to that and not over it. */
    private static function meant(TaskKind $kind, float $celsius): Band
    {
        return $kind === TaskKind::Melt || $kind === TaskKind::Hold
            ? Band::around($celsius, self::OFF)
            : Band::of($celsius - self::OFF, $celsius, $celsius);
    }

    /**
     * Our own act in the place of hers, with what she puts in at it.
     *
     * @param  list<string>  $lines
     */
    private function safe(Task $ours, array $lines): string
    {
        $in = $ours->kind === TaskKind::Cool ? $this->portions($lines) : [];

        return $in === [] ? $ours->act : Message::said('make.her-method.then-stir', [
            'act' => $ours->act,
            'in' => self::names($in),
        ]);
    }

    /**
     * Whether oils that are to be warm go in, into something that was melted before.
     *
     * @param  list<string>  $lines
     */
    private function bringsOils(array $lines): bool
    {
        return $this->celsius > self::ROOM && array_filter(
            $this->portions($lines),
            static fn (Portion $p): bool => $p->line->phase === Phase::Warm,
        ) !== [];
    }

    /** @param  list<string>  $lines */
    private function isDelicate(array $lines): bool
    {
        return array_filter(
            $this->portions($lines),
            fn (Portion $p): bool => HouseMethod::limit($p) < $this->house->meltCelsius(),
        ) !== [];
    }

    /**
     * @param  list<string>  $lines
     * @return list<Portion>
     */
    private function portions(array $lines): array
    {
        return array_values(array_filter(
            $this->assessment->subject->composition->weighed(),
            static fn (Portion $p): bool => in_array($p->line->id, $lines, true),
        ));
    }

    /** @param  list<Portion>  $portions */
    private static function names(array $portions): string
    {
        return implode(', ', array_map(static fn (Portion $p): string => $p->ingredient->name, $portions));
    }

    /**
     * The lowest of their limits, in words.
     *
     * @param  list<Portion>  $portions
     */
    private static function limits(array $portions): string
    {
        return (string) (int) min(HouseMethod::GATE, ...array_map(HouseMethod::limit(...), $portions));
    }
}
