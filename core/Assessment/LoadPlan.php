<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Measure\Amount;
use Crown\Measure\Property;
use Crown\Measure\Unit;
use Crown\Measure\WrittenAmount;
use Crown\Words\Message;
use JsonSerializable;

/**
 * How near a formula's essential oils are to what its audience may bear, also where nothing is over: the total, each
 * oil with the most drops of it that stay inside, and every restricted constituent summed over all that bear it. Worst
 * cases throughout. Method page: docs/methods/load.md.
 *
 * As JSON: $defs/LoadPlan in docs/formats/crown.schema.json.
 */
final readonly class LoadPlan implements JsonSerializable
{
    /** Nobody counts further. */
    private const COUNTED_TO = 2_000;

    private const UNTOLD = 'cannot tell how much a drop weighs';

    public function __construct(private Examined $subject)
    {
    }

    /**
     * The largest whole number of drops of one line, all others as they are, that keeps every limit it has a part in:
     * the ceiling of the audience, its own dermal maximum, sunlight, and each constituent that it bears. As the amount
     * is written, before scaling to a batch.
     */
    public function mostDrops(Portion $portion): MostDrops
    {
        foreach ($portion->whole()->parts() as $part) {
            $never = $this->subject->formula()->audience->excludes($part->ingredient);
            if ($never !== null) {
                return new MostDrops(0, $never);
            }
        }
        [$in, $out] = [0, 1];
        while (($broken = $this->broken($portion, $out)) === null) {
            $in = $out;
            if ($in >= self::COUNTED_TO) {
                return new MostDrops(null, null);
            }
            $out = min(self::COUNTED_TO, 2 * $out);
        }
        if ($broken === self::UNTOLD) {
            return new MostDrops(null, $broken);
        }
        $held = $broken;
        while ($out - $in > 1) {
            $middle = intdiv($in + $out, 2);
            $broken = $this->broken($portion, $middle);
            [$in, $out, $held] = $broken === null ? [$middle, $out, $held] : [$in, $middle, $broken];
        }

        return new MostDrops($in, $held);
    }

    /** What so many drops of a line would break first, as a clause; null when nothing. */
    private function broken(Portion $portion, int $drops): ?string
    {
        $context = $this->subject->context;
        $with = Composition::of(
            $this->subject->formula()->replacing(
                $portion->line->withAmount(new WrittenAmount(Amount::drops($drops)->written)),
            ),
            $context,
        );
        $load = Load::of($with, $context->kitchen->scaleGrams);
        $mine = array_values(
            array_filter($load->oils, static fn (Portion $p): bool => $p->line->id === $portion->line->id),
        );
        if ($mine === []) {
            return self::UNTOLD;
        }
        if (Load::isOver($load->percent()->high, $this->subject->formula()->audience->essentialOilCeiling())) {
            return Message::said('assessment.load-plan.all-scents-together-are');
        }
        foreach ($mine as $one) {
            $over = $this->ownOver($one);
            if ($over !== null) {
                return $over;
            }
        }

        return $this->constituentOver($load, $portion->line->id);
    }

    private function ownOver(Portion $oil): ?string
    {
        $percent = $oil->share->high * 100;
        $burns = ! $this->subject->formula()->audience->isRinsedOff()
            && $oil->ingredient->isPhototoxic()
            && Load::isOver($percent, $oil->ingredient->facts->best(Property::PhototoxicMax, 100.0));

        return match (true) {
            $burns => Message::said('assessment.load-plan.sunlight-may-burn-skin'),
            Load::isOver($percent, Load::dermalMax($oil)) => Message::said('assessment.load-plan.its-own-maximum-over'),
            default => null,
        };
    }

    private function constituentOver(Load $load, string $line): ?string
    {
        foreach ($this->subject->context->catalogue->limits() as $limit) {
            $sum = $load->constituent(
                $limit->name,
                $limit->allowedFor($this->subject->formula()->audience->isRinsedOff()),
            );
            if (
                $sum->ofLimit > 1.0
                && array_filter($sum->bearers, static fn (Portion $p): bool => $p->line->id === $line) !== []
            ) {
                return $limit->name.' is over';
            }
        }

        return null;
    }

    /** Drops as they are written now; null when it is not written in drops. */
    private static function drops(Portion $portion): ?float
    {
        $amount = $portion->amount;

        return $amount instanceof Amount && $amount->unit === Unit::Drop && $amount->also === []
            ? $amount->count->high
            : null;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $audience = $this->subject->formula()->audience;
        $oils = [];
        foreach ($this->subject->load->oils as $portion) {
            $most = $this->mostDrops($portion);
            $limit = Load::dermalMax($portion);
            $oils[] = [
                'line' => $portion->line->id,
                'name' => $portion->name(),
                'percent' => $portion->share->scaled(100),
                'limit_percent' => $limit < 100.0 ? $limit : null,
                'limit_reason' => $limit < 100.0 ? $portion->ingredient->precautions->dermalReason ?? '' : '',
                'drops' => self::drops($portion),
                'most_drops' => $most->drops,
                'held_by' => $most->held ?? '',
            ];
        }
        $constituents = [];
        foreach ($this->subject->context->catalogue->limits() as $limit) {
            $allowed = $limit->allowedFor($audience->isRinsedOff());
            $sum = $this->subject->load->constituent($limit->name, $allowed);
            if ($sum->bearers !== []) {
                $constituents[] = [
                    'name' => $limit->name,
                    'percent' => round($sum->ofLimit * $allowed, 5),
                    'limit_percent' => $allowed,
                    'of_limit' => round($sum->ofLimit * 100, 2),
                    'bearers' => array_map(static fn (Portion $p): string => $p->name(), $sum->bearers),
                ];
            }
        }
        usort($constituents, static fn (array $a, array $b): int => $b['of_limit'] <=> $a['of_limit']);

        return [
            'audience' => $audience->label(),
            'percent' => $this->subject->load->percent(),
            'ceiling' => $audience->essentialOilCeiling(),
            'oils' => $oils,
            'constituents' => $constituents,
        ];
    }
}
