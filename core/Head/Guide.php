<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Words\Message;
use JsonSerializable;

/**
 * Simple observations by which a maker finds strand, porosity and scalp, with what they cannot tell. Each answer speaks
 * for one value; what most answers speak for is proposed, and a tie is "cannot tell". Method page: docs/methods/fit.md.
 */
final class Guide implements JsonSerializable
{
    /** @return list<Question> */
    public static function questions(): array
    {
        return [
            new Question(
                'strand-feel',
                'strand',
                Message::said('head.guide.roll-one-clean-hair'),
                [
                    new Answer('hardly', 'hardly anything', 'fine'),
                    new Answer('little', 'a little', 'medium'),
                    new Answer('clearly', Message::said('head.guide.clearly-like-stiff-thread'), 'coarse'),
                ],
                Message::said('head.guide.heads-mix-strands-take'),
            ),
            new Question(
                'strand-thread',
                'strand',
                Message::said('head.guide.lay-beside-sewing-thread'),
                [
                    new Answer('thinner', 'much thinner', 'fine'),
                    new Answer('alike', Message::said('head.guide.about-half'), 'medium'),
                    new Answer('thicker', Message::said('head.guide.nearly-as-thick'), 'coarse'),
                ],
                Message::said('head.guide.threads-differ-too-this'),
            ),
            new Question(
                'porosity-spray',
                'porosity',
                Message::said('head.guide.spray-clean-dry-hair'),
                [
                    new Answer('stay', Message::said('head.guide.stand-as-beads-minutes'), 'low'),
                    new Answer('spread', Message::said('head.guide.spread-within-minute'), 'normal'),
                    new Answer('soak', Message::said('head.guide.soak-once'), 'high'),
                ],
                Message::said('head.guide.oil-product-left-on'),
            ),
            new Question(
                'porosity-dry',
                'porosity',
                Message::said('head.guide.after-washing-how-long'),
                [
                    new Answer('long', Message::said('head.guide.more-than-half-day'), 'low'),
                    new Answer('some', 'a few hours', 'normal'),
                    new Answer('short', Message::said('head.guide.hour-two'), 'high'),
                ],
                Message::said('head.guide.thick-hair-dries-slowly'),
            ),
            new Question(
                'porosity-treated',
                'porosity',
                Message::said('head.guide.bleached-permanently-coloured-relaxed'),
                [new Answer('yes', 'yes', 'high'), new Answer('no', 'no', null)],
                Message::said('head.guide.hair-floating-glass-not'),
            ),
            new Question(
                'scalp-tissue',
                'scalp',
                Message::said('head.guide.two-days-after-washing'),
                [
                    new Answer('clear', Message::said('head.guide.clear-patch-oil'), 'oily'),
                    new Answer('faint', 'a faint mark', 'calm'),
                    new Answer('none', Message::said('head.guide.nothing-skin-feels-tight'), 'dry'),
                ],
                Message::said('head.guide.scalp-was-oiled-between'),
            ),
            new Question(
                'scalp-scratch',
                'scalp',
                Message::said('head.guide.scratch-gently-parting-what'),
                [
                    new Answer('nothing', 'nothing', 'calm'),
                    new Answer('dust', Message::said('head.guide.fine-dry-dust'), 'dry'),
                    new Answer('flakes', Message::said('head.guide.flakes-yellowish-greasy'), 'flaking'),
                ],
                Message::said('head.guide.dried-product-looks-like'),
            ),
            new Question(
                'scalp-itch',
                'scalp',
                Message::said('head.guide.does-itch-most-days'),
                [new Answer('yes', 'yes', 'itchy'), new Answer('no', 'no', null)],
                Message::said('head.guide.itch-has-many-causes'),
            ),
        ];
    }

    /**
     * What the answers speak for.
     *
     * @param  array<string, string>  $given answer by question; a question may be skipped
     * @return list<Suggestion> one for each of strand, porosity and scalp that was asked about
     */
    public static function suggest(array $given): array
    {
        $votes = $asked = [];
        foreach (self::questions() as $question) {
            foreach ($question->answers as $answer) {
                if (($given[$question->id] ?? '') === $answer->id) {
                    $asked[$question->trait] = true;
                    if ($answer->speaksFor !== null) {
                        $votes[$question->trait][$answer->speaksFor]
                            = ($votes[$question->trait][$answer->speaksFor] ?? 0) + 1;
                    }
                }
            }
        }
        $suggestions = [];
        foreach (array_keys($asked) as $trait) {
            $suggestions[] = self::weighed($trait, $votes[$trait] ?? []);
        }

        return $suggestions;
    }

    /** @param  array<string, int>  $votes */
    private static function weighed(string $trait, array $votes): Suggestion
    {
        // Itch and flakes are found, not outvoted: a calm tissue does not take them away.
        foreach (['itchy', 'flaking'] as $found) {
            if ($trait === 'scalp' && isset($votes[$found])) {
                return new Suggestion(
                    $trait,
                    $found,
                    Message::said('head.guide.this-was-found-by'),
                );
            }
        }
        arsort($votes);
        $counts = array_values($votes);
        $best = array_key_first($votes);
        if ($best === null || ($counts[1] ?? 0) === $counts[0]) {
            return new Suggestion(
                $trait,
                null,
                $best === null
                    ? Message::said('head.guide.cannot-tell-from-this')
                    : Message::said('head.guide.cannot-tell-answers-point'),
            );
        }

        return new Suggestion(
            $trait,
            $best,
            $counts[0] === array_sum($counts)
                ? Message::said('head.guide.all-was-answered-points')
                : Message::said('head.guide.answers-point', [
                    'agree' => $counts[0],
                    'of' => array_sum($counts),
                ]),
        );
    }

    /** @return list<Question> */
    public function jsonSerialize(): array
    {
        return self::questions();
    }
}
