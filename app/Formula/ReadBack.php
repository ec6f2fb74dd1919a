<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Assessment\Assessment;
use Crown\Formula\Formula as Composed;
use Crown\Formula\FormulaDocument;
use Crown\Make\MakeSheet;
use Crown\Make\OneDose;
use Crown\Reading\Ounces;
use Crown\Reading\Recipe;
use Crown\Reading\Understood;

/** A text as it was read and judged: $defs/ReadAnswer. */
final readonly class ReadBack
{
    /**
     * @param  Assessment|null  $otherwise with ounces read the other way; null where the text has none to ask about
     * @param  bool  $byVolume how they are read now
     */
    public function __construct(
        public Recipe $recipe,
        public Composed $formula,
        public Assessment $assessment,
        private ?Assessment $otherwise,
        private bool $byVolume,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'reading' => $this->recipe,
            'formula' => FormulaDocument::write($this->formula),
            'assessment' => $this->assessment,
            'disagreements' => $this->recipe->claims->against($this->assessment),
            'doubtful' => $this->doubtful(),
            'ounces' => $this->ounces(),
            'dose_grams' => OneDose::of($this->formula, new MakeSheet($this->assessment))->size->grams,
        ];
    }

    /** @return list<string> ids of the formula's lines that may be another thing, or another amount */
    private function doubtful(): array
    {
        $ids = [];
        foreach ($this->recipe->lines as $n => $line) {
            if ($line->understood !== Understood::Yes) {
                $ids[] = $this->formula->lines[$n]->id;
            }
        }

        return $ids;
    }

    private function ounces(): ?Ounces
    {
        return match (true) {
            $this->otherwise === null => null,
            $this->byVolume => Ounces::asked($this->otherwise, $this->assessment, true),
            default => Ounces::asked($this->assessment, $this->otherwise, false),
        };
    }
}
