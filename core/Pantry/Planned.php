<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Assessment\Composition;
use Crown\Measure\Amount;
use Crown\Words\Message;

/** What is made now, or was ordered, against what there is of one thing. Method page: docs/methods/pantry.md. */
final readonly class Planned
{
    /** Less than this is nothing, g. */
    private const NOTHING = 0.05;

    private function __construct(public float $grams, private ?float $left)
    {
    }

    /**
     * @param  list<Composition>  $wanted each in the size in which it is to be made
     * @param  list<string>  $ids under which formulas may name it
     * @param  float|null  $left grams of it; null where nobody said
     */
    public static function of(array $wanted, array $ids, ?float $left): self
    {
        $grams = 0.0;
        foreach ($wanted as $composition) {
            foreach ($composition->weighed() as $portion) {
                $grams += in_array($portion->ingredient->id, $ids, true) ? $portion->grams->band->best : 0.0;
            }
        }

        return new self($grams, $left);
    }

    /** In a sentence: what is in no plan is what will expire. */
    public function words(): string
    {
        $grams = static fn (float $g): string => Amount::number(round($g, 1)).' g';
        $takes = Message::said('pantry.planned.what-being-made-was', ['grams' => $grams($this->grams)]);

        return match (true) {
            $this->grams < self::NOTHING => Message::said('pantry.planned.nothing-being-made-was'),
            $this->left === null => $takes.'.',
            $this->grams > $this->left + self::NOTHING => Message::said('pantry.planned.which-more-than-there', [
                'takes' => $takes,
                'grams' => $grams($this->grams - $this->left),
            ]),
            default => Message::said('pantry.planned.are-no-plan', [
                'takes' => $takes,
                'left' => $grams($this->left - $this->grams),
            ]),
        };
    }
}
