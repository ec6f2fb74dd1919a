<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Json\Node;

/**
 * What the maker says of one place in a text: which ingredient it is, how much of it, or that it is none. The place is
 * known by its words, so that it is found again when the text is changed elsewhere.
 */
final readonly class Correction
{
    public const MOST = 200;

    /**
     * @param  string  $row of the text, as it was pasted
     * @param  string  $name as it was read there; "" where no ingredient was read
     * @param  string  $amount as it was read there, or the figure that nothing took; "" for none
     * @param  string  $ingredient id of what it is; "" when that is not said
     * @param  string  $form fresh, dried, powder, or "" when that is not said
     * @param  string  $says the amount that is meant; "" when that is not said
     * @param  bool  $out no ingredient, or no amount
     */
    public function __construct(
        public string $row,
        public string $name,
        public string $amount,
        public string $ingredient = '',
        public string $form = '',
        public string $says = '',
        public bool $out = false,
    ) {
    }

    public static function from(Node $said): self
    {
        return new self(
            $said->text('row'),
            $said->text('name'),
            $said->text('amount'),
            $said->text('ingredient'),
            $said->text('form'),
            $said->text('says'),
            $said->flag('out'),
        );
    }

    /** Whether it is about a line as that was read. */
    public function isAbout(string $row, string $name, string $amount): bool
    {
        return self::plain($this->row) === self::plain($row) && $this->name === $name && $this->amount === $amount;
    }

    /** Whether it is about a figure or words of a row that became no line. */
    public function isIn(string $row): bool
    {
        return $this->name === '' && self::plain($this->row) === self::plain($row);
    }

    /** A row as it is compared: what stands around it does not count. */
    private static function plain(string $row): string
    {
        return trim(preg_replace('/\s+/u', ' ', Source::row($row)) ?? $row);
    }
}
