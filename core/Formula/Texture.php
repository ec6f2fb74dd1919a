<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Catalogue\SolidFat;
use Crown\Measure\Band;

/**
 * Effective solids against temperature: S(T) = sum of share x SFC(T) x structure factor. Method page:
 * docs/methods/texture.md. An estimate: solid-fat curves of blends are not exactly additive.
 */
final readonly class Texture
{
    /** Relative half-width of a solid-fat curve read from a handbook for another harvest. */
    private const SPREAD = 0.12;

    /** @param  list<Portion>  $unknown melted lines whose solid-fat curve is not known */
    private function __construct(
        private Composition $composition,
        public array $unknown,
    ) {
    }

    public static function of(Composition $composition): self
    {
        return new self($composition, array_values(array_filter(
            $composition->counted(),
            static fn (Portion $p): bool => $p->ingredient->isPlaced() && ! $p->ingredient->solidFat->known(),
        )));
    }

    /** Effective solids in per cent at a temperature, with the band of the shares and of the curves. */
    public function solids(float $celsius): Band
    {
        $low = $best = $high = 0.0;
        foreach ($this->composition->counted() as $portion) {
            $fat = $portion->ingredient->solidFat;
            $solid = $fat->at($celsius) * $fat->structure;
            $low += $portion->share->low * $solid * (1 - self::SPREAD);
            $best += $portion->share->best * $solid;
            $high += $portion->share->high * $solid * (1 + self::SPREAD);
        }

        return Band::of($low, $best, $high);
    }

    /** @return array<int, float> best, per cent, keyed by °C */
    public function curve(): array
    {
        $curve = [];
        foreach (SolidFat::TEMPERATURES as $celsius) {
            $curve[$celsius] = $this->solids($celsius)->best;
        }

        return $curve;
    }

    public function class(): TextureClass
    {
        return TextureClass::ofSolids($this->solids(25.0)->best);
    }

    /** The temperature at which it first pours (S falls to 8), to half a degree; 10 when it always does, 40 when not by then. */
    public function poursFrom(): float
    {
        for ($t = 10.0; $t < 40.0; $t += 0.5) {
            if ($this->solids($t)->best < 8.0) {
                return $t;
            }
        }

        return 40.0;
    }
}
