<?php

declare(strict_types=1);

namespace Crown\Measure;

use Crown\Words\Message;

/** What the maker whips with. */
final readonly class Mixer
{
    /** How much a minute does, beside one of an electric mixer. Estimates: hands and whisks differ. */
    private const SORTS = ['hand' => 1.0, 'stand' => 1.0, 'whisk' => 0.35];

    /** The same of the speed, beside medium. */
    private const SPEEDS = ['low' => 0.6, 'medium' => 1.0, 'high' => 1.5];

    /**
     * @param  float|null  $minutes that she likes, above 0; null when she has not said
     * @param  string  $sort "hand" (electric), "stand", or "whisk" for one that the arm moves
     * @param  string  $speed "low", "medium" or "high"
     */
    public function __construct(
        public string $name,
        public ?float $minutes = null,
        public string $sort = 'hand',
        public string $speed = 'medium',
    ) {
    }

    /** Minutes at medium speed that one minute with it is worth. */
    public function pace(): float
    {
        return (self::SORTS[$this->sort] ?? 1.0) * (self::SPEEDS[$this->speed] ?? 1.0);
    }

    /** How it is used, in words: "at high speed", "by hand". */
    public function way(): string
    {
        return $this->sort === 'whisk'
            ? 'by hand'.($this->speed === 'medium' ? '' : sprintf(', %s', $this->speed === 'high' ? 'fast' : 'slowly'))
            : Message::said('measure.mixer.speed', ['speed' => $this->speed]);
    }
}
