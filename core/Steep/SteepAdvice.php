<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Formula\Severity;
use Crown\Measure\Amount;
use JsonSerializable;

/** One thing to know of a planned steep. */
final readonly class SteepAdvice implements JsonSerializable
{
    private function __construct(
        public string $code,
        public Severity $severity,
        public string $message,
    ) {
    }

    /** @return list<self> worst first */
    public static function on(SteepPlan $plan): array
    {
        $usual = $plan->usualRatio();
        $words = static fn (float $x): string => Amount::number($x);
        $advice = [];
        if ($plan->form === 'fresh') {
            $advice[] = new self('steep.fresh', Severity::Caution, 'A fresh plant under oil brings water and, at room temperature, can grow dangerous microbes. Wilt or dry it first, or use a water bath and weigh the bowl before and after. Never eat it.');
            if (! $plan->method->isHeated()) {
                $advice[] = new self('steep.fresh-cold', Severity::Stop, 'Do not leave a fresh plant under oil for weeks: dry it first, or use the water bath.');
            }
        }
        if ($plan->ratio() < $usual->low) {
            $advice[] = new self('steep.ratio', Severity::Caution, sprintf('1 part to %s of oil is less than 1 to %s: the plant will not be covered.', $words($plan->ratio()), $words($usual->low)));
        } elseif ($plan->ratio() > $usual->high) {
            $advice[] = new self('steep.ratio', Severity::Note, sprintf('1 part to %s of oil is more than 1 to %s: the charge is thin.', $words($plan->ratio()), $words($usual->high)));
        }
        if ($plan->knowsJar()) {
            if ($plan->headspaceCm()->best < 0.0) {
                $advice[] = new self('steep.jar', Severity::Stop, 'The jar is too small for this much plant and oil.');
            } elseif ($plan->headspaceCm()->best < SteepPlan::LEAST_COVER) {
                $advice[] = new self('steep.jar', Severity::Caution, sprintf('Only %.1f cm of air over the oil; leave 2.5 cm.', $plan->headspaceCm()->best));
            }
            if ($plan->oilAbovePlantCm()->best < SteepPlan::LEAST_COVER) {
                $advice[] = new self('steep.cover', Severity::Caution, sprintf('Only %.1f cm of oil over the plant; it needs 2.5 cm.', $plan->oilAbovePlantCm()->best));
            }
        }
        if ($plan->pressed && $plan->form !== 'dried') {
            $advice[] = new self('steep.press', Severity::Caution, 'Pressing a fresh or powdered charge drives water and fines through. Let it drip.');
        }
        if ($plan->method === SteepMethod::SunnySill) {
            $advice[] = new self('steep.light', $plan->oil->fattyAcids->polyunsaturated() > 40.0 ? Severity::Caution : Severity::Note, 'Light oxidises oil: the weeks on the sill count double against its life.');
        }
        if ($plan->method->isHeated()) {
            $advice[] = new self('steep.heat', Severity::Caution, 'Hot oil and steam burn. Never leave oil on heat, keep every drop of water out of it, and warm a cold jar slowly: it cracks in boiling water.');
        }
        if ($plan->oil->drying) {
            $advice[] = new self('steep.rags', Severity::Caution, sprintf('%s dries in air: cloths soaked with it can heat themselves. Wash them at once.', $plan->oil->name));
        }
        usort($advice, static fn (self $a, self $b): int => $a->severity->rank() <=> $b->severity->rank());

        return $advice;
    }

    /** @return array{code: string, severity: string, message: string} */
    public function jsonSerialize(): array
    {
        return ['code' => $this->code, 'severity' => $this->severity->value, 'message' => $this->message];
    }
}
