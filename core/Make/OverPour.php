<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Checks\BowlSize;
use Crown\Assessment\Context;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use JsonSerializable;

/**
 * More (or less) went in of a line than was asked for: what that does, and what it takes to put the shares right again.
 * Method page: docs/methods/making.md.
 *
 * As JSON: $defs/OverPour in docs/formats/crown.schema.json.
 */
final readonly class OverPour implements JsonSerializable
{
    private function __construct(
        private Weighing $line,
        private float $grams,
        private Assessment $planned,
        private Assessment $accepted,
        private Putting $rebalanced,
        private Context $context,
    ) {
    }

    /**
     * @param  Putting  $before what is in without this line
     * @param  Assessment  $planned what was meant
     */
    public static function of(
        Putting $before,
        Weighing $line,
        Put $put,
        Assessment $planned,
        Context $context,
    ): self {
        $with = $before->and($line, $put);

        return new self(
            $line,
            $put->grams,
            $planned,
            $with->judged($context),
            $with->scaled(self::factorFor($line, $put)),
            $context,
        );
    }

    /** So much larger everything has to be for what went in to be its share again. */
    public static function factorFor(Weighing $line, Put $put): float
    {
        return $put->grams / $line->targetGrams;
    }

    /** @return list<string> what the bench stops at now and did not before */
    private static function stops(Assessment $of, Assessment $planned): array
    {
        return array_map(static fn (Finding $f): string => $f->message(), Stops::anew($of, $planned));
    }

    private static function share(Assessment $of, string $line): float
    {
        $at = array_filter(
            $of->subject->composition->weighed(),
            static fn (Portion $p): bool => $p->line->id === $line,
        );

        return array_sum(array_map(static fn (Portion $p): float => $p->percent(), $at));
    }

    /** @return array<string, mixed> */
    private static function figures(Assessment $of, string $line): array
    {
        $subject = $of->subject;

        return [
            'share_percent' => round(self::share($of, $line), 3),
            'total_grams' => round($subject->composition->totalGrams->best, 2),
            'solids_25c' => round($subject->texture->solids(25.0)->best, 1),
            'texture' => $subject->texture->class()->label(),
            'load_percent' => round($subject->load->percent()->best, 3),
        ];
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $id = $this->line->line;
        $after = $this->rebalanced->judged($this->context);
        $wanting = $this->rebalanced->wanting();
        $bowl = $this->context->kitchen->bowlMillilitres;

        return [
            'line' => $id,
            'grams' => round($this->grams, 3),
            'over_grams' => round($this->grams - $this->line->targetGrams, 3),
            'planned' => self::figures($this->planned, $id),
            'accepted' => [
                ...self::figures($this->accepted, $id),
                'stops' => self::stops($this->accepted, $this->planned),
            ],
            'rebalanced' => [
                ...self::figures($after, $id),
                'stops' => self::stops($after, $this->planned),
                'fits_bowl' => $bowl === null ? null : BowlSize::needed($after->subject)->best <= $bowl,
                'targets' => array_map(static fn (Weighing $w): array => [
                    'line' => $w->line,
                    'name' => $w->name,
                    'grams' => round($w->targetGrams, 3),
                    'drops' => $w->drops,
                    'more_grams' => isset($wanting[$w->line]) ? round($wanting[$w->line], 3) : null,
                ], $this->rebalanced->asked),
            ],
        ];
    }
}
