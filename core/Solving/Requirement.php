<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Solving\Internal\Programme;
use Crown\Solving\Internal\Row;
use JsonSerializable;

/**
 * One figure asked of the blend: as rows of the linear programme, as what a blend truly reaches, and in a maker's
 * words. To add one: a class in Requirement/, its name in Requirements. Method page: docs/methods/solver.md.
 */
abstract readonly class Requirement implements JsonSerializable
{
    public function __construct(public Between $between)
    {
    }

    /** What it is called in a document: "solids". */
    abstract public function kind(): string;

    /** @return list<Row> linear in the shares; none when it asks for nothing */
    abstract public function rows(Programme $programme): array;

    /**
     * What a point of the programme reaches, in the requirement's own unit.
     *
     * @param  list<float>  $x the programme's variables; the candidates' shares in per cent come first
     */
    abstract public function reached(Programme $programme, array $x): float;

    abstract public function words(): string;

    /** What it is asked of (a constituent, a need, ingredients); null when it is asked of the whole. */
    public function of(): ?string
    {
        return null;
    }

    /** @return array{kind: string, min: float|null, max: float|null, of: string, at: float, words: string} */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind(),
            'min' => $this->between->least,
            'max' => $this->between->most,
            'of' => $this->of() ?? '',
            'at' => $this instanceof Requirement\EffectiveSolids
                ? $this->celsius
                : Requirement\EffectiveSolids::USUAL_CELSIUS,
            'words' => $this->words(),
        ];
    }
}
