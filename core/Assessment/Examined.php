<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Formula;

/** What checks look at: the composition and everything computed of it once. */
final readonly class Examined
{
    public function __construct(
        public Composition $composition,
        public Context $context,
        public Texture $texture,
        public Load $load,
        public WaterBalance $water,
        public ShelfLife $life,
        public TextureFamily $family,
    ) {
    }

    public static function of(Composition $composition, Context $context): self
    {
        $water = WaterBalance::of($composition);

        $family = TextureFamily::of($composition);

        return new self(
            $composition,
            $context,
            Texture::of($composition, $context->experience->texture($family)),
            Load::of($composition, $context->kitchen->scaleGrams),
            $water,
            ShelfLife::of($composition, $water, $context->experience->life($family)),
            $family,
        );
    }

    /** How it takes air, whatever it is called. */
    public function whipping(): Whipping
    {
        return Whipping::of(
            $this->texture,
            $this->composition->totalGrams,
            $this->composition->density(),
            $this->context->experience->overrun($this->family),
            $this->context->kitchen->tools->mixer,
        );
    }

    /** How heavy the lines that stay on the hair lie on it, 1 to 5; null when it cannot be told. */
    public function heaviness(): ?float
    {
        return $this->composition->unknown->leavesFigures() ? $this->composition->blend()->heaviness() : null;
    }

    public function formula(): Formula
    {
        return $this->composition->formula;
    }
}
