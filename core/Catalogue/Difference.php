<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Property;
use JsonSerializable;

/** One way in which an ingredient differs from another, as a sentence with its two figures. */
final readonly class Difference implements JsonSerializable
{
    private function __construct(public string $about, public string $message)
    {
    }

    /** @return list<self> from the first to the second: what would change */
    public static function between(Ingredient $from, Ingredient $to): array
    {
        $found = [];
        $n = static fn (float $x): string => abs($x) < 10 && round($x, 1) !== round($x)
            ? number_format($x, 1, '.', '')
            : number_format($x, 0, '.', '');
        foreach (array_udiff($to->allergens, $from->allergens, strcasecmp(...)) as $allergen) {
            $found[] = new self('allergen', sprintf('Brings %s.', $allergen));
        }
        foreach (array_udiff($from->allergens, $to->allergens, strcasecmp(...)) as $allergen) {
            $found[] = new self('allergen', sprintf('Free of %s.', $allergen));
        }
        if ($from->vegan !== $to->vegan) {
            $found[] = new self('vegan', $to->vegan ? 'Vegan.' : 'Not vegan.');
        }
        if ($from->pregnancy !== $to->pregnancy) {
            $found[] = new self(
                'pregnancy',
                match ($to->pregnancy) {
                    Advice::Ok => 'Nothing known against it in pregnancy.',
                    Advice::Caution => 'Calls for advice in pregnancy.',
                    Advice::Avoid => 'To be avoided in pregnancy.',
                },
            );
        }
        $solid = static fn (Ingredient $i): float => $i->solidFat->at(25.0) * $i->solidFat->structure;
        if ($from->solidFat->known() && $to->solidFat->known() && abs($solid($from) - $solid($to)) >= 5.0) {
            $found[] = new self(
                'texture',
                sprintf(
                    '%s at 25 °C: effective solids %s %% instead of %s.',
                    $solid($to) > $solid($from) ? 'Firmer' : 'Softer',
                    $n($solid($to)),
                    $n($solid($from)),
                ),
            );
        }
        $has = static fn (Property $p): bool => $from->facts->has($p) && $to->facts->has($p);
        $best = static fn (Ingredient $i, Property $p): float => $i->facts->get($p)->band->best;
        if ($has(Property::Weight) && abs($best($to, Property::Weight) - $best($from, Property::Weight)) >= 0.3) {
            $found[] = new self(
                'weight',
                sprintf(
                    '%s on the hair: %s instead of %s.',
                    $best($to, Property::Weight) > $best($from, Property::Weight) ? 'Richer' : 'Lighter',
                    $n($best($to, Property::Weight)),
                    $n($best($from, Property::Weight)),
                ),
            );
        }
        if (
            $from->onHair->action !== $to->onHair->action
            && $from->onHair->action !== HairAction::None
            && $to->onHair->action !== HairAction::None
        ) {
            $found[] = new self(
                'action',
                sprintf(
                    '%s instead of %s.',
                    ucfirst(str_replace('-', ' ', $to->onHair->action->value)),
                    str_replace('-', ' ', $from->onHair->action->value),
                ),
            );
        }
        if (
            $has(Property::LifeMonths)
            && abs($best($to, Property::LifeMonths) / $best($from, Property::LifeMonths) - 1.0) >= 0.2
        ) {
            $found[] = new self(
                'life',
                sprintf(
                    'Keeps %s months instead of %s.',
                    $n($best($to, Property::LifeMonths)),
                    $n($best($from, Property::LifeMonths)),
                ),
            );
        }
        if (
            $from->fattyAcids->known()
            && $to->fattyAcids->known()
            && abs($from->fattyAcids->polyunsaturated() - $to->fattyAcids->polyunsaturated()) >= 10.0
        ) {
            $found[] = new self(
                'make-up',
                sprintf(
                    '%s polyunsaturated: %s %% instead of %s.',
                    $to->fattyAcids->polyunsaturated() > $from->fattyAcids->polyunsaturated() ? 'More' : 'Less',
                    $n($to->fattyAcids->polyunsaturated()),
                    $n($from->fattyAcids->polyunsaturated()),
                ),
            );
        }
        $served = static fn (Ingredient $i): array => array_map(
            static fn (Evidence $e): string => $e->need->label(),
            array_values(array_filter($i->evidence, static fn (Evidence $e): bool => $e->worth() > 0)),
        );
        $lost = array_diff($served($from), $served($to));
        $won = array_diff($served($to), $served($from));
        if ($lost !== []) {
            $found[] = new self('needs', sprintf('Not known to serve: %s.', implode(', ', $lost)));
        }
        if ($won !== []) {
            $found[] = new self('needs', sprintf('Also serves: %s.', implode(', ', $won)));
        }

        return $found;
    }

    /** @return array{about: string, message: string} */
    public function jsonSerialize(): array
    {
        return ['about' => $this->about, 'message' => $this->message];
    }
}
