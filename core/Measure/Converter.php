<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * Turns an amount of a substance into grams, with its band, basis and working. Method page: docs/methods/amounts.md.
 *
 * Plant oils lose about 0.00068 g/ml per kelvin; a cup of butter in chunks is 0.60 to 0.85 of its melted mass; a drop
 * is 0.025 / 0.035 / 0.050 ml from a dropper insert and 0.03 / 0.04 / 0.06 ml of a thick oil.
 */
final readonly class Converter
{
    /** g/ml lost per kelvin by plant oils. */
    public const EXPANSION = 0.00068;

    private const CHUNKS = [0.6, 0.72, 0.85];

    private const HEAPED = 1.5;

    public function __construct(private Kitchen $kitchen)
    {
    }

    /**
     * @throws CannotTell when the substance lacks what this unit needs, or the amount is a proportion of a whole
     */
    public function grams(Amount $amount, Substance $substance): Figure
    {
        $figure = $this->single($amount, $substance);
        foreach ($amount->also as $more) {
            $next = $this->single($more, $substance);
            $figure = new Figure(
                $figure->band->plus($next->band),
                'g',
                Basis::weakest($figure->basis, $next->basis),
                new Working('amounts', $figure->working->words.' Plus: '.$next->working->words, [
                    ...$figure->working->inputs,
                    ...$next->working->inputs,
                ]),
            );
        }

        return $figure;
    }

    /**
     * The volume of a mass of this substance at a temperature.
     *
     * @throws CannotTell when its density is not known
     */
    public function millilitres(Figure $grams, Substance $substance, float $celsius = 20.0): Figure
    {
        $density = $substance->facts->get(Property::Density20);
        $at = self::densityAt($density->band, $celsius);

        return new Figure(
            $grams->band->over($at),
            'ml',
            Basis::weakest($grams->basis, $density->isEstimate() ? Basis::Estimated : Basis::Converted),
            new Working('amounts', 'Volume is mass divided by density.', [
                new Input('mass', $grams->band, 'g', 'this line'),
                new Input('density', $at, 'g/ml', $density->source),
            ]),
        );
    }

    /** g/ml at a temperature, from g/ml at 20 °C. */
    public static function densityAt(Band $at20, float $celsius): Band
    {
        $shift = self::EXPANSION * ($celsius - 20.0);

        return Band::of($at20->low - $shift, $at20->best - $shift, $at20->high - $shift);
    }

    private function single(Amount $amount, Substance $substance): Figure
    {
        $unit = $amount->unit;

        return match (true) {
            $unit->isMass() => $this->weighed($amount),
            $unit === Unit::Drop => $this->dropped($amount, $substance),
            $unit->isVolume() => $this->byVolume($amount, $substance),
            $unit === Unit::Capsule => $this->capsules($amount, $substance),
            $unit === Unit::Piece => $this->pieces($amount, $substance),
            $unit === Unit::Pinch => $this->pinch($amount),
            default => throw CannotTell::mass(
                $substance->name,
                $amount->written,
                'it is a proportion, which needs the other lines.',
            ),
        };
    }

    private function weighed(Amount $amount): Figure
    {
        $grams = $amount->count->scaled($amount->unit->grams());
        $scale = $this->kitchen->scaleFor($grams->best);
        $half = $scale->stepGrams / 2 + ($amount->about ? 0.1 * $grams->best : 0.0);

        return new Figure(
            Band::of(max(0.0, $grams->low - $half), $grams->best, $grams->high + $half),
            'g',
            $amount->about ? Basis::Estimated : Basis::Measured,
            new Working('amounts', 'Weighed: uncertain by half the resolution of the scale.', [
                new Input('written', $amount->count, $amount->unit->value, 'the maker'),
                new Input('scale resolution', Band::exact($scale->stepGrams), 'g', $scale->source),
            ]),
        );
    }

    private function byVolume(Amount $amount, Substance $substance): Figure
    {
        $own = $this->kitchen->spoonOf($amount->unit, $substance->name);
        if ($own !== null) {
            return $this->bySpoon($amount, $own);
        }
        $one = $this->kitchen->millilitres($amount->unit);
        $millilitres = $this->byHand($amount, $amount->unit->handHalfWidth())->scaled($one);
        // A powder or dried herb lies in the spoon with air between; a liquid fills it.
        $property = $substance->facts->has(Property::BulkDensity) ? Property::BulkDensity : Property::Density20;
        if (! $substance->facts->has($property)) {
            throw CannotTell::mass($substance->name, $amount->written, 'its density is not known. Weigh it.');
        }
        $density = $substance->facts->get($property);
        $grams = $millilitres->times($density->band);
        $inputs = [
            new Input('volume', $millilitres, 'ml', sprintf('%s of %g ml', $amount->unit->value, $one)),
            new Input($property->label(), $density->band, 'g/ml', $density->source),
        ];
        $basis = $density->isEstimate() || $amount->heaped || $amount->about ? Basis::Estimated : Basis::Converted;
        $words = 'Volume times density, with the half-width of measuring by hand.';
        if ($substance->chunky && $amount->unit === Unit::Cup) {
            $air = Band::of(...self::CHUNKS);
            $grams = $grams->times($air);
            $inputs[] = new Input('chunks in a cup, against melted', $air, '', 'estimate');
            $basis = Basis::Estimated;
            $words = 'Volume times density, less the air between chunks of hard butter.';
        }

        return new Figure($grams, 'g', $basis, new Working('amounts', $words, $inputs));
    }

    /** Fillings of a spoon that she weighed with just this. */
    private function bySpoon(Amount $amount, OwnSpoon $own): Figure
    {
        $count = $this->byHand($amount, 0.0);

        return new Figure(
            $count->times($own->filling()),
            'g',
            $amount->heaped || $amount->about ? Basis::Estimated : Basis::Converted,
            new Working('amounts', 'Fillings of the maker\'s own spoon, which was weighed with this.', [
                new Input('fillings', $count, '', 'the maker'),
                new Input('one filling', $own->filling(), 'g', 'weighed by the maker'),
            ]),
        );
    }

    private function dropped(Amount $amount, Substance $substance): Figure
    {
        $count = $this->byHand($amount, 0.0);
        $calibration = $this->kitchen->calibrations[$substance->name] ?? false;
        if ($calibration instanceof DropCalibration) {
            return new Figure(
                $count->times($calibration->gramsPerDrop()),
                'g',
                Basis::Converted,
                new Working('amounts', 'Drops counted from the maker\'s calibrated bottle.', [
                    new Input('drops', $count, '', 'the maker'),
                    new Input('one drop', $calibration->gramsPerDrop(), 'g', 'measured by the maker'),
                ]),
            );
        }
        if (! $substance->liquid || ! $substance->facts->has(Property::Density20)) {
            throw CannotTell::mass(
                $substance->name,
                $amount->written,
                'it does not fall in drops of a known size. Weigh it.',
            );
        }
        $drop = $substance->facts->has(Property::DropMillilitres)
            ? $substance->facts->get(Property::DropMillilitres)
            : new Fact(Band::of(0.025, 0.035, 0.05), Fact::ESTIMATE);
        $density = $substance->facts->get(Property::Density20);

        return new Figure(
            $count->times($drop->band)->times($density->band),
            'g',
            Basis::Estimated,
            new Working(
                'amounts',
                'Drops times the volume of a drop times density. Calibrate the bottle to narrow this.',
                [
                    new Input('drops', $count, '', 'the maker'),
                    new Input('one drop', $drop->band, 'ml', $drop->source),
                    new Input('density', $density->band, 'g/ml', $density->source),
                ],
            ),
        );
    }

    private function capsules(Amount $amount, Substance $substance): Figure
    {
        if ($amount->capsuleMilligrams === null) {
            throw CannotTell::mass(
                $substance->name,
                $amount->written,
                'say how much is in one, for example "3 capsules of 500 mg".',
            );
        }
        $grams = $this->byHand($amount, 0.1)->scaled($amount->capsuleMilligrams / 1000);

        return new Figure(
            $grams,
            'g',
            Basis::Converted,
            new Working('amounts', 'Count times the powder stated for one capsule, within 10 %.', [
                new Input('capsules', $amount->count, '', 'the maker'),
                new Input('powder in one', Band::exact($amount->capsuleMilligrams), 'mg', 'the capsule\'s label'),
            ]),
        );
    }

    private function pieces(Amount $amount, Substance $substance): Figure
    {
        if (! $substance->facts->has(Property::PieceGrams)) {
            throw CannotTell::mass(
                $substance->name,
                $amount->written,
                'the mass of one piece is not known. Give a unit, or weigh it.',
            );
        }
        $piece = $substance->facts->get(Property::PieceGrams);
        $count = $this->byHand($amount, 0.0);
        $half = Unit::Piece->handHalfWidth();
        $one = Band::of(
            min($piece->band->low, $piece->band->best * (1 - $half)),
            $piece->band->best,
            max($piece->band->high, $piece->band->best * (1 + $half)),
        );

        return new Figure(
            $count->times($one),
            'g',
            Basis::Estimated,
            new Working('amounts', 'Count times the usual mass of one piece, within 30 % or more.', [
                new Input('pieces', $count, '', 'the maker'),
                new Input('one piece', $one, 'g', $piece->source),
            ]),
        );
    }

    private function pinch(Amount $amount): Figure
    {
        $pinch = Band::of(0.2, 0.35, 0.6);

        return new Figure(
            $amount->count->times($pinch),
            'g',
            Basis::Estimated,
            new Working('amounts', 'A pinch between thumb and finger.', [
                new Input('one pinch', $pinch, 'g', 'estimate'),
            ]),
        );
    }

    /** The count with the half-width of the hand that measured it. */
    private function byHand(Amount $amount, float $half): Band
    {
        $count = $amount->count;
        if ($amount->heaped) {
            $count = $count->scaled(self::HEAPED);
            $half = 0.25;
        }
        $half += $amount->about ? 0.1 : 0.0;

        return Band::of($count->low * (1 - $half), $count->best, $count->high * (1 + $half));
    }
}
