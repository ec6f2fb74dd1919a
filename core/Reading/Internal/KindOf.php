<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Catalogue\IngredientKind;
use Crown\Formula\ProductKind;
use Crown\Formula\Step;
use Crown\Measure\AmountReader;
use Crown\Measure\MeasureError;
use Crown\Measure\Unit;
use Crown\Reading\ReadLine;

/** What a recipe makes, guessed from all of it: what it is called, what is done, and what it is made of. */
final readonly class KindOf
{
    /** Per cent of the whole from which it sets. */
    private const WAXY = 3.0;

    private const BUTTERY = 35.0;

    private const ON_SCALP = '/\b(?:on|into|to|onto) (?:the |my |your |her )?(?:scalp|roots)\b/u';

    /** @var list<string> */
    private array $acts;

    /** What is done, in small letters. */
    private string $told;

    /** @var array<string, float> per cent of what has a mass or a share, by kind of ingredient */
    private array $shares;

    /**
     * @param  list<ReadLine>  $lines
     * @param  list<Step>  $steps in plain words
     */
    public function __construct(private string $title, array $lines, array $steps, private string $notes)
    {
        $this->acts = array_map(static fn (Step $s): string => $s->act, $steps);
        $this->told = mb_strtolower(implode(' ', array_map(static fn (Step $s): string => $s->text, $steps)));
        $this->shares = self::shares($lines);
    }

    public function kind(): ProductKind
    {
        return $this->named() ?? $this->made();
    }

    /** By what it is called, together with what it holds; null when its name says nothing. */
    private function named(): ?ProductKind
    {
        $butter = $this->share(IngredientKind::Butter);
        $wax = $this->share(IngredientKind::Wax);

        return match (true) {
            $this->isCalled('conditioner bar|bar\b') => ProductKind::ConditionerBar,
            $this->isBound() => ProductKind::Emulsion,
            $this->isCalled('conditioner\b') && $this->isDone('rinse') => ProductKind::RinseOutBalm,
            $this->isCalled('whip') || ($butter > 0.0 && $this->isDone('whip')) => ProductKind::WhippedButter,
            $butter + $wax > 0.0 && $this->isCalled('rinse[ -]out|wash[ -]out') => ProductKind::RinseOutBalm,
            $this->isCalled('balm|pomade|salve|grease|wax') => ProductKind::Balm,
            $this->isCalled('hot[ -]oil') => ProductKind::HotOil,
            $this->isCalled('scalp|growth|root') => $this->poured(ProductKind::ScalpOil),
            $this->isCalled('seal') => $this->poured(ProductKind::SealingOil),
            $butter > 0.0 && $wax < self::WAXY && $this->isCalled('butter') => ProductKind::StirredButter,
            default => null,
        };
    }

    /** By what it is made of. */
    private function made(): ProductKind
    {
        $wax = $this->share(IngredientKind::Wax);

        return match (true) {
            $wax >= self::WAXY => ProductKind::Balm,
            $this->share(IngredientKind::Butter) >= self::BUTTERY => ProductKind::StirredButter,
            $wax > 0.0 => ProductKind::Balm,
            default => $this->oil(),
        };
    }

    /** Water and oil that are held together, or are called so. */
    private function isBound(): bool
    {
        $water = $this->share(IngredientKind::Water) + $this->share(IngredientKind::Gel);

        return $water > 0.0
            && ($this->share(IngredientKind::Emulsifier) > 0.0 || $this->isCalled('cream|lotion|leave-in|milk'));
    }

    /** What is called an oil is one, unless what is in it sets. */
    private function poured(ProductKind $oil): ProductKind
    {
        return match (true) {
            $this->share(IngredientKind::Wax) >= self::WAXY => ProductKind::Balm,
            $this->share(IngredientKind::Butter) >= self::BUTTERY => ProductKind::StirredButter,
            default => $oil,
        };
    }

    /** Per cent of the whole, as far as it is known. */
    private function share(IngredientKind $kind): float
    {
        return $this->shares[$kind->value] ?? 0.0;
    }

    /** An oil by what is done with it. */
    private function oil(): ProductKind
    {
        $said = $this->told.' '.mb_strtolower($this->notes);

        return match (true) {
            preg_match('/\bhot[ -]oil\b/u', $said) === 1 => ProductKind::HotOil,
            preg_match(self::ON_SCALP, $said) === 1 => ProductKind::ScalpOil,
            preg_match('/\b(?:to|and) seal\b|\bon (?:wet|damp) hair\b/u', $said) === 1 => ProductKind::SealingOil,
            default => ProductKind::HairOil,
        };
    }

    private function isDone(string $act): bool
    {
        return in_array($act, $this->acts, true);
    }

    private function isCalled(string $words): bool
    {
        return preg_match('/\b(?:'.$words.')/iu', $this->title) === 1;
    }

    /**
     * @param  list<ReadLine>  $lines
     * @return array<string, float> as in $shares
     */
    private static function shares(array $lines): array
    {
        $much = [];
        foreach ($lines as $line) {
            if ($line->ingredient() !== '') {
                $kind = $line->matches[0]->ingredient->kind->value;
                $much[$kind] = ($much[$kind] ?? 0.0) + self::much($line);
            }
        }
        $all = array_sum($much);

        return array_map(static fn (float $m): float => $all > 0.0 ? 100 * $m / $all : 0.0, $much);
    }

    /** Grams, or per cents, or parts: a recipe seldom mixes them. */
    private static function much(ReadLine $line): float
    {
        if ($line->grams !== null) {
            return $line->grams->band->best;
        }
        try {
            $read = AmountReader::read($line->amount);
        } catch (MeasureError) {
            return 0.0;
        }

        return $read->unit === Unit::Percent || $read->unit === Unit::Part ? $read->count->best : 0.0;
    }
}
