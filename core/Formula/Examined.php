<?php

declare(strict_types=1);

namespace Crown\Formula;

/** What checks look at: the composition and everything computed of it once. */
final readonly class Examined
{
    public function __construct(
        public Composition $composition,
        public Context $context,
        public Texture $texture,
        public Load $load,
        public WaterLedger $water,
        public Life $life,
    ) {
    }

    public static function of(Composition $composition, Context $context): self
    {
        $water = WaterLedger::of($composition);

        return new self($composition, $context, Texture::of($composition), Load::of($composition, $context->kitchen->scaleGrams), $water, Life::of($composition, $water));
    }

    public function formula(): Formula
    {
        return $this->composition->formula;
    }
}
