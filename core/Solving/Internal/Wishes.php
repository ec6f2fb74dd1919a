<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

use Crown\Assessment\Cost;
use Crown\Assessment\Examined;
use Crown\Assessment\Portion;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Name;
use Crown\Formula\Audience;
use Crown\Solving\Between;
use Crown\Solving\Requirement;
use Crown\Solving\Requirement\CostOfHundredGrams;
use Crown\Solving\Requirement\DermalMaxima;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Solving\Requirement\EssentialOilLoad;
use Crown\Solving\Requirement\Heaviness;
use Crown\Solving\Requirement\KeepsMonths;
use Crown\Solving\Requirement\ShareOf;
use Crown\Solving\SolveError;
use Crown\Solving\Wish;
use Crown\Solving\Wished;
use Crown\Words\Message;

/** A maker's wishes for a formula, and what they ask of it in figures. */
final readonly class Wishes
{
    /**
     * How far a wish goes when it says no more: a quarter softer, a third firmer, 0.4 of heaviness, a third longer, a
     * seventh cheaper. Judgements: what makers call a change worth making.
     */
    private const SOFTER = 0.75;

    private const FIRMER = 1.33;

    /** And no further: whatever else is made best, a softer butter is no oil, and a firmer one no stick. */
    private const SOFTEST = 0.6;

    private const FIRMEST = 1.66;

    /** Effective solids at which something is firm at all, per cent: what is firmer than an oil comes to these. */
    private const FIRM = [4.0, 6.0];

    private const HEAVINESS = 0.4;

    private const LONGER = 1.33;

    private const CHEAPER = 0.86;

    /** What is to be used up comes in with so many per cent more than now, and with so many at least. */
    private const USED_UP_MORE = 10.0;

    private const USED_UP_LEAST = 15.0;

    /** What has solids of so many per cent keeps them within this part, when nothing else is wished of them. */
    private const HAS_BODY = 2.0;

    private const ABOUT = 0.15;

    /** @param  list<Wished>  $wishes */
    public function __construct(private Examined $subject, private Catalogue $catalogue, private array $wishes)
    {
    }

    public function has(Wish $wish): bool
    {
        return $this->made($wish) !== [];
    }

    /** @return list<string> what each wish of this kind is of */
    public function of(Wish $wish): array
    {
        return array_values(array_filter(
            array_map(static fn (Wished $w): ?string => $w->of, $this->made($wish)),
            static fn (?string $of): bool => $of !== null,
        ));
    }

    /** @return array<int, Wished> those of this kind */
    private function made(Wish $wish): array
    {
        return array_filter($this->wishes, static fn (Wished $w): bool => $w->wish === $wish);
    }

    /** @return list<string> allergens and ingredients that it is to be without */
    public function shunned(): array
    {
        return $this->of(Wish::Without);
    }

    /** Whether an ingredient may not be in it: it went bad, is shunned, or is not for those it is to be safe for. */
    public function refuse(Ingredient $ingredient): bool
    {
        if (
            $ingredient->provenance->withdrawn !== null
            || array_filter($this->shunned(), $ingredient->answersTo(...)) !== []
        ) {
            return true;
        }
        foreach ($this->of(Wish::SafeFor) as $audience) {
            if (self::audience($audience)->excludes($ingredient) !== null) {
                return true;
            }
        }

        return false;
    }

    /**
     * @return list<Requirement> to be shown, and changed if need be
     *
     * @throws SolveError
     */
    public function requirements(): array
    {
        $requirements = array_merge(...array_map($this->requirementsOf(...), $this->wishes));
        $solids = $this->solids();
        $asked = array_filter($requirements, static fn (Requirement $r): bool => $r instanceof EffectiveSolids);
        // What is not wished otherwise stays about as it is, so that one wish does not turn a butter into an oil.
        if ($asked === [] && $solids >= self::HAS_BODY) {
            $requirements[] = new EffectiveSolids(
                new Between(round($solids * (1 - self::ABOUT), 1), round($solids * (1 + self::ABOUT), 1)),
            );
        }

        return $requirements;
    }

    /**
     * Money for 100 g of the present formula.
     *
     * @throws SolveError naming the lines whose price is not known
     */
    public function costNow(): float
    {
        $cost = Cost::of($this->subject->composition);
        if ($cost->unpriced !== []) {
            throw SolveError::unpriced(
                array_map(static fn (Portion $p): string => $p->ingredient->name, $cost->unpriced),
            );
        }

        return $cost->perHundredGrams();
    }

    /** @return list<Requirement> */
    private function requirementsOf(Wished $wished): array
    {
        return match ($wished->wish) {
            Wish::Softer => [$this->softer()],
            Wish::Firmer => [$this->firmer()],
            Wish::Lighter => $this->heaviness(-self::HEAVINESS),
            Wish::Richer => $this->heaviness(self::HEAVINESS),
            Wish::KeepsLonger => [new KeepsMonths(new Between(round($this->life() * self::LONGER, 1)))],
            Wish::Cheaper => [
                new CostOfHundredGrams(new Between(most: round($this->costNow() * self::CHEAPER, 2))),
            ],
            Wish::UseUp => [$this->usedUp($wished->of ?? '')],
            Wish::SafeFor => [
                new EssentialOilLoad(new Between(most: self::audience($wished->of ?? '')->essentialOilCeiling())),
                new DermalMaxima(new Between()),
            ],
            Wish::Without, Wish::Fewer, Wish::AtHand => [],
        };
    }

    private function softer(): Requirement
    {
        return new EffectiveSolids(
            new Between(round($this->solids() * self::SOFTEST, 1), round($this->solids() * self::SOFTER, 1)),
        );
    }

    private function firmer(): Requirement
    {
        [$least, $most] = self::FIRM;

        return new EffectiveSolids(
            new Between(
                round(max($least, $this->solids() * self::FIRMER), 1),
                round(max($most, $this->solids() * self::FIRMEST), 1),
            ),
        );
    }

    /** @return list<Requirement> none when no line has a heaviness */
    private function heaviness(float $by): array
    {
        $now = $this->subject->heaviness();

        return match (true) {
            $now === null => [],
            $by < 0.0 => [new Heaviness(new Between(most: max(1.0, round($now + $by, 1))))],
            default => [new Heaviness(new Between(min(5.0, round($now + $by, 1))))],
        };
    }

    private function usedUp(string $id): Requirement
    {
        if (! $this->catalogue->has($id)) {
            throw SolveError::field('wishes.of', new Message('solving.wishes.ingredient-use-up'));
        }
        $share = 0.0;
        foreach ($this->subject->composition->weighed() as $portion) {
            $share += $portion->ingredient->id === $id ? $portion->percent() : 0.0;
        }

        return new ShareOf(
            new Between(max(self::USED_UP_LEAST, round($share + self::USED_UP_MORE, 1))),
            [$id],
            Name::inSentence($this->catalogue->get($id)->name),
        );
    }

    private function solids(): float
    {
        return $this->subject->texture->solids(EffectiveSolids::USUAL_CELSIUS)->best;
    }

    /** Months that the blend's fats keep by themselves; 1 when that is not known. */
    private function life(): float
    {
        return $this->subject->composition->blend()->life()->best ?? 1.0;
    }

    private static function audience(string $of): Audience
    {
        return Audience::tryFrom($of)
            ?? throw SolveError::field('wishes.of', implode(', ', array_column(Audience::cases(), 'value')));
    }
}
