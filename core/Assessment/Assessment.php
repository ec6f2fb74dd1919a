<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\SolidFat;
use Crown\Formula\Acceptance;
use Crown\Formula\Formula;
use Crown\Formula\ProductKind;
use Crown\Measure\Shares;
use Crown\Words\Message;
use JsonSerializable;

/** Everything that can be said of a formula. As JSON: $defs/Assessment in docs/formats/crown.schema.json. */
final readonly class Assessment implements JsonSerializable
{
    /** @param  list<Finding>  $findings worst first */
    public function __construct(public Examined $subject, public array $findings)
    {
    }

    /**
     * The formula, what was accepted by its sentence known from now on by what it says: mending a word re-opens
     * nothing.
     */
    public function carried(): Formula
    {
        $formula = $this->subject->formula();

        return $formula->withAccepted(
            array_map(function (Acceptance $acceptance): Acceptance {
                foreach ($acceptance->sentence === null ? [] : $this->findings as $finding) {
                    if ($finding->isOf($acceptance)) {
                        return new Acceptance($finding->key(), $acceptance->reason);
                    }
                }

                return $acceptance;
            }, $formula->accepted),
        );
    }

    public function decision(Finding $finding): Decision
    {
        return Decision::of($finding, $this->subject->formula());
    }

    public function isOpen(Finding $finding): bool
    {
        return $this->decision($finding)->isOpen();
    }

    /** Whether there is something to stop for that was not accepted. */
    public function hasStop(): bool
    {
        foreach ($this->findings as $finding) {
            if ($finding->severity === Severity::Stop && $this->isOpen($finding)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $composition = $this->subject->composition;
        $texture = $this->subject->texture;
        $heaviness = $this->subject->heaviness();
        $bands = [];
        foreach (SolidFat::TEMPERATURES as $celsius) {
            $bands[$celsius] = $texture->solids($celsius);
        }

        return [
            'title' => $composition->formula->title,
            'total_grams' => $composition->totalGrams,
            'lines' => $this->lines(),
            'solids' => (object) array_map(static fn (float $s): float => round($s, 3), $texture->curve()),
            'solids_band' => (object) $bands,
            'audience' => $composition->formula->audience->value,
            'open' => $composition->unknown->open(),
            'settled' => $composition->unknown->none(),
            'texture' => $texture->isKnown() ? $texture->class()->value : null,
            'texture_label' => $texture->isKnown()
                ? $texture->class()->label()
                : Message::said('assessment.cannot-tell'),
            'texture_known' => $texture->isKnown(),
            'pours_from_c' => self::celsius($texture, $texture->poursFrom()),
            'melts_at_c' => self::celsius($texture, $texture->meltsAt()),
            'moments' => $texture->moments(),
            'whipping' => $composition->formula->kind === ProductKind::WhippedButter
                && $texture->isKnown()
                    ? $this->subject->whipping()
                    : null,
            'essential_oil_percent' => $this->subject->load->percent(),
            'essential_oil_ceiling' => $composition->formula->audience->essentialOilCeiling(),
            'water_percent' => $this->subject->water->percent,
            'water_class' => $this->subject->water->class?->value,
            'water_label' => $this->subject->water->label(),
            'life_months' => $this->subject->life->months,
            'life_reasons' => $this->subject->life->reasons,
            'longer' => $this->subject->life->longer,
            'learned' => $this->learned(),
            'weight_index' => $heaviness === null ? null : round($heaviness, 3),
            'cost' => Cost::of($composition),
            'density_20c' => round($composition->density(), 4),
            'density_60c' => round($composition->density(60.0), 4),
            'findings' => array_map($this->told(...), $this->findings),
        ];
    }

    /** @return array<string, mixed> a finding of it with what was decided about it: $defs/Finding */
    public function told(Finding $finding): array
    {
        $decision = $this->decision($finding);

        return [
            ...$finding->jsonSerialize(),
            'acceptable' => $decision->acceptable,
            'accepted' => $decision->reason ?? '',
            'accepted_by' => $decision->by,
            'key' => $finding->key(),
        ];
    }

    /**
     * For a record that outlives its formula: with the working of every line. As JSON: $defs/KeptAssessment.
     *
     * @return array<string, mixed>
     */
    public function withWorkings(): array
    {
        return [
            ...$this->jsonSerialize(),
            'lines' => array_map(
                fn (array $line): array => [
                    ...$line,
                    'working' => $this->subject->composition->portion($line['id'])->grams->working,
                ],
                $this->lines(),
            ),
        ];
    }

    /** @return array<string, mixed> what the studio's own batches have shifted, and by how much */
    private function learned(): array
    {
        [$learned, $family] = [$this->subject->context->experience, $this->subject->family];

        return [
            'family' => $family->label(),
            'texture' => $learned->texture($family),
            'overrun' => $learned->overrun($family),
            'life' => $learned->life($family),
        ];
    }

    /** @return list<array{matter: string, percent: float}> what a small jar shows of it: each line that has a share */
    public function bands(): array
    {
        $bands = [];
        foreach ($this->lines() as $line) {
            if ($line['shown_percent'] > 0.0) {
                $bands[] = ['matter' => $line['matter'], 'percent' => $line['shown_percent']];
            }
        }

        return $bands;
    }

    /** @return list<array{id: string, matter: string, shown_percent: float, ...<string, mixed>}> */
    private function lines(): array
    {
        $portions = $this->subject->composition->portions;
        $shown = Shares::displayed(array_map(static fn (Portion $p): float => $p->share->best, $portions));
        $lines = [];
        foreach ($portions as $i => $portion) {
            $lines[] = [
                'id' => $portion->line->id,
                'ingredient' => $portion->ingredient->id === '' ? null : $portion->ingredient->id,
                'name' => $portion->ingredient->name,
                'kind' => $portion->ingredient->kind->value,
                'matter' => $this->matter($portion),
                'amount' => $portion->line->amount->text,
                'form' => $portion->form(),
                'forms' => array_keys($portion->ingredient->forms),
                'phase' => $portion->line->phase->value,
                'turn' => $portion->line->phase->turn(),
                'understood' => self::understood($portion),
                'grams' => $portion->counts() ? $portion->grams->band : null,
                'share' => $portion->counts() ? $portion->share->scaled(100) : null,
                'shown_percent' => $shown[$i],
                'basis' => $portion->grams->basis->value,
                'problem' => $portion->problem ?? '',
            ];
        }

        return $lines;
    }

    /** A temperature of a texture that is known; null where it lies beyond the end of the curves. */
    private static function celsius(Texture $texture, float $celsius): ?float
    {
        return $texture->isKnown() && $celsius < Texture::LAST ? round($celsius, 1) : null;
    }

    /** Whether it is known what stands in a line and how much of it: yes, doubtful or no. */
    private static function understood(Portion $portion): string
    {
        return match (true) {
            ! $portion->ingredient->isPlaced() => 'no',
            ! $portion->counts() || $portion->line->doubt() !== null => 'doubtful',
            default => 'yes',
        };
    }

    /** Butters that are hard at room temperature are drawn as hard fat. */
    private function matter(Portion $portion): string
    {
        $matter = $portion->ingredient->kind->matter();

        return $matter === 'soft-fat' && $portion->ingredient->composition->solidFat->at(25.0) >= 55.0
            ? 'hard-fat'
            : $matter;
    }
}
