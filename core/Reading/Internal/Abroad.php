<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

/**
 * Names that other languages build as English does: "huile de babassu", "Babassuöl", "olio di babassu" are babassu
 * oil. What the plant itself is called is the catalogue's to know.
 */
final class Abroad
{
    /** How it was pressed or grown: of no meaning for what it is. */
    private const HOW = '/
        (?:^|\s)(?:
            nativ(?:es|e|er)?|kaltgepresst(?:es|e)?|bio|biologi(?:sch|que|co|ca)e?|raffiniert(?:es|e)?
            |unraffiniert(?:es|e)?|reines?|vierge|pressée?\ à\ froid|brute?|bruto|végétale?
            |virgen(?:\ extra)?|vegetal|prensado\ en\ frío|virgem|prensado\ a\ frio|vegetale
            |(?:extra\ ?)?vergine(?:\ di)?|spremuto\ a\ freddo|koudgeperste?|ongeraffineerde?|geraffineerde?
            |biologische?|ecológic[oa]|orgânic[oa]|puro?|pura|crudo?|naturel(?:le)?|natural|naturale
        )(?=\s|$)
    /xiu';

    /** By the word that it becomes: what stands around the plant. */
    private const BUILT = [
        'essential oil' => [
            '/
                ^(?:
                    huile\ essentielle|huile\ ess\.?|h\.?e\.?|aceite\ esencial|[oó]leo\ essencial
                    |olio\ essenziale|etherische\ olie|o\.?e\.?
                )\s+(?:de\ la\ |de\ |du\ |des\ |di\ |van\ |d[\'’]\s?|of\ )?(?<x>.{3,})$
            /xiu',
            '/^(?:ätherisches|äth\.?)\s+(?<x>\p{L}[\p{L} -]+?)[ -]?öl$/iu',
            '/^(?<x>\p{L}[\p{L} -]+?)[ -]?öl,?\s+\(?ätherisch(?:es)?\)?$/iu',
            '/^etherische\s+(?<x>\p{L}[\p{L} -]+?)[ -]?olie$/iu',
            '/^(?<x>\p{L}[\p{L} -]+?)\s+etherische olie$/iu',
        ],
        'oil' => [
            '/
                # "huile de ricin": the oil of something
                ^(?:huile|aceite|[oó]leo|olio)\s+(?:de\ la\ |de\ |du\ |des\ |di\ |d[\'’]\s?)(?<x>.{3,})$
            /xiu',
            '/^(?<x>\p{L}[\p{L} -]{2,}?)[ -]?(?:öl|oel|olie)$/iu',
        ],
        'butter' => [
            '/
                # "manteca de cacao": its butter
                ^(?:beurre|manteca|mantequilla|manteiga|burro)\s+(?:de\ la\ |de\ |du\ |di\ |d[\'’]\s?)
                (?<x>.{3,})$
            /xiu',
            '/^(?<x>\p{L}[\p{L} -]{2,}?)[ -]?(?:butter|boter)$/iu',
        ],
        'wax' => [
            '/^(?:cire|cera)\s+(?:de |di |d[\'’]\s?)?(?<x>.{3,})$/iu',
            '/^(?<x>\p{L}[\p{L} -]{2,}?)[ -]?(?:wachs|was)$/iu',
        ],
        'leaf' => [
            '/^(?:feuilles?|hojas?|folhas?|fogli[ae])\s+(?:de |di |d[\'’]\s?)(?<x>.{3,})$/iu',
            '/^(?<x>\p{L}[\p{L} -]{3,}?)(?:blatt|blätter|blad|bladeren)$/iu',
        ],
        'flower' => [
            '/^(?:fleurs?|flor(?:es)?|fior[ei])\s+(?:de |di |d[\'’]\s?)(?<x>.{3,})$/iu',
            '/^(?<x>\p{L}[\p{L} -]{3,}?)(?:blüten?|bloemen|bloem)$/iu',
        ],
        'seed' => [
            '/^(?:graines?|semillas?|sementes?|semi)\s+(?:de |di |d[\'’]\s?)(?<x>.{3,})$/iu',
            '/^(?<x>\p{L}[\p{L} -]{3,}?)(?:samen|zaad|zaden)$/iu',
        ],
        'root' => [
            '/^(?:racines?|ra[ií]z|radic[ei])\s+(?:de |di |d[\'’]\s?)(?<x>.{3,})$/iu',
            '/^(?<x>\p{L}[\p{L} -]{3,}?)(?:wurzel|wortel)$/iu',
        ],
    ];

    /** Dried and fresh, which the form of the line says. */
    private const STATE = '/
        (?:^|\s)(?:
            getrocknet(?:e[rns]?)?|frische?[rns]?|séchée?s?|fraîche?s?|frais|sec[oa]s?|sèches?|fresc[oa]s?
            |secc?h?[oaie]|fresch?[oaie]|gedroogde?|verse?|dried|dry|fresh
        )(?=\s|$)
    /xiu';

    /** What tells at once that a name may be built so: most are not, and each is asked about often. */
    private const HINT = '/
        ^(?:
            huile|h\.?e\.?\s|aceite|[oó]leo|olio|etherisch|ätherisch|äth\.|o\.?e\.?\s|beurre|mante|burro
            |cire|cera|feuille|hoja|folha|fogli|fleur|flor|fior|graine|semilla|semente|semi\s|racine
            |ra[ií]z|radic
        )
        |(?:
            öl|oel|olie|boter|butter|wachs|was|blatt|blätter|blad|bladeren|blüten?|bloem|bloemen|samen|zaad
            |zaden|wurzel|wortel|ätherisch(?:es)?\)?
        )$
    /xiu';

    /** @return list<string> the name as English builds it, and what it is of alone; empty for what is not built so */
    public static function english(string $name): array
    {
        $told = preg_match(self::HINT, trim($name)) === 1;
        if (! $told && preg_match(self::HOW, $name) !== 1 && preg_match(self::STATE, $name) !== 1) {
            return [];
        }
        $bare = self::withoutSpaces(preg_replace([self::HOW, self::STATE], ' ', $name) ?? $name);
        foreach (self::BUILT as $kind => $patterns) {
            foreach ($patterns as $pattern) {
                if (preg_match($pattern, $bare, $m) === 1) {
                    $of = trim($m['x'], ' -');

                    $plant = in_array($kind, ['leaf', 'flower', 'seed', 'root'], true);

                    return array_values(array_diff(
                        $plant ? ["$of $kind", $of, $bare] : ["$of $kind", $bare],
                        [self::withoutSpaces($name)],
                    ));
                }
            }
        }

        return $bare === self::withoutSpaces($name) ? [] : [$bare];
    }

    private static function withoutSpaces(string $text): string
    {
        return trim(preg_replace('/\s+/u', ' ', $text) ?? $text);
    }
}
