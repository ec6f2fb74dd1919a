<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Formula\Step;
use Crown\Reading\Asked;
use Crown\Reading\ReadLine;

/** What the method names in passing, settled against the list of ingredients. */
final class Passing
{
    /** A name that the catalogue does not know, and no word for what is in the bowl already. */
    private const STRANGER = '/
        ^(?!
            (?:
                it|them|this|that|these|each|the|of|all|more|rest|mix|mixture|base|blend|oils?|butters?
                |liquid|gel|wax|paste|cream|powder|herbs?|product|final|total|portion|batch|brew|tea
                |infusion|decoction|strained|cooled
            )\b
        )\p{L}[\p{L}-]{2,20}(?:\s\p{L}[\p{L}-]{2,20}){0,2}$
    /xiu';

    /** How a method takes something that it gives no amount of. */
    private const TAKEN = '/
        (?<!not\ )(?<!never\ )\b(?:
            (?:fill|pack|stuff|cover|top)(?:ed)?\b(?:[^.;,]|\.\d){0,30}?\bwith|submerged?\ in
            |soak(?:ed)?\ in|(?:add|stir)(?:ed|red)?\ in|add(?:ed|ing)?|pour(?:ed)?\ (?:over|on|in)
            |cover(?:ed)?\ (?:with|in)
        )\s+(?:the\ |some\ |fresh\ |your\ )*(?<name>\p{L}[\p{L} -]{2,50})
    /xiu';

    /**
     * What the method says in passing: said twice it counts once, a name without an amount gets it there, and what
     * stands in no list is a line of its own.
     *
     * @param  list<ReadLine>  $lines
     * @param  list<ReadLine>  $passing
     * @return list<ReadLine>
     */
    public static function settled(array $lines, array $passing): array
    {
        // One line beside a method that names the rest is no list.
        $listed = count(array_filter(
            $lines,
            static fn (ReadLine $l): bool => $l->ingredient() !== '' && $l->amount !== '',
        )) >= min(2, count($passing));
        foreach ($passing as $said) {
            $known = false;
            foreach ($lines as $n => $line) {
                if ($line->ingredient() !== '' && $line->ingredient() === $said->ingredient()) {
                    $known = true;
                    $lines[$n] = $line->amount === '' ? $said : $line;
                }
            }
            if (! $known && $said->ingredient() !== '') {
                $lines[] = $listed ? self::onlyThere($said) : $said;
            } elseif ($said->ingredient() === '' && preg_match(self::STRANGER, $said->name) === 1) {
                // Among others that are known it is one of them: nothing is lost in silence.
                $lines[] = $said;
            }
        }

        return $lines;
    }

    /**
     * Ingredients that a sentence adds by amount and that stand in no line: they are asked about, not dropped.
     *
     * @param  list<Step>  $steps
     * @param  list<ReadLine>  $lines
     * @return list<ReadLine>
     */
    public static function onlyInSteps(array $steps, array $lines, Entries $entries): array
    {
        $known = array_map(static fn (ReadLine $l): string => $l->ingredient(), $lines);
        $found = [];
        foreach ($steps as $step) {
            if (
                preg_match_all(
                    '/
                        # an amount, and up to what its name may go
                        (
                            (?:\d[\d\/.,-]*|a\ few)[ ](?:drops?|tbsps?|tsps?|teaspoons?|tablespoons?|cups?|g|ml|oz)
                        )\ (?:of\ )?([\p{L} ]{1,40}(?:-[\p{L}\d]+)*[\p{L} -]{0,30})
                    /xiu',
                    $step->text,
                    $m,
                    PREG_SET_ORDER,
                ) < 1
            ) {
                continue;
            }
            foreach ($m as [, $amount, $words]) {
                $name = preg_replace('/\b(and|to|in|into|then|w|with|when|for|over'
                    .'|until)\b.*$/iu', '', $words) ?? $words;
                $best = $entries->matches(trim($name))[0] ?? false;
                $sure = $best !== false && $best->score >= Entries::SURE && ! Names::isKind(trim($name));
                $line = $sure ? $entries->placed($step->text, trim($name), $amount) : null;
                if ($line !== null && ! in_array($line->ingredient(), $known, true)) {
                    $known[] = $line->ingredient();
                    $found[] = self::onlyThere($line);
                }
            }
        }

        return $found;
    }

    /**
     * Ingredients that the method takes without an amount, "fill it a third with fenugreek", and that stand in no line.
     *
     * @param  list<Step>  $steps
     * @param  list<ReadLine>  $lines
     * @return list<ReadLine>
     */
    public static function withoutAmount(array $steps, array $lines, Entries $entries, Items $items): array
    {
        $known = array_map(static fn (ReadLine $l): string => $l->ingredient(), $lines);
        $found = [];
        foreach ($steps as $step) {
            preg_match_all(self::TAKEN, $step->text, $m);
            $taken = array_merge(...array_map(
                static fn (string $names): array => preg_split('/\s+(?:and|&)\s+/iu', $names) ?: [],
                $m['name'],
            ));
            foreach ($taken as $words) {
                $name = $items->begins($words);
                $line = $name === '' ? null : $entries->placed($step->text, $name, '');
                if ($line !== null && $line->ingredient() !== '' && ! in_array($line->ingredient(), $known, true)) {
                    $known[] = $line->ingredient();
                    $found[] = self::onlyThere($line)->asking(Asked::Amount, 'How much is meant?');
                }
            }
        }

        return $found;
    }

    private static function onlyThere(ReadLine $line): ReadLine
    {
        return $line->asking(Asked::Ingredient, 'Named only in the method.');
    }
}
