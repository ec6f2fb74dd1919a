<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Formula;
use Crown\Formula\ProductKind;
use Crown\Formula\Step;
use Crown\Measure\Band;
use Crown\Measure\Kitchen;
use Crown\Measure\Mixer;
use Crown\Measure\School;
use JsonSerializable;

/**
 * Air beaten into a butter. Method page: docs/methods/texture.md. An estimate: whisk, bowl and hand all count.
 *
 * As JSON: $defs/Whipping in docs/formats/crown.schema.json.
 */
final readonly class Whipping implements JsonSerializable
{
    /** Effective solids between which a butter takes air and keeps it, per cent. */
    private const SOFTEST = 15.0;

    private const FIRMEST = 35.0;

    /** Those to which it is chilled before it is whipped: firm enough to hold air, soft enough for the whisk. */
    private const HOLDS = [30.0, 25.0, 20.0];

    /** Minutes at medium speed to the most air, and that air as a fraction of the volume before. */
    private const PEAK_MINUTES = 10.0;

    private const PEAK = [0.6, 0.8, 1.0];

    /** The two ways that makers hold to, and how long each beats, minutes. */
    private const SHORT = 'short, fluffy';

    private const LONG = 'long, soft as a lotion';

    private const SCHOOLS = [self::SHORT => 10.0, self::LONG => 30.0];

    /**
     * How long a maker beats: as she likes with her mixer, else as the side she took does, at the pace of what she has,
     * minutes.
     */
    public static function minutes(Kitchen $kitchen): float
    {
        $way = $kitchen->ways->is(School::Whipping, 'long') ? self::LONG : self::SHORT;

        return $kitchen->tools->mixer->minutes ?? self::SCHOOLS[$way] / self::paceOf($kitchen->tools->mixer);
    }

    /** How long a formula is beaten, minutes: as its own method says, all rounds together, else as its maker does. */
    public static function minutesFor(Formula $formula, Kitchen $kitchen): float
    {
        $rounds = array_filter($formula->steps, static fn (Step $s): bool => $s->act === 'whip');
        $said = array_sum(array_map(static fn (Step $s): float => $s->minutes ?? 0.0, $rounds));

        return $said > 0.0 ? $said : self::minutes($kitchen);
    }

    /** Minutes at medium speed that one of hers is worth. */
    public static function paceOf(?Mixer $mixer): float
    {
        return $mixer?->pace() ?? 1.0;
    }

    /**
     * @param  float  $coldest °C of the bowl from which it is soft enough
     * @param  float  $warmest °C of the bowl up to which it is firm enough; at or under the coldest when it never is
     *     both
     * @param  Band  $chilled °C to which it is chilled before, so that it holds the air that is beaten in
     */
    private function __construct(
        public float $coldest,
        public float $warmest,
        public Band $chilled,
        private Band $millilitresBefore,
        private Shift $learned,
        private ?Mixer $mixer,
    ) {
    }

    /**
     * @param  float  $density of the blend at 20 °C, g/ml
     * @param  Shift|null  $learned what the studio's own whipping has shown
     * @param  Mixer|null  $mixer of the maker, with the minutes that she likes
     */
    public static function of(
        Texture $texture,
        Band $grams,
        float $density,
        ?Shift $learned = null,
        ?Mixer $mixer = null,
    ): self {
        return new self(
            $texture->fallsTo(self::FIRMEST),
            $texture->fallsTo(self::SOFTEST),
            Band::of(...array_map($texture->fallsTo(...), self::HOLDS)),
            $grams->scaled(1 / $density),
            $learned ?? Shift::none(),
            $mixer,
        );
    }

    /**
     * Air in the jars of a whipped butter, beaten as its method or its maker does, as a fraction of its volume before;
     * none in anything else, nor where it takes none.
     */
    public static function airIn(Composition $composition, Context $context): float
    {
        if ($composition->formula->kind !== ProductKind::WhippedButter || $composition->counted() === []) {
            return 0.0;
        }
        $family = TextureFamily::of($composition);
        $whipping = self::of(
            Texture::of($composition, $context->experience->texture($family)),
            $composition->totalGrams,
            $composition->density(),
            $context->experience->overrun($family),
            $context->kitchen->tools->mixer,
        );

        return $whipping->isPossible()
            ? $whipping->air(self::minutesFor($composition->formula, $context->kitchen))->best
            : 0.0;
    }

    /**
     * Air that was in the jars, per cent of the volume before, worked out from what they hold and what is in them; null
     * where they hold less than their mass would fill without air, so that they were not full.
     *
     * @param  float  $jarMillilitres of one jar, more than 0
     * @param  float  $netGrams in it, more than 0
     * @param  float  $density of the blend at 20 °C, g/ml
     */
    public static function found(float $jarMillilitres, float $netGrams, float $density): ?float
    {
        if ($jarMillilitres <= 0.0 || $netGrams <= 0.0) {
            return null;
        }
        $air = ($jarMillilitres * $density) / $netGrams - 1;

        return $air < 0.0 ? null : 100 * $air;
    }

    /** Whether there is a bowl temperature from 10 to 40 °C at which it takes air. */
    public function isPossible(): bool
    {
        return $this->warmest > $this->coldest;
    }

    /**
     * Air taken in after some minutes at medium speed, as a fraction of the volume before: it rises to a peak of 0.6 to
     * 1.0 at 10 minutes (within 2 % of it from 8 to 12) and is beaten out again after.
     *
     * @param  float  $minutes at or over 0
     */
    public static function overrun(float $minutes): Band
    {
        $at = $minutes / self::PEAK_MINUTES;

        return Band::of(...self::PEAK)->scaled($at * exp(1 - $at));
    }

    /** The same after minutes with what she has, as the studio's own whipping gives it. */
    public function air(float $minutes): Band
    {
        return self::overrun($minutes * self::paceOf($this->mixer))->scaled($this->learned->factor);
    }

    /** Millilitres in the bowl after some minutes. */
    public function volume(float $minutes): Band
    {
        return $this->millilitresBefore->times($this->air($minutes)->plus(Band::exact(1.0)));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $liked = $this->mixer->minutes ?? 0.0;
        // What she has takes the place of what is usual, and says so.
        $hers = $liked > 0.0 ? ['as you like it, '.($this->mixer->name ?? '') => $liked] : [];
        $schools = [];
        $pace = self::paceOf($this->mixer);
        $ways = array_map(static fn (float $medium): float => round($medium / $pace, 1), self::SCHOOLS);
        foreach ([...$ways, ...$hers] as $name => $minutes) {
            $schools[] = [
                'name' => $name,
                'minutes' => $minutes,
                'overrun_percent' => $this->air($minutes)->scaled(100),
                'millilitres' => $this->volume($minutes),
            ];
        }

        return [
            'possible' => $this->isPossible(),
            'coldest_c' => round($this->coldest, 1),
            'warmest_c' => round($this->warmest, 1),
            'schools' => $schools,
        ];
    }
}
