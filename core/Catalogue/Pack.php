<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/**
 * The catalogue's files as plain arrays, read once and checked: what a long-running application keeps ready, so that a
 * request need not read three hundred files.
 */
final readonly class Pack
{
    /**
     * @param  array<string, array<array-key, mixed>>  $entries
     * @param  array<string, array{leave_on: float, rinse_off: float, source: string}>  $limits
     * @param  array<string, string>  $sources
     * @param  array{exact: array<string, string>, byWord: array<string, array<string, list<string>>>, joined: array<string, array<string, list<string>>>}  $names
     */
    public function __construct(
        public array $entries,
        public array $limits,
        public array $sources,
        public array $names,
    ) {
    }

    public function open(): Catalogue
    {
        $limits = [];
        foreach ($this->limits as $name => $row) {
            $limits[$name] = new ConstituentLimit($name, $row['leave_on'], $row['rinse_off'], $row['source']);
        }
        $reader = new EntryReader($this->sources);

        return new Catalogue(new Shelf($this->entries, $reader->ingredient(...)), [], $limits, $this->sources, NameIndex::packed($this->names));
    }
}
