<?php

declare(strict_types=1);

namespace App\Formula;

use App\Support\Refused;
use Crown\Formula\FormulaDocument;

/** Makes a variant of a formula as it stands. */
final class StartVariant
{
    /** Variants of one base. */
    private const MOST = 40;

    public function __construct(private readonly Bench $bench)
    {
    }

    /** @throws Refused */
    public function __invoke(Formula $base, string $title): Formula
    {
        if ($base->base_id !== null) {
            throw Refused::because('formula', 'This is a variant itself. Make the new one from its base.');
        }
        if (Formula::query()->where('base_id', $base->id)->count() >= self::MOST) {
            throw Refused::because('formula', sprintf('At most %d variants of one base.', self::MOST));
        }
        $composed = FormulaDocument::read([...$base->document, 'title' => $title]);

        return Formula::query()
            ->create([
                ...$this->bench->row(new Given($composed, $base->head, $base->hair)),
                'base_id' => $base->id,
                'base_document' => $base->document,
            ])
            ->refresh();
    }
}
