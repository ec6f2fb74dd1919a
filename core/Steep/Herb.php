<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Measure\CannotTell;
use Crown\Measure\Kitchen;
use Crown\Measure\MeasureError;
use Crown\Words\Message;
use DateTimeImmutable;

/** One plant in a jar: its form, what was done to it, and since when it is in. */
final readonly class Herb
{
    /** Extraction per day of cut dried leaf at 20 °C: 90 % at 28 days. */
    public const RATE = 0.082;

    /** Draws after which nothing is worth having. */
    public const MOST_DRAWS = 3;

    /**
     * @param  float  $grams as it goes into the jar
     * @param  int  $draw 1 for a first draw; 2 and 3 for a herb that was drawn before
     *
     * @throws SteepError
     */
    public function __construct(
        public Ingredient $plant,
        public string $form,
        public float $grams,
        public DateTimeImmutable $since,
        public Preparation $preparation = Preparation::None,
        public int $draw = 1,
    ) {
        if ($plant->kind === IngredientKind::EssentialOil) {
            throw SteepError::scent($plant->name);
        }
        if (! $plant->kind->isPlant()) {
            throw SteepError::notAPlant($plant->name);
        }
        if (! isset($plant->forms[$form])) {
            throw SteepError::field('form', implode(', ', array_keys($plant->forms)));
        }
        if ($grams <= 0.0 || $grams > 100_000.0) {
            throw SteepError::field('amount', new Message('steep.allowed.mass'));
        }
        if ($draw < 1 || $draw > self::MOST_DRAWS) {
            throw SteepError::field('draw', new Message('steep.allowed.draw'));
        }
        if ($preparation === Preparation::Bagged && $form !== 'powder') {
            throw SteepError::field('preparation', new Message('steep.allowed.bagged'));
        }
        if ($preparation === Preparation::Wilted && $form !== 'fresh') {
            throw SteepError::field('preparation', new Message('steep.allowed.wilted'));
        }
    }

    /**
     * A herb whose amount is as the maker wrote it.
     *
     * @throws SteepError|MeasureError|CannotTell about "ingredient", "form" or "amount"
     */
    public static function written(
        Ingredient $plant,
        string $form,
        string $amount,
        Kitchen $kitchen,
        DateTimeImmutable $since,
        Preparation $preparation = Preparation::None,
        int $draw = 1,
    ): self {
        // What it is goes before how much there is of it: of no plant there is an amount.
        $one = new self($plant, $form, 1.0, $since, $preparation, $draw);

        return $one->of(Quantity::grams($amount, $plant, $form, $kitchen));
    }

    /** Extraction per day at 20 °C before shaking and warmth: x4 powder, x2 crushed, x1 cut, x0.35 whole seed. */
    public function rate(): float
    {
        $form = match ($this->form) {
            'powder' => 4.0,
            // A crushed seed draws as a crushed leaf does: its coat is what held it back.
            'seed' => in_array(
                $this->preparation,
                [Preparation::Crushed, Preparation::ToastedCrushed, Preparation::Blended],
                true,
            )
                ? 1.0
                : 0.35,
            default => 1.0,
        };

        return self::RATE * $form * $this->preparation->speed();
    }

    /** What this draw can give against a first one: 1, then 0.5, then 0.25. */
    public function reach(): float
    {
        return 0.5 ** ($this->draw - 1);
    }

    /** The same herb, so much of it. */
    public function of(float $grams): self
    {
        return new self($this->plant, $this->form, $grams, $this->since, $this->preparation, $this->draw);
    }

    /** The same herb with something done to it. */
    public function prepared(Preparation $preparation): self
    {
        return new self($this->plant, $this->form, $this->grams, $this->since, $preparation, $this->draw);
    }

    /** The same herb for another day. */
    public function from(DateTimeImmutable $since): self
    {
        return new self($this->plant, $this->form, $this->grams, $since, $this->preparation, $this->draw);
    }
}
