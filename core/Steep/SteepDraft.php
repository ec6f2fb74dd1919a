<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueError;
use Crown\Json\Node;
use Crown\Measure\CannotTell;
use Crown\Measure\Duration;
use Crown\Measure\Kitchen;
use Crown\Measure\MeasureError;
use Crown\Problem;
use DateTimeImmutable;

/**
 * A jar as a maker describes it, with amounts as she writes them: "40 g", "1 cup", "to cover". Problems are about
 * "herbs.0.amount" and the like.
 */
final readonly class SteepDraft
{
    public function __construct(
        private Catalogue $catalogue,
        private Kitchen $kitchen,
        private DateTimeImmutable $start,
    ) {
    }

    /**
     * The draft with all its amounts in grams. An oil "to cover" is worked out from the jar.
     *
     * @param  array<array-key, mixed>  $draft $defs/SteepDraft
     * @return array<array-key, mixed> the document that is kept
     *
     * @throws SteepError|CatalogueError|MeasureError|CannotTell
     */
    public function resolved(array $draft): array
    {
        $node = Node::of($draft);
        $herbs = $this->herbs($node);
        $pours = $this->pours($node, $herbs);
        foreach ($herbs as $i => $herb) {
            $draft = self::with($draft, 'herbs', $i, $herb->grams);
        }
        foreach ($pours as $i => $pour) {
            $draft = self::with($draft, 'oils', $i, $pour->grams);
        }

        return [...SteepDocument::format()->head(), ...self::held($draft)];
    }

    /**
     * What the maker wrote of the time, "45 to 60 minutes", as the minutes that count; and a heat that her way can
     * have.
     *
     * @param  array<array-key, mixed>  $said with "method", "celsius", "minutes" and "held_for", each may be missing
     * @return array<array-key, mixed> the same with its minutes
     *
     * @throws SteepError|MeasureError about "celsius", "minutes" or "held_for"
     */
    public static function held(array $said): array
    {
        $node = Node::of($said);
        $method = $node->one('method', SteepMethod::class);
        $written = trim($node->text('held_for'));
        if ($method->isHeated() && $written !== '') {
            $said['minutes'] = Duration::minutes($written)->best;
        }
        $celsius = $node->number('celsius') ?: null;
        (new Way(celsius: $celsius, minutes: Node::of($said)->number('minutes') ?: null))->fitting($method);

        return $said;
    }

    /** @return list<Herb> */
    private function herbs(Node $draft): array
    {
        $herbs = [];
        foreach ($draft->objects('herbs') as $i => $herb) {
            $herbs[] = Problem::within("herbs.$i", fn (): Herb => Herb::written(
                $this->catalogue->get($herb->text('ingredient')),
                $herb->text('form'),
                $herb->text('amount'),
                $this->kitchen,
                $this->start,
                $herb->one('preparation', Preparation::class, Preparation::None),
                (int) ($herb->number('draw') ?? 1.0),
            ));
        }

        return $herbs;
    }

    /**
     * Those that are to cover come last: they take up what the others leave.
     *
     * @param  list<Herb>  $herbs
     * @return array<int, Pour> in the draft's order
     */
    private function pours(Node $draft, array $herbs): array
    {
        $pours = $covers = [];
        foreach ($draft->objects('oils') as $i => $oil) {
            $written = $oil->text('amount');
            if (Quantity::covers($written)) {
                $covers[$i] = $oil->text('ingredient');
            } else {
                $pours[$i] = Problem::within("oils.$i", fn (): Pour => Pour::written(
                    $this->catalogue->get($oil->text('ingredient')),
                    $written,
                    $this->kitchen,
                    $this->start,
                ));
            }
        }
        $vessel = Vessel::written(
            $draft->number('jar_ml') ?? 0.0,
            $draft->number('diameter_cm') ?? 0.0,
            $draft->number('mouth_cm') ?? 0.0,
        );
        foreach ($covers as $i => $ingredient) {
            $pours[$i] = Problem::within("oils.$i", fn (): Pour => $this->covering(
                $ingredient,
                $herbs,
                array_values($pours),
                $vessel,
            ));
        }
        ksort($pours);

        return $pours;
    }

    /**
     * @param  list<Herb>  $herbs
     * @param  list<Pour>  $pours
     */
    private function covering(string $ingredient, array $herbs, array $pours, Vessel $vessel): Pour
    {
        $oil = $this->catalogue->get($ingredient);
        // A drop stands for the oil itself, so that a jar can be asked what it lacks.
        $drop = new Pour($oil, 0.001, $this->start);
        $grams = (new Geometry(new Charge($herbs, [...$pours, $drop]), $vessel, 1.0))->gramsToCover($oil);

        return new Pour($oil, max(1.0, ceil($grams ?? throw SteepError::noWidth())), $this->start);
    }

    /**
     * @param  array<array-key, mixed>  $draft
     * @return array<array-key, mixed>
     */
    private static function with(array $draft, string $part, int $i, float $grams): array
    {
        $rows = $draft[$part] ?? [];
        if (is_array($rows) && is_array($rows[$i] ?? null)) {
            $rows[$i]['grams'] = $grams;
            $draft[$part] = $rows;
        }

        return $draft;
    }
}
