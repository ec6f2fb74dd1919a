<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** How much of a thing a text says, as it is kept in a line: what AmountReader reads. */
final readonly class Amount
{
    /** A figure without a unit; a part of the whole; up to the whole; a measure that nobody can tell. */
    public const BARE = 'bare';

    /** A figure that is said after another and of its unit: "ten drops of lavender, five of cedarwood". */
    public const SAME = 'same';

    /** So many times what another has, which is named by the text; "" for the one before. */
    public const TIMES = 'times';

    public const FRACTION = 'fraction';

    public const FILL = 'fill';

    /** As much as she likes. */
    public const LIKED = 'liked';

    /** As much as covers the rest. */
    public const COVER = 'cover';

    /** Up to a part of the vessel; up to a figure on it. */
    public const LEVEL = 'level';

    public const MARK = 'mark';

    /** What the whole is measured in, and what holds it. */
    public const SIZES = ['g', 'kg', 'ml', 'l', 'oz', 'fl oz'];

    /** What is not sure of an amount of which only the most is said. */
    public const MOST = 'It says only how much at most. That much was taken.';

    /**
     * @param  string  $text in words that AmountReader reads, as it was written where that can be
     * @param  float  $count 0 for what is no number
     * @param  string  $unit as the lexicons have it ("g", "tbsp", "%"), or one of the above
     * @param  int  $from the first of its tokens
     * @param  int  $to the token after its last
     * @param  bool  $isMost whether it is said to be the most
     */
    public function __construct(
        public string $text,
        public float $count,
        public string $unit,
        public int $from,
        public int $to,
        public bool $isMost = false,
    ) {
    }

    public function is(string $text, ?float $count = null, ?string $unit = null): self
    {
        return new self($text, $count ?? $this->count, $unit ?? $this->unit, $this->from, $this->to, $this->isMost);
    }

    /** Whether it is a figure alone. */
    public function isBare(): bool
    {
        return $this->unit === self::BARE || $this->unit === self::SAME;
    }

    /** Whether it is a measure that nobody can tell. */
    public function isLoose(): bool
    {
        return preg_match('/\d/', $this->text) !== 1;
    }

    public function spanning(int $from, int $to): self
    {
        return new self($this->text, $this->count, $this->unit, $from, $to, $this->isMost);
    }

    /** The most, said from a token before it. */
    public function atMost(int $from): self
    {
        return new self($this->text, $this->count, $this->unit, $from, $this->to, true);
    }

    /** A count as a figure without noise. */
    public static function figure(float $count): string
    {
        return rtrim(rtrim(sprintf('%.3F', $count), '0'), '.');
    }

    public static function of(float $count, string $unit, int $from, int $to): self
    {
        $named = $unit === 'parts' && $count <= 1.0 ? 'part' : $unit;
        $isFigure = in_array($unit, [self::BARE, self::SAME, self::FRACTION], true);
        $text = self::figure($count).($isFigure ? '' : ' '.$named);

        return new self($text, $count, $unit, $from, $to);
    }
}
