<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Name;
use Crown\Measure\Band;
use Crown\Measure\Number;
use Crown\Words\Message;
use DateTimeImmutable;

/** What is in a jar: plants, oils, and water that was added on purpose. */
final readonly class Charge
{
    /** Grams of oil to one of plant that cover without thinning, by form: least, usual, most. */
    private const USUAL_RATIO = ['fresh' => [2.0, 3.0, 4.0], 'powder' => [8.0, 11.0, 15.0], '' => [5.0, 7.0, 10.0]];

    /**
     * @param  list<Herb>  $herbs at least one
     * @param  list<Pour>  $pours at least one
     * @param  float  $waterGrams a splash, a gel; 0 to 10,000 g
     *
     * @throws SteepError about "herbs", "oils" or "water_grams"
     */
    public function __construct(public array $herbs, public array $pours, public float $waterGrams = 0.0)
    {
        if ($herbs === []) {
            throw SteepError::field('herbs', new Message('steep.allowed.one-plant'));
        }
        if ($pours === []) {
            throw SteepError::field('oils', new Message('steep.allowed.one-oil'));
        }
        if ($waterGrams < 0.0 || $waterGrams > 10_000.0) {
            throw SteepError::field('water_grams', new Message('steep.allowed.water'));
        }
    }

    /** One plant in one oil, prepared as the method has it. @throws SteepError */
    public static function of(Herb $herb, Pour $pour): self
    {
        return new self([$herb], [$pour]);
    }

    public function plantGrams(): float
    {
        return array_sum(array_map(static fn (Herb $h): float => $h->grams, $this->herbs));
    }

    /** All oil that ever went in. */
    public function oilGrams(): float
    {
        return array_sum(array_map(static fn (Pour $p): float => $p->grams, $this->pours));
    }

    /** The oil with the largest share: what the steep is "in". */
    public function oil(): Ingredient
    {
        $most = $this->pours[0];
        foreach ($this->pours as $pour) {
            $most = $pour->grams > $most->grams ? $pour : $most;
        }

        return $most->oil;
    }

    /** Per cent of the oils that is solid at a temperature: what is set draws nothing. */
    public function solidPercent(float $celsius): float
    {
        $solid = 0.0;
        foreach ($this->pours as $pour) {
            $solid += ($pour->oil->composition->solidFat->at($celsius) * $pour->grams) / $this->oilGrams();
        }

        return min(100.0, $solid);
    }

    /** The plant with the largest mass. */
    public function plant(): Ingredient
    {
        $most = $this->herbs[0];
        foreach ($this->herbs as $herb) {
            $most = $herb->grams > $most->grams ? $herb : $most;
        }

        return $most->plant;
    }

    public function hasFresh(): bool
    {
        return array_filter($this->herbs, static fn (Herb $h): bool => $h->form === 'fresh') !== [];
    }

    /** @return list<Pour> oils that bring water, or in which something may have grown */
    public function wetPours(): array
    {
        return array_values(
            array_filter(
                $this->pours,
                static fn (Pour $p): bool => $p->oil->freeWater('')->high >= WaterBalance::DRY
                    || $p->oil->provenance->inherited->grown !== null,
            ),
        );
    }

    public function hasFines(): bool
    {
        return array_filter($this->herbs, static fn (Herb $h): bool => $h->preparation->leavesFines($h->form)) !== [];
    }

    /** Grams of oil to one gram of plant. */
    public function ratio(): float
    {
        return $this->oilGrams() / $this->plantGrams();
    }

    /**
     * The ratio that covers without thinning the charge, share-weighted over the herbs: dried 5 to 10, powder 8 to 15,
     * fresh 2 to 4.
     */
    public function usualRatio(): Band
    {
        $low = $best = $high = 0.0;
        foreach ($this->herbs as $herb) {
            [$l, $b, $h] = self::USUAL_RATIO[$herb->form] ?? self::USUAL_RATIO[''];
            $share = $herb->grams / $this->plantGrams();
            [$low, $best, $high] = [$low + $share * $l, $best + $share * $b, $high + $share * $h];
        }

        return Band::of($low, $best, $high);
    }

    /** What it is called when nobody names it. */
    public function name(): string
    {
        return sprintf('%s in %s', $this->plant()->name, Name::inSentence($this->oil()->name));
    }

    /** All that is in it: "40 g dried calendula flower in 400 g olive oil". */
    public function words(): string
    {
        $herbs = array_map(
            static fn (Herb $h): string => implode(' ', array_filter([
                Number::shown($h->grams).' g',
                $h->form,
                Name::inSentence($h->plant->name),
            ])),
            $this->herbs,
        );
        $oils = array_map(
            static fn (Pour $p): string => Number::shown($p->grams).' g '.Name::inSentence($p->oil->name),
            $this->pours,
        );

        return sprintf('%s in %s', implode(', ', $herbs), implode(', ', $oils));
    }

    /** The earliest day printed on a bottle of its oils; null where none is. */
    public function printedUseBy(): ?DateTimeImmutable
    {
        $days = array_filter(
            array_map(
                static fn (Pour $p): ?DateTimeImmutable => $p->oil->provenance->useBy(),
                $this->pours,
            ),
        );

        return $days === [] ? null : min($days);
    }

    /** The same, begun on another day. */
    public function from(DateTimeImmutable $day): self
    {
        return new self(
            array_map(static fn (Herb $h): Herb => $h->from($day), $this->herbs),
            array_map(static fn (Pour $p): Pour => $p->from($day), $this->pours),
            $this->waterGrams,
        );
    }

    /** The same, each plant as a method wants it. */
    public function preparedFor(SteepMethod $method): self
    {
        return $method === SteepMethod::BlendHeat
            ? new self(
                array_map(static fn (Herb $h): Herb => $h->prepared(Preparation::Blended), $this->herbs),
                $this->pours,
                $this->waterGrams,
            )
            : $this;
    }
}
