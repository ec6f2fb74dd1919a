<?php

declare(strict_types=1);

namespace Crown\Head\Internal;

use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\FindingWords;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Name;
use Crown\Words\Message;
use LogicException;

/** What each finding about a head says, made of its code, its line and its figures; no rule is decided here. */
final readonly class HeadSentences implements FindingWords
{
    public function of(Finding $f): string
    {
        $who = $f->about[0];

        return match ($f->code) {
            'head.clinician' => Message::said('head.head-sentences.clinician', [
                'who' => $who,
                'signs' => implode(', ', array_slice($f->about, 1)),
            ]),
            'head.allergy' => Message::said('head.head-sentences.allergic-bears', [
                'who' => $who,
                'allergy' => $f->about[1],
                'name' => self::line($f),
            ]),
            'head.unknown' => Message::said('head.head-sentences.unknown', [
                'who' => $who,
                'allergies' => implode(' and ', array_slice($f->about, 1)),
                'name' => mb_substr($f->portions[0]->name(), 0, 60),
            ]),
            'head.age' => Message::said('head.head-sentences.younger-than-not-children', [
                'who' => $who,
                'years' => sprintf('%g', $f->figure(FigureName::LeastAge)->best),
                'name' => self::line($f),
            ]),
            'head.condition' => Message::said('head.head-sentences.with-asks-clinician-before', [
                'condition' => Condition::from($f->about[1])->label(),
                'who' => $who,
                'name' => self::line($f),
            ]),
            'head.dislike' => Message::said('head.head-sentences.does-not-like', [
                'who' => $who,
                'what' => $f->about[1],
                'season' => $f->term('season'),
            ]),
            'head.weight' => self::weight($f, $who),
            default => throw new LogicException("No words for $f->code."),
        };
    }

    private static function weight(Finding $f, string $hair): string
    {
        [$index, $target] = [$f->figure(FigureName::WeightIndex)->best, $f->figure(FigureName::WeightTarget)];

        return $index > $target->high
            ? Message::said('head.head-sentences.its-weight-index-up', [
                'index' => sprintf('%.1f', $index),
                'hair' => $hair,
                'target_high' => sprintf('%.1f', $target->high),
            ])
            : Message::said('head.head-sentences.its-weight-index-from', [
                'index' => sprintf('%.1f', $index),
                'hair' => $hair,
                'target_low' => sprintf('%.1f', $target->low),
            ]);
    }

    private static function line(Finding $f): string
    {
        return Name::inSentence($f->portions[0]->name());
    }
}
