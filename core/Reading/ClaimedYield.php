<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Assessment\Assessment;
use Crown\Measure\AmountReader;
use Crown\Measure\CupSize;
use Crown\Measure\MeasureError;
use Crown\Measure\Number;
use Crown\Measure\Unit;

/** How much a recipe says that it makes. */
final readonly class ClaimedYield
{
    /** It is said roughly: so far outside the band it no longer fits. */
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
        (?<jars>NUMBER)\s+(?:(?:small|little|large|big|glass)\s+)?
        (?:jars?|tins?|bottles?|tubs?|pots?|bars?|sticks?|pieces?)\b
    /xiu';

    /**
     * @param  string  $words its own
     * @param  float|null  $grams null when it is claimed by volume, or only by jars
     * @param  float|null  $millilitres null when it is claimed by weight, or only by jars
     * @param  int|null  $jars null when it names none
     */
    private function __construct(
        public string $words,
        public ?float $grams,
        public ?float $millilitres,
        public ?int $jars,
    ) {
    }

    /**
     * @param  array<string, float>  $numbers that are written as words
     * @return self|null null where nothing is said of it
     */
    public static function in(string $text, array $numbers): ?self
    {
        $number = '\d+|'.implode('|', array_keys($numbers));
        $many = static fn (string $said): ?int => (int) ($numbers[mb_strtolower($said)] ?? $said) ?: null;
        if (
            preg_match(self::YIELD, $text, $m, PREG_UNMATCHED_AS_NULL) === 1
            || preg_match(str_replace('NUMBER', $number, self::SIZED), $text, $m) === 1
        ) {
            $unit = self::unit((string) $m['unit']);
            $one = $unit->isMass() ? $unit->grams() : $unit->millilitres(CupSize::UsCustomary);
            $jars = $many((string) $m['jars']);
            $much = ($jars ?? 1) * (float) str_replace(',', '.', (string) $m['much']) * $one ?: null;
            $volume = $unit->isVolume();

            return new self(trim((string) $m[0]), $volume ? null : $much, $volume ? $much : null, $jars);
        }

        return preg_match(str_replace('NUMBER', $number, self::JARS), $text, $m) === 1
            ? new self(trim($m[0]), null, null, $many($m['jars']))
            : null;
    }

    /** Why it does not fit what its amounts come to, in a sentence; null where it does, or where nothing tells. */
    public function against(Assessment $assessment): ?string
    {
        $claimed = $this->grams ?? $this->millilitres;
        if ($claimed === null) {
            return null;
        }
        $composition = $assessment->subject->composition;
        // Shares and parts have no sum of their own.
        foreach ($composition->portions as $portion) {
            if (self::isRelative($portion->line->amount->text)) {
                return null;
            }
        }
        [$unit, $of] = $this->grams === null ? ['ml', $composition->density()] : ['g', 1.0];
        $sum = $composition->totalGrams;
        $fits = $claimed >= (1.0 - self::ROUGHLY) * $sum->low / $of
            && $claimed <= (1.0 + self::ROUGHLY) * $sum->high / $of;

        return $fits ? null : sprintf(
            'It says "%s". Its amounts come to %s %s.',
            $this->words,
            Number::shown($sum->best / $of, 0),
            $unit,
        );
    }

    /** What each of so many comes to, in a sentence; null where it does not say how many, or of what size. */
    public function each(Assessment $assessment): ?string
    {
        $sum = $assessment->subject->composition->totalGrams->best;
        if ($this->jars === null || $this->grams !== null || $this->millilitres !== null || $sum <= 0.0) {
            return null;
        }

        return sprintf('It says "%s": %s g each.', $this->words, Number::shown($sum / $this->jars, 0));
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
}
