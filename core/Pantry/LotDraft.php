<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Catalogue\NameMatch;
use DateTimeImmutable;
use JsonSerializable;

/**
 * What one line says of something that was bought, before it is put on the shelf.
 *
 * As JSON: $defs/LotRead in docs/formats/crown.schema.json.
 */
final readonly class LotDraft implements JsonSerializable
{
    /**
     * @param  string  $text as it was typed
     * @param  int  $count containers of it, at least 1
     * @param  list<NameMatch>  $matches what it may be, the likeliest first
     * @param  string  $name as it was written
     * @param  string  $amount of one container, as it was written; "" where none is
     * @param  float|null  $grams in one container; null where it cannot be told
     * @param  float|null  $cost of one container
     * @param  string  $currency ISO 4217; "" where it is not said
     * @param  array<string, string>  $doubts by field, as sentences
     */
    public function __construct(
        public string $text,
        public int $count,
        public array $matches,
        public string $name,
        public string $amount,
        public ?float $grams,
        public ?float $cost,
        public string $currency,
        public ?DateTimeImmutable $printed,
        public ?DateTimeImmutable $opened,
        public ?DateTimeImmutable $bought,
        public string $supplier,
        public string $batchNumber,
        public string $place,
        public ?float $tareGrams,
        public string $note,
        public array $doubts,
    ) {
    }

    /** The same with its part of what was paid for the whole: carriage and the like. */
    public function landed(float $share): self
    {
        return new self(
            $this->text,
            $this->count,
            $this->matches,
            $this->name,
            $this->amount,
            $this->grams,
            $this->cost === null ? null : $this->cost + $share,
            $this->currency,
            $this->printed,
            $this->opened,
            $this->bought,
            $this->supplier,
            $this->batchNumber,
            $this->place,
            $this->tareGrams,
            $this->note,
            $this->doubts,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $day = static fn (?DateTimeImmutable $d): ?string => $d?->format('Y-m-d');
        $what = $this->matches[0]->ingredient ?? null;

        return [
            'text' => $this->text,
            'count' => $this->count,
            'ingredient' => $what->id ?? '',
            'name' => $what->name ?? $this->name,
            'others' => array_map(
                static fn (NameMatch $m): array => ['id' => $m->ingredient->id, 'name' => $m->ingredient->name],
                array_slice($this->matches, 1, 4),
            ),
            'amount' => $this->amount,
            'grams' => $this->grams === null ? null : round($this->grams, 2),
            'cost' => $this->cost === null ? null : round($this->cost, 4),
            'currency' => $this->currency,
            'printed_on' => $day($this->printed),
            'opened_on' => $day($this->opened),
            'bought_on' => $day($this->bought),
            'supplier' => $this->supplier,
            'batch_number' => $this->batchNumber,
            'place' => $this->place,
            'tare_grams' => $this->tareGrams,
            'note' => $this->note,
            'doubts' => (object) $this->doubts,
        ];
    }
}
