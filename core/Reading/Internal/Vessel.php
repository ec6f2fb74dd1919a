<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Measure\Amount;
use Crown\Measure\CupSize;

/**
 * A bottle that is filled by sight: to its marks, to a half, to three quarters, and the rest; each pour becomes an
 * amount.
 */
final readonly class Vessel
{
    private const SIZE = '/
        (\d+(?:[.,]\d+)?)\s*-?\s*(fl\.?\s?oz|oz|ounces?|ml|mls|cl|l)\b\.?[ -]*(?:\w+\ ){0,2}?
        (?:bottle|jar|tin|tub|pot|flask|container)
    /xiu';

    /** "My spray bottle (200 ml)". */
    private const SIZE_AFTER = '/
        \b(?:bottle|jar|tin|tub|pot|flask)\s*(?:\(|is\s+|holds\s+|takes\s+)(\d+(?:[.,]\d+)?)\s*
        (fl\.?\s?oz|oz|ml|mls|cl|l)\b
    /xiu';

    private const PART = [
        'a quarter' => 0.25, 'one quarter' => 0.25, 'quarter' => 0.25, 'a third' => 0.3333, 'one third' => 0.3333,
        'half' => 0.5, 'half way' => 0.5, 'halfway' => 0.5,
        'two thirds' => 0.6667, 'three quarters' => 0.75, 'full' => 1.0,
        '1/4' => 0.25, '1/3' => 0.3333, '1/2' => 0.5, '2/3' => 0.6667, '3/4' => 0.75,
    ];

    /** "Half a tub of shea (250 g tub)". */
    private const PART_OF_ONE = '/
        \b(?<part>
            half|a\ quarter\ of|a\ third\ of|three\ quarters\ of|two\ thirds\ of|a\ whole|an?|one|two|three
            |[1-9]
        )\s+(?:of\s+)?(?:an?\s+|the\s+)?
        (?:tub|jar|pot|tin|bag|bottle|block|bar|packet|pack|brick|can|carton)s?\s+of\s+
        (?<name>\p{L}[\p{L} \'-]{2,40}?)\s*\((?:an?\s+|the\s+|it(?:\'s|\ is)\ an?\s+|each\s+)?
        (?<size>\d+(?:[.,]\d+)?)\s*-?\s*(?<unit>g|kg|ml|l|oz|lb)\b[^)]{0,12}\)
    /xiu';

    /** "A shot glass (40 ml) of castor". */
    private const ONE_OF = '/
        (?<![\d\/])(?<part>half\ an?|an?|one|two|three|[1-9]\/[2-5]|[1-9])\s+(?:\p{L}+\s+){0,2}?
        (?:glass|mug|tub|jar|pot|tin|bottle|ladle|scoop|bowl|lid|cap|egg\ ?cup)(?:es|s)?\s*\(
        (?:about\s+|ca\.?\s+|~\s*|holds\s+|each\s+)*(?<size>\d+(?:[.,]\d+)?)\s*-?\s*(?<unit>g|ml|l|oz)
        (?:\s\p{L}{2,10})?\)\s+(?:of\s+)?(?=\p{L})
    /xiu';

    /** "A glug of olive oil (about 30 ml)": it is said after all. */
    private const AFTER_ALL = '/
        \b(?:an?|one|two|[1-9])\s+(?:(?:big|small|good)\s+)?(?:
            glug|knob|splash|dash|dollop|handful|squeeze|blob|spoon|spoonful|lump|drizzle|capful|scoop|bit
            |chunk|lick
        )s?\s+of\s+(?<name>\p{L}[\p{L} \'-]{2,40}?)\s*\(
        (?:about|approx\.?|ca\.?|circa|~|maybe|roughly|around|say)?\s*(?<size>\d+(?:[.,]\d+)?)\s*
        (?<unit>g|ml|oz|tbsp|tsp|drops?)(?:\s+(?:or\ so|ish|maybe|perhaps))?\)
    /xiu';

    private const WHOLES = ['a' => 1.0, 'an' => 1.0, 'one' => 1.0, 'a whole' => 1.0, 'two' => 2.0, 'three' => 3.0];

    private function __construct(private float $millilitres)
    {
    }

    /** The vessel that a text names; one of 0 ml when it names none. */
    public static function in(string $text): self
    {
        return new self(
            preg_match(self::SIZE, $text, $m) === 1 || preg_match(self::SIZE_AFTER, $text, $m) === 1
                ? self::millilitres((float) str_replace(',', '.', $m[1]), $m[2])
                : 0.0,
        );
    }

    /**
     * @param  list<Row>  $rows
     * @return list<Row> the same, each part of a vessel whose size is said as what it comes to
     */
    public static function shared(array $rows): array
    {
        return array_map(static fn (Row $row): Row => ! str_contains($row->text, '(') ? $row : new Row(
            Unitless::spread(
                preg_replace_callback(
                    [self::PART_OF_ONE, self::ONE_OF, self::AFTER_ALL],
                    self::share(...),
                    $row->text,
                ) ?? $row->text,
            ),
            $row->of,
            $row->piece,
        ), $rows);
    }

    /** @param  array<array-key, string>  $m */
    private static function share(array $m): string
    {
        $said = mb_strtolower($m['part'] ?? 'one');
        $part = self::WHOLES[$said] ?? self::PART[preg_replace('/ (?:of|an?)$/', '', $said) ?? '']
            ?? self::figure($said);
        $amount = Amount::number(round($part * (float) str_replace(',', '.', $m['size']), 2));

        return sprintf('%s %s of %s', $amount, $m['unit'], $m['name'] ?? '');
    }

    private static function figure(string $said): float
    {
        [$over, $under] = [...explode('/', $said), '1'];

        return (float) $over / max(1.0, (float) $under);
    }

    /** The amount of what fills it up. */
    public function rest(): string
    {
        return $this->millilitres > 0.0 ? 'to make '.Amount::number($this->millilitres).' ml' : 'to fill';
    }

    /**
     * @param  list<Row>  $rows
     * @return list<Row> the same, each pour as "60 ml castor oil"
     */
    public function poured(array $rows): array
    {
        $level = 0.0;
        $poured = [];
        foreach ($rows as $row) {
            foreach ($this->clauses($row->text) as $clause) {
                $poured[] = new Row($this->pour($clause, $level) ?? $clause, $row->of, $row->piece);
            }
        }

        return $poured;
    }

    /** @return list<string> a row that pours several is taken apart, any other stays whole */
    private function clauses(string $row): array
    {
        $parts = preg_split('/(?<=[.!;])\s+|,\s+(?=(?:then|the rest|top up)\b)/iu', $row) ?: [$row];
        $pours = array_filter($parts, fn (string $p): bool => $this->measure($p) !== null || self::isRest($p));

        return count($pours) >= 1 && count($parts) > 1 ? $parts : [$row];
    }

    private function pour(string $clause, float &$level): ?string
    {
        $measure = $this->measure($clause);
        if ($measure === null) {
            return preg_match('/
                # "top up with …", "the rest is …"
                ^(?:then\s+)?(?:
                    (?:the\ )?rest(?:\ is|\ with|\ of\ it\ is)?|top(?:ped)?(?:\ it)?(?:\ up|\ off)?\ with
                    |fill(?:\ it)?(?:\ up)?\ with|fill\ the\ rest\ with
                )\s+(?:of\s+)?(?<name>\p{L}[^.;]*)
            /xiu', $clause, $m) === 1
                ? $this->rest().' '.trim($m['name'])
                : null;
        }
        [$to, $name] = $measure;
        $amount = $to - $level;
        $level = $to;

        return $amount > 0.0 ? Amount::number(round($amount, 1)).' ml '.$name : null;
    }

    private static function isRest(string $clause): bool
    {
        return preg_match('/^(?:then\s+)?(?:the rest|top(?:ped)?(?: it)?(?: up| off)? with)/iu', $clause) === 1;
    }

    /** @return array{float, string}|null millilitres to which it is filled, and with what */
    private function measure(string $clause): ?array
    {
        if (preg_match('/
            (?:fill(?:\ it)?\ )?(?:up\ )?to\ the\ (\d+(?:[.,]\d+)?)\s*(fl\ oz|oz|ounces?|ml)\s+(?:mark|line)
            \s+with\s+(?<name>[^,.;]+)
        /xiu', $clause, $m) === 1) {
            return [self::millilitres((float) str_replace(',', '.', $m[1]), $m[2]), trim($m['name'])];
        }
        if ($this->millilitres <= 0.0) {
            return null;
        }
        $upTo = '/
            # "castor up to 30 ml": poured until it stands there
            ^(?<name>\p{L}[\p{L} \'-]+?)\s+up\ to\s+(?:the\s+)?(?<to>\d+(?:[.,]\d+)?)\s*
            (?<unit>fl\ oz|oz|ml)?(?:\s+mark)?$
        /xiu';
        if (preg_match($upTo, $clause, $m, PREG_UNMATCHED_AS_NULL) === 1) {
            $to = (float) str_replace(',', '.', (string) $m['to']);

            return [self::millilitres($to, $m['unit'] ?? 'ml'), (string) $m['name']];
        }
        // "Three quarters" before "quarter".
        $parts = str_replace('/', '\/', implode('|', array_reverse(array_keys(self::PART))));
        $until = "\\s+(?:until|till|til)\\s+(?:(?:it is|it's|its)\\s+)?";
        foreach (
            [
                "/(?<part>$parts) fill\\b.*?\\bwith\\s+(?<name>[^,.;]+)/iu",
                "/^(?:then\\s+)?(?:up\\s+)?(?:to\\s+)?(?<part>$parts)(?:\\s+full)?\\s+with\\s+(?<name>[^,.;]+)/iu",
                "/fill\\b.*?(?<part>$parts)(?: full| way)?\\s+with\\s+(?<name>[^,.;]+)/iu",
                "/^(?:then\\s+)?(?:add\\s+)?(?<name>\\p{L}[\\p{L} '-]+?)$until(?<part>$parts)(?: full)?/iu",
            ] as $pattern
        ) {
            if (preg_match($pattern, $clause, $m) === 1) {
                $part = self::PART[mb_strtolower($m['part'])];

                return [$part * $this->millilitres, trim($m['name'])];
            }
        }

        return null;
    }

    private static function millilitres(float $value, string $unit): float
    {
        return $value * match (mb_strtolower($unit)) {
            'cl' => 10.0,
            'l' => 1000.0,
            'ml', 'mls' => 1.0,
            default => CupSize::UsCustomary->fluidOunceMillilitres(),
        };
    }
}
