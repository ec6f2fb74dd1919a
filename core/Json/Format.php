<?php

declare(strict_types=1);

namespace Crown\Json;

/**
 * A kind of document that is kept for years. Each carries the number of the format in which it was written ("version";
 * none is the first), and is brought up to today's, one step after the other, when it is read. Nothing is rewritten.
 */
final readonly class Format
{
    /**
     * @param  string  $name what stands under "format"
     * @param  list<callable(array<array-key, mixed>): array<array-key, mixed>>  $steps the first from 1 to 2, and so on
     */
    public function __construct(private string $name, private array $steps = [])
    {
    }

    /** Today's number. */
    public function number(): int
    {
        return count($this->steps) + 1;
    }

    /** @return array{format: string, version: int} what a document written today begins with */
    public function head(): array
    {
        return ['format' => $this->name, 'version' => $this->number()];
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed> in today's format
     *
     * @throws JsonError about "version" when it is no number of ours, or of a later version
     */
    public function upcast(array $document): array
    {
        $number = $document['version'] ?? 1;
        if (! is_int($number) || $number < 1 || $number > $this->number()) {
            throw JsonError::field('version', sprintf('1 to %d: a later one cannot be read here', $this->number()));
        }
        foreach (array_slice($this->steps, $number - 1) as $step) {
            $document = $step($document);
        }

        return $document;
    }
}
