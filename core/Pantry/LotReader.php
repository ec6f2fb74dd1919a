<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Catalogue\Catalogue;
use Crown\Measure\AmountReader;
use Crown\Measure\Kitchen;
use Crown\Measure\MeasureError;
use Crown\Measure\Place;
use Crown\Reading\ReadingError;
use Crown\Reading\ReadLine;
use Crown\Reading\RecipeReader;
use Crown\Words\Message;
use DateTimeImmutable;

/**
 * Reads what was bought, as it is typed in one line ("250 ml castor, 6.90, best before 3/28, opened today") or pasted
 * from a bill. Every piece has a place: amount and name, price, dates, where from, where it stands, or a note. Carriage
 * is shared among the lines by what they cost; sums are left aside. Method page: docs/methods/pantry.md.
 */
final readonly class LotReader
{
    public const MOST_LINES = 200;

    /** A line that is no thing: what it is for the sum, by how it begins. */
    private const SUMS = '/
        ^(?:sub-?total|total|sum(?:me)?|vat|tax|mwst|discount|rabatt|zwischensumme|gesamt|paid)\b
    /xiu';

    private const CARRIAGE = '/
        # what was paid for the way
        ^(?:shipping|postage|delivery|carriage|p\s?&\s?p|versand(?:kosten)?|porto|frais)\b
    /xiu';

    private const MONEY = '/(?<![\d.,])(?<sign>[€$£])?\s?      # before the sum, or after it
        (?<sum>\d{1,5}(?:[.,]\d{2})|(?<=[€$£])\d{1,5}|(?<=[€$£]\s)\d{1,5})
        \s?(?<unit>€|\$|£|EUR|USD|GBP|CHF|CAD|AUD)?$/ixu';

    /** An amount by itself, in a column of its own. */
    private const AMOUNT = '/^\d+(?:[.,]\d+)?\s?(?:g|kg|ml|cl|l|oz|lb|lbs)$/iu';

    private const CURRENCIES = ['€' => 'EUR', '$' => 'USD', '£' => 'GBP'];

    /** Pieces that say what they are by their first words. */
    private const PIECES = [
        'printed' => '/
            ^(?:best\s+before|best\s+by|use\s+by|bbe|bb|exp(?:iry|ires|\.)?|mhd|haltbar\s+bis)\b[\s:.]*
        /xiu',
        'opened' => '/^(?:opened|geöffnet)\b[\s:]*/iu',
        'bought' => '/^(?:bought|gekauft)\b[\s:]*(?:on\s+)?/iu',
        'batch' => '/^(?:lot|batch|charge|lot\s+no|nr)\b[\s.:#]*/iu',
        'supplier' => '/^(?:from|bei|von)\s+/iu',
        'tare' => '/^(?:tare|empty)\b[\s:]*/iu',
    ];

    private RecipeReader $recipes;

    /** @param  list<Place>  $places where things are kept here */
    public function __construct(
        Catalogue $catalogue,
        private Kitchen $kitchen,
        private array $places,
        private DateTimeImmutable $today,
        private bool $monthFirst = false,
    ) {
        $this->recipes = new RecipeReader($catalogue, $this->kitchen);
    }

    /**
     * @return list<LotDraft> one for each line that is a thing
     *
     * @throws PantryError when there are too many lines
     */
    public function read(string $text): array
    {
        $rows = array_values(array_filter(array_map(trim(...), preg_split('/\R/u', $text) ?: [])));
        if (count($rows) > self::MOST_LINES) {
            throw PantryError::field('text', new Message('pantry.lot-reader.most-lines', [
                'most' => self::MOST_LINES,
            ]));
        }
        $drafts = [];
        $carriage = 0.0;
        foreach ($rows as $row) {
            $row = (string) preg_replace('/^[-*•·]\s+/u', '', $row);
            if (preg_match(self::CARRIAGE, $row) === 1) {
                $carriage += self::money($row)[0] ?? 0.0;
            } elseif (preg_match(self::SUMS, $row) !== 1) {
                $drafts[] = $this->line($row);
            }
        }

        return self::landed($drafts, $carriage);
    }

    private function line(string $row): LotDraft
    {
        $said = $this->sorted($this->pieces($row));
        [$cost, $currency, $thing] = [$said->cost, $said->currency, $said->thing];
        if ($cost === null) {
            // A bill has its price at the end of the line.
            [$cost, $currency, $thing] = self::money($thing);
        }
        $count = preg_match('/^(\d{1,2})\s?[x×]\s+(.+)$/iu', $thing, $m) === 1 ? max(1, (int) $m[1]) : 1;
        $thing = $m[2] ?? $thing;
        $read = $this->thing($thing);
        $grams = $read === null ? null : self::massOf($read);

        return new LotDraft(
            $row,
            $count,
            $read->matches ?? [],
            $read->name ?? $thing,
            $read->amount ?? '',
            $grams,
            $cost === null ? null : $cost / $count,
            $currency,
            $this->date($said->of('printed')),
            $this->date($said->of('opened')),
            $this->date($said->of('bought')) ?? $this->today,
            $said->of('supplier'),
            $said->of('batch'),
            $said->of('place'),
            self::grams($said->of('tare')),
            implode(', ', $said->notes),
            $this->doubts($said, $read, $grams),
        );
    }

    /** Grams of what stands in a line; null when they cannot be told. */
    private static function massOf(ReadLine $read): ?float
    {
        return $read->grams?->band->best ?? self::weighed($read->amount);
    }

    /**
     * @return array<string, string> by field
     */
    private function doubts(Pieces $said, ?ReadLine $read, ?float $grams): array
    {
        $doubts = [];
        foreach (['printed', 'opened', 'bought'] as $field) {
            if ($said->of($field) !== '' && $this->date($said->of($field)) === null) {
                $doubts[$field.'_on'] = Message::said('pantry.lot-reader.no-date-can-be', [
                    'text' => $said->of($field),
                ]);
            }
        }

        return [
            ...$doubts,
            ...$read === null || $read->matches === []
                ? ['ingredient' => Message::said('pantry.lot-reader.which-ingredient')]
                : [],
            ...$grams === null ? ['grams' => Message::said('pantry.lot-reader.how-much')] : [],
        ];
    }

    /**
     * Each piece where it belongs; the first that is nothing else is the thing itself.
     *
     * @param  list<string>  $pieces
     */
    private function sorted(array $pieces): Pieces
    {
        $of = new Pieces();
        foreach ($pieces as $n => $piece) {
            $kind = self::kind($piece);
            if ($kind !== '') {
                // "opened" alone is today.
                $of = $of->with($kind, trim((string) preg_replace(self::PIECES[$kind], '', $piece)) ?: 'today');
            } elseif ($n === 0) {
                $of = $of->thing($piece);
            } else {
                $of = $this->further($of, $piece);
            }
        }

        return $of;
    }

    /** What stands after the thing: what it cost, where it stands, its amount in a column of its own, or a note. */
    private function further(Pieces $of, string $piece): Pieces
    {
        $money = self::money($piece);
        $place = $this->place($piece);

        return match (true) {
            $money[0] !== null && $money[2] === '' => $of->costing($money[0], $money[1]),
            $of->cost === null && preg_match('/^\d{1,4}$/', $piece) === 1 => $of->costing((float) $piece, ''),
            $place !== '' => $of->with('place', $place),
            $of->thing === '' => $of->thing($piece),
            ! preg_match('/\d/', $of->thing) && preg_match(self::AMOUNT, $piece) => $of->thing("$piece $of->thing"),
            default => $of->noting($piece),
        };
    }

    /** @return list<string> what stands between commas and semicolons that are no decimals */
    private function pieces(string $row): array
    {
        $pieces = preg_split('/\t+|\s*;\s*|,(?!\d)\s*|(?<!\d),\s*|(?<=\d),\s+(?=\d)/u', $row) ?: [$row];

        return array_values(array_filter(array_map(trim(...), $pieces), static fn (string $p): bool => $p !== ''));
    }

    private static function kind(string $piece): string
    {
        foreach (self::PIECES as $kind => $pattern) {
            if (preg_match($pattern, $piece) === 1) {
                return $kind;
            }
        }

        return '';
    }

    /** @return array{float|null, string, string} the sum, its currency, and what stands before it */
    private static function money(string $piece): array
    {
        if (preg_match(self::MONEY, $piece, $m) !== 1) {
            return [null, '', $piece];
        }
        $unit = ($m['unit'] ?? '') !== '' ? $m['unit'] : $m['sign'];

        return [
            (float) str_replace(',', '.', $m['sum']),
            self::CURRENCIES[$unit] ?? strtoupper($unit),
            trim(mb_substr($piece, 0, mb_strlen($piece) - mb_strlen($m[0]))),
        ];
    }

    private function place(string $piece): string
    {
        $plain = mb_strtolower((string) preg_replace('/^(?:in|on|at)\s+(?:the\s+)?/iu', '', $piece));
        foreach ($this->places as $place) {
            if (mb_strtolower($place->name) === $plain) {
                return $place->name;
            }
        }

        return '';
    }

    private function date(string $written): ?DateTimeImmutable
    {
        return WrittenDate::read($written, $this->today, $this->monthFirst);
    }

    /** What needs no density: grams, kilograms, ounces. Null for all else. */
    private static function weighed(string $amount): ?float
    {
        try {
            $read = $amount === '' ? null : AmountReader::read($amount);
        } catch (MeasureError) {
            return null;
        }

        return $read !== null && $read->unit->isMass() ? $read->count->best * $read->unit->grams() : null;
    }

    /** "0.2 kg" is 200 g; a figure alone is grams. */
    private static function grams(string $written): ?float
    {
        return self::weighed($written) ?? self::figure($written);
    }

    private static function figure(string $written): ?float
    {
        return preg_match('/\d+(?:[.,]\d+)?/', $written, $m) === 1 ? (float) str_replace(',', '.', $m[0]) : null;
    }

    private function thing(string $thing): ?ReadLine
    {
        try {
            return $this->recipes->read($thing)->lines[0] ?? null;
        } catch (ReadingError) {
            return null;
        }
    }

    /**
     * Carriage by what each thing cost; what has no price bears none.
     *
     * @param  list<LotDraft>  $drafts
     * @return list<LotDraft>
     */
    private static function landed(array $drafts, float $carriage): array
    {
        $sum = array_sum(array_map(static fn (LotDraft $d): float => ($d->cost ?? 0.0) * $d->count, $drafts));

        return $carriage <= 0.0 || $sum <= 0.0 ? $drafts : array_map(
            static fn (LotDraft $d): LotDraft => $d->landed($carriage * ($d->cost ?? 0.0) / $sum),
            $drafts,
        );
    }
}
