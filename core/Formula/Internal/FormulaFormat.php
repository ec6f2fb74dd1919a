<?php

declare(strict_types=1);

namespace Crown\Formula\Internal;

use Crown\Json\Format;

/** The formats in which formulas were written, and what brings each to the next; FormulaDocument reads the last. */
final class FormulaFormat
{
    /** Of format 2: what a finding was told apart by, as far as a phrase stood there, and the code for it. */
    private const PHRASES = [
        'no conditioning agent' => 'conditioner',
        'hardly any water' => 'water',
        'no oil' => 'oil',
        'more than the whole' => 'over',
        'read as proportions' => 'proportions',
    ];

    /** Of format 3: what the figures of an accepted finding were called, and their names since. */
    private const FIGURES = [
        'alcohol, %' => 'alcohol',
        'bowl needed, ml' => 'bowl-needed',
        'butters that turn grainy, %' => 'grainy-butters',
        'ceiling, %' => 'ceiling',
        'dermal maximum, %' => 'dermal-maximum',
        'effective solids at 10 °C, %' => 'solids-at-10',
        'effective solids at 12 °C, %' => 'solids-at-12',
        'effective solids at 25 °C, %' => 'solids-at-25',
        'effective solids at 32 °C, %' => 'solids-at-32',
        'effective solids at 40 °C, %' => 'solids-at-40',
        'emulsifier, %' => 'emulsifier',
        'essential oils, %' => 'essential-oils',
        'highest addition, °C' => 'highest-addition',
        'largest bowl, ml' => 'largest-bowl',
        'least age, years' => 'least-age',
        'life, months' => 'life',
        'limit, %' => 'limit',
        'minimum age, years' => 'least-age',
        'of what sunlight allows, %' => 'part-of-phototoxic-maximum',
        'on the base, %' => 'share-of-base',
        'phase, °C' => 'warmth-of-phase',
        'phototoxic maximum, %' => 'phototoxic-maximum',
        'range, %' => 'range',
        'scale, g' => 'step-of-scale',
        'share before, %' => 'share-before',
        'share now, %' => 'share-now',
        'share of the finished mass, %' => 'share-of-whole',
        'share, %' => 'share',
        'shares, %' => 'sum-of-shares',
        'solids lost, %' => 'solids-lost',
        'target' => 'weight-target',
        'times as much' => 'times-as-much',
        'uncertain, %' => 'uncertain',
        'volume, ml' => 'volume',
        'water, %' => 'water',
        'weight index' => 'weight-index',
    ];

    /** Of format 3: the figure that named the constituent it was of. */
    private const AT_WORST = ', % at worst';

    public static function latest(): Format
    {
        return new Format('honest-crown/formula', [
            self::knowFindingsByTheirSentence(...),
            self::tellFindingsApartByCodes(...),
            self::nameFiguresByCodes(...),
        ]);
    }

    /**
     * From 1 to 2: an accepted finding was known by its sentence; now by what it says apart from its words. The
     * sentence stays until the finding is met again (Assessment::carried()).
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function knowFindingsByTheirSentence(array $document): array
    {
        $accepted = $document['accepted'] ?? [];
        if (is_array($accepted)) {
            $document['accepted'] = array_map(
                static fn (mixed $row): mixed => is_array($row) && isset($row['message'])
                    ? [
                        'finding' => ['code' => $row['code'] ?? ''],
                        'sentence' => $row['message'],
                        'reason' => $row['reason'] ?? '',
                    ]
                    : $row,
                $accepted,
            );
        }

        return $document;
    }

    /**
     * From 2 to 3: two findings were told from others of their code by a phrase; now by a code.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function tellFindingsApartByCodes(array $document): array
    {
        return self::eachFinding($document, static function (array $finding): array {
            $about = $finding['about'] ?? [];
            if (is_array($about) && in_array($finding['code'] ?? '', ['purpose', 'shares.sum'], true)) {
                $finding['about'] = array_map(self::codeOf(...), $about);
            }

            return $finding;
        });
    }

    /**
     * From 3 to 4: a figure was known by its words and its unit; now by a name that stays when these are mended. The
     * constituent of an oil, which stood in the words, is told among what the finding is about.
     *
     * @param  array<array-key, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function nameFiguresByCodes(array $document): array
    {
        return self::eachFinding($document, static function (array $finding): array {
            $figures = $finding['figures'] ?? [];
            $about = $finding['about'] ?? [];
            if (! is_array($figures) || ! is_array($about)) {
                return $finding;
            }
            $named = [];
            foreach ($figures as $name => $figure) {
                if (str_ends_with((string) $name, self::AT_WORST)) {
                    $about[] = substr((string) $name, 0, -strlen(self::AT_WORST));
                    $name = 'constituent';
                }
                $named[self::FIGURES[$name] ?? $name] = $figure;
            }

            return [...$finding, 'about' => $about, 'figures' => $named];
        });
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @param  callable(array<array-key, mixed>): array<array-key, mixed>  $step what becomes of a finding that was
     *     accepted
     * @return array<array-key, mixed>
     */
    private static function eachFinding(array $document, callable $step): array
    {
        $rows = $document['accepted'] ?? [];
        if (is_array($rows)) {
            $document['accepted'] = array_map(
                static fn (mixed $row): mixed => is_array($row) && is_array($row['finding'] ?? null)
                    ? [...$row, 'finding' => $step($row['finding'])]
                    : $row,
                $rows,
            );
        }

        return $document;
    }

    private static function codeOf(mixed $about): mixed
    {
        $found = array_filter(
            self::PHRASES,
            static fn (string $phrase): bool => is_string($about) && str_contains($about, $phrase),
            ARRAY_FILTER_USE_KEY,
        );

        return array_values($found)[0] ?? $about;
    }
}
