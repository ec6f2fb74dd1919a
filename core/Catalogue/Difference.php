<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Property;
use Crown\Words\Message;
use JsonSerializable;

/** One way in which an ingredient differs from another, as a sentence with its two figures. */
final readonly class Difference implements JsonSerializable
{
    /** From which a difference is worth saying: % of effective solids, heaviness of 5, part of a life, % of fat. */
    private const SOLIDS = 5.0;

    private const HEAVINESS = 0.3;

    private const LIFE = 0.2;

    private const POLYUNSATURATED = 10.0;

    private function __construct(public string $about, public string $message)
    {
    }

    /** @return list<self> from the first to the second: what would change */
    public static function between(Ingredient $from, Ingredient $to): array
    {
        return [
            ...self::allergens($from, $to),
            ...self::forWhom($from, $to),
            ...self::texture($from, $to),
            ...self::onTheHair($from, $to),
            ...self::keeping($from, $to),
            ...self::needs($from, $to),
            ...self::jobs($from, $to),
            ...self::unknown($from, $to),
        ];
    }

    /** @return list<self> */
    private static function allergens(Ingredient $from, Ingredient $to): array
    {
        $brings = array_udiff($to->precautions->allergens, $from->precautions->allergens, strcasecmp(...));
        $frees = array_udiff($from->precautions->allergens, $to->precautions->allergens, strcasecmp(...));

        return [
            ...array_map(
                static fn (string $a): self => new self('allergen', sprintf('Brings %s.', $a)),
                array_values($brings),
            ),
            ...array_map(
                static fn (string $a): self => new self('allergen', sprintf('Free of %s.', $a)),
                array_values($frees),
            ),
        ];
    }

    /** @return list<self> */
    private static function forWhom(Ingredient $from, Ingredient $to): array
    {
        $found = [];
        if ($from->vegan !== $to->vegan) {
            $vegan = ['vegan' => $to->vegan ? 'yes' : 'no'];
            $found[] = new self('vegan', Message::said('catalogue.difference.vegan', $vegan));
        }
        if ($from->precautions->pregnancy !== $to->precautions->pregnancy) {
            $found[] = new self(
                'pregnancy',
                match ($to->precautions->pregnancy) {
                    Advice::Ok => Message::said('catalogue.difference.nothing-known-against-pregnancy'),
                    Advice::Caution => Message::said('catalogue.difference.calls-advice-pregnancy'),
                    Advice::Avoid => Message::said('catalogue.difference.be-avoided-pregnancy'),
                },
            );
        }

        return $found;
    }

    /** @return list<self> */
    private static function texture(Ingredient $from, Ingredient $to): array
    {
        [$was, $is] = [self::solids($from), self::solids($to)];

        return $was !== null && $is !== null && abs($is - $was) >= self::SOLIDS
            ? [
                new self(
                    'texture',
                    sprintf(
                        '%s at 25 °C: effective solids %s %% instead of %s.',
                        $is > $was ? 'Firmer' : 'Softer',
                        self::shown($is),
                        self::shown($was),
                    ),
                ),
            ]
            : [];
    }

    /** @return list<self> */
    private static function onTheHair(Ingredient $from, Ingredient $to): array
    {
        $found = [];
        [$was, $is] = self::both($from, $to, Property::Weight);
        if ($was !== null && $is !== null && abs($is - $was) >= self::HEAVINESS) {
            $found[] = new self(
                'weight',
                Message::said('catalogue.difference.on-hair-instead', [
                    'feels' => $is > $was ? 'richer' : 'lighter',
                    'is' => self::shown($is),
                    'was' => self::shown($was),
                ]),
            );
        }
        [$did, $does] = [$from->onHair->action, $to->onHair->action];
        if ($did !== $does && $did !== HairAction::None && $does !== HairAction::None) {
            $words = static fn (HairAction $action): string => str_replace('-', ' ', $action->value);
            $found[] = new self('action', sprintf('%s instead of %s.', ucfirst($words($does)), $words($did)));
        }

        return $found;
    }

    /** @return list<self> */
    private static function keeping(Ingredient $from, Ingredient $to): array
    {
        $found = [];
        [$was, $is] = self::both($from, $to, Property::LifeMonths);
        if ($was !== null && $is !== null && abs($is / $was - 1.0) >= self::LIFE) {
            $found[] = new self('life', Message::said('catalogue.difference.keeps-instead', [
                'is' => round($is, 1),
                'was' => self::shown($was),
            ]));
        }
        [$was, $is] = [
            $from->composition->fattyAcids->polyunsaturated(),
            $to->composition->fattyAcids->polyunsaturated(),
        ];
        $known = $from->composition->fattyAcids->known() && $to->composition->fattyAcids->known();
        if ($known && abs($is - $was) >= self::POLYUNSATURATED) {
            $found[] = new self(
                'make-up',
                sprintf(
                    '%s polyunsaturated: %s %% instead of %s.',
                    $is > $was ? 'More' : 'Less',
                    self::shown($is),
                    self::shown($was),
                ),
            );
        }

        return $found;
    }

    /** @return list<self> */
    private static function needs(Ingredient $from, Ingredient $to): array
    {
        $lost = array_diff(self::served($from), self::served($to));
        $won = array_diff(self::served($to), self::served($from));

        return [
            ...$lost === [] ? [] : [
                new self('needs', Message::said('catalogue.difference.not-served', ['needs' => implode(', ', $lost)])),
            ],
            ...$won === [] ? [] : [
                new self('needs', Message::said('catalogue.difference.also-serves', ['needs' => implode(', ', $won)])),
            ],
        ];
    }

    /** @return list<self> */
    private static function jobs(Ingredient $from, Ingredient $to): array
    {
        $lost = array_udiff($from->jobs(), $to->jobs(), static fn (Job $a, Job $b): int => $a->value <=> $b->value);

        return $lost === [] ? [] : [
            new self(
                'job',
                Message::said('catalogue.difference.does-not-do', [
                    'jobs' => implode(', ', array_map(static fn (Job $j): string => $j->label(), array_values($lost))),
                ]),
            ),
        ];
    }

    /** @return list<self> where nobody has written down what both are made of */
    private static function unknown(Ingredient $from, Ingredient $to): array
    {
        $isKnown = static fn (Ingredient $i): bool => $i->composition->constituents !== []
            || $i->composition->fattyAcids->known();

        return $isKnown($from) && $isKnown($to)
            ? []
            : [new self('unknown', Message::said('catalogue.difference.what-both-not-known'))];
    }

    /** @return list<string> */
    private static function served(Ingredient $ingredient): array
    {
        return array_map(
            static fn (Evidence $e): string => $e->need->label(),
            array_values(array_filter($ingredient->evidence, static fn (Evidence $e): bool => $e->worth() > 0)),
        );
    }

    /** Effective solids at 25 °C, per cent; null when its curve is not known. */
    private static function solids(Ingredient $ingredient): ?float
    {
        return $ingredient->composition->solidFat->known()
            ? $ingredient->composition->solidFat->at(25.0) * $ingredient->composition->solidFat->structure
            : null;
    }

    /** @return array{float|null, float|null} null where it is not known of one */
    private static function both(Ingredient $from, Ingredient $to, Property $property): array
    {
        return array_map(
            static fn (Ingredient $i): ?float => $i->facts->has($property)
                ? $i->facts->get($property)->band->best
                : null,
            [$from, $to],
        );
    }

    /** A tenth counts below ten. */
    private static function shown(float $figure): string
    {
        return abs($figure) < 10 && round($figure, 1) !== round($figure)
            ? number_format($figure, 1, '.', '')
            : number_format($figure, 0, '.', '');
    }

    /** @return array{about: string, message: string} */
    public function jsonSerialize(): array
    {
        return ['about' => $this->about, 'message' => $this->message];
    }
}
