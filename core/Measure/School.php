<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * Where makers disagree: each a choice of her own, with what it costs. The first of each is the safer where health is
 * concerned, and else the more usual. It is what a new steep, formula or routine begins with; each can be otherwise.
 * Source: the craft's own usage; the figures are those of docs/methods/steeps.md and life.md.
 */
enum School: string
{
    case Heat = 'heat';
    case Light = 'light';
    case Straining = 'straining';
    case Pressing = 'pressing';
    case Plant = 'plant';
    case Place = 'place';
    case Rhythm = 'rhythm';
    case Cold = 'cold';
    case Preserving = 'preserving';
    case Scents = 'scents';
    case Measuring = 'measuring';
    case Whipping = 'whipping';
    case Body = 'body';
    case Order = 'order';
    case Herbs = 'herbs';

    /** Options by key: what it is called, and what it costs. */
    private const OPTIONS = [
        'heat' => [
            'cold' => ['Steeped cold', 'Two to eight weeks; the oil ages by those weeks alone.'],
            'warm' => ['Kept warm', 'Ready in hours; an hour at 60 °C ages the oil as sixteen at 20 °C do.'],
        ],
        'light' => [
            'dark' => ['In the dark', 'Slower than in the sun; the oil keeps its life.'],
            'sun' => ['On a sunny sill', 'Warmer; each day in the sun ages the oil as two do in the dark.'],
        ],
        'straining' => [
            'strained' => ['Strained when it is ready', 'What it still holds is given up; nothing is left to spoil.'],
            'left' => ['The herb left in', 'It grows stronger for months; whatever stands out of the oil can mould.'],
        ],
        'pressing' => [
            'dripped' => ['Left to drip', 'The plant keeps more of the oil; fine parts stay out.'],
            'pressed' => ['Pressed', 'More oil comes out, with water and fine parts of the plant in it.'],
        ],
        'plant' => [
            'dried' => ['Dried plants', 'No water comes in. Some scents are lost in drying.'],
            'fresh' => ['Fresh plants', 'Most of a fresh plant is water: it has to be shown dry, or preserved.'],
        ],
        'place' => [
            'scalp' => ['Scalp and lengths', 'More is used; a scalp with flakes or itch wants a clinician first.'],
            'lengths' => ['Lengths only', 'Nothing sits on the scalp; nothing is done for it either.'],
        ],
        'rhythm' => [
            'weekly' => ['Once or twice a week', 'What was used is washed out before it grows old.'],
            'daily' => ['Every day, tiny amounts', 'It builds up; washing has to come more often.'],
        ],
        'cold' => [
            'shelf' => ['On a cool shelf', 'Nothing to remember; it ages twice as fast as ten degrees cooler.'],
            'fridge' => ['In the fridge', 'It lives up to half as long again; butters set hard.'],
        ],
        'preserving' => [
            'water' => ['Where water is, or can get in', 'Dry oils stay plain; they have to be kept dry.'],
            'always' => ['Always', 'About one per cent of everything is then no oil; a wet finger matters less.'],
            'frozen' => ['Frozen in portions instead', '30 days, for yourself alone: never sold, never for a child.'],
        ],
        'scents' => [
            'none' => ['None at all', 'It smells of its oils; nothing has to be counted by the drop.'],
            'some' => ['Some, within their limits', 'Each drop counts against age, scalp and its own limit.'],
        ],
        'measuring' => [
            'grams' => ['In grams', 'It needs a scale; a share is then known within a per cent or two of itself.'],
            'spoons' => ['In spoons and drops', 'It needs none; a spoon is known within 10 to 12 per cent.'],
        ],
        'whipping' => [
            'short' => ['Short, until it is fluffy', 'About ten minutes: the most air, and the most jars.'],
            'long' => ['Long, soft as a lotion', 'About half an hour: more than half of the air is lost again.'],
        ],
        'body' => [
            'whipped' => ['Whipped', 'Soft to take; a full jar weighs little more than half of what it weighs poured.'],
            'poured' => ['Poured', 'A full jar; it is firm, hard in the cold, and grains where it cools slowly.'],
        ],
        'order' => [
            'cream-oil' => ['Water, cream, then oil', 'The oil lies outermost and seals; it feels greasier.'],
            'oil-cream' => ['Water, oil, then cream', 'It feels lighter; less of the cream reaches the hair.'],
        ],
        'herbs' => [
            'one' => ['One herb at a time', 'What helps or itches can be told: two weeks each.'],
            'many' => ['Many together', 'One jar for all; nobody can tell which of them did it.'],
        ],
    ];

    private const QUESTIONS = [
        'heat' => 'Steeping',
        'light' => 'Light',
        'straining' => 'When the herb comes out',
        'pressing' => 'Straining',
        'plant' => 'Plants',
        'place' => 'Where it goes',
        'rhythm' => 'How often',
        'cold' => 'Where it stands',
        'preserving' => 'Preserving',
        'scents' => 'Essential oils',
        'measuring' => 'Measuring',
        'whipping' => 'Whipping',
        'body' => 'Butters',
        'order' => 'Layers on the lengths',
        'herbs' => 'How many herbs',
    ];

    public function question(): string
    {
        return self::QUESTIONS[$this->value];
    }

    /** @return non-empty-array<string, SchoolOption> the safer first */
    public function options(): array
    {
        return array_map(static fn (array $of): SchoolOption => new SchoolOption(...$of), self::OPTIONS[$this->value]);
    }

    public function safer(): string
    {
        return array_key_first(self::OPTIONS[$this->value]);
    }

    /**
     * A studio's choices, each that it has not made set to the safer.
     *
     * @param  array<array-key, mixed>  $chosen
     * @return array<string, string> by school
     */
    public static function all(array $chosen): array
    {
        $all = [];
        foreach (self::cases() as $school) {
            $own = $chosen[$school->value] ?? '';
            $known = is_string($own) && isset(self::OPTIONS[$school->value][$own]);
            $all[$school->value] = $known ? $own : $school->safer();
        }

        return $all;
    }
}
