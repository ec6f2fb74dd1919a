<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Closure;
use Crown\Catalogue\Internal\Derived;
use Crown\Catalogue\Internal\Later;
use Crown\Catalogue\Internal\NameIndex;
use Crown\Catalogue\Internal\NatureOfName;
use Crown\Catalogue\Internal\Shelf;

/**
 * All ingredients at hand: the reference ones, and those that a studio adds with with() or corrects with corrected().
 */
final readonly class Catalogue
{
    /** So many more likenesses are looked at as may fall away. */
    private const OF_ANOTHER_NATURE = 6;

    /** From here a plant is meant, and from here a thing that has an entry of its own. */
    private const LIKELY = 0.75;

    private const NEAR = 0.85;

    /**
     * @param  Shelf  $own the studio's own and corrected entries and its steeped oils, which stand before those on the
     *     shelf
     * @param  array<string, ConstituentLimit>  $limits keyed by constituent
     * @param  array<string, string>  $sources keyed by id
     */
    public function __construct(
        private Shelf $shelf,
        private Shelf $own,
        private array $limits,
        private array $sources,
        private NameIndex $names,
        private ?Later $later = null,
    ) {
    }

    /**
     * The same catalogue, and a larger one that is fetched only when something is asked for that this one has not: most
     * formulas name nothing of the studio's own. What it has, the larger one must have just so.
     *
     * @param  Closure(): self  $larger
     */
    public function within(Closure $larger): self
    {
        return new self(
            $this->shelf,
            $this->own,
            $this->limits,
            $this->sources,
            $this->names,
            new Later($larger),
        );
    }

    /** The same catalogue with a studio's own ingredients beside the reference ones. */
    public function with(Ingredient ...$own): self
    {
        if ($own === [] || $this->later !== null) {
            return $own === [] ? $this : $this->whole()->with(...$own);
        }
        $added = [];
        foreach ($own as $ingredient) {
            $added[$ingredient->id] = $ingredient;
        }

        return $this->before(Shelf::of($added), $this->names->with($added));
    }

    /**
     * The same catalogue with what a studio made itself beside the rest. What a steep gave is a calculation of its own,
     * so that a request pays for the ones it names; each may be made of those before it.
     */
    public function making(Making ...$made): self
    {
        if ($made === [] || $this->later !== null) {
            return $made === [] ? $this : $this->whole()->making(...$made);
        }
        $whole = null;
        $makers = $names = [];
        foreach ($made as $one) {
            $makers[$one->id] = static function () use ($one, &$whole): Ingredient {
                /** @var self $whole */
                return ($one->make)($whole);
            };
            if ($one->name !== null) {
                $names[$one->id] = $one->name;
            }
        }

        return $whole = $this->before(new Shelf($makers), $this->names->named($names));
    }

    /**
     * The same catalogue with a studio's figures in place of the reference ones. A correction of what is not there is
     * left aside.
     */
    public function corrected(Correction ...$corrections): self
    {
        if ($this->later !== null) {
            return $corrections === [] ? $this : $this->whole()->corrected(...$corrections);
        }
        $byId = [];
        foreach ($corrections as $correction) {
            if ($this->has($correction->ingredient)) {
                $byId[$correction->ingredient][] = $correction;
            }
        }
        $correct = fn (string $id): Ingredient => array_reduce(
            $byId[$id],
            static fn (Ingredient $i, Correction $c): Ingredient => $i->corrected($c),
            $this->get($id),
        );
        $makers = [];
        foreach (array_keys($byId) as $id) {
            $makers[$id] = static fn (): Ingredient => $correct($id);
        }

        return $makers === [] ? $this : $this->before(new Shelf($makers), $this->names);
    }

    /**
     * The same catalogue with everything out of the bottle from which it is taken. A bottle of what is not there is
     * left aside.
     *
     * @param  array<string, Bottle>  $bottles by ingredient id
     */
    public function outOf(array $bottles): self
    {
        $makers = [];
        foreach ($bottles as $id => $bottle) {
            if ($this->own->has($id) || $this->shelf->has($id)) {
                $makers[$id] = fn (): Ingredient => $this->get($id)->outOf($bottle);
            }
        }

        return new self(
            $this->shelf,
            $makers === [] ? $this->own : $this->own->under(new Shelf($makers)),
            $this->limits,
            $this->sources,
            $this->names,
            $this->later?->then(static fn (self $all): self => $all->outOf($bottles)),
        );
    }

    /** This catalogue, or the larger one where there is one. */
    private function whole(): self
    {
        return $this->later?->whole() ?? $this;
    }

    private function before(Shelf $more, NameIndex $names): self
    {
        return new self($this->shelf, $this->own->under($more), $this->limits, $this->sources, $names);
    }

    public function has(string $id): bool
    {
        return $this->own->has($id)
            || $this->shelf->has($id)
            || ($id !== '' && $this->later !== null && $this->whole()->has($id))
            || (Derived::mayHold($id) && $this->derives($id));
    }

    /** @throws CatalogueError when there is none */
    public function get(string $id): Ingredient
    {
        return match (true) {
            $this->own->has($id) => $this->own->get($id),
            $this->shelf->has($id) => $this->shelf->get($id),
            $this->later !== null => $this->whole()->get($id),
            default => (new Derived($this->get(...)))->get($id),
        };
    }

    /** Whether an id is built of those of things that are here: "tea.nettle", "infused.comfrey-leaf.olive-oil". */
    private function derives(string $id): bool
    {
        try {
            $this->get($id);

            return true;
        } catch (CatalogueError) {
            return false;
        }
    }

    /** The reference entry, whatever the studio has put over it. @throws CatalogueError when there is none */
    public function reference(string $id): Ingredient
    {
        return $this->shelf->get($id);
    }

    /** @return array<string, Ingredient> */
    public function all(): array
    {
        return $this->later === null ? [...$this->shelf->all(), ...$this->own->all()] : $this->whole()->all();
    }

    /** @return array<string, ConstituentLimit> */
    public function limits(): array
    {
        return $this->limits;
    }

    /** @return array<string, string> all sources in words, keyed by id */
    public function sources(): array
    {
        return $this->sources;
    }

    /** A source in words: the id itself when it is "estimate" or the studio's own. */
    public function source(string $id): string
    {
        return $this->sources[$id] ?? $id;
    }

    /** Whether an ingredient is called just so, but for case, accents and plural. */
    public function isCalled(string $name): bool
    {
        return $this->later === null ? $this->names->holds($name) : $this->whole()->isCalled($name);
    }

    /** The id of what is called just so, by the letter; null where nothing is. */
    public function idOf(string $name): ?string
    {
        return $this->later === null ? $this->names->called($name) : $this->whole()->idOf($name);
    }

    /**
     * Ingredients that a name may mean, best first; tolerates slips of the pen.
     *
     * @return list<NameMatch>
     */
    public function search(string $name, int $limit = 5): array
    {
        if ($this->later !== null) {
            return $this->whole()->search($name, $limit);
        }
        $matches = [];
        foreach ($this->names->search($name, $limit + self::OF_ANOTHER_NATURE) as $id => [$score, $matched]) {
            if (NatureOfName::fits($name, $this->get($id), $matched)) {
                $matches[] = new NameMatch($this->get($id), $score, $matched);
            }
        }
        if (($matches[0]->score ?? 0.0) < self::NEAR) {
            $matches = [...$this->watery($name), ...$matches];
            usort($matches, static fn (NameMatch $a, NameMatch $b): int => $b->score <=> $a->score);
        }

        return array_slice($matches, 0, $limit);
    }

    /**
     * The tea, juice or gel of a plant that the catalogue knows and that has no entry of its own.
     *
     * @return list<NameMatch> one, or none
     */
    private function watery(string $name): array
    {
        $made = NatureOfName::madeOf($name);
        if ($made === null) {
            return [];
        }
        foreach ($this->names->search($made['of'], self::OF_ANOTHER_NATURE) as $id => $found) {
            if ($found[0] >= self::LIKELY && $this->get($id)->kind->isPlant()) {
                return [
                    new NameMatch($this->get(Derived::teaOf($id, $made['said'])), $found[0], $name),
                ];
            }
        }

        return [];
    }

    /**
     * What a plant is when it is poured: its tea, or what the words say.
     *
     * @throws CatalogueError for what is no plant
     */
    public function poured(string $plant, string $words): Ingredient
    {
        return $this->get(Derived::teaOf($plant, $words));
    }

    /** An oil in which a plant was steeped elsewhere, nobody knows how strongly. @throws CatalogueError */
    public function infused(string $plant, string $oil): Ingredient
    {
        return $this->get(Derived::infusedId($plant, $oil));
    }
}
