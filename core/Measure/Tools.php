<?php

declare(strict_types=1);

namespace Crown\Measure;

/** What a maker melts, stirs, whips, moulds and strains with, as far as she has written it down. */
final readonly class Tools
{
    /**
     * @param  list<Vessel>  $bowls
     * @param  list<Vessel>  $pans
     * @param  list<Mould>  $moulds
     * @param  list<Strainer>  $strainers
     * @param  list<Pump>  $pumps
     */
    public function __construct(
        public array $bowls = [],
        public array $pans = [],
        public array $moulds = [],
        public array $strainers = [],
        public array $pumps = [],
        public ?Thermometer $thermometer = null,
        public ?Mixer $mixer = null,
    ) {
    }

    public static function of(Kit $kit): self
    {
        $vessels = static fn (KitKind $kind): array => array_map(static fn (KitItem $i): Vessel => new Vessel(
            $i->name,
            $i->said('millilitres'),
            $i->choice('material') ?: null,
            $i->said('tare_grams'),
        ), $kit->of($kind));

        return new self(
            $vessels(KitKind::Bowl),
            $vessels(KitKind::Pan),
            array_map(static fn (KitItem $i): Mould => new Mould(
                $i->name,
                (int) $i->figure('hollows'),
                $i->figure('millilitres'),
            ), $kit->of(KitKind::Mould)),
            array_map(
                static fn (KitItem $i): Strainer => new Strainer($i->name, Weave::from($i->choice('weave'))),
                $kit->of(KitKind::Strainer),
            ),
            array_map(
                static fn (KitItem $i): Pump => new Pump($i->name, $i->figure('grams') / $i->figure('drops')),
                array_values(array_filter($kit->of(KitKind::Dropper), static fn (KitItem $i): bool => $i->isPump())),
            ),
            self::finest($kit->of(KitKind::Thermometer)),
            array_map(
                static fn (KitItem $i): Mixer => new Mixer(
                    $i->name,
                    $i->said('minutes'),
                    $i->choice('sort'),
                    $i->choice('speed'),
                ),
                $kit->of(KitKind::Mixer),
            )[0] ?? null,
        );
    }

    /** The smallest bowl that holds so much, and bears heat where it is to stand over hot water; null for none. */
    public function bowlFor(float $millilitres, bool $heated = false): ?Vessel
    {
        return self::smallest($this->bowls, static fn (Vessel $v): bool => $v->millilitres !== null
            && $v->millilitres >= $millilitres
            && (! $heated || $v->bearsHeat()));
    }

    /** The smallest pan in which a bowl can stand; null for none. */
    public function panFor(Vessel $bowl): ?Vessel
    {
        return self::smallest($this->pans, static fn (Vessel $v): bool => $v->millilitres > $bowl->millilitres);
    }

    /** The smallest mould that holds so much in one filling, else the one that holds most; null for none. */
    public function mouldFor(float $millilitres): ?Mould
    {
        $moulds = $this->moulds;
        usort($moulds, static fn (Mould $a, Mould $b): int => $a->holds() <=> $b->holds());
        foreach ($moulds as $mould) {
            if ($mould->holds() >= $millilitres) {
                return $mould;
            }
        }

        return end($moulds) ?: null;
    }

    /** The coarsest strainer that holds what such a weave holds: it drips fastest. Null for none. */
    public function strainerFor(Weave $weave): ?Strainer
    {
        $fits = array_values(array_filter($this->strainers, static fn (Strainer $s): bool => $s->weave->holds($weave)));
        usort($fits, static fn (Strainer $a, Strainer $b): int => $a->weave->fineness() <=> $b->weave->fineness());

        return $fits[0] ?? null;
    }

    /**
     * @param  list<Vessel>  $of
     * @param  callable(Vessel): bool  $fits
     */
    private static function smallest(array $of, callable $fits): ?Vessel
    {
        $fitting = array_values(array_filter($of, $fits));
        usort($fitting, static fn (Vessel $a, Vessel $b): int => $a->millilitres <=> $b->millilitres);

        return $fitting[0] ?? null;
    }

    /** @param  list<KitItem>  $of */
    private static function finest(array $of): ?Thermometer
    {
        $known = array_map(
            static fn (KitItem $i): Thermometer => new Thermometer($i->name, $i->said('step_celsius')),
            $of,
        );
        $steps = static fn (Thermometer $t): float => $t->stepCelsius ?? INF;
        usort($known, static fn (Thermometer $a, Thermometer $b): int => $steps($a) <=> $steps($b));

        return $known[0] ?? null;
    }
}
