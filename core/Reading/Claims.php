<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Assessment\Assessment;
use Crown\Assessment\Portion;
use Crown\Measure\AmountReader;
use Crown\Measure\CupSize;
use Crown\Measure\MeasureError;
use Crown\Measure\Months;
use Crown\Measure\Number;
use Crown\Measure\Unit;
use Crown\Reading\Internal\Lexicon;
use JsonSerializable;

/** What a recipe says of itself, how much it makes and how long it keeps, held against what was reckoned of it. */
final readonly class Claims implements JsonSerializable
{
    /** A yield is said roughly: so far outside the band it no longer fits. */
    private const ROUGHLY = 0.15;

    private const YIELD = '/
        (?<!\blast\ )(?<!\bfirst\ )(?<!\bnext\ )(?<!\bthis\ )\b(?:
            makes|yields?|fills|fits|total(?:\ weight)?(?:\ of)?|batch(?:\ size)?(?:\ of)?|ergibt|ergeben
            |donne|rendement|rinde|rende|resa|rendimento|levert(?:\ op)?
        )\b\s*:?\s*
        (?:about|approx\.?|around|roughly|~|ca\.?|circa|etwa|environ|env\.|unos|cerca\ de|ongeveer)?\s*(?:
            (?<jars>\d{1,3})\s*(?:
                x|×|of
                |(?:
                    jars?|tins?|bottles?|tubs?|pots?|bars?|sticks?|dosen|tiegel|gläser|flaschen|flacons?
                    |botes?|frascos?|potes?|vasetti|flaconi|potjes|flesjes|blikjes
                )\s+(?:of|à|zu|de|di|da|von|van)
            )\s*
        )?(?<much>\d+(?:[.,]\d+)?)\s*-?\s*(?<unit>fl\.?\s?oz|oz|ounces?|kg|grams?|g|ml|l)\b
    /xiu';

    /** "Yields roughly two 4 oz jars". */
    private const SIZED = '/
        \b(?:makes|yields?|fills|enough\ for)\b\s*:?\s*(?:about|approx\.?|around|roughly|~)?\s*
        (?<jars>NUMBER)\s+(?<much>\d+(?:[.,]\d+)?)\s*-?\s*(?<unit>fl\.?\s?oz|oz|ounces?|grams?|g|ml)\s+
        (?:jars?|tins?|bottles?|tubs?|pots?|bars?|sticks?)\b
    /xiu';

    /** "Makes 4 jars", "fills two tins": how many, without saying of what size. */
    private const JARS = '/
        \b(?:makes|yields?|fills|enough\ for)\b\s*:?\s*(?:about|approx\.?|around|roughly|~)?\s*
        (?<jars>NUMBER)\s+(?:(?:small|little|large|big|glass)\s+)?(?:jars?|tins?|bottles?|tubs?|pots?)\b
    /xiu';

    /** "Double this for two heads, half it for short hair". */
    private const TIMES = '/
        \b(?<times>doubled?|tripled?|halved?|half)\s+(?:this|it|that|the\ (?:recipe|amounts?))\b
    /xiu';

    private const LIFE = '/
        # "keeps for about 3 to 6 months"
        \b(?:keeps?|lasts?|good\ for|shelf[ -]life(?:\ of|\ is)?|use\ (?:it\ )?within|best\ within)\b\s*:?
        \s*(?:for\ |about\ |around\ |up\ to\ |at\ least\ |it\ )*(?<low>NUMBER)
        (?:\s*(?:-|–|to|or)\s*(?<high>NUMBER))?\s*(?<unit>day|week|month|year)s?\b
    /xiu';

    /**
     * @param  string  $yield in its own words; "" when it claims none
     * @param  float  $grams 0 when it is claimed by volume, or not at all
     * @param  float  $millilitres 0 when it is claimed by weight, or not at all
     * @param  int  $jars 0 when it names none
     * @param  string  $life in its own words; "" when it claims none
     * @param  float  $months the longest that it claims
     * @param  list<float>  $times by which it may be made larger or smaller, as it says
     */
    private function __construct(
        public string $yield,
        public float $grams,
        public float $millilitres,
        public int $jars,
        public string $life,
        public float $months,
        public array $times,
    ) {
    }

    public static function in(string $text): self
    {
        $yield = $life = '';
        $grams = $millilitres = $months = 0.0;
        $jars = 0;
        $words = [...Lexicon::of('')[0]->numbers, 'a' => 1.0, 'an' => 1.0];
        $number = '\d+|'.implode('|', array_keys($words));
        if (
            preg_match(self::YIELD, $text, $m, PREG_UNMATCHED_AS_NULL) === 1
            || preg_match(str_replace('NUMBER', $number, self::SIZED), $text, $m) === 1
        ) {
            $unit = self::unit((string) $m['unit']);
            $one = $unit->isMass() ? $unit->grams() : $unit->millilitres(CupSize::UsCustomary);
            $jars = (int) ($words[mb_strtolower((string) $m['jars'])] ?? $m['jars']);
            $much = max(1, $jars) * (float) str_replace(',', '.', (string) $m['much']) * $one;
            $volume = $unit->isVolume();
            [$yield, $grams, $millilitres] = [trim((string) $m[0]), $volume ? 0.0 : $much, $volume ? $much : 0.0];
        }
        if ($yield === '' && preg_match(str_replace('NUMBER', $number, self::JARS), $text, $m) === 1) {
            $said = mb_strtolower($m['jars']);
            [$yield, $jars] = [trim($m[0]), (int) ($words[$said] ?? $said)];
        }
        if (preg_match(str_replace('NUMBER', $number, self::LIFE), $text, $m, PREG_UNMATCHED_AS_NULL) === 1) {
            $longest = mb_strtolower((string) ($m['high'] ?? $m['low']));
            $count = (float) ($words[$longest] ?? $longest);
            [$life, $months] = [trim((string) $m[0]), self::months($count, (string) $m['unit'])];
        }

        return new self($yield, $grams, $millilitres, $jars, $life, $months, self::times($text));
    }

    /** @return list<float> each once, in the order of the text */
    private static function times(string $text): array
    {
        preg_match_all(self::TIMES, $text, $m);
        $times = array_map(static fn (string $word): float => match (mb_strtolower($word)[0]) {
            'd' => 2.0,
            't' => 3.0,
            default => 0.5,
        }, $m['times']);

        return array_values(array_unique($times));
    }

    /** @return list<string> what it claims and what does not fit what was reckoned, as sentences */
    public function against(Assessment $assessment): array
    {
        $composition = $assessment->subject->composition;
        $known = $composition->counted() !== []
            && array_filter($composition->portions, static fn (Portion $p): bool => ! $p->counts()) === [];

        return array_values(array_filter(
            $known ? [$this->less($assessment), $this->longer($assessment)] : [],
            static fn (string $sentence): bool => $sentence !== '',
        ));
    }

    /** @return array<string, int|float>|null with "grams" or "millilitres", and "jars" */
    public function jsonSerialize(): ?array
    {
        $all = ['grams' => $this->grams, 'millilitres' => $this->millilitres, 'jars' => $this->jars];
        $said = array_filter($all, static fn (int|float $much): bool => $much > 0);

        return $said === [] ? null : $said;
    }

    private function less(Assessment $assessment): string
    {
        $composition = $assessment->subject->composition;
        // Shares and parts have no sum of their own.
        foreach ($composition->portions as $portion) {
            if (self::isRelative($portion->line->amount->text)) {
                return '';
            }
        }
        [$claimed, $unit, $of] = $this->grams > 0.0
            ? [$this->grams, 'g', 1.0]
            : [$this->millilitres, 'ml', $composition->density()];
        $sum = $composition->totalGrams;
        $fits = $claimed >= (1.0 - self::ROUGHLY) * $sum->low / $of
            && $claimed <= (1.0 + self::ROUGHLY) * $sum->high / $of;

        return $claimed <= 0.0 || $fits ? '' : sprintf(
            'It says "%s". Its amounts come to %s %s.',
            $this->yield,
            Number::shown($sum->best / $of, 0),
            $unit,
        );
    }

    private function longer(Assessment $assessment): string
    {
        $life = $assessment->subject->life->months;

        return $this->months <= 1.1 * $life->high ? '' : sprintf(
            'It says "%s". As it was read it keeps %s.',
            $this->life,
            $life->best < 2.0
                ? Number::shown((float) Months::inDays($life->best), 0).' days'
                : Number::shown($life->best, 0).' months',
        );
    }

    private static function isRelative(string $amount): bool
    {
        try {
            $unit = AmountReader::read($amount)->unit;
        } catch (MeasureError) {
            return false;
        }

        return $unit === Unit::Percent || $unit === Unit::Part;
    }

    /** Ounces of a yield are by weight, unless they are called fluid. */
    private static function unit(string $written): Unit
    {
        $unit = mb_strtolower($written);

        return match (true) {
            str_starts_with($unit, 'fl') => Unit::FluidOunce,
            str_starts_with($unit, 'o') => Unit::Ounce,
            str_starts_with($unit, 'g') => Unit::Gram,
            default => Unit::from($unit),
        };
    }

    private static function months(float $count, string $unit): float
    {
        return match (mb_strtolower($unit)) {
            'day' => Months::ofDays($count),
            'week' => Months::ofDays(7.0 * $count),
            'year' => 12.0 * $count,
            default => $count,
        };
    }
}
