<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Assessment\Examined;
use Crown\Catalogue\Need;
use Crown\Measure\Band;
use JsonSerializable;

/**
 * How a formula serves a head: its weight against the target, and each need with what every line earns. Method page:
 * docs/methods/fit.md.
 *
 * A line earns, for a need, strength of evidence x sqrt(share): twice as much of a thing does less than twice the good.
 */
final readonly class Fit implements JsonSerializable
{
    /**
     * @param  float|null  $index null when no line has a weight
     * @param  list<Service>  $services the head's own needs first, then what else it serves
     * @param  bool  $stays on the hair: the weight of what is rinsed out does not count
     */
    private function __construct(
        public Profile $head,
        public ?float $index,
        public Band $target,
        public array $services,
        public bool $stays,
    ) {
    }

    public static function of(Profile $head, Examined $subject): self
    {
        $asked = $head->needs();
        $services = [];
        foreach ($asked as $need) {
            $services[] = self::service($need, true, $subject);
        }
        foreach (Need::cases() as $need) {
            $service = self::service($need, false, $subject);
            if (! in_array($need, $asked, true) && $service->points() > 0.0) {
                $services[] = $service;
            }
        }
        usort(
            $services,
            static fn (Service $a, Service $b): int => [$b->asked, $a->asked ? 0.0 : -$a->points()] <=> [
                $a->asked,
                $b->asked ? 0.0 : -$b->points(),
            ],
        );

        return new self(
            $head,
            $subject->heaviness(),
            $head->weightTarget($subject->formula()->kind->goesOnScalp()),
            $services,
            ! $subject->formula()->kind->isRinsed(),
        );
    }

    /** Points of one need, 0 to about 1; 0 when no line serves it. */
    public function points(Need $need): float
    {
        foreach ($this->services as $service) {
            if ($service->need === $need) {
                return $service->points();
            }
        }

        return 0.0;
    }

    /** Whether its weight is that which suits the head; null when that cannot be told. What is rinsed out suits all. */
    public function suits(): ?bool
    {
        return match (true) {
            ! $this->stays => true,
            $this->index === null => null,
            default => $this->target->contains($this->index),
        };
    }

    private static function service(Need $need, bool $asked, Examined $subject): Service
    {
        $earned = [];
        foreach ($subject->composition->counted() as $portion) {
            foreach ($portion->ingredient->evidenceFor($need) as $evidence) {
                if ($evidence->worth() > 0) {
                    $earned[] = new Earned($portion, $evidence, $evidence->strength() * sqrt($portion->share->best));
                }
            }
        }
        usort($earned, static fn (Earned $a, Earned $b): int => $b->points <=> $a->points);

        return new Service($need, $asked, $earned);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->head->name,
            'weight_index' => $this->index === null ? null : round($this->index, 3),
            'weight_target' => $this->target,
            'stays' => $this->stays,
            'suits' => $this->suits(),
            'services' => $this->services,
        ];
    }
}
