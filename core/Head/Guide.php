<?php

declare(strict_types=1);

namespace Crown\Head;

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
                'Roll one clean hair between finger and thumb. What do you feel?',
                [
                    new Answer('hardly', 'hardly anything', 'fine'),
                    new Answer('little', 'a little', 'medium'),
                    new Answer('clearly', 'clearly, like a stiff thread', 'coarse'),
                ],
                'Heads mix strands: take three hairs from three places, and answer for most of them.',
            ),
            new Question(
                'strand-thread',
                'strand',
                'Lay it beside a sewing thread on white paper.',
                [
                    new Answer('thinner', 'much thinner', 'fine'),
                    new Answer('alike', 'about half of it', 'medium'),
                    new Answer('thicker', 'nearly as thick', 'coarse'),
                ],
                'Threads differ too: this only supports the touch.',
            ),
            new Question(
                'porosity-spray',
                'porosity',
                'Spray clean, dry hair without product once. What do the drops do?',
                [
                    new Answer('stay', 'stand as beads for minutes', 'low'),
                    new Answer('spread', 'spread within a minute', 'normal'),
                    new Answer('soak', 'soak in at once', 'high'),
                ],
                'Oil or product left on the hair makes every hair look water-shy: wash first. Roots and tips differ; '
                    .'look at the middle.',
            ),
            new Question(
                'porosity-dry',
                'porosity',
                'After washing, how long does it take to dry in the air?',
                [
                    new Answer('long', 'more than half a day', 'low'),
                    new Answer('some', 'a few hours', 'normal'),
                    new Answer('short', 'an hour or two', 'high'),
                ],
                'Thick hair dries slowly whatever its porosity; weather counts too.',
            ),
            new Question(
                'porosity-treated',
                'porosity',
                'Is it bleached, permanently coloured, relaxed or often straightened hot?',
                [new Answer('yes', 'yes', 'high'), new Answer('no', 'no', null)],
                'A hair floating in a glass is not asked for: bubbles, oil and the water\'s surface decide that, not '
                    .'the hair.',
            ),
            new Question(
                'scalp-tissue',
                'scalp',
                'Two days after washing, press a tissue to the scalp. What is on it?',
                [
                    new Answer('clear', 'a clear patch of oil', 'oily'),
                    new Answer('faint', 'a faint mark', 'calm'),
                    new Answer('none', 'nothing, and the skin feels tight', 'dry'),
                ],
                'A scalp that was oiled in between tells nothing here.',
            ),
            new Question(
                'scalp-scratch',
                'scalp',
                'Scratch gently at the parting. What comes off?',
                [
                    new Answer('nothing', 'nothing', 'calm'),
                    new Answer('dust', 'fine dry dust', 'dry'),
                    new Answer('flakes', 'flakes, yellowish or greasy', 'flaking'),
                ],
                'Dried product looks like flakes: look again after a wash.',
            ),
            new Question(
                'scalp-itch',
                'scalp',
                'Does it itch most days?',
                [new Answer('yes', 'yes', 'itchy'), new Answer('no', 'no', null)],
                'Itch has many causes. If it stays for two weeks or keeps someone awake, a clinician should look.',
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
                    'This was found by itself; the other answers do not take it away.',
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
                    ? 'Cannot tell from this alone.'
                    : 'Cannot tell: the answers point different ways. It may be in between.',
            );
        }

        return new Suggestion(
            $trait,
            $best,
            $counts[0] === array_sum($counts)
                ? 'All that was answered points to it.'
                : sprintf('%d of %d answers point to it.', $counts[0], array_sum($counts)),
        );
    }

    /** @return list<Question> */
    public function jsonSerialize(): array
    {
        return self::questions();
    }
}
