<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** A word, a figure or a sign of a row, where it stands in what was pasted. */
final readonly class Token
{
    /**
     * @param  string  $text as it was written
     * @param  string  $word the same in small letters, without accents; "" for a sign
     * @param  int  $start characters before it in the row
     * @param  int  $end the character after its last
     * @param  float|null  $number what a figure is; null for what is none
     * @param  bool  $glued whether nothing stands between it and what comes before
     */
    public function __construct(
        public string $text,
        public string $word,
        public int $start,
        public int $end,
        public ?float $number,
        public bool $glued,
    ) {
    }

    public function isWord(): bool
    {
        return $this->word !== '';
    }

    public function isSign(string ...$signs): bool
    {
        return in_array($this->text, $signs, true);
    }
}
