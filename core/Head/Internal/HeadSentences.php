<?php

declare(strict_types=1);

namespace Crown\Head\Internal;

use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\FindingWords;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Name;
use Crown\Head\Season;
use LogicException;

/** What each finding about a head says, made of its code, its line and its figures; no rule is decided here. */
final readonly class HeadSentences implements FindingWords
{
    public function of(Finding $f): string
    {
        $who = $f->about[0];

        return match ($f->code) {
            'head.clinician' => sprintf(
                '%s has signs that a clinician should see before any formula is used: %s.',
                $who,
                implode(', ', array_slice($f->about, 1)),
            ),
            'head.allergy' => sprintf('%s is allergic to %s; %s bears it.', $who, $f->about[1], self::line($f)),
            'head.unknown' => sprintf(
                '%s is allergic to %s: whether "%s" bears it nobody can tell.',
                $who,
                implode(' and ', array_slice($f->about, 1)),
                mb_substr($f->portions[0]->name(), 0, 60),
            ),
            'head.age' => sprintf(
                '%s is younger than %g: %s is not for children under that.',
                $who,
                $f->figure(FigureName::LeastAge)->best,
                self::line($f),
            ),
            'head.condition' => sprintf(
                'With %s, %s asks the clinician before using %s.',
                Condition::from($f->about[1])->label(),
                $who,
                self::line($f),
            ),
            'head.dislike' => sprintf(
                '%s does not like %s%s.',
                $who,
                $f->about[1],
                Season::from($f->term('season'))->words(),
            ),
            'head.weight' => self::weight($f, $who),
            default => throw new LogicException(sprintf('There is no sentence for "%s".', $f->code)),
        };
    }

    private static function weight(Finding $f, string $hair): string
    {
        [$index, $target] = [$f->figure(FigureName::WeightIndex)->best, $f->figure(FigureName::WeightTarget)];

        return $index > $target->high
            ? sprintf(
                'Its weight index is %.1f; for %s up to %.1f suits. It may weigh the hair down.',
                $index,
                $hair,
                $target->high,
            )
            : sprintf(
                'Its weight index is %.1f; for %s from %.1f suits. It may do too little.',
                $index,
                $hair,
                $target->low,
            );
    }

    private static function line(Finding $f): string
    {
        return Name::inSentence($f->portions[0]->name());
    }
}
